package kolonne.core.code.aci318;

import static kolonne.core.explain.Trace.in;

import kolonne.core.code.Torsion;
import kolonne.core.code.TorsionSection;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;

/** Torsion by ACI 318-19 section 22.7: thin-walled tube, space truss at 45°. */
final class AciTorsion implements Torsion {
    private static final double PHI = Aci318.PHI_SHEAR;
    /** Ao over Aoh (22.7.6.1.1). */
    private static final double AO = 0.85;

    private final UnitForm form;

    AciTorsion(UnitForm form) {
        this.form = form;
    }

    /** φ 0.083 λ √f'c Acp² / pcp (φ λ √f'c in psi), table 22.7.4.1 a. */
    @Override
    public double threshold(double fc, double acp, double pcp, boolean square, Trace t) {
        return tube("φTth", "0.083", "", form.rootStress(0.083, 1, fc), acp, pcp, thresholdClause(), t);
    }

    /** √(1 + Nu / (0.33 Ag λ √f'c)) (4 Ag λ √f'c in psi), table 22.7.4.1 a. */
    @Override
    public double axialFactor(double nu, double ag, double fc, Trace t) {
        double stress = form.rootStress(0.33, 4, fc);
        double factor = Math.sqrt(Math.max(0, 1 + nu / (ag * stress)));
        if (t.on()) {
            t.step(
                    "φTth under Nu / φTth",
                    form.shown("√(1 + Nu / (0.33 Ag λ √f′c))", "√(1 + Nu / (4 Ag λ √f′c))"),
                    "√(1 + {0} / ({1} × {2}))",
                    factor,
                    Quantity.NUMBER,
                    thresholdClause(),
                    in(nu, Quantity.FORCE),
                    in(ag, Quantity.AREA),
                    in(stress, Quantity.STRESS));
        }
        return factor;
    }

    @Override
    public Clause thresholdClause() {
        return Clause.of("22.7.4.1");
    }

    /** 9.2.4.4. */
    @Override
    public boolean flangeCounts() {
        return true;
    }

    /** φ 0.33 λ √f'c Acp² / pcp (φ 4 λ √f'c in psi), table 22.7.5.1 a. */
    @Override
    public double cracking(TorsionSection s, Trace t) {
        return tube("φTcr", "0.33", "4 ", form.rootStress(0.33, 4, s.fc()), s.acp(), s.pcp(), crackingClause(), t);
    }

    private double tube(
            String symbol, String si, String us, double stress, double acp, double pcp, Clause clause, Trace t) {
        double torque = PHI * stress * acp * acp / pcp;
        if (t.on()) {
            t.step(
                    symbol,
                    form.shown("φ " + si + " λ √f′c Acp² / pcp", "φ " + us + "λ √f′c Acp² / pcp"),
                    "0.75 × {0} × {1}² / {2}",
                    torque,
                    Quantity.MOMENT,
                    clause,
                    in(stress, Quantity.STRESS),
                    in(acp, Quantity.AREA),
                    in(pcp, Quantity.LENGTH));
        }
        return torque;
    }

    @Override
    public Clause crackingClause() {
        return Clause.of("22.7.5.1");
    }

    /** fy and fyt in torsion are at most 420 MPa, 60 000 psi (table 20.2.2.4 a). */
    private double capped(double f) {
        return Math.min(f, form.stress(420, 60_000));
    }

    /** Tn = 2 Ao At fyt cot θ / s, θ = 45° (22.7.6.1 a, 22.7.6.1.2 a). */
    @Override
    public double legSteel(double torque, TorsionSection s, Trace t) {
        double ao = AO * s.aoh();
        double at = torque / (PHI * 2 * ao * capped(s.fyt()));
        if (t.on()) {
            t.step(
                    "Ao",
                    "0.85 Aoh",
                    "0.85 × {0}",
                    ao,
                    Quantity.AREA,
                    Clause.of("22.7.6.1.1"),
                    in(s.aoh(), Quantity.AREA));
            t.step(
                    "At/s",
                    "Tu / (φ 2 Ao fyt cot 45°)",
                    "{0} / (0.75 × 2 × {1} × {2})",
                    at,
                    Quantity.AREA_PER_LENGTH,
                    legClause(),
                    in(torque, Quantity.MOMENT),
                    in(ao, Quantity.AREA),
                    in(capped(s.fyt()), Quantity.STRESS));
        }
        return at;
    }

    @Override
    public Clause legClause() {
        return Clause.of("22.7.6.1");
    }

