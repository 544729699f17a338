package kolonne.core.analysis;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import kolonne.core.model.AreaLoad;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Release;
import kolonne.core.model.SlabPanel;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The whole load of a panel arrives, whatever the convex shape; that of strips with its resultant in the right place. */
class PanelLoadsTest {
    @ParameterizedTest(name = "{0} corners")
    @ValueSource(ints = {3, 4, 5, 6, 8})
    void twoWaySharesKeepTheForce(int corners) {
        Random r = new Random(corners);
        for (int k = 0; k < 6; k++) {
            polygon(corners, r, false, 0);
        }
    }

    @ParameterizedTest(name = "{0} corners")
    @ValueSource(ints = {3, 4, 5, 7})
    void oneWayStripsKeepForceAndPlace(int corners) {
        Random r = new Random(100 + corners);
        for (int k = 0; k < 6; k++) {
            polygon(corners, r, true, r.nextDouble() * Math.PI);
        }
    }

    /** A random convex polygon on a circle, edges supported at their ends: reactions give force and moments. */
    private static void polygon(int n, Random r, boolean oneWay, double angle) {
        ModelBuilder b = new ModelBuilder();
        List<String> ids = new ArrayList<>();
        double[] x = new double[n];
        double[] y = new double[n];
        for (int i = 0; i < n; i++) {
            double a = 2 * Math.PI * (i + 0.6 * r.nextDouble()) / n;
            x[i] = 5000 * Math.cos(a);
            y[i] = 4000 * Math.sin(a);
            b.joint("J" + i, x[i], y[i], 0).fixed("J" + i);
            ids.add("J" + i);
        }
        for (int i = 0; i < n; i++) {
            b.beam("e" + i, "J" + i, "J" + (i + 1) % n, Release.PIN, Release.PIN, 0, 0);
        }
        b.panels.add(new SlabPanel("S", ids, 150, 0, oneWay, angle));
        b.areaLoads.add(new AreaLoad("P", "S", 4e-3));
        Analysis s = b.solve();
        double area = 0;
        double sx = 0;
        double sy = 0;
        for (int i = 0; i < n; i++) {
            int j = (i + 1) % n;
            double cross = x[i] * y[j] - x[j] * y[i];
            area += cross / 2;
            sx += cross * (x[i] + x[j]) / 6;
            sy += cross * (y[i] + y[j]) / 6;
        }
        double up = 0;
        double mx = 0;
        double my = 0;
        for (int i = 0; i < n; i++) {
            up += s.reaction(0, i, 2);
            mx += s.reaction(0, i, 2) * x[i];
            my += s.reaction(0, i, 2) * y[i];
        }
        assertEquals(4e-3 * area, up, 1e-6 * 4e-3 * area, "force");
        if (oneWay) {
            // every strip is carried half by either end: its resultant stays in its middle
            assertEquals(4e-3 * sx, mx, 1e-6 * 4e-3 * area * 5000, "place along X");
            assertEquals(4e-3 * sy, my, 1e-6 * 4e-3 * area * 5000, "place along Y");
        }
    }
}
