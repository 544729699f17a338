package kolonne.core.column.check;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.RoundTies;
import kolonne.core.check.CheckResult;
import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import kolonne.core.code.Spirals;
import kolonne.core.column.RoundBuildings;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.RingBars;
import kolonne.core.column.cage.Spiral;
import kolonne.core.column.cage.TieSpacing;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.column.line.ColumnStacks;
import kolonne.core.demo.DemoOptions;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.explain.Trace;
import kolonne.core.model.BuildingIndex;
import kolonne.core.section.InteractionSurface;
import kolonne.core.section.StrengthSurface;
import kolonne.core.section.general.Surfaces;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;

/** Spirals of round columns, by hand. */
class SpiralByHandTest {
    private static final Basis ACI = Basis.standard(false);
    private static final Basis US = Basis.standard("aci-318-19");
    private static final Basis EN = Basis.standard("en-1992-1-1");
    private static final double IN = 25.4;
    private static final double KSI = 6.894757;

    /** 20 in. round, cover 1.5 in., f'c 4000 psi, fyt 60 000: 0.45 × (20² / 17² − 1) × 4 / 60 = 0.011522 (25.7.3.3). */
    @Test
    void leastVolume() {
        Spirals rules = US.designCode().spirals();
        double ag = Math.PI * 400 * IN * IN / 4;
        double core = Math.PI * 289 * IN * IN / 4;
        assertEquals(0.011522, rules.leastRatio(ag, core, 4 * KSI, 60 * KSI, Trace.OFF), 2e-6);
        // a #3 along the middle of its turns may then stand 4 × 0.11 × (17 − 0.375) / (17² × 0.011522) = 2.197 in.
        // apart
        Bar bar = BarCatalogue.US.find("#3");
        double apart = 4 * bar.area() * (17 * IN - bar.diameter()) / (289 * IN * IN * 0.011522);
        assertEquals(2.197 * IN, apart, 0.02 * IN);
        // fyt counts to 100 000 psi
        assertEquals(
                rules.leastRatio(ag, core, 4 * KSI, 110 * KSI, Trace.OFF),
                rules.leastRatio(ag, core, 4 * KSI, 120 * KSI, Trace.OFF),
                1e-12);
        assertEquals(0, EN.designCode().spirals().leastRatio(ag, core, 30, 500, Trace.OFF), 0);
    }

    /** Clear 1 in. and 4/3 of the aggregate to 3 in. (25.7.3.1); 25 and 75 mm; by EN dg + 5 and 20. */
    @Test
    void clearDistances() {
        assertEquals(25.4, US.designCode().spirals().leastClear(19), 1e-9);
        assertEquals(4.0 / 3 * 25, US.designCode().spirals().leastClear(25), 1e-9);
        assertEquals(76.2, US.designCode().spirals().mostClear(), 1e-9);
        assertEquals(75, ACI.designCode().spirals().mostClear(), 1e-9);
        assertEquals(25, EN.designCode().spirals().leastClear(20), 1e-9);
    }

    private static StrengthSurface surface(boolean spiral) {
        Bar bar = BarCatalogue.METRIC.find("T25");
        RingBars ring = new RingBars(8, bar, spiral);
        Shape circle = new Shape.Circle(500);
        return Surfaces.of(
                circle,
                ring.bars(circle, 50),
                List.of(),
                30,
                420,
                spiral ? ACI.designCode().spirals().strength() : ACI.designCode());
    }

    /** Ø 500, 8T25 (490.9 mm²), f'c 30, fy 420: Po = 25.5 × (196 350 − 3927) + 420 × 3927 = 6556 kN; 0.75 × 0.85 Po = 4179 kN, with ties 0.65 × 0.80 Po = 3409 kN (21.2.2, 22.4.2.1). */
    @Test
    void axialStrength() {
        assertEquals(4179.5e3, surface(true).axialCap(), 1.5e3);
        assertEquals(3409.2e3, surface(false).axialCap(), 1.5e3);
    }

