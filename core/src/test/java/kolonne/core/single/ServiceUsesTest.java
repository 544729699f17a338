package kolonne.core.single;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import kolonne.core.basis.Basis;
import kolonne.core.code.DesignCode;
import kolonne.core.section.StrainState;
import kolonne.core.section.general.Outline;
import kolonne.core.shape.Shape;
import kolonne.core.single.SectionUses.Use;
import kolonne.core.single.SingleSection.Forces;
import kolonne.core.single.SingleSection.Kind;
import kolonne.core.single.SingleSection.Spot;
import kolonne.core.single.SingleSection.Stirrup;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Stresses and cracks under service load by formulas written out here from EN 1992-1-1, fck 30, fyk 500, φ = 2; sections turned in plan give the same. */
class ServiceUsesTest {
    private static final DesignCode EN = Basis.standard("en-1992-1-1").designCode();
    private static final DesignCode ACI = Basis.standard("aci-318m-19").designCode();
    private static final double ECM = 22_000 * Math.pow(38 / 10.0, 0.3);
    private static final double FCTM = 0.3 * Math.pow(30, 2.0 / 3);
    private static final double AS20 = Math.PI * 100;

    private static Spot t20(double x, double z) {
        return new Spot(x, z, 20, AS20, true);
    }

    private static ServiceUses of(DesignCode code, Outline o, List<Spot> bars) {
        return new ServiceUses(new GeneralUses(new GeneralColumn("S", code, o, 30, 500, bars, null)), 30, 500, ECM);
    }

    private static Forces forces(Kind kind, double n, double my, double mz) {
        return new Forces("F", kind, n, 0, 0, 0, my, mz);
    }

    private static Use find(List<Use> all, String check) {
        return all.stream().filter(u -> u.check().equals(check)).findFirst().orElseThrow();
    }

    /** Width by 7.3.4 for a given stress, effective area and rest. */
    private static double width(double stress, double rho, double cover, double k2) {
        double alpha = 200_000 / ECM;
        double strain = Math.max((stress - 0.4 * FCTM / rho * (1 + alpha * rho)) / 200_000, 0.6 * stress / 200_000);
        return (3.4 * cover + 0.8 * k2 * 0.425 * 20 / rho) * strain;
    }

    private static ServiceUses beam(DesignCode code) {
        List<Spot> bars = List.of(t20(-100, 50), t20(-100 + 200 / 3.0, 50), t20(100 - 200 / 3.0, 50), t20(100, 50));
        SingleSection s = new SingleSection(
                "B", code, false, new Shape.Rectangle(300, 600), 30, 500, 500, 40, bars, Stirrup.NONE);
        return new ServiceUses(new SectionUses(s), 30, 500, ECM);
    }

    /** A beam with bars at the bottom: b x² / 2 = αe As (d − x), σs = M / (As (d − x/3)). */
    @Test
    void cracksOfABeam() {
        double n = 200_000 / ECM * 3;
        double as = 4 * AS20;
        double x = (-n * as + Math.sqrt(n * as * (n * as + 2 * 300 * 550))) / 300;
        double stress = 150e6 / (as * (550 - x / 3));
        double band = Math.min(125, (600 - x) / 3);
        Use u = find(beam(EN).uses(forces(Kind.QUASI_PERMANENT, 0, 150e6, 0)), "crack-width");
        assertEquals(width(stress, as / (300 * band), 40, 0.5), u.demand(), 1e-5);
        assertEquals(0.3, u.capacity());
        assertEquals("7.3.4(1)", u.clause().text());
    }

    /** The strains that are shown: αe of quasi-permanent sets 3 times as much by φ = 2, straight from the top to the soffit, the stresses of the same state. */
    @Test
    void strainsOfABeam() {
        Forces f = forces(Kind.QUASI_PERMANENT, 0, 150e6, 0);
        double n = 200_000 / ECM * 3;
        double as = 4 * AS20;
        double x = (-n * as + Math.sqrt(n * as * (n * as + 2 * 300 * 550))) / 300;
        double stress = 150e6 / (as * (550 - x / 3));
        StrainState s = beam(EN).strains(f).orElseThrow();
        assertEquals(stress / 200_000 * x / (550 - x), s.edge(), 1e-9);
        assertEquals(-stress / 200_000 * (600 - x) / (550 - x), s.far(), 1e-9);
        assertEquals(-stress, s.bars().get(0).stress(), 1e-3);
        assertEquals(550, s.bars().get(0).depth(), 1e-6);
        assertEquals(stress / n * x / (550 - x), s.concrete().get(0).stress(), 1e-4);
        assertEquals(x, s.concrete().get(1).depth(), 1e-4);
        // at its strength a beam has no surface to be on
        assertTrue(beam(EN).strains(forces(Kind.STRENGTH, 0, 150e6, 0)).isEmpty());
    }

