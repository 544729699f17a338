package kolonne.audit;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import kolonne.core.basis.Basis;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.check.CheckResult;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.design.BuildingDesign;

/**
 * Members of a design read again from their drawings, by readings that do not know the designer: satisfied by both or failing in both. Fibres and
 * interpolation leave 2 %; members within that of the limit may go either way.
 */
final class Audit {
    private static final double SLACK = 0.02;
    private static final double SURFACE = 0.03;
    /** Kinds of the designer that say the same as a kind of the auditor. */
    private static final Map<String, List<String>> SAME = Map.ofEntries(
            Map.entry("flexure", List.of("flexure-", "tension-shift", "development-", "hook-")),
            Map.entry("ductility", List.of("tension-control")),
            Map.entry("minimum", List.of("minimum-top", "minimum-bottom")),
            Map.entry("extension", List.of("cut-off", "flexure-", "development-")),
            Map.entry("into-support", List.of("bottom-into-support")),
            Map.entry("shear", List.of("shear-x", "shear-y", "shear", "capacity-shear", "shear-limit", "minimum-ties")),
            Map.entry("shear-limit", List.of("shear-limit")),
            Map.entry("column-torsion", List.of("torsion-x", "torsion-y", "torsion-bars")),
            Map.entry("column-torsion-limit", List.of("shear-torsion-limit-")),
            Map.entry("shear-both", List.of("shear-both")),
            Map.entry("minimum-ties", List.of("minimum-ties-")),
            Map.entry("bar-count", List.of("bar-count")),
            Map.entry("torsion-spacing", List.of("torsion-spacing")),
            Map.entry("torsion-bar-spacing", List.of("torsion-bar-spacing")),
            Map.entry("torsion-bar-size", List.of("torsion-bar-size")),
            Map.entry("torsion-bending", List.of("torsion-bending", "axial-bending", "second-order")),
            Map.entry("torsion", List.of("torsion", "shear-torsion-limit")),
            Map.entry("shear-torsion-limit", List.of("shear-torsion-limit")),
            Map.entry("stirrup-spacing", List.of("stirrup-spacing")),
            Map.entry("leg-spacing", List.of("leg-spacing")),
            Map.entry("minimum-stirrups", List.of("minimum-shear-steel")),
            Map.entry("cover", List.of()),
            Map.entry("delivered", List.of()),
            Map.entry("lap-length", List.of()),
            Map.entry("bars-beside", List.of("clear-spacing", "layers-")),
            Map.entry("bars-over", List.of("layers-")),
            Map.entry("layers-clear", List.of("layer-spacing", "layers-")),
            Map.entry("axial-bending", List.of("axial-bending", "axial-limit", "second-order")),
            Map.entry("axial-limit", List.of("axial-limit")),
            Map.entry("second-order", List.of("second-order")),
            Map.entry("spiral", List.of("spiral-", "tie-spacing")),
            Map.entry("steel", List.of("steel-")),
            Map.entry("tie-spacing", List.of("tie-spacing", "end-ties", "end-reach", "joint-ties")),
            Map.entry("tie-size", List.of("tie-size")),
            Map.entry("bars-apart", List.of("clear-spacing")),
            Map.entry("held", List.of("bars-held")),
            Map.entry("lap", List.of("bars-below")));

    private Audit() {}

    static void told(String what, int read, List<String> differences) {
        System.out.println("Audit of " + what + ": " + read + " members read, " + differences.size() + " differ"
                + (differences.isEmpty() ? "" : ":"));
        differences.forEach(d -> System.out.println("  " + d));
        assertEquals(List.of(), differences.stream().limit(12).toList());
    }

    /** Members that were read. */
    static int read(BuildingDesign d, List<String> differences) {
        Sheet.Basis numbers = Drawn.basis(d.basis());
        Forces forces = new Forces(d.analysis(), numbers);
        int count = 0;
        for (BeamDesign b : d.beams()) {
            if (b.checks().stream().noneMatch(c -> c.cause().id().equals("out-of-scope") && !c.satisfied())) {
                compare(
                        b.line().mark(),
                        new BeamReading(Drawn.line(b, d.basis()), numbers, forces).run(),
                        b.checks(),
                        differences);
                count++;
            }
        }
        List<String> found = java.util.Collections.synchronizedList(new ArrayList<>());
        count += columns(d, found);
        differences.addAll(found);
        return count;
    }

