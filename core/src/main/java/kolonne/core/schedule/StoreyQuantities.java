package kolonne.core.schedule;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.code.Bar;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.Quantities;
import kolonne.core.model.Material;
import kolonne.core.model.Role;
import kolonne.core.model.Storey;

/** What beams and columns take, storey by storey and by grade of concrete. A lift counts to the storey at its head. */
public final class StoreyQuantities {
    private static final Comparator<Bar> BY_SIZE =
            Comparator.comparingDouble(Bar::diameter).thenComparing(Bar::label);

    private StoreyQuantities() {}

    /** @param storey its name; empty for what belongs to none */
    public record Row(String storey, Role role, int members, Quantities quantities) {}

    /** From the lowest storey up, beams before columns. */
    public static List<Row> of(BuildingDesign d) {
        Map<String, Integer> order = new LinkedHashMap<>();
        d.analysis().index().building().storeys().stream()
                .sorted(Comparator.comparingDouble(Storey::elevation))
                .forEach(s -> order.put(s.name(), order.size()));
        Map<List<Object>, Row> sums = new LinkedHashMap<>();
        for (BeamDesign b : d.beams()) {
            add(sums, b.line().storey(), Role.BEAM, Quantities.of(b));
        }
        for (ColumnDesign c : d.columns()) {
            for (int i = 0; i < c.lifts().size(); i++) {
                add(sums, c.stack().lifts().get(i).storey(), Role.COLUMN, Quantities.of(c, i));
            }
        }
        List<Row> out = new ArrayList<>(sums.values());
        out.sort(Comparator.comparingInt((Row r) -> order.getOrDefault(r.storey(), order.size()))
                .thenComparing(Row::role));
        return out;
    }

    private static void add(Map<List<Object>, Row> sums, String storey, Role role, Quantities q) {
        sums.merge(
                List.of(storey, role),
                new Row(storey, role, 1, q),
                (a, b) -> new Row(storey, role, a.members() + 1, a.quantities().plus(b.quantities())));
    }

    /** Steel by storey, from the lowest up, and by size of bar, from the thinnest [kg]; every storey has all sizes that any has. */
    public static Map<String, Map<Bar, Double>> steel(BuildingDesign d) {
        Map<String, Map<Bar, Double>> out = new LinkedHashMap<>();
        of(d).forEach(r -> out.put(r.storey(), new TreeMap<>(BY_SIZE)));
        for (BeamDesign b : d.beams()) {
            Quantities.bars(b).forEach(i -> out.get(b.line().storey()).merge(i.bar(), i.mass(), Double::sum));
        }
        for (ColumnDesign c : d.columns()) {
            for (int i = 0; i < c.lifts().size(); i++) {
                Map<Bar, Double> storey = out.get(c.stack().lifts().get(i).storey());
                Quantities.bars(c, i).forEach(q -> storey.merge(q.bar(), q.mass(), Double::sum));
            }
        }
        List<Bar> sizes = out.values().stream()
                .flatMap(m -> m.keySet().stream())
                .distinct()
                .toList();
        out.values().forEach(m -> sizes.forEach(b -> m.putIfAbsent(b, 0.0)));
        return out;
    }

    /** Concrete of beams and columns by grade, the weakest first [mm3]. */
    public static Map<String, double[]> concrete(BuildingDesign d) {
        Map<String, double[]> out = new TreeMap<>();
        for (BeamDesign b : d.beams()) {
            for (BeamLine.Span s : b.line().spans()) {
                grade(out, s.material())[0] += s.section().shape().A() * s.clear();
            }
        }
        for (ColumnDesign c : d.columns()) {
            for (ColumnStack.Lift l : c.stack().lifts()) {
                grade(out, l.material())[1] += l.section().shape().A() * (l.top() - l.base());
            }
        }
        return out;
    }

    private static double[] grade(Map<String, double[]> all, Material m) {
        return all.computeIfAbsent(m.id(), k -> new double[2]);
    }
}