    /** σs and σc with αe before creep and after; the limits 0.8 fyk and, where the basis has one, k1 fck. */
    @Test
    void stressesOfABeam() {
        Forces f = forces(Kind.CHARACTERISTIC, 0, 200e6, 0);
        double n = 200_000 / ECM * 3;
        double as = 4 * AS20;
        double x = (-n * as + Math.sqrt(n * as * (n * as + 2 * 300 * 550))) / 300;
        Use u = find(beam(EN).uses(f), "steel-stress");
        assertEquals(200e6 / (as * (550 - x / 3)), u.demand(), 1e-3);
        assertEquals(400, u.capacity());
        double early = 200_000 / ECM;
        double xe = (-early * as + Math.sqrt(early * as * (early * as + 2 * 300 * 550))) / 300;
        Map<String, Double> beside = beam(EN).beside(f);
        assertEquals(2 * 200e6 / (300 * xe * (550 - xe / 3)), beside.get("concreteCompressionMpa"), 1e-4);
        assertEquals(xe, beside.get("neutralAxisMm"), 1e-4);
        assertEquals(90, beside.get("compressionTowardsDeg"), 1e-6);
        assertEquals(4, beam(EN).barStresses(f).size());
    }

    /** A tie 300 square: 7.1 c), k2 = 1. */
    @Test
    void cracksOfATie() {
        List<Spot> bars = List.of(t20(-100, 50), t20(100, 50), t20(-100, 250), t20(100, 250));
        ServiceUses s = of(EN, Outline.of(new Shape.Rectangle(300, 300)), bars);
        Use u = find(s.uses(forces(Kind.QUASI_PERMANENT, 300e3, 0, 0)), "crack-width");
        assertEquals(width(300e3 / (4 * AS20), 2 * AS20 / (125 * 300), 40, 1), u.demand(), 1e-6);
    }

    /** Bars far apart: 1.3 (h − x) by (7.14). */
    @Test
    void barsFarApart() {
        List<Spot> bars = List.of(t20(-250, 50), t20(250, 50));
        ServiceUses s = of(EN, Outline.of(new Shape.Rectangle(600, 500)), bars);
        Forces f = forces(Kind.QUASI_PERMANENT, 0, 60e6, 0);
        double x = s.beside(f).get("neutralAxisMm");
        double stress = s.beside(f).get("barTensionMpa");
        double rho = 2 * AS20 / (600 * Math.min(125, (500 - x) / 3));
        double sr = 3.4 * 40 + 0.8 * 0.5 * 0.425 * 20 / rho;
        double wide = Math.max(sr, 1.3 * (500 - x));
        assertEquals(
                width(stress, rho, 40, 0.5) * wide / sr,
                find(s.uses(f), "crack-width").demand(),
                1e-6);
    }

    /** A section and its moments turned alike crack alike: nothing of the rule hangs on the axes. */
    @ParameterizedTest
    @ValueSource(doubles = {0.3, Math.PI / 4, 1.9, 3.5})
    void turning(double angle) {
        List<Spot> bars = List.of(t20(-150, 60), t20(0, 60), t20(150, 60), t20(-150, 440), t20(150, 440));
        Outline o = Outline.of(new Shape.Rectangle(400, 500));
        double cos = Math.cos(angle);
        double sin = Math.sin(angle);
        List<Spot> turned = new ArrayList<>();
        bars.forEach(b -> turned.add(t20(b.x() * cos - b.z() * sin, b.x() * sin + b.z() * cos)));
        // the moment vector (Mx about x, My about y): compression towards (my, mx)
        double my = 120e6;
        double mz = 45e6;
        Forces before = forces(Kind.QUASI_PERMANENT, -200e3, my, mz);
        Forces after = forces(Kind.QUASI_PERMANENT, -200e3, mz * sin + my * cos, mz * cos - my * sin);
        Use a = find(of(EN, o, bars).uses(before), "crack-width");
        Use b = find(of(EN, o.turned(angle), turned).uses(after), "crack-width");
        assertEquals(a.demand(), b.demand(), 1e-6);
        assertTrue(a.demand() > 0.01, a.toString());
    }

    @Test
    void whatIsPressedAllThroughDoesNotCrack() {
        assertTrue(beam(EN).uses(forces(Kind.QUASI_PERMANENT, -900e3, 10e6, 0)).isEmpty());
    }

    @Test
    void withoutBarsWhereItIsPulledItFails() {
        Use u = beam(EN).uses(forces(Kind.CHARACTERISTIC, 0, -150e6, 0)).get(0);
        assertTrue(u.utilisation() > 1, u.toString());
        ServiceUses plain = of(EN, Outline.of(new Shape.Rectangle(300, 300)), List.of());
        assertEquals(
                "no-equilibrium",
                plain.uses(forces(Kind.QUASI_PERMANENT, -1e5, 50e6, 0)).get(0).check());
    }

    /** ACI 318 limits neither: stresses alone are told. */
    @Test
    void codesWithoutLimitsTellStresses() {
        Forces f = forces(Kind.QUASI_PERMANENT, 0, 150e6, 0);
        assertTrue(beam(ACI).uses(f).isEmpty());
        assertTrue(beam(ACI).beside(f).get("barTensionMpa") > 100);
        assertTrue(beam(ACI).explain(f).size() > 3);
    }

    @Test
    void setsForStrengthAreAnsweredAsBefore() {
        Forces f = new Forces("U", 0, 0, 0, 0, 100e6, 0);
        assertEquals("flexure", beam(EN).uses(f).get(0).check());
    }
}
