package kolonne.core.analysis;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.finding.Finding;
import kolonne.core.model.AreaLoad;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Point;
import kolonne.core.model.Release;
import kolonne.core.model.SlabPanel;
import org.junit.jupiter.api.Test;

/** Panels with openings, and panels that cantilever from one beam: forces and moments by hand. */
class PanelShapesTest {
    private static final double Q = 5e-3;

    /** A panel of 6 by 4 m on four pinned beams over fixed corners. */
    private static ModelBuilder rectangle(boolean oneWay, List<List<Point>> holes) {
        ModelBuilder b = new ModelBuilder();
        double[][] c = {{0, 0}, {6000, 0}, {6000, 4000}, {0, 4000}};
        for (int i = 0; i < 4; i++) {
            b.joint("J" + i, c[i][0], c[i][1], 0).fixed("J" + i);
        }
        for (int i = 0; i < 4; i++) {
            b.beam("e" + i, "J" + i, "J" + (i + 1) % 4, Release.PIN, Release.PIN, 0, 0);
        }
        b.panels.add(new SlabPanel("S", List.of("J0", "J1", "J2", "J3"), 150, 0, oneWay, Math.PI / 2, holes));
        b.areaLoads.add(new AreaLoad("P", "S", Q));
        return b;
    }

    private static List<Point> box(double x, double y, double w, double h) {
        return List.of(new Point(x, y), new Point(x + w, y), new Point(x + w, y + h), new Point(x, y + h));
    }

    private static double total(Analysis a) {
        double up = 0;
        for (int j = 0; j < a.index().building().joints().size(); j++) {
            up += a.reaction(0, j, 2);
        }
        return up;
    }

    @Test
    void anOpeningCarriesNothing() {
        Analysis a = rectangle(false, List.of(box(2000, 1500, 1200, 900))).solve();
        assertEquals(Q * (6000.0 * 4000 - 1200 * 900), total(a), 1);
    }

    @Test
    void anOpeningTakesLoadOffTheStripsItCuts() {
        // one-way along Y: a strip cut by an opening in its middle keeps two pieces, each hanging on its own end
        Analysis a = rectangle(true, List.of(box(2000, 1000, 2000, 2000))).solve();
        double removed = Q * 2000 * 2000;
        assertEquals(Q * 6000 * 4000 - removed, total(a), 1);
        // both long beams lose the same by symmetry; mid-span shear of a symmetric load is zero
        int bottom = a.index().memberNumber("e0");
        int top = a.index().memberNumber("e2");
        assertEquals(a.force(bottom, 0, 0, Analysis.VZ), a.force(top, 0, 0, Analysis.VZ), 1);
        // simple beam with q4/2 over 6 m less a hole of 2 m in its middle: R = (wL - w c/2) / 2, w = 10 N/mm
        assertEquals((10 * 6000.0 - 10 * 2000 * 0.5) / 2, Math.abs(a.force(bottom, 0, 0, Analysis.VZ)), 1);
    }

    @Test
    void anOpeningBeyondThePanelIsAFinding() {
        try {
            rectangle(false, List.of(box(5000, 1000, 3000, 500))).solve();
            throw new AssertionError("the opening reaches beyond the panel");
        } catch (AnalysisFailed e) {
            assertEquals("panel.hole", e.findings().get(0).code());
        }
    }

    @Test
    void aCantileverPanelTwistsTheBeamThatAloneCarriesIt() {
        // 6 m beam fixed at both ends, slab 1.5 m out: torque q a2/2 per length, half of it to either end
        ModelBuilder b = new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("B", 6000, 0, 0)
                .joint("C1", 6000, 1500, 0)
                .joint("D", 0, 1500, 0)
                .beam("m", "A", "B")
                .fixed("A")
                .fixed("B");
        b.panels.add(new SlabPanel("S", List.of("A", "B", "C1", "D"), 150, 0, false, 0));
        b.areaLoads.add(new AreaLoad("P", "S", Q));
        Analysis a = b.solve();
        assertEquals(Q * 6000 * 1500, total(a), 1);
        double torque = Q * 1500 * 1500 / 2 * 6000 / 2;
        assertEquals(torque, Math.abs(a.force(0, 0, 0, Analysis.T)), 1e-3 * torque);
        Finding f = a.findings().stream()
                .filter(q -> q.code().equals("panel.cantilever"))
                .findFirst()
                .orElseThrow();
        assertTrue(f.what().contains("torsion"), f.what());
    }
}