    /** Under large forces, at one strain, φ is 0.75 in place of 0.65; where tension controls both are 0.90. */
    @Test
    void reduction() {
        InteractionSurface.Hit tied = surface(false).exact(2500e3, 150e6, 0);
        InteractionSurface.Hit wound = surface(true).exact(2500e3, 150e6, 0);
        assertTrue(tied.nominal().epsT() < 0.0021, "compression-controlled");
        assertEquals(0.65, tied.nominal().phi(), 1e-9);
        assertEquals(0.75, wound.nominal().phi(), 1e-9);
        assertEquals(0.75 / 0.65, tied.utilisation() / wound.utilisation(), 1e-6);
        InteractionSurface.Hit pulled = surface(true).exact(-200e3, 150e6, 0);
        assertEquals(0.90, pulled.nominal().phi(), 1e-9);
        assertEquals(surface(false).exact(-200e3, 150e6, 0).utilisation(), pulled.utilisation(), 1e-9);
        // halfway between: εt = εty + 0.0015
        double yield = 420.0 / 200_000;
        assertEquals(0.825, ACI.designCode().spirals().strength().reduction(yield + 0.0015, yield), 1e-12);
    }

    private static ColumnStack stack() {
        return ColumnStacks.find(new BuildingIndex(RoundBuildings.of(new DemoOptions(2, 3, 3, 2, true), false)))
                .get(0);
    }

    /** Turns of T10 at 60 over the height between floor and beams: so many that none rises by more, one and a half flat ones at each end at least. */
    @Test
    void turns() {
        ColumnStack.Lift l = stack().lifts().get(0);
        ColumnCage.LiftCage c = new ColumnCage.LiftCage(
                new RingBars(8, BarCatalogue.METRIC.find("T25"), true),
                BarCatalogue.METRIC.find("T10"),
                new TieSpacing(150, 60, 60, 0, 0));
        Spiral s = Spiral.of(l, c, 40);
        // 40 into the beams, to their stirrups
        double height = l.top() - l.base() - l.inFoot() - l.inHead() + 40 - 10;
        // 3 flat turns of 10 mm, the rest at 60, rounded up to half a turn
        assertEquals(Math.ceil(2 * (3 + (height - 30) / 60)) / 2, s.turns(), 1e-9);
        assertEquals(l.inFoot() + 5, s.height(0), 1e-9);
        assertEquals(l.inFoot() + 5 + height, s.height(s.turns()), 1e-6);
        assertEquals(60, s.height(11) - s.height(10), 1e-9);
        assertTrue(s.flat() >= 1.5 && s.flat() < 1.8, s.flat() + " flat");
    }

    private static CheckResult of(List<CheckResult> all, String kind) {
        return all.stream().filter(r -> r.kind().id().equals(kind)).findFirst().orElseThrow();
    }

    /** A designed lift says what its spiral has: recomputed from size, pitch and cover. */
    @Test
    void whatTheDesignSays() {
        BuildingDesign d = BuildingDesigner.design(
                FrameAnalysis.solve(new BuildingIndex(RoundBuildings.of(new DemoOptions(2, 3, 3, 2, true), false))),
                ACI.with(ACI.practice().with(RoundTies.SPIRALS)),
                BuildingDesigner.Progress.NONE);
        ColumnDesign.LiftDesign l = d.columns().get(0).lifts().get(0);
        double dia = l.lift().section().shape().width();
        double out = dia - 80;
        double tie = l.cage().tie().diameter();
        double pitch = l.cage().ties().middle();
        CheckResult ratio = of(l.checks(), "spiral-ratio");
        assertEquals(0.45 * (dia * dia / out / out - 1) * l.lift().material().fc() / 420, ratio.demand(), 1e-9);
        assertEquals(Math.PI * tie * tie / 4 * 4 * (out - tie) / (out * out * pitch), ratio.capacity(), 2e-4);
        assertTrue(ratio.satisfied());
        assertEquals(pitch - tie, of(l.checks(), "spiral-clear").capacity(), 1e-9);
        assertTrue(pitch - tie <= 75 && pitch % 5 == 0, "pitch " + pitch);
        assertEquals(9.5, of(l.checks(), "tie-size").demand(), 1e-9);
        assertEquals(6, of(l.checks(), "bar-count").demand(), 1e-9);
    }
}
