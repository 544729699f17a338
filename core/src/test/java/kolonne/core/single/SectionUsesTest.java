package kolonne.core.single;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import kolonne.core.Sweep;
import kolonne.core.basis.Basis;
import kolonne.core.code.DesignCode;
import kolonne.core.shape.Shape;
import kolonne.core.single.SingleSection.Forces;
import kolonne.core.single.SingleSection.Spot;
import kolonne.core.single.SingleSection.Stirrup;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Random sections against a second route written from the codes alone: bending by slices of concrete and bar by bar, shear and torsion by the
 * formulas in their own arrangement. Both codes; SI and US forms of ACI 318-19 against each other.
 */
class SectionUsesTest {
    private static final DesignCode ACI = Basis.standard("aci-318m-19").designCode();
    private static final DesignCode US = Basis.standard("aci-318-19").designCode();
    private static final DesignCode EN = Basis.standard("en-1992-1-1").designCode();
    private static final int SLICES = 1000;
    /** Bars this near to the edge of the block are at it [mm]. */
    private static final double EDGE = 3;

    /** A random beam. Bars of 16 to 25 mm in two to four rows, never far more in compression than in tension. */
    private static SingleSection random(int seed) {
        Random r = new Random(seed);
        double bw = 200 + 50 * r.nextInt(9);
        double h = 300 + 50 * r.nextInt(19);
        double bf = bw + 100 * (1 + r.nextInt(10));
        double hf = 100 + 20 * r.nextInt(6);
        Shape shape = switch (r.nextInt(4)) {
            case 0 -> new Shape.Rectangle(bw, h);
            case 1 -> new Shape.Tee(bw, h, bf, hf);
            case 2 -> new Shape.Ell(bw, h, bf, hf);
            default -> Shape.flanged("inverted-tee", bw, h, bf, hf);
        };
        List<Spot> bars = new ArrayList<>();
        for (double z : new double[] {55, h - 55, 105, h - 105}) {
            if (bars.size() < 4 || r.nextBoolean()) {
                double d = new double[] {16, 20, 25}[r.nextInt(3)];
                int n = 2 + r.nextInt(2);
                for (int i = 0; i < n; i++) {
                    bars.add(new Spot(-bw / 2 + 60 + (bw - 120) * i / (n - 1), z, d, Math.PI * d * d / 4, true));
                }
            }
        }
        DesignCode code = List.of(ACI, US, EN).get(r.nextInt(3));
        double fc = new double[] {20, 25, 30, 35, 45, 60, 80}[r.nextInt(7)];
        double fy = new double[] {420, 500, 550}[r.nextInt(3)];
        Stirrup s = new Stirrup(10, 78.5, 2 + r.nextInt(3), 2, 100 + 25 * r.nextInt(7));
        return new SingleSection("S" + seed, code, false, shape, fc, fy, 420, 35, bars, s);
    }

    static IntStream seeds() {
        return IntStream.range(0, Sweep.of(120, 2000));
    }

    private static double width(Shape s, double z) {
        return s.strips().stream()
                .filter(q -> z >= q.from() && z < q.to())
                .mapToDouble(Shape.Strip::width)
                .findFirst()
                .orElse(0);
    }

    /** @param loose what states of balance with a bar at the edge of the block may differ by [Nmm] */
    private record Bending(double moment, double c, double strain, double loose) {}

