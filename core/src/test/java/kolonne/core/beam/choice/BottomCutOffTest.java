package kolonne.core.beam.choice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.check.BeamContext;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLines;
import kolonne.core.model.ModelBuilder;
import org.junit.jupiter.api.Test;

/** Bottom bars end where they are no longer needed: the moments and strengths here are worked out by hand. */
class BottomCutOffTest {
    private static final double SPAN = 8000;
    private static final double B = 400;
    private static final double H = 900;
    private static final double LOAD = 75;
    /** A deep beam, whose shear is small beside its strength: simply supported, 75 N/mm in strength. */
    private static final BeamDesign BEAM = design(LOAD);

    private static BeamDesign design(double load) {
        Analysis a = new ModelBuilder()
                .section("S", B, H)
                .joint("A", 0, 0, 0)
                .joint("B", SPAN, 0, 0)
                .beam("m", "A", "B")
                .pinned("A")
                .pinned("B")
                .spread("m", 0, SPAN, load, load)
                .solve();
        return BeamDesigner.design(BeamLines.find(a).get(0), BeamContext.of(a, Basis.standard(false)));
    }

    private static List<BeamCage.Group> bottom(BeamDesign d) {
        return d.cage().groups().stream()
                .filter(g -> g.face() == BeamCage.Face.BOTTOM)
                .toList();
    }

    private static List<BeamCage.Group> ending(BeamDesign d) {
        return bottom(d).stream().filter(g -> g.from() > 0 && g.to() < SPAN).toList();
    }

    private static double area(List<BeamCage.Group> groups) {
        return groups.stream().mapToDouble(BeamCage.Group::area).sum();
    }

    /** w x (L - x) / 2 [Nmm]. */
    private static double moment(double x) {
        return LOAD * x * (SPAN - x) / 2;
    }

    /** 0.9 As fy (d - As fy / (2 × 0.85 fc b)), ACI 318-19 22.2.2.4 and 21.2.2. */
    private static double strength(List<BeamCage.Group> groups) {
        double as = area(groups);
        double d = H - groups.stream().mapToDouble(g -> g.area() * g.offset()).sum() / as;
        double fc = BEAM.line().spans().get(0).material().fc();
        return 0.9 * as * 420 * (d - as * 420 / (2 * 0.85 * fc * B));
    }

    @Test
    void barsThatTheSupportsDoNotNeedEndInTheSpan() {
        assertTrue(BEAM.satisfied(), BEAM.findings().toString());
        assertTrue(!ending(BEAM).isEmpty(), bottom(BEAM).toString());
        for (BeamCage.Group g : ending(BEAM)) {
            assertEquals(SPAN, g.from() + g.to(), 1, "alike on both sides");
            assertEquals(0, g.from() % 50, 1e-6, "on the module from the face");
            assertTrue(!g.hookFrom() && !g.hookTo());
        }
    }

    @Test
    void theyRunPastTheirNeedByTheDepth() {
        for (BeamCage.Group g : ending(BEAM)) {
            List<BeamCage.Group> rest =
                    bottom(BEAM).stream().filter(o -> o.from() < g.from()).toList();
            // 9.7.3.3: no longer required a depth, and twelve diameters, before the end
            double run = Math.max(H - g.offset(), 12 * g.bar().diameter());
            assertTrue(moment(g.from() + run) <= strength(rest) * 1.001, g.toString());
            // and not much longer than that: a few steps of the module
            assertTrue(moment(g.from() + run + 600) > strength(rest), "needlessly long: " + g);
        }
    }

    @Test
    void aThirdRunsIntoTheSupportsOfASimpleSpan() {
        double whole = area(bottom(BEAM));
        double reaching = area(bottom(BEAM).stream()
                .filter(g -> g.from() <= 0 && g.to() >= SPAN)
                .toList());
        assertTrue(reaching >= whole / 3, reaching + " of " + whole + " (ACI 318-19 9.7.3.8.1)");
    }
}
