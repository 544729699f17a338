package kolonne.core.code.en1992;

import static kolonne.core.explain.Trace.in;

import kolonne.core.code.Bar;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;

/** Anchorage by EN 1992-1-1 section 8.4, with α1 to α5 = 1. */
final class EnAnchorage {
    /** Straight run after a bend, over the diameter: what of the length goes round the bend (8.4.1, figure 8.1 a). */
    private static final double TAIL = 12;
    /** Bond in poor conditions: more than 250 mm of concrete below (8.4.2(2)). */
    private static final double POOR = 0.7;

    private final En1992 code;

    EnAnchorage(En1992 code) {
        this.code = code;
    }

    /** lbd = φ/4 σsd / fbd ≥ max(0.3 lb,rqd, 10 φ, 100), with σsd = fyd. */
    double straight(Bar bar, double fc, double fy, boolean top) {
        double phi = bar.diameter();
        double needed = phi / 4 * code.designSteel(fy) / bond(phi, fc, top);
        return Math.max(needed, Math.max(10 * phi, 100));
    }

    /** fbd = 2.25 η1 η2 fctd (8.2); fctd is no more than that of C60/75. */
    double bond(double phi, double fc, boolean top) {
        double size = phi <= 32 ? 1 : (132 - phi) / 100;
        return 2.25 * (top ? POOR : 1) * size * code.fctd(Math.min(fc, 60));
    }

    /** Length along the bar, less its tail behind the bend. @param poor bond */
    double hooked(Bar bar, double fc, double fy, boolean poor, Trace t) {
        double along = straight(bar, fc, fy, poor);
        double out = Math.max(along - TAIL * bar.diameter(), Math.max(10 * bar.diameter(), 100));
        if (t.on()) {
            t.step(
                    "fbd",
                    "2.25 η1 η2 fctd",
                    poor ? "2.25 × 0.7 × {0}" : "2.25 × {0}",
                    bond(bar.diameter(), fc, poor),
                    Quantity.STRESS,
                    Clause.of("8.4.2(2)"),
                    in(code.fctd(fc), Quantity.STRESS));
            t.step(
                    "lbd, to the bend",
                    "φ/4 fyd / fbd − 12 φ round the bend",
                    "{0} − 12 × {1}",
                    out,
                    Quantity.LENGTH,
                    Clause.of("8.4.4(1)"),
                    in(along, Quantity.LENGTH),
                    in(bar.diameter(), Quantity.LENGTH));
        }
        return out;
    }
}
