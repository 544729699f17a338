package kolonne.core.code.aci318;

import static kolonne.core.explain.Trace.in;

import kolonne.core.code.Bar;
import kolonne.core.code.Bound;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;

/** Development of bars in tension, ACI 318-19 sections 25.4.2 and 25.4.3. */
final class AciAnchorage {
    /** Largest bar for which the smaller development length of table 25.4.2.3 holds: No. 19, #6 [mm]. */
    private static final double SMALL_BAR = 19.1;
    /** Cast position: more than 300 mm of fresh concrete below the bar (table 25.4.2.5). */
    private static final double TOP = 1.3;
    /** Location of a hook: not surely in a column core with 65 mm side cover (table 25.4.3.2, ψo). */
    private static final double HOOK_LOCATION = 1.25;

    private final UnitForm form;

    AciAnchorage(UnitForm form) {
        this.form = form;
    }

    /**
     * Straight bar, table 25.4.2.3; at least 300 mm (12 in).
     *
     * @param clear clear spacing to the next bar [mm]; @param cover clear cover of the bar [mm]
     */
    double straight(Bar bar, double fc, double fy, boolean top, double clear, double cover, boolean stirrups) {
        double db = bar.diameter();
        boolean small = db <= SMALL_BAR;
        boolean confined =
                Bound.within(db, cover) && (stirrups && Bound.within(db, clear) || Bound.within(2 * db, clear));
        double k;
        if (form == UnitForm.SI) {
            k = confined ? small ? 2.1 : 1.7 : small ? 1.4 : 1.1;
        } else {
            k = confined ? small ? 25 : 20 : small ? 50.0 / 3 : 40.0 / 3;
        }
        double ld = fy * (top ? TOP : 1) * grade(fy) / form.rootStress(k, k, fc) * db;
        return Math.max(ld, form.length(300, 12));
    }

    /** ψg by table 25.4.2.5: 1.0 to Grade 420, 1.15 to 550, 1.3 above. */
    private double grade(double fy) {
        if (fy <= form.stress(420, 60_000) * 1.0001) {
            return 1;
        }
        return fy <= form.stress(550, 80_000) * 1.0001 ? 1.15 : 1.3;
    }

    /** Bar in compression with ψr = 1 (25.4.9.2, 25.4.9.3); at least 200 mm (8 in). */
    double compressed(Bar bar, double fc, double fy) {
        double bond = form == UnitForm.SI ? 0.24 * fy / form.root(fc) : fy / UnitForm.PSI / (50 * form.root(fc));
        double least = form == UnitForm.SI ? 0.043 * fy : 0.0003 * fy / UnitForm.PSI;
        return Math.max(Math.max(bond, least) * bar.diameter(), form.length(200, 8));
    }

    /**
     * Standard hook, eq. 25.4.3.1a; at least 8 db and 150 mm. ψr = 1.0 supposes ties through the joint with
     * Ath ≥ 0.4 Ahs (25.4.3.3), which the drawings ask for.
     */
    double hooked(Bar bar, double fc, double fy, Trace t) {
        double db = bar.diameter();
        double strength =
                form == UnitForm.SI ? Math.min(1, fc / 105 + 0.6) : Math.min(1, fc / UnitForm.PSI / 15_000 + 0.6);
        double ldh;
        if (form == UnitForm.SI) {
            ldh = fy * HOOK_LOCATION * strength / (23 * form.root(fc)) * Math.pow(db, 1.5);
        } else {
            ldh = fy / UnitForm.PSI * HOOK_LOCATION * strength / (55 * form.root(fc)) * Math.pow(db / 25.4, 1.5) * 25.4;
        }
        double out = Math.max(ldh, Math.max(8 * db, form.length(150, 6)));
        if (t.on()) {
            t.step(
                    "ldh",
                    form.shown("fy ψe ψr ψo ψc db^1.5 / (23 λ √f′c)", "fy ψe ψr ψo ψc db^1.5 / (55 λ √f′c)"),
                    "fy = {0}, ψr 1.0, ψo 1.25, ψc {1}, db = {2}",
                    out,
                    Quantity.LENGTH,
                    Clause.of("25.4.3.1"),
                    in(fy, Quantity.STRENGTH),
                    in(strength, Quantity.NUMBER),
                    in(db, Quantity.LENGTH));
        }
        return out;
    }
}
