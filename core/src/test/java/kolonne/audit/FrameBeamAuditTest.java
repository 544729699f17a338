package kolonne.audit;

import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import kolonne.core.Sweep;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Ductility;
import kolonne.core.basis.part.Frame;
import kolonne.core.basis.part.Sway;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.design.DesignedDemo;
import kolonne.core.design.RandomFrame;
import kolonne.core.model.BuildingIndex;
import org.junit.jupiter.api.Test;

/** Beams of frames for earthquakes as designed, against a reading of the drawings that shares nothing with the designer: the demo, and frames that no person would draw. */
class FrameBeamAuditTest {
    private final Map<String, Integer> compared = new TreeMap<>();

    private static List<FrameComparison> designed(Ductility kind) {
        List<FrameComparison> out = new ArrayList<>();
        Frame frame = new Frame(Sway.BRACED, Sway.BRACED, 0, kind);
        out.add(FrameComparison.beams(DesignedDemo.by(
                Sweep.of(0, 1) == 1 ? DesignedDemo.MIDDLE : DesignedDemo.SMALL,
                Basis.standard(false).with(frame))));
        for (int i = 0; i < Sweep.of(2, 50); i++) {
            boolean us = i % 2 == 1;
            BuildingDesign d = BuildingDesigner.design(
                    FrameAnalysis.solve(new BuildingIndex(new RandomFrame(1000 + i).shaken(us))),
                    Basis.standard(us).with(frame),
                    BuildingDesigner.Progress.NONE);
            out.add(FrameComparison.beams(d));
        }
        return out;
    }

    /** 18.6, 18.8.2.3, 18.8.5.1. */
    @Test
    void specialFrames() {
        for (FrameComparison c : designed(Ductility.SPECIAL)) {
            capacityShear(c);
            same(c, "ductile-sagging", "ductile-anywhere-top", "ductile-anywhere-bottom");
            same(c, "ductile-minimum-top", "ductile-minimum-bottom", "ductile-most-top", "ductile-most-bottom");
            same(c, "ductile-span", "ductile-width", "ductile-hook", "lap-place");
            noLess(c, "ductile-through-top", "ductile-through-bottom", "ductile-column-depth");
            noLess(c, "ductile-projection");
            noLess(c, "hoop-spacing", "hoop-legs", "stirrup-spacing", "leg-spacing");
            kept(c, "first-hoop", "hoop-spacing");
            kept(c, "ductile-spacing", "ductile-spacing");
            kept(c, "hoops-at-laps", "hoop-spacing");
            kept(c, "hoop-distance", "hoop-legs");
        }
        assertTrue(compared.values().stream().allMatch(n -> n > 5), compared.toString());
    }

    /** 18.4.2. */
    @Test
    void intermediateFrames() {
        for (FrameComparison c : designed(Ductility.INTERMEDIATE)) {
            capacityShear(c);
            same(c, "ductile-sagging", "ductile-anywhere-top", "ductile-anywhere-bottom");
            noLess(c, "ductile-through-top", "ductile-through-bottom", "ductile-bottom");
            noLess(c, "hoop-spacing", "stirrup-spacing", "leg-spacing");
            kept(c, "first-hoop", "hoop-spacing");
            kept(c, "ductile-spacing", "ductile-spacing");
        }
        assertTrue(compared.values().stream().allMatch(n -> n > 15), compared.toString());
    }

    /** 18.3.2. */
    @Test
    void ordinaryFrames() {
        designed(Ductility.ORDINARY)
                .forEach(c -> noLess(c, "ductile-through-top", "ductile-through-bottom", "ductile-bottom"));
        assertTrue(compared.values().stream().allMatch(n -> n > 15), compared.toString());
    }

    /** 18.14.3.3(b). */
    @Test
    void outsideTheSystem() {
        for (FrameComparison c : designed(Ductility.OUTSIDE)) {
            capacityShear(c);
            same(c, "ductile-minimum-top", "ductile-most-bottom");
            noLess(c, "ductile-spacing", "stirrup-spacing", "leg-spacing");
        }
        assertTrue(compared.values().stream().allMatch(n -> n > 15), compared.toString());
    }

    /** Told uses may be higher: the shear at the face is set against the strength d from it. */
    private void capacityShear(FrameComparison c) {
        compared.merge("capacity-shear", c.nearlySame("capacity-shear"), Integer::sum);
    }

    private void same(FrameComparison c, String... kinds) {
        for (String kind : kinds) {
            compared.merge(kind, c.same(kind), Integer::sum);
        }
    }

    private void noLess(FrameComparison c, String... kinds) {
        for (String kind : kinds) {
            compared.merge(kind, c.noLess(kind), Integer::sum);
        }
    }

    private void kept(FrameComparison c, String kind, String other) {
        compared.merge(kind, c.kept(kind, other), Integer::sum);
    }
}
