package kolonne.audit;

import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.IntStream;
import kolonne.core.Sweep;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Ductility;
import kolonne.core.basis.part.Frame;
import kolonne.core.basis.part.Sway;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.design.RandomFrame;
import kolonne.core.model.BuildingIndex;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Frames for earthquakes that no person would draw, read again from their drawings: skew, turned and round columns over one another, beams of any kind. */
class GeneratedFrameAuditTest {
    private static BuildingDesign designed(int seed, boolean us, Ductility kind) {
        return BuildingDesigner.design(
                FrameAnalysis.solve(new BuildingIndex(new RandomFrame(seed).shaken(us))),
                Basis.standard(us).with(new Frame(Sway.BRACED, Sway.BRACED, 0, kind)),
                BuildingDesigner.Progress.NONE);
    }

    /** What every member needs in any frame, with the cages that frames for earthquakes get; in SI and US units in turn. */
    @ParameterizedTest
    @EnumSource(
            value = Ductility.class,
            names = {"NONE"},
            mode = EnumSource.Mode.EXCLUDE)
    void members(Ductility kind) {
        int frames = Sweep.of(2, 50);
        List<String> differences = new ArrayList<>();
        int read = 0;
        for (int i = 0; i < frames; i++) {
            List<String> own = new ArrayList<>();
            read += Audit.read(designed(1000 + i, i % 2 == 1, kind), own);
            int frame = i;
            own.forEach(d -> differences.add("frame " + frame + " " + d));
        }
        Audit.told(frames + " frames for earthquakes, " + kind, read, differences);
    }

    /** What special frames need besides (ACI 318-19 18.7, 18.8). */
    @Test
    void specialFrames() {
        Map<String, Integer> compared = new TreeMap<>();
        IntStream.range(0, Sweep.of(4, 50)).forEach(i -> {
            FrameComparison c = FrameComparison.columns(designed(1000 + i, false, Ductility.SPECIAL));
            hoops(c, compared);
            for (String kind : List.of(
                    "strong-column-x",
                    "strong-column-y",
                    "least-side",
                    "side-ratio",
                    "ductile-most",
                    "round-bars",
                    "bar-development",
                    "joint-depth")) {
                compared.merge(kind, c.same(kind), Integer::sum);
            }
            compared.merge("lap-middle", c.noLess("lap-middle"), Integer::sum);
            int[] joints = c.shearOfJoints();
            compared.merge("joints", joints[0] + joints[1], Integer::sum);
        });
        assertTrue(compared.values().stream().allMatch(n -> n > 15), compared.toString());
    }

    /** Joints of frames that need not be ductile; a thick bar is assumed in the beams, so that their levers are no longer than drawn. */
    @Test
    void plainJoints() {
        Map<String, Integer> compared = new TreeMap<>();
        IntStream.range(0, Sweep.of(3, 50)).forEach(i -> {
            FrameComparison c = FrameComparison.columns(designed(1000 + i, i % 2 == 1, Ductility.NONE));
            for (String kind : List.of("joint-shear-x", "joint-shear-y")) {
                compared.merge(kind, c.nearlySame(kind), Integer::sum);
            }
        });
        assertTrue(compared.values().stream().allMatch(n -> n > 15), compared.toString());
    }

    /** And members outside the system that resists earthquakes (18.14.3.3). */
    @Test
    void membersOutsideTheSystem() {
        Map<String, Integer> compared = new TreeMap<>();
        IntStream.range(0, Sweep.of(2, 50))
                .forEach(i -> hoops(FrameComparison.columns(designed(1000 + i, false, Ductility.OUTSIDE)), compared));
        assertTrue(compared.values().stream().allMatch(n -> n > 10), compared.toString());
    }

    private static void hoops(FrameComparison c, Map<String, Integer> compared) {
        c.hoopsStandCloseEnough();
        for (String axis : List.of("x", "y")) {
            compared.merge("confinement-" + axis, c.nearlySame("confinement-" + axis), Integer::sum);
        }
        compared.merge("held-distance", c.same("held-distance"), Integer::sum);
        compared.merge("shear", c.shearFromTheEnds(), Integer::sum);
    }
}
