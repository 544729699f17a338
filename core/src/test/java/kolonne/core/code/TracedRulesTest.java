package kolonne.core.code;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleFunction;
import kolonne.core.code.SpanRules.SpanDepth;
import kolonne.core.code.SpanRules.SpanEnds;
import kolonne.core.code.aci318.Aci318;
import kolonne.core.code.en1992.En1992;
import kolonne.core.explain.Step;
import kolonne.core.explain.Trace;
import org.junit.jupiter.api.Test;

/** A rule that explains itself tells every step of it, the last with what the rule gives; one that is not asked to tells none. */
class TracedRulesTest {
    private static final DesignCode ACI = Aci318.SI;
    private static final DesignCode EN = En1992.of(Map.of());
    private static final Bar T20 = new Bar("T20", 20, 314, 0);
    private static final ShearInput LINKS = new ShearInput(30, 420, 300, 540, 180_000, 0.01, 0.8, 60e3);
    private static final ShearInput PLAIN = new ShearInput(30, 420, 300, 540, 180_000, 0.01, 0, 60e3);
    private static final TorsionSection TUBE =
            new TorsionSection(30, 500, 500, 300, 600, 180_000, 1800, 220 * 520, 1480, 55);
    private static final Slenderness.Lift STOCKY = square().at(50e6, 100e6, 2000, 800e3);
    private static final Slenderness.Lift SLENDER = square().at(-50e6, 100e6, 8000, 700e3);

    private static SquareLift square() {
        return SquareLift.aci(400).radius(120).stiffness(4e13).sustained(0.5, 0.5);
    }

    /** The symbols of the steps in order, and the number of the last. */
    private static void steps(String symbols, ToDoubleFunction<Trace> rule) {
        List<Step> steps = told(symbols, rule);
        assertEquals(
                rule.applyAsDouble(Trace.OFF),
                steps.get(steps.size() - 1).value(),
                1e-9 * Math.abs(steps.get(steps.size() - 1).value()),
                symbols);
    }

    private static List<Step> told(String symbols, ToDoubleFunction<Trace> rule) {
        Trace t = Trace.recording();
        rule.applyAsDouble(t);
        assertEquals(
                List.of(symbols.split("; ")),
                t.steps().stream().map(Step::symbol).toList());
        t.steps()
                .forEach(s -> assertTrue(!s.formula().isBlank() || !s.template().isBlank(), s.symbol()));
        return t.steps();
    }

    @Test
    void bending() {
        for (DesignCode c : List.of(ACI, EN)) {
            steps("As,min", t -> c.beamMinimumSteel(30, 420, 300, 540, t));
            String symbol = c == ACI ? "hmin" : "l/d; hmin";
            steps(symbol, t -> c.leastDepth(new SpanDepth(8000, SpanEnds.SIMPLE, 420, 30, 0.004, 0, 1), t));
        }
        steps("εt,min", t -> ACI.beamTensionStrain(0.0021, 30, t));
        steps("Po; φPn,max", t -> ACI.axialCap(30, 420, 160_000, 3200, t));
        steps("NRd", t -> EN.axialCap(30, 500, 160_000, 3200, t));
        steps("(xu/d),max; εs,min", t -> EN.beamTensionStrain(0.0021, 30, t));
        Step strong = told("(xu/d),max; εs,min", t -> EN.beamTensionStrain(0.0021, 70, t))
                .get(0);
        assertTrue(strong.formula().contains("0.54") && strong.template().contains("0.54"));
        Step usual = told("(xu/d),max; εs,min", t -> EN.beamTensionStrain(0.0021, 50, t))
                .get(0);
        assertTrue(usual.formula().contains("0.44") && usual.template().contains("0.44"));
    }

