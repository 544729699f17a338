package kolonne.core.schedule;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import kolonne.core.basis.Basis;
import kolonne.core.code.Bar;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.DesignedDemo;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Member;
import kolonne.core.model.Role;
import org.junit.jupiter.api.Test;

/** The rows against the bar list, the model and the design's own sums. */
class StoreyQuantitiesTest {
    private static final BuildingDesign DEMO = DesignedDemo.by(Basis.standard(false));
    private static final List<StoreyQuantities.Row> ROWS = StoreyQuantities.of(DEMO);

    @Test
    void theSteelIsThatOfTheBarList() {
        double listed = Schedules.bars(Scheduled.of(DEMO)).stream()
                .mapToDouble(r -> r.members() * r.item().mass())
                .sum();
        double rows = ROWS.stream().mapToDouble(r -> r.quantities().steel()).sum();
        assertEquals(listed, rows, 1e-6 * listed);
        for (Role role : Role.values()) {
            double of = ROWS.stream()
                    .filter(r -> r.role() == role)
                    .mapToDouble(r -> r.quantities().steel())
                    .sum();
            assertEquals(DEMO.steel(role).kg(), of, 1e-6 * of);
        }
    }

    /** Column concrete from the model's members alone: area by length. */
    @Test
    void theConcreteOfColumnsIsThatOfTheModel() {
        BuildingIndex index = DEMO.analysis().index();
        double model = 0;
        for (Member m : index.building().members()) {
            model += m.role() == Role.COLUMN ? index.sectionOf(m).shape().A() * index.length(m) : 0;
        }
        double rows = ROWS.stream()
                .filter(r -> r.role() == Role.COLUMN)
                .mapToDouble(r -> r.quantities().concrete())
                .sum();
        assertEquals(model, rows, 1e-6 * model);
        Map<String, double[]> grades = StoreyQuantities.concrete(DEMO);
        assertEquals(rows, grades.values().stream().mapToDouble(g -> g[1]).sum(), 1e-6 * rows);
        double beams = ROWS.stream()
                .filter(r -> r.role() == Role.BEAM)
                .mapToDouble(r -> r.quantities().concrete())
                .sum();
        assertEquals(beams, grades.values().stream().mapToDouble(g -> g[0]).sum(), 1e-6 * beams);
    }

    /** By storey it is that of the rows, by size that of the bar list. */
    @Test
    void theSteelOfStoreysIsPartedBySize() {
        Map<String, Map<Bar, Double>> steel = StoreyQuantities.steel(DEMO);
        for (String storey : steel.keySet()) {
            double rows = ROWS.stream()
                    .filter(r -> r.storey().equals(storey))
                    .mapToDouble(r -> r.quantities().steel())
                    .sum();
            double sizes = steel.get(storey).values().stream()
                    .mapToDouble(Double::doubleValue)
                    .sum();
            assertEquals(rows, sizes, 1e-6 * rows, storey);
        }
        for (Schedules.SizeTotal t : Schedules.totals(Schedules.bars(Scheduled.of(DEMO)))) {
            double storeys = steel.values().stream()
                    .flatMap(m -> m.entrySet().stream())
                    .filter(e -> e.getKey().label().equals(t.label()))
                    .mapToDouble(Map.Entry::getValue)
                    .sum();
            assertEquals(t.mass(), storeys, 1e-6 * t.mass(), t.label());
        }
        List<Double> sizes =
                steel.get("L1").keySet().stream().map(Bar::diameter).toList();
        assertEquals(sizes.stream().sorted().toList(), sizes);
    }

    @Test
    void storeysStandInTheirOrder() {
        List<String> names =
                ROWS.stream().map(StoreyQuantities.Row::storey).distinct().toList();
        assertTrue(
                names.indexOf("L1") < names.indexOf("L2") && names.indexOf("L6") < names.indexOf("L7"),
                names.toString());
        assertEquals(
                DEMO.beams().size(),
                ROWS.stream()
                        .filter(r -> r.role() == Role.BEAM)
                        .mapToInt(StoreyQuantities.Row::members)
                        .sum());
    }
}