    /** @param differences that threads may add to */
    static int columns(BuildingDesign d, List<String> differences) {
        Sheet.Basis numbers = Drawn.basis(d.basis());
        Forces forces = new Forces(d.analysis(), numbers);
        double[] depths = Drawn.depths(d.analysis().index());
        return d.columns().parallelStream()
                .mapToInt(c -> stack(c, d.basis(), numbers, forces, depths, differences))
                .sum();
    }

    private static int stack(
            ColumnDesign c,
            Basis basis,
            Sheet.Basis numbers,
            Forces forces,
            double[] depths,
            List<String> differences) {
        int count = 0;
        for (int i = 0; i < c.lifts().size(); i++) {
            boolean scope = c.lifts().get(i).checks().stream()
                    .noneMatch(q -> q.kind().id().equals("shape"));
            Findings f = scope ? new ColumnReading(Drawn.lift(c, i, basis), numbers, forces, depths).run() : null;
            if (f != null) {
                if (i + 1 < c.lifts().size() && section(c, i).equals(section(c, i + 1))) {
                    Laps.read(Drawn.lift(c, i, basis), Drawn.lift(c, i + 1, basis), f);
                }
                compare(
                        c.stack().mark() + " lift " + (i + 1),
                        f,
                        c.lifts().get(i).checks(),
                        differences);
                count++;
            }
        }
        return count;
    }

    private static String section(ColumnDesign c, int lift) {
        return c.lifts().get(lift).lift().section().id();
    }

    private static void compare(String mark, Findings read, List<CheckResult> checks, List<String> differences) {
        Map<String, Double> theirs = new TreeMap<>();
        checks.forEach(c -> theirs.merge(c.kind().id(), c.utilisation(), Math::max));
        read.all().forEach((kind, use) -> {
            double slack = kind.endsWith("bending") ? SURFACE : SLACK;
            double same = theirs.entrySet().stream()
                    .filter(e ->
                            SAME.get(kind).stream().anyMatch(p -> e.getKey().startsWith(p)))
                    .mapToDouble(Map.Entry::getValue)
                    .max()
                    .orElse(0);
            if (use.use() > 1 + slack && same <= 1 && same < use.use() / (1 + slack)) {
                differences.add(
                        String.format("%s: %s %.3f at %s, told %.3f", mark, kind, use.use(), use.where(), same));
            }
        });
        theirs.forEach((kind, use) -> {
            List<String> mine = SAME.entrySet().stream()
                    .filter(e -> e.getValue().stream().anyMatch(kind::equals)
                            || e.getValue().stream().anyMatch(p -> p.endsWith("-") && kind.startsWith(p)))
                    .map(Map.Entry::getKey)
                    .toList();
            boolean counts = List.of(
                            "flexure-bottom",
                            "flexure-top",
                            "shear",
                            "shear-limit",
                            "axial-bending",
                            "axial-limit",
                            "torsion",
                            "torsion-x",
                            "torsion-y",
                            "torsion-bending",
                            "shear-both",
                            "minimum-ties-x",
                            "minimum-ties-y",
                            "bar-count",
                            "shear-torsion-limit-x",
                            "shear-torsion-limit-y",
                            "shear-torsion-limit")
                    .contains(kind);
            double most = mine.stream()
                    .filter(read.all()::containsKey)
                    .mapToDouble(k -> read.all().get(k).use())
                    .max()
                    .orElse(0);
            if (counts && use > 1 + SURFACE && most <= 1 - SURFACE) {
                differences.add(String.format("%s: told %s %.3f, read %.3f", mark, kind, use, most) + " "
                        + mine.stream().collect(Collectors.joining("/")));
            }
        });
    }
}
