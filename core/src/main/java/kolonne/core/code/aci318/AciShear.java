package kolonne.core.code.aci318;

import static kolonne.core.explain.Trace.in;

import kolonne.core.code.ShearInput;
import kolonne.core.code.ShearStrength;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;

/** One-way shear, ACI 318-19 section 22.5. */
final class AciShear {
    private final UnitForm form;

    AciShear(UnitForm form) {
        this.form = form;
    }

    ShearStrength strength(ShearInput s, Trace t) {
        double fyt = Math.min(s.fyt(), form.stress(420, 60_000)); // 20.2.2.4
        double bwd = s.bw() * s.d();
        double minimum = Math.max(form.plainStress(0.062, 0.75, s.fc()), form.stress(0.35, 50)) * s.bw() / fyt;
        double vc = concrete(s, s.avs() >= minimum * (1 - 1e-9), t);
        double vs = s.avs() * fyt * s.d();
        double vsMax = form.plainStress(0.66, 8, s.fc()) * bwd;
        double phi = Aci318.PHI_SHEAR;
        double total = phi * (vc + Math.min(vs, vsMax));
        double limit = phi * (vc + vsMax);
        if (t.on()) {
            t.step(
                    "Vs",
                    "(Av/s) fyt d",
                    "{0} × {1} × {2}",
                    vs,
                    Quantity.FORCE,
                    Clause.of("22.5.8.5.3"),
                    in(s.avs(), Quantity.AREA_PER_LENGTH),
                    in(fyt, Quantity.STRESS),
                    in(s.d(), Quantity.LENGTH));
            t.step(
                    "φVn",
                    "φ (Vc + Vs)",
                    "0.75 × ({0} + {1})",
                    total,
                    Quantity.FORCE,
                    Clause.of("22.5.1.1"),
                    in(vc, Quantity.FORCE),
                    in(Math.min(vs, vsMax), Quantity.FORCE));
            t.step(
                    "φVn,max",
                    form.shown("φ (Vc + 0.66 √f′c bw d)", "φ (Vc + 8 √f′c bw d)"),
                    "0.75 × ({0} + {1})",
                    limit,
                    Quantity.FORCE,
                    Clause.of("22.5.1.2"),
                    in(vc, Quantity.FORCE),
                    in(vsMax, Quantity.FORCE));
        }
        boolean high = vs > form.plainStress(0.33, 4, s.fc()) * bwd;
        return new ShearStrength(phi * vc, total, limit, minimum, high);
    }

    /** Av/s for a shear with Vc of a section with minimum stirrups; infinite past φ (Vc + 0.66 √f'c bw d). */
    double steel(ShearInput s, double v) {
        ShearInput stirrups = new ShearInput(s.fc(), s.fyt(), s.bw(), s.d(), s.ag(), s.rhoW(), 1e6, s.nu());
        double vc = concrete(stirrups, true, Trace.OFF);
        double vs = v / Aci318.PHI_SHEAR - vc;
        double most = form.plainStress(0.66, 8, s.fc()) * s.bw() * s.d();
        return vs > most * (1 + 1e-9)
                ? Double.POSITIVE_INFINITY
                : Math.max(0, vs) / (Math.min(s.fyt(), form.stress(420, 60_000)) * s.d());
    }

    /** Vc by table 22.5.5.1: row (a) with minimum stirrups, row (c) without. */
    private double concrete(ShearInput s, boolean withStirrups, Trace t) {
        double axial = Math.min(s.nu() / (6 * s.ag()), 0.05 * s.fc());
        double bwd = s.bw() * s.d();
        double stress;
        if (withStirrups) {
            stress = form.rootStress(0.17, 2, s.fc()) + axial;
        } else {
            stress = form.rootStress(0.66, 8, s.fc()) * sizeFactor(s.d()) * Math.cbrt(s.rhoW()) + axial;
        }
        double vc = Math.max(0, Math.min(stress, form.rootStress(0.42, 5, s.fc()))) * bwd;
        if (t.on()) {
            if (withStirrups) {
                t.step(
                        "Vc",
                        form.shown("(0.17 λ √f′c + Nu / 6Ag) bw d", "(2 λ √f′c + Nu / 6Ag) bw d"),
                        "({0} + {1}) × {2} × {3}",
                        vc,
                        Quantity.FORCE,
                        Clause.of("22.5.5.1 (a)"),
                        in(stress - axial, Quantity.STRESS),
                        in(axial, Quantity.STRESS),
                        in(s.bw(), Quantity.LENGTH),
                        in(s.d(), Quantity.LENGTH));
            } else {
                t.step(
                        "Vc",
                        form.shown("(0.66 λs λ ρw^⅓ √f′c + Nu / 6Ag) bw d", "(8 λs λ ρw^⅓ √f′c + Nu / 6Ag) bw d"),
                        "({0} + {1}) × {2} × {3}",
                        vc,
                        Quantity.FORCE,
                        Clause.of("22.5.5.1 (c)"),
                        in(stress - axial, Quantity.STRESS),
                        in(axial, Quantity.STRESS),
                        in(s.bw(), Quantity.LENGTH),
                        in(s.d(), Quantity.LENGTH));
            }
        }
        return vc;
    }

    /** λs = √(2 / (1 + 0.004 d)) ≤ 1, or √(2 / (1 + d/10)) in inches (22.5.5.1.3). */
    double sizeFactor(double d) {
        double divisor = form == UnitForm.SI ? 1 + 0.004 * d : 1 + d / UnitForm.INCH / 10;
        return Math.min(1, Math.sqrt(2 / divisor));
    }
}