    @Test
    void shear() {
        List<Step> a = told("Vc; Vs; φVn; φVn,max", t -> ACI.shear(LINKS, t).total());
        assertTrue(a.get(0).formula().contains("0.17")
                && a.get(2).value() == ACI.shear(LINKS, Trace.OFF).total()
                && a.get(3).value() == ACI.shear(LINKS, Trace.OFF).limit());
        Step root =
                told("Vc; Vs; φVn; φVn,max", t -> ACI.shear(PLAIN, t).total()).get(0);
        assertTrue(root.formula().contains("0.66 λs"));
        // what is shown as the concrete's part is what stands in the formula
        assertEquals(0.17 * Math.sqrt(30), a.get(0).inputs().get(0).value(), 1e-9);
        assertEquals(60e3 / 6 / 180e3, root.inputs().get(1).value(), 1e-12);
        assertEquals(
                0.66 * Math.sqrt(2 / (1 + 0.004 * 540)) * Math.cbrt(0.01) * Math.sqrt(30),
                root.inputs().get(0).value(),
                1e-9);
        List<Step> us =
                told("Vc; Vs; φVn; φVn,max", t -> Aci318.US.shear(LINKS, t).total());
        assertTrue(us.get(0).formula().startsWith("(2 λ") && us.get(3).formula().contains("8 √"));
        steps("VRd,c; cot θ; VRd,s; VRd,max; VRd", t -> EN.shear(LINKS, t).total());
        steps("VRd,c; cot θ; VRd,s; VRd,max; VRd", t -> EN.shear(PLAIN, t).total());
    }

    @Test
    void torsion() {
        Torsion en = EN.torsion();
        steps("; 0.1 TRd,c", t -> en.threshold(30, 180_000, 1800, true, t));
        steps("TRd,c", t -> en.cracking(TUBE, t));
        steps("tef; At/s", t -> en.legSteel(20e6, TUBE, t));
        steps("ΣAsl", t -> en.longitudinalSteel(20e6, TUBE, t));
        steps("TRd,max; TEd/TRd,max + VEd/VRd,max", t -> en.limitUse(100e3, 20e6, TUBE, 540, 500e3, t));
    }

    @Test
    void columns() {
        told("k lu / r; limit", t -> ACI.slenderness().braced(STOCKY, t).moment());
        steps(
                "k lu / r; limit; M2,min; Cm; Pc; δ; Mc",
                t -> ACI.slenderness().braced(SLENDER, t).moment());
        Slenderness.Lift between = square().loaded(true).at(-50e6, 100e6, 8000, 700e3);
        assertEquals(
                "1.0",
                told(
                                "k lu / r; limit; M2,min; Cm; Pc; δ; Mc",
                                t -> ACI.slenderness().braced(between, t).moment())
                        .get(3)
                        .template());
        assertEquals(
                "0.6 − 0.4 × {0}",
                told(
                                "k lu / r; limit; M2,min; Cm; Pc; δ; Mc",
                                t -> ACI.slenderness().braced(SLENDER, t).moment())
                        .get(3)
                        .template());
        told("φef; λ; λlim", t -> EN.slenderness().braced(STOCKY, t).moment());
        steps(
                "φef; λ; λlim; M0e; d; Kr; 1/r; e2; MEd",
                t -> EN.slenderness().braced(SLENDER, t).moment());
        steps(
                "φef; λ; λlim; M0e; Kc; NB; MEd / M0Ed; MEd",
                t -> En1992.of(Map.of("secondOrder", 2.0))
                        .slenderness()
                        .braced(SLENDER, t)
                        .moment());
    }

    @Test
    void service() {
        steps("Ie", t -> ACI.serviceability().effectiveInertia(100, 60, 10, 4, t));
        assertEquals(
                "Ig, since Ma ≤ 2/3 Mcr",
                told("Ie", t -> ACI.serviceability().effectiveInertia(60, 100, 10, 4, t))
                        .get(0)
                        .formula());
        steps("λΔ", t -> ACI.serviceability().longTermFactor(0.01, t));
        steps("ζ; Ie", t -> EN.serviceability().effectiveInertia(100, 60, 10, 4, t));
        CrackWidth cracks = EN.crackWidth().orElseThrow();
        steps(
                "ρp,eff; sr,max; εsm − εcm; wk",
                t -> cracks.width(
                        new CrackWidth.Cracked(600, 550, 170, 300, 1257, 20, 40, 65, 220, 30, CrackWidth.BENT), t));
        Step far = told(
                        "ρp,eff; sr,max; εsm − εcm; wk",
                        t -> cracks.width(
                                new CrackWidth.Cracked(600, 550, 170, 300, 1257, 20, 40, 300, 220, 30, CrackWidth.BENT),
                                t))
                .get(1);
        assertTrue(far.formula().startsWith("1.3"));
    }

    @Test
    void anchorage() {
        steps("fbd; lbd, to the bend", t -> EN.detailing().hookLength(T20, 30, 500, t));
    }
}
