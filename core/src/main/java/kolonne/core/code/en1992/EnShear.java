package kolonne.core.code.en1992;

import static kolonne.core.explain.Trace.in;

import kolonne.core.code.ShearInput;
import kolonne.core.code.ShearStrength;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;

/** Shear by EN 1992-1-1 section 6.2: without links 6.2.2, with vertical links by the variable strut 6.2.3. */
final class EnShear {
    /** z over d (6.2.3(1)). */
    private static final double LEVER = 0.9;

    private final En1992 code;
    /** National parameters. */
    private final double linkMinimum;

    private final double nuFactor;

    private final double cotMost;

    private final double cRdc;

    private final double gammaC;

    private final double vMin;

    private final double k1Shear;

    EnShear(En1992 code, EnParameters p) {
        this.code = code;
        linkMinimum = p.get("linkMinimum");
        nuFactor = p.get("nu");
        cotMost = p.get("cotMost");
        cRdc = p.get("cRdc");
        gammaC = p.get("gammaC");
        vMin = p.get("vMin");
        k1Shear = p.get("k1Shear");
    }

    ShearStrength strength(ShearInput s, Trace t) {
        double minimum = linkMinimum * Math.sqrt(s.fc()) / s.fyt() * s.bw();
        double alone = concrete(s, t);
        double cot = cot(s);
        double links = s.avs() * LEVER * s.d() * fywd(s) * cot;
        double strut = strut(s, cot);
        double limit = strut(s, 1);
        double total = Math.max(Math.min(alone, limit), Math.min(links, strut));
        if (t.on()) {
            t.step(
                    "cot θ",
                    "√(αcw ν1 fcd bw / (Asw/s fywd) − 1), 1 to cot θmax",
                    "Asw/s = {0}",
                    cot,
                    Quantity.NUMBER,
                    Clause.of("6.2.3(2)"),
                    in(s.avs(), Quantity.AREA_PER_LENGTH));
            t.step(
                    "VRd,s",
                    "(Asw/s) z fywd cot θ",
                    "{0} × 0.9 × {1} × {2} × {3}",
                    links,
                    Quantity.FORCE,
                    Clause.of("6.2.3(3), (6.8)"),
                    in(s.avs(), Quantity.AREA_PER_LENGTH),
                    in(s.d(), Quantity.LENGTH),
                    in(fywd(s), Quantity.STRESS),
                    in(cot, Quantity.NUMBER));
            t.step(
                    "VRd,max",
                    "αcw bw z ν1 fcd / (cot θ + tan θ)",
                    "{0} × 0.9 × {1} × {2} × {3} / ({4} + 1/{4})",
                    strut,
                    Quantity.FORCE,
                    Clause.of("6.2.3(3), (6.9)"),
                    in(s.bw(), Quantity.LENGTH),
                    in(s.d(), Quantity.LENGTH),
                    in(nu(s.fc()), Quantity.NUMBER),
                    in(code.fcd(s.fc()), Quantity.STRESS),
                    in(cot, Quantity.NUMBER));
            t.step(
                    "VRd",
                    "max(VRd,c, min(VRd,s, VRd,max))",
                    "max({0}, min({1}, {2}))",
                    total,
                    Quantity.FORCE,
                    Clause.of("6.2.1"),
                    in(alone, Quantity.FORCE),
                    in(links, Quantity.FORCE),
                    in(strut, Quantity.FORCE));
        }
        return new ShearStrength(alone, total, limit, minimum, false);
    }

    private double fywd(ShearInput s) {
        return code.designSteel(s.fyt());
    }

    /** ν = ν1 = 0.6 (1 − fck / 250), (6.6N). */
    double nu(double fck) {
        return nuFactor * (1 - fck / 250);
    }

    /** Strut strength, αcw = 1. */
    private double strut(ShearInput s, double cot) {
        return s.bw() * LEVER * s.d() * nu(s.fc()) * code.fcd(s.fc()) / (cot + 1 / cot);
    }

    /** The flattest strut at which links and strut are equally strong. */
    private double cot(ShearInput s) {
        double ratio = nu(s.fc()) * code.fcd(s.fc()) * s.bw() / (s.avs() * fywd(s)) - 1;
        return Math.max(1, Math.min(cotMost, Math.sqrt(Math.max(0, ratio))));
    }

    /** VRd,c (6.2.a, 6.2.b). */
    double concrete(ShearInput s, Trace t) {
        double k = Math.min(2, 1 + Math.sqrt(200 / s.d()));
        double rho = Math.min(0.02, s.rhoW());
        double sigma = Math.min(s.nu() / s.ag(), 0.2 * code.fcd(s.fc()));
        double main = cRdc / gammaC * k * Math.cbrt(100 * rho * s.fc());
        double least = vMin * Math.pow(k, 1.5) * Math.sqrt(s.fc());
        double v = Math.max(0, Math.max(main, least) + k1Shear * sigma) * s.bw() * s.d();
        if (t.on()) {
            t.step(
                    "VRd,c",
                    "(max(CRd,c k (100 ρl fck)^⅓, vmin) + k1 σcp) bw d",
                    "(max({0}, {1}) + {2}) × {3} × {4}",
                    v,
                    Quantity.FORCE,
                    Clause.of("6.2.2(1)"),
                    in(main, Quantity.STRESS),
                    in(least, Quantity.STRESS),
                    in(k1Shear * sigma, Quantity.STRESS),
                    in(s.bw(), Quantity.LENGTH),
                    in(s.d(), Quantity.LENGTH));
        }
        return v;
    }

    /** Asw/s for a shear: with the flattest strut that carries it; infinite past the steepest. */
    double steel(ShearInput s, double v) {
        double all = s.bw() * LEVER * s.d() * nu(s.fc()) * code.fcd(s.fc());
        double sine = 2 * v / all; // sin 2θ
        if (sine > 1) {
            return Double.POSITIVE_INFINITY;
        }
        double cot = Math.min(cotMost, 1 / Math.tan(0.5 * Math.asin(sine)));
        return v / (LEVER * s.d() * fywd(s) * cot);
    }

    /** The same with the strut at 45°, which torsion beside it uses. */
    double steelAt45(ShearInput s, double v) {
        return v / (LEVER * s.d() * fywd(s));
    }
}
