package kolonne.core.design;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import kolonne.core.analysis.Slabs;
import kolonne.core.basis.Basis;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Joint;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.SlabPanel;
import org.junit.jupiter.api.Test;

class QuantitiesTest {
    @Test
    void wordsInEitherSystem() {
        Quantities q = new Quantities(118_000, 1000e9, 0);
        assertEquals("steel 118.0 t, concrete 1000 m³, 118 kg/m³", q.words(false));
        // 118 000 kg / 907.18474 = 130.07 tons; 1000 m³ / 0.764554858 = 1307.95 yd³; 118 x 0.764554858 / 0.45359237 =
        // 198.9 lb/yd³
        assertEquals("steel 130.1 tons, concrete 1308 yd³, 199 lb/yd³", q.words(true));
        assertEquals("steel 0.0 t, concrete 0 m³, 0 kg/m³", Quantities.NONE.words(false));
    }

    /**
     * Beams 300 × 600 and 8 m long at 0, 3 and 9 m, held at their ends, a slab of 150 on all: 72 m² and 10.8 m³, less four halves of a web
     * 0.15 · 0.15 · 8 = 0.72 m³; its soffit 72 m² less four times (0.15 of web + 0.15 of side) · 8.
     */
    @Test
    void floorsCountNothingOfTheirBeams() {
        ModelBuilder b = new ModelBuilder();
        double[] ys = {0, 3000, 9000};
        for (int i = 0; i < 3; i++) {
            b.joint("a" + i, 0, ys[i], 0)
                    .joint("b" + i, 8000, ys[i], 0)
                    .beam("m" + i, "a" + i, "b" + i)
                    .fixed("a" + i)
                    .fixed("b" + i)
                    .spread("m" + i, 0, 8000, 30, 30);
        }
        b.panels.add(new SlabPanel("p1", List.of("a0", "b0", "b1", "a1"), 150, 25e-6, false, 0));
        b.panels.add(new SlabPanel("p2", List.of("a1", "b1", "b2", "a2"), 150, 25e-6, false, 0));
        BuildingDesign d = BuildingDesigner.design(b.solve(), Basis.standard(false), BuildingDesigner.Progress.NONE);
        Quantities floors = Quantities.ofFloors(d);
        assertEquals(10.08, floors.concrete() / 1e9, 1e-9);
        assertEquals(62.4, floors.formwork() / 1e6, 1e-9);
        Quantities beams = d.beams().stream().map(x -> Quantities.of(x)).reduce(Quantities.NONE, Quantities::plus);
        assertEquals(3 * 0.18 * 8, beams.concrete() / 1e9, 1e-9);
        assertEquals(3 * (0.3 + 2 * 0.6) * 8, beams.formwork() / 1e6, 1e-9);
    }

    /** A quarter turn at a right corner, a half on a side, a whole turn inside, nothing beside the panel or a storey higher. */
    @Test
    void columnsTakeTheirPartOfASlab() {
        ModelBuilder b = new ModelBuilder();
        b.joint("a", 0, 0, 0).joint("b", 6000, 0, 0).joint("c", 6000, 4000, 0).joint("d", 0, 4000, 0);
        SlabPanel p = new SlabPanel("p", List.of("a", "b", "c", "d"), 150, 25e-6, false, 0);
        Slabs slabs = new Slabs(new BuildingIndex(b.building()));
        assertEquals(0.25, slabs.around(p).applyAsDouble(new Joint("x", 6000, 4000, 0)), 1e-12);
        assertEquals(0.5, slabs.around(p).applyAsDouble(new Joint("x", 3000, 0, 0)), 1e-12);
        assertEquals(1, slabs.around(p).applyAsDouble(new Joint("x", 2000, 1000, 0)), 1e-12);
        assertEquals(0, slabs.around(p).applyAsDouble(new Joint("x", 6300, 1000, 0)), 1e-12);
        assertEquals(0, slabs.around(p).applyAsDouble(new Joint("x", 2000, 1000, 3000)), 1e-12);
    }
}
