package kolonne.core.code.en1992;

import static kolonne.core.explain.Trace.in;

import kolonne.core.code.CrackWidth;
import kolonne.core.code.Steel;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;

/** Crack width by EN 1992-1-1 section 7.3.4 and stress limits by 7.2. */
final class EnCrack implements CrackWidth {
    /** kt for long-term load (7.9). */
    private static final double LONG_TERM = 0.4;
    /** k1 for ribbed bars (7.11); k2 is (7.13). */
    private static final double K1 = 0.8;

    private final EnParameters p;

    EnCrack(EnParameters p) {
        this.p = p;
    }

    @Override
    public double width(Cracked c, Trace t) {
        double effective = Math.min(Math.min(2.5 * (c.h() - c.d()), (c.h() - c.x()) / 3), c.h() / 2);
        double rho = c.as() / (effective * c.b());
        double alpha = Steel.ES / EnConcrete.ecm(c.fc());
        double stiffening = LONG_TERM * EnConcrete.fctm(c.fc()) / rho * (1 + alpha * rho);
        double strain = Math.max((c.stress() - stiffening) / Steel.ES, 0.6 * c.stress() / Steel.ES);
        double close = p.get("k3Crack") * c.cover() + K1 * c.pull() * p.get("k4Crack") * c.diameter() / rho;
        boolean wide = c.spacing() > 5 * (c.cover() + c.diameter() / 2);
        double spacing = wide ? Math.max(close, 1.3 * (c.h() - Math.max(0, c.x()))) : close;
        double w = spacing * strain;
        if (t.on()) {
            t.step(
                    "ρp,eff",
                    "As / (hc,ef b)",
                    "{0} / ({1} × {2})",
                    rho,
                    Quantity.RATIO,
                    Clause.of("7.3.2(3)"),
                    in(c.as(), Quantity.AREA),
                    in(effective, Quantity.LENGTH),
                    in(c.b(), Quantity.LENGTH));
            t.step(
                    "sr,max",
                    wide ? "1.3 (h − x), bars far apart" : "3.4 c + 0.425 k1 k2 φ / ρp,eff",
                    "c = {0}, φ = {1}",
                    spacing,
                    Quantity.LENGTH,
                    Clause.of("7.3.4(3)"),
                    in(c.cover(), Quantity.LENGTH),
                    in(c.diameter(), Quantity.LENGTH));
            t.step(
                    "εsm − εcm",
                    "(σs − kt fctm / ρp,eff (1 + αe ρp,eff)) / Es ≥ 0.6 σs / Es",
                    "σs = {0}",
                    strain,
                    Quantity.STRAIN,
                    Clause.of("7.3.4(2)"),
                    in(c.stress(), Quantity.STRESS));
            t.step(
                    "wk",
                    "sr,max (εsm − εcm)",
                    "{0} × {1}",
                    w,
                    Quantity.CRACK,
                    clause(),
                    in(spacing, Quantity.LENGTH),
                    in(strain, Quantity.STRAIN));
        }
        return w;
    }

    @Override
    public double limit() {
        return p.get("crackWidth");
    }

    @Override
    public Clause clause() {
        return Clause.of("7.3.4(1)");
    }

    @Override
    public double creep() {
        return p.get("creep");
    }

    @Override
    public double steelStress(double fy) {
        return p.get("steelStress") * fy;
    }

    @Override
    public double concreteStress(double fc) {
        double part = p.get("concreteStress");
        return part < 1 ? part * fc : Double.POSITIVE_INFINITY;
    }

    /** k2 fck with k2 = 0.45 (7.2(3)). */
    @Override
    public double linearCreep(double fc) {
        return 0.45 * fc;
    }

    @Override
    public Clause linearCreepClause() {
        return Clause.of("7.2(3)");
    }

    @Override
    public Clause stressClause() {
        return Clause.of("7.2");
    }
}
