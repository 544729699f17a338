package kolonne.core.code.en1992;

import static kolonne.core.explain.Trace.in;

import kolonne.core.code.Torsion;
import kolonne.core.code.TorsionSection;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;

/** Torsion by EN 1992-1-1 section 6.3: thin-walled closed section, struts at 45° for torsion and the shear beside it. The web alone resists. */
final class EnTorsion implements Torsion {
    /** Torques below this part of TRd,c are neglected; the code gives no such value. */
    private static final double NEGLECTED = 0.1;

    private final En1992 code;
    private final EnShear shear;

    EnTorsion(En1992 code, EnShear shear) {
        this.code = code;
        this.shear = shear;
    }

    /** The wall: thickness, area within its middle line and length of that line [mm, mm2, mm]. */
    private record Wall(double tef, double ak, double uk) {
        static Wall of(double bw, double h, double inset) {
            double t = Math.min(Math.max(bw * h / (2 * (bw + h)), 2 * inset), Math.min(bw, h) / 2);
            return new Wall(t, (bw - t) * (h - t), 2 * (bw + h - 2 * t));
        }

        static Wall round(double d, double inset) {
            double t = Math.min(Math.max(d / 4, 2 * inset), d / 2);
            return new Wall(t, Math.PI * (d - t) * (d - t) / 4, Math.PI * (d - t));
        }
    }

    private static Wall wall(TorsionSection s) {
        return s.round() ? Wall.round(s.bw(), s.inset()) : Wall.of(s.bw(), s.h(), s.inset());
    }

    @Override
    public double threshold(double fc, double acp, double pcp, boolean square, Trace t) {
        // without links known the wall is A / u thick
        double tef = acp / pcp;
        // along the middle of the wall; of all corners round ones lose least by it
        double ak = acp - pcp * tef / 2 + (square ? 1 : Math.PI / 4) * tef * tef;
        double trdc = code.fctd(fc) * tef * 2 * ak;
        if (t.on()) {
            t.say(
                    "",
                    "The code names no torque that may be neglected: a tenth of TRd,c is a choice of Kolonne.",
                    thresholdClause());
            t.step(
                    "0.1 TRd,c",
                    "0.1 fctd tef 2 Ak",
                    "0.1 × {0} × {1} × 2 Ak",
                    NEGLECTED * trdc,
                    Quantity.MOMENT,
                    thresholdClause(),
                    in(code.fctd(fc), Quantity.STRESS),
                    in(tef, Quantity.LENGTH));
        }
        return NEGLECTED * trdc;
    }

    /** The threshold is a choice of Kolonne, whatever the axial force. */
    @Override
    public double axialFactor(double nu, double ag, double fc, Trace t) {
        return 1;
    }

    @Override
    public Clause thresholdClause() {
        return Clause.of("6.3.1");
    }

    @Override
    public boolean flangeCounts() {
        return false;
    }

    /** TRd,c = fctd tef 2 Ak (6.26 with τ = fctd). */
    @Override
    public double cracking(TorsionSection s, Trace t) {
        Wall w = wall(s);
        double torque = code.fctd(s.fc()) * w.tef() * 2 * w.ak();
        if (t.on()) {
            t.step(
                    "TRd,c",
                    "fctd tef 2 Ak",
                    "{0} × {1} × 2 × {2}",
                    torque,
                    Quantity.MOMENT,
                    crackingClause(),
                    in(code.fctd(s.fc()), Quantity.STRESS),
                    in(w.tef(), Quantity.LENGTH),
                    in(w.ak(), Quantity.AREA));
        }
        return torque;
    }

    @Override
    public Clause crackingClause() {
        return Clause.of("6.3.2(5)");
    }