    /** Bending strength without φ by slices: neutral axis by halving, bars by their strains, concrete that compressed bars displace left out. */
    private static Bending bend(SingleSection s, boolean sagging) {
        double h = s.shape().depth();
        boolean en = s.code() == EN;
        double fc = s.fc();
        double crush = !en ? 0.003 : fc <= 50 ? 0.0035 : (2.6 + 35 * Math.pow((90 - fc) / 100, 4)) / 1000;
        double beta = en
                ? fc <= 50 ? 0.8 : 0.8 - (fc - 50) / 400
                : s.code() == US
                        ? clamp(0.85 - 0.05 * (fc / 0.006894757293168 - 4000) / 1000, 0.65, 0.85)
                        : clamp(0.85 - 0.05 * (fc - 28) / 7, 0.65, 0.85);
        double stress = en ? (fc <= 50 ? 1 : 1 - (fc - 50) / 200) * fc / 1.5 : 0.85 * fc;
        double fy = en ? s.fy() / 1.15 : s.fy();
        double low = 1;
        double high = 2 * h;
        double[] f = new double[2];
        for (int i = 0; i < 60; i++) {
            double c = (low + high) / 2;
            sum(s, sagging, c, beta, stress, crush, fy, f);
            if (f[0] > 0) {
                high = c;
            } else {
                low = c;
            }
        }
        double deepest = s.bars().stream()
                .mapToDouble(b -> sagging ? h - b.z() : b.z())
                .max()
                .orElseThrow();
        double edge = beta * low;
        double displaced = stress;
        double loose = s.bars().stream()
                .filter(b -> Math.abs((sagging ? h - b.z() : b.z()) - edge) < EDGE)
                .mapToDouble(b -> b.area() * displaced * edge)
                .sum();
        return new Bending(f[1], low, crush * (deepest - low) / low, loose);
    }

    /** out: compression less tension, moment about the middle of the depth. */
    private static void sum(
            SingleSection s,
            boolean sagging,
            double c,
            double beta,
            double stress,
            double crush,
            double fy,
            double[] out) {
        double h = s.shape().depth();
        double a = Math.min(beta * c, h);
        out[0] = 0;
        out[1] = 0;
        for (int i = 0; i < SLICES; i++) {
            double depth = (i + 0.5) * a / SLICES;
            double force = stress * width(s.shape(), sagging ? h - depth : depth) * a / SLICES;
            out[0] += force;
            out[1] += force * (h / 2 - depth);
        }
        for (Spot b : s.bars()) {
            double depth = sagging ? h - b.z() : b.z();
            double tension = clamp(200_000 * crush * (depth - c) / c, -fy, fy) + (depth < a ? stress : 0);
            out[0] -= tension * b.area();
            out[1] -= tension * b.area() * (h / 2 - depth);
        }
    }