    /** Al = At/s ph fyt / fy cot² θ (22.7.6.1 b). */
    @Override
    public double longitudinalSteel(double torque, TorsionSection s, Trace t) {
        double at = legSteel(torque, s, Trace.OFF);
        double al = at * s.ph() * capped(s.fyt()) / capped(s.fy());
        if (t.on()) {
            t.step(
                    "Al",
                    "(At/s) ph fyt / fy",
                    "{0} × {1} × {2} / {3}",
                    al,
                    Quantity.AREA,
                    Clause.of("22.7.6.1"),
                    in(at, Quantity.AREA_PER_LENGTH),
                    in(s.ph(), Quantity.LENGTH),
                    in(capped(s.fyt()), Quantity.STRESS),
                    in(capped(s.fy()), Quantity.STRESS));
        }
        return al;
    }

    /** Lesser of 9.6.4.3 a and b: it falls as the stirrups that the torque asks for grow. */
    @Override
    public double longitudinalMinimum(double torque, TorsionSection s, Trace t) {
        double fy = capped(s.fy());
        double fyt = capped(s.fyt());
        double gross = form.plainStress(0.42, 5, s.fc()) * s.acp() / fy;
        double stirrup = Math.max(legSteel(torque, s, Trace.OFF), form.stress(0.175, 25) * s.bw() / fyt);
        double least = Math.max(0, gross - stirrup * s.ph() * fyt / fy);
        if (t.on()) {
            t.step(
                    "Al,min",
                    form.shown(
                            "0.42 √f′c Acp / fy − max(At/s, 0.175 bw / fyt) ph fyt / fy",
                            "5 √f′c Acp / fy − max(At/s, 25 bw / fyt) ph fyt / fy"),
                    "{0} − {1} × {2} × {3} / {4}",
                    least,
                    Quantity.AREA,
                    Clause.of("9.6.4.3"),
                    in(gross, Quantity.AREA),
                    in(stirrup, Quantity.AREA_PER_LENGTH),
                    in(s.ph(), Quantity.LENGTH),
                    in(fyt, Quantity.STRESS),
                    in(fy, Quantity.STRESS));
        }
        return least;
    }

    @Override
    public Clause thrustClause() {
        return Clause.of("22.7.6.1");
    }

    @Override
    public Clause longitudinalClause() {
        return Clause.of("22.7.6.1, 9.6.4.3");
    }

    /** √((Vu / bw d)² + (Tu ph / 1.7 Aoh²)²) ≤ φ (Vc / bw d + 0.66 √f'c), solid sections (22.7.7.1 a). */
    @Override
    public double limitUse(double shear, double torque, TorsionSection s, double d, double shearLimit, Trace t) {
        double v = shear / (s.bw() * d);
        double tau = torque * s.ph() / (1.7 * s.aoh() * s.aoh());
        double limit = shearLimit / (s.bw() * d);
        double together = Math.sqrt(v * v + tau * tau);
        double use = together / limit;
        if (t.on()) {
            t.step(
                    "vu",
                    "√((Vu / bw d)² + (Tu ph / 1.7 Aoh²)²)",
                    "√({0}² + {1}²)",
                    together,
                    Quantity.STRESS,
                    limitClause(),
                    in(v, Quantity.STRESS),
                    in(tau, Quantity.STRESS));
            t.step(
                    "vu / φvn,max",
                    form.shown("vu / φ (Vc / bw d + 0.66 √f′c)", "vu / φ (Vc / bw d + 8 √f′c)"),
                    "{0} / {1}",
                    use,
                    Quantity.UTILISATION,
                    limitClause(),
                    in(together, Quantity.STRESS),
                    in(limit, Quantity.STRESS));
        }
        return use;
    }

    @Override
    public Clause limitClause() {
        return Clause.of("22.7.7.1");
    }

    @Override
    public double stirrupSpacing(TorsionSection s) {
        return Math.min(s.ph() / 8, form.length(300, 12));
    }

    @Override
    public Clause stirrupSpacingClause() {
        return Clause.of("9.7.6.3.3");
    }

    @Override
    public double barSpacing() {
        return form.length(300, 12);
    }

    @Override
    public double leastBar(double spacing) {
        // a nominal No. 10 or #3 bar measures 9.5 mm
        return Math.max(0.042 * spacing, 9.5);
    }

    @Override
    public Clause barClause() {
        return Clause.of("9.7.5.1, 9.7.5.2");
    }

    @Override
    public Clause anchorageClause() {
        return Clause.of("9.7.5.4");
    }

    /** bt + d (9.7.5.3, 9.7.6.3.2). */
    @Override
    public double extension(double bw, double d) {
        return bw + d;
    }
}