    /** TEd / (2 Ak fywd cot 45°), from (6.27) and (6.8). */
    @Override
    public double legSteel(double torque, TorsionSection s, Trace t) {
        Wall w = wall(s);
        double fywd = code.designSteel(s.fyt());
        double leg = torque / (2 * w.ak() * fywd);
        if (t.on()) {
            t.step(
                    "tef",
                    "max(A / u, twice the way to the middle of the bars)",
                    "bars {0} inside the face",
                    w.tef(),
                    Quantity.LENGTH,
                    Clause.of("6.3.2(1)"),
                    in(s.inset(), Quantity.LENGTH));
            t.step(
                    "At/s",
                    "TEd / (2 Ak fywd cot 45°)",
                    "{0} / (2 × {1} × {2})",
                    leg,
                    Quantity.AREA_PER_LENGTH,
                    legClause(),
                    in(torque, Quantity.MOMENT),
                    in(w.ak(), Quantity.AREA),
                    in(fywd, Quantity.STRESS));
        }
        return leg;
    }

    @Override
    public Clause legClause() {
        return Clause.of("6.3.2(2)");
    }

    /** ΣAsl = TEd uk cot 45° / (2 Ak fyd), (6.28). */
    @Override
    public double longitudinalSteel(double torque, TorsionSection s, Trace t) {
        Wall w = wall(s);
        double fyd = code.designSteel(s.fy());
        double al = torque * w.uk() / (2 * w.ak() * fyd);
        if (t.on()) {
            t.step(
                    "ΣAsl",
                    "TEd uk cot 45° / (2 Ak fyd)",
                    "{0} × {1} / (2 × {2} × {3})",
                    al,
                    Quantity.AREA,
                    longitudinalClause(),
                    in(torque, Quantity.MOMENT),
                    in(w.uk(), Quantity.LENGTH),
                    in(w.ak(), Quantity.AREA),
                    in(fyd, Quantity.STRESS));
        }
        return al;
    }

    @Override
    public double longitudinalMinimum(double torque, TorsionSection s, Trace t) {
        return 0;
    }

    @Override
    public Clause thrustClause() {
        return longitudinalClause();
    }

    @Override
    public Clause longitudinalClause() {
        return Clause.of("6.3.2(3)");
    }

    /** TEd / TRd,max + VEd / VRd,max ≤ 1 with θ = 45° (6.29, 6.30). */
    @Override
    public double limitUse(double v, double torque, TorsionSection s, double d, double shearLimit, Trace t) {
        Wall w = wall(s);
        double trd = 2 * shear.nu(s.fc()) * code.fcd(s.fc()) * w.ak() * w.tef() * 0.5;
        double use = torque / trd + v / shearLimit;
        if (t.on()) {
            t.step(
                    "TRd,max",
                    "2 ν αcw fcd Ak tef sin θ cos θ",
                    "2 × {0} × {1} × {2} × {3} × 0.5",
                    trd,
                    Quantity.MOMENT,
                    Clause.of("6.3.2(4), (6.30)"),
                    in(shear.nu(s.fc()), Quantity.NUMBER),
                    in(code.fcd(s.fc()), Quantity.STRESS),
                    in(w.ak(), Quantity.AREA),
                    in(w.tef(), Quantity.LENGTH));
            t.step(
                    "TEd/TRd,max + VEd/VRd,max",
                    "",
                    "{0} / {1} + {2} / {3}",
                    use,
                    Quantity.UTILISATION,
                    limitClause(),
                    in(torque, Quantity.MOMENT),
                    in(trd, Quantity.MOMENT),
                    in(v, Quantity.FORCE),
                    in(shearLimit, Quantity.FORCE));
        }
        return use;
    }

    @Override
    public Clause limitClause() {
        return Clause.of("6.3.2(4)");
    }

    /** u / 8, and the least dimension (9.2.3(3)). */
    @Override
    public double stirrupSpacing(TorsionSection s) {
        double u = s.round() ? Math.PI * s.bw() : 2 * (s.bw() + s.h());
        return Math.min(u / 8, Math.min(s.bw(), s.h()));
    }

    @Override
    public Clause stirrupSpacingClause() {
        return Clause.of("9.2.3(3)");
    }

    @Override
    public double barSpacing() {
        return 350;
    }

    @Override
    public double leastBar(double spacing) {
        return 0;
    }

    @Override
    public Clause barClause() {
        return Clause.of("9.2.3(4)");
    }

    @Override
    public Clause anchorageClause() {
        return Clause.of("9.2.3(4)");
    }

    @Override
    public double extension(double bw, double d) {
        return 0;
    }
}
