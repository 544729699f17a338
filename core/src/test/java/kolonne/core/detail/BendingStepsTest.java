package kolonne.core.detail;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import kolonne.core.basis.Basis;
import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import kolonne.core.code.Bends;
import kolonne.core.code.registry.Codes;
import kolonne.core.design.DesignedDemo;
import kolonne.core.space.BuildingInSpace;
import kolonne.core.space.SpaceBar;
import kolonne.core.work.Progress;
import org.junit.jupiter.api.Test;

/** Steps of bending by hand, against the cut lengths of the list, and against bars bent out in space, which are drawn by other code. */
class BendingStepsTest {
    private static final Bends ACI = Codes.of("aci-318m-19").bends();
    private static final Bar T10 = BarCatalogue.METRIC.find("T10");
    private static final Bar T20 = BarCatalogue.METRIC.find("T20");

    private static BendingSteps.Step step(double straight, double angle, double radius) {
        return new BendingSteps.Step(straight, angle, radius);
    }

    /** T10 stirrups of 220 x 520 outside, bent round 40: sides less 30 at every corner, hooks of 135° with 75 straight. */
    @Test
    void aStirrupByHand() {
        BendingSteps b = BendingSteps.of(new BarItem("x", "51", T10, 1, List.of(220., 520., 75.), 1630), ACI);
        assertEquals(40, b.mandrel());
        assertEquals(
                List.of(
                        step(75, 135, 20),
                        step(460, 90, 20),
                        step(160, 90, 20),
                        step(460, 90, 20),
                        step(160, 135, 20),
                        step(75, 0, 0)),
                b.steps());
        assertEquals(1626, b.length(10), 0.5);
    }

    /** T20 bent round 120: hook 320 less 80, run 3000 less 80 at its one bend. */
    @Test
    void aHookByHand() {
        BendingSteps b = BendingSteps.of(new BarItem("x", "11", T20, 1, List.of(320., 3000.), 3270), ACI);
        assertEquals(120, b.mandrel());
        assertEquals(List.of(step(240, 90, 60), step(2920, 0, 0)), b.steps());
    }

    @Test
    void theDemosBarsAreAsLongAsTheyAreCutAndAsTheyAreDrawn() {
        Map<String, Integer> shapes = new TreeMap<>();
        BuildingInSpace.each(DesignedDemo.by(Basis.standard(false)), Progress.NONE, p -> {
            for (SpaceBar b : p.placed().bars()) {
                double bent =
                        BendingSteps.of(b.item(), ACI).length(b.item().bar().diameter());
                assertEquals(b.item().cutLength(), bent, 8, b.item().toString());
                if (b.use() == SpaceBar.Use.TIE) {
                    // drawn, a stirrup moves aside by its diameter
                    assertEquals(b.shape().length(), bent, 0.5, b.item().toString());
                }
                shapes.merge(b.item().shape(), 1, Integer::sum);
            }
        });
        assertTrue(shapes.keySet().containsAll(List.of("00", "11", "21", "51", "75", "99")), shapes.toString());
    }
}
