package kolonne.core.single;

import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import kolonne.core.code.DesignCode;
import kolonne.core.code.ShearInput;
import kolonne.core.code.Torsion;
import kolonne.core.code.TorsionSection;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;
import kolonne.core.section.ColumnTube;
import kolonne.core.section.Developed;
import kolonne.core.section.PlacedBar;
import kolonne.core.section.StrengthSurface;
import kolonne.core.section.TorsionTube;
import kolonne.core.shape.Shape;
import kolonne.core.single.SectionUses.Use;
import kolonne.core.single.SingleSection.Forces;
import kolonne.core.single.SingleSection.Spot;
import kolonne.core.single.SingleSection.Stirrup;

/**
 * Torsion of a column section by the closed ties of its outline, of an ell or a tee by those of its sturdier leg.
 *
 * @param bars   about the centroid
 * @param fy     of the bars, {@code fyt} of the stirrups [MPa]
 * @param left   the strength surface with what torsion leaves of the bars
 */
record ColumnTwist(
        Shape shape,
        double fc,
        double fy,
        double fyt,
        double cover,
        double thickest,
        List<PlacedBar> bars,
        Stirrup stirrup,
        ColumnShear shear,
        DesignCode code,
        Function<List<Developed>, StrengthSurface> left) {
    /** Of the threshold without axial force: so much is neglected whatever tension does to the threshold. */
    private static final double NEGLECTED = 0.05;

    static double thickest(List<Spot> bars) {
        return bars.stream().mapToDouble(Spot::diameter).max().orElse(0);
    }

    private ColumnTube tube() {
        return ColumnTube.of(shape, fc, fy, fyt, new TorsionTube.Wall(cover, stirrup.diameter(), thickest), code);
    }

    void uses(List<Use> out, Forces f, Trace t) {
        double torque = Math.abs(f.t());
        double least = NEGLECTED * ColumnTube.threshold(shape, fc, 0, code, Trace.OFF);
        double threshold = Math.max(least, ColumnTube.threshold(shape, fc, -f.n(), code, t));
        Torsion rules = code.torsion();
        if (torque <= threshold) {
            SectionUses.use(out, SectionUses.THRESHOLD, torque, threshold, Quantity.MOMENT, rules.thresholdClause(), t);
            return;
        }
        ColumnTube tube = tube();
        for (int axis = 0; axis < 2; axis++) {
            TorsionSection s = tube.along(axis).orElse(null);
            if (s != null) {
                leg(out, f, s, axis == 1, t);
            }
        }
        bars(out, f, tube, t);
        SectionUses.use(
                out,
                "torsion-spacing",
                stirrup.spacing(),
                rules.stirrupSpacing(tube.section()),
                Quantity.LENGTH,
                rules.stirrupSpacingClause(),
                t);
        SectionUses.use(
                out,
                "torsion-bar-spacing",
                tube.apart(bars),
                rules.barSpacing(),
                Quantity.LENGTH,
                rules.barClause(),
                t);
    }

    private void leg(List<Use> out, Forces f, TorsionSection s, boolean vertical, Trace t) {
        Torsion rules = code.torsion();
        double v = Math.abs(vertical ? f.vz() : f.vy());
        ShearInput in = shear.input(-f.n(), vertical ? f.my() : f.mz(), vertical);
        String axis = vertical ? "z" : "y";
        if (in.d() <= 0) {
            // a leg without bars carries none
            SectionUses.use(out, "torsion-" + axis, v, 0, Quantity.FORCE, rules.legClause(), t);
            return;
        }
        double leg = stirrup.spacing() > 0 ? stirrup.area() / stirrup.spacing() : 0;
        double legs = leg > 0 ? in.avs() / leg : 1;
        double needed = rules.legSteel(Math.abs(f.t()), s, t) + code.shearSteelBesideTorsion(in, v) / legs;
        // no ties carry a shear past the limit of the concrete, which its own check and the next one tell
        if (Double.isFinite(needed)) {
            SectionUses.use(out, "torsion-" + axis, needed, leg, Quantity.AREA_PER_LENGTH, rules.legClause(), t);
        }
        double use = rules.limitUse(
                v, Math.abs(f.t()), s, in.d(), code.shear(in, Trace.OFF).limit(), t);
        double torque = Math.abs(f.t());
        out.add(new Use(
                "shear-torsion-limit-" + axis, torque, torque / use, Quantity.MOMENT, use, rules.limitClause()));
    }

    /** Bars that torsion pulls all round, and bending with what that leaves of them. */
    private void bars(List<Use> out, Forces f, ColumnTube tube, Trace t) {
        Torsion rules = code.torsion();
        double torque = Math.abs(f.t());
        double area = tube.bars(bars).stream().mapToDouble(PlacedBar::area).sum();
        double steel = rules.longitudinalSteel(torque, tube.section(), t);
        SectionUses.use(out, "torsion-bars", steel, area, Quantity.AREA, rules.thrustClause(), t);
        double u = left.apply(tube.besides(torque, bars, code))
                .exact(-f.n(), f.my(), f.mz())
                .utilisation();
        double m = Math.hypot(f.my(), f.mz());
        double demand = m > 0 ? m : Math.abs(f.n());
        Use bending = new Use(
                "torsion-bending",
                demand,
                u > 0 ? demand / u : 0,
                m > 0 ? Quantity.MOMENT : Quantity.FORCE,
                u,
                rules.thrustClause());
        out.add(bending);
        if (t.on()) {
            t.say(
                    "torsion-bending",
                    String.format(Locale.ROOT, "%.3f with bars that torsion has pulled", u),
                    rules.thrustClause());
        }
    }
}