    private static double clamp(double v, double least, double most) {
        return Math.max(least, Math.min(most, v));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void bendingBySlices(int seed) {
        SingleSection s = random(seed);
        Map<String, Double> strengths = new SectionUses(s).strengths();
        for (boolean sagging : new boolean[] {true, false}) {
            Bending b = bend(s, sagging);
            String side = sagging ? "Sagging" : "Hogging";
            double yield = s.fy() / 200_000;
            double phi = s.code() == EN ? 1 : clamp(0.65 + 0.25 * (b.strain() - yield) / 0.003, 0.65, 0.9);
            // a bar at the edge of the block leaves two equilibria, as far apart as the concrete that it displaces
            double off = Math.max(5e-3 * phi * b.moment(), phi * b.loose());
            assertEquals(phi * b.moment(), strengths.get("phiMn" + side + "Nmm"), off, s + " " + side);
            assertEquals(b.c(), strengths.get("neutralAxis" + side + "Mm"), 0.05 * b.c());
        }
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void shearByTheFormulas(int seed) {
        SingleSection s = random(seed);
        Map<String, Double> strengths = new SectionUses(s).strengths();
        double h = s.shape().depth();
        double bw = s.shape().webWidth();
        List<Spot> tension = s.bars().stream().filter(b -> b.z() < h / 2).toList();
        double as = tension.stream().mapToDouble(Spot::area).sum();
        double d = h - tension.stream().mapToDouble(b -> b.z() * b.area()).sum() / as;
        double avs = s.stirrup().legsAcross() * s.stirrup().area() / s.stirrup().spacing();
        if (s.code() == EN) {
            // (6.8), (6.9), (6.10.aN): the flattest strut from 1 to 2.5 that the concrete stands; fywd 420 / 1.15
            double fywd = 420 / 1.15;
            double nu1 = 0.6 * (1 - s.fc() / 250);
            double best = 0;
            for (double cot = 1; cot <= 2.5 + 1e-9; cot += 0.0005) {
                best = Math.max(
                        best,
                        Math.min(avs * 0.9 * d * fywd * cot, bw * 0.9 * d * nu1 * s.fc() / 1.5 / (cot + 1 / cot)));
            }
            // (6.2): where the concrete carries more without links, that counts (6.2.1(3))
            double k = Math.min(2, 1 + Math.sqrt(200 / d));
            double alone = Math.max(
                    0.18 / 1.5 * k * Math.cbrt(100 * Math.min(0.02, as / (bw * d)) * s.fc()),
                    0.035 * Math.pow(k, 1.5) * Math.sqrt(s.fc()));
            best = Math.max(best, alone * bw * d);
            assertEquals(best, strengths.get("phiVnN"), 2e-3 * best, s.toString());
            return;
        }
        double psi = 0.006894757293168;
        boolean us = s.code() == US;
        double root = us ? Math.min(100, Math.sqrt(s.fc() / psi)) * psi : Math.min(8.3, Math.sqrt(s.fc()));
        double fyt = Math.min(420, us ? 60_000 * psi : 420);
        double least = (us
                        ? Math.max(0.75 * Math.sqrt(s.fc() / psi) * psi, 50 * psi)
                        : Math.max(0.062 * Math.sqrt(s.fc()), 0.35))
                * bw
                / fyt;
        double rho = as / (bw * d);
        double size = us ? Math.min(1, Math.sqrt(2 / (1 + d / 254))) : Math.min(1, Math.sqrt(2 / (1 + 0.004 * d)));
        // with minimum stirrups row (a) of table 22.5.5.1 or row (b), as the designer likes: Kolonne takes (a)
        double vc = avs >= least * (1 - 1e-9) ? us ? 2 : 0.17 : (us ? 8 : 0.66) * size * Math.cbrt(rho);
        double concrete = Math.min(vc, us ? 5 : 0.42) * root * bw * d;
        double limit =
                0.75 * (concrete + (us ? 8 : 0.66) * Math.sqrt(s.fc() / (us ? psi : 1)) * (us ? psi : 1) * bw * d);
        assertEquals(0.75 * concrete, strengths.get("phiVcN"), 1e-3 * concrete, s.toString());
        assertEquals(
                Math.min(limit, 0.75 * (concrete + avs * fyt * d)),
                strengths.get("phiVnN"),
                1e-3 * concrete,
                s.toString());
        assertEquals(limit, strengths.get("phiVnMaxN"), 1e-3 * limit, "22.5.3.1 limits √f'c of Vc only");
    }

    /** Use of the steel for torsion beside shear in a rectangle, from 22.7.6.1 and (6.27) with struts at 45°. */
    @ParameterizedTest
    @MethodSource("seeds")
    void torsionByTheFormulas(int seed) {
        SingleSection s = random(seed);
        if (!(s.shape() instanceof Shape.Rectangle r)) {
            return;
        }
        double torque = 120e6;
        double use = new SectionUses(s)
                .uses(new Forces("T", 0, 0, 0, torque, 0, 0)).stream()
                        .filter(u -> u.check().equals("torsion"))
                        .findFirst()
                        .orElseThrow()
                        .utilisation();
        double leg = s.stirrup().area() / s.stirrup().spacing();
        double x1 = r.b() - 2 * 35 - 10;
        double y1 = r.h() - 2 * 35 - 10;
        double needed;
        if (s.code() == EN) {
            double t = Math.min(
                    Math.max(
                            r.b() * r.h() / (2 * (r.b() + r.h())),
                            2
                                    * (35
                                            + 10
                                            + s.bars().stream()
                                                            .mapToDouble(SingleSection.Spot::diameter)
                                                            .max()
                                                            .orElseThrow()
                                                    / 2)),
                    Math.min(r.b(), r.h()) / 2);
            needed = torque / (2 * (r.b() - t) * (r.h() - t) * 420 / 1.15);
        } else {
            needed = torque / (0.75 * 2 * 0.85 * x1 * y1 * Math.min(420, s.code() == US ? 60 * 6.894757293168 : 420));
        }
        assertEquals(needed / leg, use, 2e-3 * use, s.toString());
    }

    /** The SI and US forms of ACI 318-19 are the same but for rounded coefficients. */
    @ParameterizedTest
    @MethodSource("seeds")
    void theFormsOfTheTwoEditionsAgree(int seed) {
        SingleSection s = random(seed);
        Map<String, Double> si = new SectionUses(with(s, ACI)).strengths();
        Map<String, Double> us = new SectionUses(with(s, US)).strengths();
        // between the minima of the two forms, 0.062 √f'c and 0.75 √f'c, the rows of table 22.5.5.1 differ
        double avs = s.stirrup().legsAcross() * s.stirrup().area() / s.stirrup().spacing();
        double near = Math.abs(avs
                        / (Math.max(0.062 * Math.sqrt(s.fc()), 0.35) * s.shape().webWidth() / 420)
                - 1);
        si.forEach((name, v) -> {
            if (!name.startsWith("tensionStrain") && (near > 0.03 || !name.startsWith("phiV"))) {
                assertEquals(v, us.get(name), 0.03 * Math.abs(v), name + " of " + s);
            }
        });
    }

    private static SingleSection with(SingleSection s, DesignCode code) {
        return new SingleSection(
                s.id(), code, s.column(), s.shape(), s.fc(), s.fy(), s.fyt(), s.cover(), s.bars(), s.stirrup());
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void usesAreInOrderAndGrowWithTheForces(int seed) {
        SingleSection s = random(seed);
        SectionUses one = new SectionUses(s);
        double before = 0;
        // least longitudinal steel of ACI 318-19 9.6.4.3 falls as the torque grows: there more may be less
        double torque = s.code() == EN ? 15e6 : 1e6;
        for (double k : new double[] {0.25, 0.5, 1, 2, 4}) {
            List<SectionUses.Use> all =
                    one.uses(new Forces("k", -20e3 * k, 5e3 * k, 120e3 * k, torque * k, 150e6 * k, 2e6 * k));
            List<SectionUses.Use> uses = all.stream()
                    .filter(u -> !u.check().equals("torsion-threshold"))
                    .toList();
            assertEquals(all.get(0), uses.get(0), "torsion that may be neglected decides nothing");
            for (int i = 1; i < uses.size(); i++) {
                assertTrue(uses.get(i - 1).utilisation() >= uses.get(i).utilisation());
            }
            assertTrue(uses.get(0).utilisation() >= before, s + " at " + k);
            before = uses.get(0).utilisation();
        }
        assertFalse(one.explain(new Forces("e", 0, 0, 120e3, 15e6, 150e6, 0)).isEmpty());
    }

    /** What explains a use is what computed it: the last step of every check shows its number. */
    @Test
    void theCalculationEndsWithTheUses() {
        for (int seed = 0; seed < 60; seed++) {
            SingleSection s = random(seed);
            SectionUses one = new SectionUses(s);
            Forces f = new Forces("f", 0, 0, 90e3, 3e6, 110e6, 0);
            one.uses(f).stream()
                    .filter(u -> List.of("flexure", "shear", "shear-limit").contains(u.check()))
                    .forEach(u -> assertTrue(
                            one.explain(f).stream()
                                    .anyMatch(q -> q.symbol().equals(u.check())
                                            && q.result(false)
                                                    .equals(String.format(
                                                            java.util.Locale.ROOT, "%.2f", u.utilisation()))),
                            u + " in " + one.explain(f)));
        }
    }

    /** A square column is as strong about either axis, and bending that turns about a corner is symmetrical. */
    @Test
    void aSquareColumnKnowsNoAxis() {
        List<Spot> bars = new ArrayList<>();
        for (double x : new double[] {-140, 0, 140}) {
            for (double z : new double[] {60, 200, 340}) {
                if (x != 0 || z != 200) {
                    bars.add(new Spot(x, z, 20, 314, true));
                }
            }
        }
        for (DesignCode code : List.of(ACI, EN)) {
            SectionUses b = new SectionUses(new SingleSection(
                    "C",
                    code,
                    true,
                    new Shape.Rectangle(400, 400),
                    30,
                    500,
                    420,
                    40,
                    bars,
                    new Stirrup(10, 78.5, 3, 3, 150)));
            double about = use(b, new Forces("", -1000e3, 0, 80e3, 0, 120e6, 0), "axial-bending");
            assertEquals(about, use(b, new Forces("", -1000e3, 80e3, 0, 0, 0, -120e6), "axial-bending"), 1e-3 * about);
            assertEquals(
                    use(b, new Forces("", -1000e3, 0, 0, 0, 90e6, 60e6), "axial-bending"),
                    use(b, new Forces("", -1000e3, 0, 0, 0, -60e6, 90e6), "axial-bending"),
                    2e-3);
            assertEquals(
                    use(b, new Forces("", -1000e3, 0, 80e3, 0, 0, 0), "shear-z"),
                    use(b, new Forces("", -1000e3, 80e3, 0, 0, 0, 0), "shear-y"),
                    1e-9);
            assertEquals(
                    use(b, new Forces("", 0, 0, 90e3, 40e6, 60e6, 0), "torsion-z"),
                    use(b, new Forces("", 0, 90e3, 0, 40e6, 0, 60e6), "torsion-y"),
                    1e-9,
                    "square");
        }
    }

    /**
     * 22.7 of a column 400 × 500, four T25 in the corners, cover 40, ties T10 at 100: Aoh = 310 · 410, ph = 1440; with 800 kN of compression and 60 kN along
     * the depth, which the concrete carries.
     */
    @Test
    void twistedColumn() {
        double a = 490.9;
        List<Spot> bars = List.of(
                new Spot(-137.5, 62.5, 25, a, true),
                new Spot(137.5, 62.5, 25, a, true),
                new Spot(-137.5, 437.5, 25, a, true),
                new Spot(137.5, 437.5, 25, a, true));
        SectionUses b = new SectionUses(new SingleSection(
                "C",
                Basis.standard(false).designCode(),
                true,
                new Shape.Rectangle(400, 500),
                30,
                420,
                420,
                40,
                bars,
                new Stirrup(10, 78.54, 2, 2, 100)));
        double plain = 0.75 * 0.083 * Math.sqrt(30) * 2e5 * 2e5 / 1800;
        double factor = Math.sqrt(1 + 800e3 / (0.33 * Math.sqrt(30) * 2e5));
        Forces below = new Forces("", -800e3, 0, 60e3, 0.9 * factor * plain, 100e6, 0);
        assertEquals(0.9, use(b, below, "torsion-threshold"), 1e-6);
        assertTrue(b.uses(below).stream().noneMatch(u -> u.check().equals("torsion-z")));
        assertNotEquals("torsion-threshold", b.uses(below).get(0).check(), "it never decides");

        Forces above = new Forces("", -800e3, 0, 60e3, 30e6, 100e6, 0);
        double at = 30e6 / (0.75 * 2 * 0.85 * 310 * 410 * 420);
        assertEquals(at / 0.7854, use(b, above, "torsion-z"), 1e-4);
        assertEquals(at / 0.7854, use(b, above, "torsion-y"), 1e-4);
        assertEquals(at * 1440 / (4 * a), use(b, above, "torsion-bars"), 1e-4);
        assertEquals(100.0 / 180, use(b, above, "torsion-spacing"), 1e-6);
        assertEquals(375.0 / 300, use(b, above, "torsion-bar-spacing"), 1e-6);
        double d = 437.5;
        double vc = 0.17 * Math.sqrt(30) + 800e3 / (6 * 2e5);
        double tau = Math.hypot(60e3 / (400 * d), 30e6 * 1440 / (1.7 * Math.pow(310 * 410, 2)));
        assertEquals(tau / (0.75 * (vc + 0.66 * Math.sqrt(30))), use(b, above, "shear-torsion-limit-z"), 1e-4);
        assertTrue(use(b, above, "torsion-bending") > use(b, above, "axial-bending"));
        // all of the bars' tension is gone: nothing bears a pull
        assertTrue(use(b, new Forces("", 1e3, 0, 0, 100e6, 0, 0), "torsion-bending") > 1);
        assertTrue(b.explain(above).stream().anyMatch(s -> s.symbol().equals("At/s")));
    }

    private static double use(SectionUses b, Forces f, String check) {
        return b.uses(f).stream()
                .filter(u -> u.check().equals(check))
                .findFirst()
                .orElseThrow()
                .utilisation();
    }
}
