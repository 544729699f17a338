package kolonne.audit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import kolonne.core.Sweep;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Ductility;
import kolonne.core.basis.part.Frame;
import kolonne.core.basis.part.Sway;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.DuctileSpans;
import kolonne.core.check.CheckResult;
import kolonne.core.column.LegBuildings;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.design.DesignedDemo;
import kolonne.core.model.BuildingIndex;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Columns and joints of a special frame as designed, against a reading of the drawings that shares nothing with the designer. */
class FrameAuditTest {
    private static final Map<Ductility, FrameComparison> READ = new ConcurrentHashMap<>();

    private BuildingDesign d;
    private FrameComparison read;

    @BeforeEach
    void special() {
        read(Ductility.SPECIAL);
    }

    private static Basis basis(Ductility kind) {
        return Basis.standard(false).with(new Frame(Sway.BRACED, Sway.BRACED, 0, kind));
    }

    private void read(Ductility kind) {
        Basis basis = basis(kind);
        d = DesignedDemo.by(Sweep.of(0, 1) == 1 ? DesignedDemo.MIDDLE : DesignedDemo.SMALL, basis);
        read = READ.computeIfAbsent(kind, k -> FrameComparison.columns(d));
    }

    private void same(String kind, int least) {
        int compared = read.same(kind);
        assertTrue(compared >= least, kind + " of " + compared);
    }

    private void nearlySame(String kind, int least) {
        int compared = read.nearlySame(kind);
        assertTrue(compared >= least, kind + " of " + compared);
    }

    /** 18.7.3.2, strengths of beams and columns by strips. */
    @Test
    void columnsAgainstBeams() {
        same("strong-column-x", 20);
        same("strong-column-y", 20);
    }

    /** 18.7.5.4 from the ties as they stand. */
    @Test
    void confinement() {
        nearlySame("confinement-x", 30);
        nearlySame("confinement-y", 30);
        same("held-distance", 30);
    }

    /** 18.7.4.1, 18.7.4.3, 18.7.4.4, 18.7.5.2(f), 18.8.2.4. */
    @Test
    void barsAndJoints() {
        same("ductile-most", 30);
        same("bar-development", 30);
        assertTrue(read.noLess("lap-middle") >= 30);
        same("every-bar-held", 0);
        same("joint-depth", 20);
    }

    /** 18.7.5.1, 18.7.5.3, 18.7.5.5 over every pair of neighbouring hoops, wherever the designer met them. */
    @Test
    void hoopsStandCloseEnough() {
        read.hoopsStandCloseEnough();
    }

    /** 18.7.6.1, 18.7.6.2: shear of lifts with little compression from the strength of their ends, against the hoops alone. */
    @Test
    void shearFromTheEndsIsCarriedByHoops() {
        int compared = read.shearFromTheEnds();
        assertTrue(compared > 10, compared + " lifts");
    }

    /** 18.7.6.1.1: what beams bring to a column's shear is with 1.25 fy, also where their joints (18.4.4.7.2) take fy. */
    private void beamsBringTheirProbableMoments() {
        int ends = 0;
        for (ColumnDesign c : d.columns()) {
            for (var l : c.stack().lifts()) {
                var index = d.analysis().index();
                var at = index.upper(index.member(l.member())).id();
                for (var e : d.contexts().of(c.stack()).beams().at(at)) {
                    assertEquals(e.nominal(), e.factored());
                    // less than 1.25, since the lever becomes shorter
                    assertEquals(1.18, e.probable().hogging() / e.nominal().hogging(), 0.08);
                    ends++;
                }
            }
        }
        assertTrue(ends > 20, ends + " ends");
    }

    /**
     * Members outside the system that resists earthquakes (18.14.3.3(c)): the hoops of 18.7.5 and the shear of 18.7.6 as in special frames, neither
     * the proportions of 18.7.2 nor the strength of 18.7.3.
     */
    @Test
    void columnsOutsideTheSystem() {
        read(Ductility.OUTSIDE);
        beamsBringTheirProbableMoments();
        confinement();
        hoopsStandCloseEnough();
        shearFromTheEndsIsCarriedByHoops();
        read.each((mark, seen, told) -> {
            for (String kind :
                    List.of("strong-column-x", "strong-column-y", "least-side", "side-ratio", "joint-depth")) {
                assertFalse(told.containsKey(kind), mark + " " + kind);
            }
        });
    }

    /** Their beams (18.14.3.3(b)): stirrups no farther apart than d/2 (18.14.3.2(a)), shear from the strength of the ends, no hoops of 18.6.4. */
    @Test
    void beamsOutsideTheSystem() {
        read(Ductility.OUTSIDE);
        int capacity = 0;
        for (BeamDesign b : d.beams()) {
            for (BeamLine.Span s : b.line().spans()) {
                if (!DuctileSpans.applies(b.line(), s)) {
                    continue;
                }
                double most = b.cage().zones().stream()
                        .filter(z -> z.from() < s.faceTo() && z.to() > s.faceFrom())
                        .mapToDouble(z -> z.spacing())
                        .max()
                        .orElseThrow();
                // the bars lie 40 and a stirrup beneath the surface at least
                double deepest = (s.shape().depth() - 50) / 2;
                boolean told =
                        b.checks().stream().anyMatch(c -> c.kind().id().equals("ductile-spacing") && !c.satisfied());
                assertTrue(most <= deepest || told, b.line().mark() + " " + most + " of " + deepest);
            }
            capacity += (int) b.checks().stream()
                    .filter(c -> c.kind().id().equals("capacity-shear"))
                    .count();
            for (CheckResult c : b.checks()) {
                assertFalse(
                        List.of("ductile-span", "ductile-width", "ductile-column-depth", "ductile-hook", "hoop-legs")
                                .contains(c.kind().id()),
                        c.kind().id());
            }
        }
        assertTrue(capacity > 10, capacity + " lines with shear from their ends");
    }

    /** Ells and tees, upright and on their heads in turn, in the same frames: bending and hoops by cells and leg by leg. */
    @Test
    void ellsAndTees() {
        readLegs(Ductility.SPECIAL);
        confinement();
        hoopsStandCloseEnough();
        shearFromTheEndsIsCarriedByHoops();
        columnsAgainstBeams();
        // no beam is three quarters as wide as a leg is long
        shearOfJoints(0);
        same("least-side", 30);
        same("side-ratio", 30);
    }

    /** Their shear from the strength of their ends where the concrete helps (18.3.3, 18.4.3.1). */
    @ParameterizedTest
    @EnumSource(
            value = Ductility.class,
            names = {"ORDINARY", "INTERMEDIATE"})
    void ellsAndTeesOfOtherFrames(Ductility kind) {
        readLegs(kind);
        int compared = read.shearFromTheEnds();
        assertTrue(compared >= 5, compared + " lifts");
    }

    private void readLegs(Ductility kind) {
        d = BuildingDesigner.design(
                FrameAnalysis.solve(
                        new BuildingIndex(LegBuildings.everySecondFromItsHead(LegBuildings.of(DesignedDemo.SMALL)))),
                basis(kind),
                BuildingDesigner.Progress.NONE);
        read = FrameComparison.columns(d);
    }

    /** 18.8.4.3; whether beams hold a joint across is not read, so that the told use is that with or without. */
    @Test
    void shearOfJoints() {
        shearOfJoints(1);
    }

    private void shearOfJoints(int across) {
        int[] held = read.shearOfJoints();
        assertTrue(held[0] > 20 && held[1] >= across, held[0] + " loose, " + held[1] + " held across");
    }
}
