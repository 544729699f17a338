package kolonne.core.section;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.code.aci318.Aci318;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;

/** Curves on the surface: a point by hand, the mirrored quarters against the direct way, rings that are alike every seventh of a turn. */
class SurfaceCurvesTest {
    private static final double BAR = 490.87;

    /** 500 by 500 of 30 MPa, 4T25 of 420 MPa whose centres are 62.5 mm from the faces. */
    private static InteractionSurface square(double... more) {
        List<PlacedBar> bars = new ArrayList<>();
        for (int i : new int[] {-1, 1}) {
            for (int k : new int[] {-1, 1}) {
                bars.add(new PlacedBar(187.5 * i, 187.5 * k, BAR));
            }
            for (double y : more) {
                bars.add(new PlacedBar(187.5 * i, y, BAR));
            }
        }
        return new InteractionSurface(new ColumnSection(new Shape.Rectangle(500, 500), bars, 30, 420, Aci318.SI), 500);
    }

    /**
     * c = 300: a = 0.8357 · 300 = 250.7, Cc = 25.5 · 250.7 · 500; upper bars yield (ε 0.002375), lower 0.001375 in tension, 275 MPa; ϕ = 0.65
     * (ACI 318-19 22.2, 21.2.2).
     */
    @Test
    void aPointByHand() {
        double a = (0.85 - 0.05 * 2 / 7) * 300;
        double concrete = 25.5 * a * 500;
        double upper = 2 * BAR * (420 - 25.5);
        double lower = 2 * BAR * 275;
        double n = 0.65 * (concrete + upper - lower);
        double m = 0.65 * (concrete * (250 - a / 2) + (upper + lower) * 187.5);
        for (double angle : new double[] {0, Math.PI / 2, Math.PI, -Math.PI / 2}) {
            assertEquals(m, SurfaceCurves.momentAt(square(), n, angle), 1e-4 * m, "at " + angle);
        }
    }

    @Test
    void nothingIsLeftBesideAForceThatIsTooMuch() {
        InteractionSurface s = square();
        assertEquals(0, SurfaceCurves.momentAt(s, s.section().axialCap, 0.3));
        assertEquals(0, SurfaceCurves.momentAt(s, -s.section().tension, 0.3));
        assertTrue(SurfaceCurves.momentAt(s, 0, 0.3) > 100e6);
    }

    /** Under the cap of axial force the contour shrinks no further than where the cap cuts it off. */
    @Test
    void everyPointOfAContourLiesOnTheSurfaceInItsDirection() {
        InteractionSurface s = square(0, 60, -60);
        for (double p : new double[] {-300e3, 0, 1500e3, 4000e3}) {
            List<SurfaceCurves.Point> round = SurfaceCurves.contour(s, p);
            for (int i = 0; i < round.size(); i++) {
                SurfaceCurves.Point q = round.get(i);
                assertEquals(1, s.exact(p, q.mx(), q.my()).utilisation(), 1e-5, "p " + p + " at " + i);
                double at = 2 * Math.PI * i / (round.size() - 1);
                assertEquals(Math.sin(at) * q.m(), q.mx(), 1e-6 * q.m());
                assertEquals(
                        SurfaceCurves.momentAt(s, p, at), q.m(), 1e-4 * q.m(), "mirrored as if worked out at " + i);
            }
            assertEquals(round.get(0), round.get(round.size() - 1));
        }
    }

    @Test
    void aMeridianRunsFromPureTensionToTheCap() {
        InteractionSurface s = square();
        SurfaceCurves.Meridian m = SurfaceCurves.meridian(s, 0.4);
        assertEquals(-s.section().tension, m.design().get(0).n(), 1);
        assertEquals(s.section().axialCap, m.design().get(m.design().size() - 1).n(), 1);
        for (SurfaceCurves.Point p : m.design()) {
            assertEquals(
                    1,
                    p.m() + Math.abs(p.n()) == 0
                            ? 1
                            : s.exact(p.n(), p.mx(), p.my()).utilisation(),
                    1e-6);
        }
    }

    @Test
    void theMeshIsAlikeInAllQuartersAndARingEverySeventh() {
        InteractionSurface s = square(0);
        List<List<SurfaceCurves.Point>> mesh = SurfaceCurves.mesh(s);
        int n = mesh.size();
        for (int i = 0; i < n; i++) {
            for (SurfaceCurves.Point p : mesh.get(i)) {
                assertEquals(1, s.exact(p.n(), p.mx(), p.my()).utilisation(), 1e-6);
                double at = 2 * Math.PI * i / n;
                assertEquals(Math.sin(at) * p.m(), p.mx(), 1e-6 * p.m() + 1e-3);
                assertEquals(Math.cos(at) * p.m(), p.my(), 1e-6 * p.m() + 1e-3);
            }
        }
        List<PlacedBar> bars = new ArrayList<>();
        for (int i = 0; i < 7; i++) {
            bars.add(new PlacedBar(190 * Math.cos(2 * Math.PI * i / 7), 190 * Math.sin(2 * Math.PI * i / 7), BAR));
        }
        InteractionSurface ring =
                new InteractionSurface(new ColumnSection(new Shape.Circle(500), bars, 30, 420, Aci318.SI), 500);
        double m = SurfaceCurves.momentAt(ring, 1e6, 0.2);
        for (int i = 1; i < 7; i++) {
            assertEquals(m, SurfaceCurves.momentAt(ring, 1e6, 0.2 + 2 * Math.PI * i / 7), 1e-3 * m);
        }
    }
}
