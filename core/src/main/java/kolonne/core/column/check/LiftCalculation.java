package kolonne.core.column.check;

import static kolonne.core.explain.Trace.in;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import kolonne.core.analysis.Analysis;
import kolonne.core.code.DesignCode;
import kolonne.core.code.Notation;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.ColumnSteel;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Step;
import kolonne.core.explain.Trace;
import kolonne.core.model.Combination;
import kolonne.core.model.StiffnessFactors;
import kolonne.core.section.BorneForces;
import kolonne.core.section.ColumnSection;
import kolonne.core.section.InteractionSurface;
import kolonne.core.section.StrengthSurface;

/** The calculation of a lift of a column: what makes up a demand and its strength, step by step, and the worst of every other check. */
public final class LiftCalculation {
    private LiftCalculation() {}

    /** Of a lift for one demand. @param number of the demand among those of its combination */
    public static List<Step> of(
            ColumnStack stack, ColumnCage whole, int part, ColumnContext context, int combination, int number) {
        ColumnStack.Lift lift = stack.lifts().get(part);
        ColumnCage.LiftCage cage = whole.lifts().get(part);
        Trace t = Trace.recording();
        DesignCode code = context.basis().designCode();
        LiftDemands demands = new LiftDemands(lift, context);
        List<LiftDemands.Demand> here = new ArrayList<>();
        Trace second = Trace.recording();
        demands.of(combination, ColumnSteel.of(lift, cage, context.basis()), here, second);
        LiftDemands.Demand d = here.get(Math.min(number, here.size() - 1));
        t.say(
                "Demand",
                context.strength().combination(combination).name() + ", " + ColumnCheck.words(d)
                        + (d.magnified() ? ", slender: the largest moments along the lift, magnified" : ""),
                Clause.NONE);
        LiftDemands.Sway s = demands.sway();
        t.step(
                "δs",
                "1 / (1 − Q), where Q > "
                        + String.format(
                                java.util.Locale.ROOT,
                                "%.2f",
                                code.slenderness().bracedIndex()),
                "Qx = {0}, Qy = {1}",
                Math.max(s.deltaMx(), s.deltaMy()),
                Quantity.NUMBER,
                code.slenderness().swayClause(),
                in(s.qx(), Quantity.NUMBER),
                in(s.qy(), Quantity.NUMBER));
        inForces(s, context, t);
        StiffnessFactors columns = context.index().building().options().columns();
        StiffnessFactors beams = context.index().building().options().beams();
        t.say(
                "EI behind Q",
                String.format(
                        java.util.Locale.ROOT,
                        "of the gross sections, as the model has it: columns %.2f, beams %.2f, where members have no factors of their own",
                        columns.iy(),
                        beams.iy()),
                code.slenderness().stiffnessClause());
        if (d.place() == LiftDemands.Place.MIDDLE) {
            second.steps().forEach(t::step);
        }
        t.step(code.notation().column().axial(), "compression positive", "", d.p(), Quantity.FORCE, Clause.NONE);
        MomentParts parts = demands.parts(d);
        moment(code.notation().column().momentX(), "about the width's axis", d.mx(), parts.x(), t);
        moment(code.notation().column().momentY(), "about the depth's axis", d.my(), parts.y(), t);
        strength(lift, cage, context, d, code, t);
        shear(lift, cage, context, demands, combination, t);
        EndMoments ends = EndMoments.of(stack, lift, cage, context, demands);
        new ColumnTorsion(lift, cage, context, demands).explain(combination, here, ends, t);
        LiftDemands over = lift.highest() ? null : new LiftDemands(stack.lifts().get(part + 1), context);
        ColumnCheck.tell(stack, whole, demands, ends, over, context, t);
        return t.steps();
    }

    private static void moment(String symbol, String axis, double m, MomentParts.Part p, Trace t) {
        t.step(
                symbol,
                axis + ": sustained + other loads + eccentricity + second order",
                "{0} + {1} + {2} + {3}",
                m,
                Quantity.MOMENT,
                Clause.NONE,
                in(p.sustained(), Quantity.MOMENT),
                in(p.others(), Quantity.MOMENT),
                in(p.eccentricity(), Quantity.MOMENT),
                in(p.secondOrder(), Quantity.MOMENT));
    }

    /** What of the second order the analysis has put into the forces, so that it is not added again. */
    private static void inForces(LiftDemands.Sway s, ColumnContext context, Trace t) {
        List<Combination.Term> terms = context.sway().pDelta();
        if (terms.isEmpty()) {
            return;
        }
        String cases = terms.stream()
                .map(q -> String.format(java.util.Locale.ROOT, "%.2f %s", q.factor(), q.loadCase()))
                .collect(Collectors.joining(" + "));
        t.say(
                "P-Delta of the analysis",
                "The forces have the second order of sidesway under " + cases
                        + ": Q is of what combinations press more. Along the lift nothing is left out.",
                context.basis().designCode().slenderness().swayClause());
        t.step(
                "in the forces",
                "second over first order of sidesway, 1 + ΣPd Δ / (V lc)",
                "about x {0}, about y {1}",
                Math.max(s.heldMx(), s.heldMy()),
                Quantity.NUMBER,
                context.basis().designCode().slenderness().swayClause(),
                in(s.heldMx(), Quantity.NUMBER),
                in(s.heldMy(), Quantity.NUMBER));
    }

    private static void shear(
            ColumnStack.Lift lift,
            ColumnCage.LiftCage cage,
            ColumnContext context,
            LiftDemands demands,
            int combination,
            Trace t) {
        for (int axis = 0; axis < 2; axis++) {
            t.say(
                    "Shear along " + (axis == 0 ? "x" : "y"),
                    context.strength().combination(combination).name(),
                    context.basis().designCode().shearClause());
            double total = context.basis()
                    .designCode()
                    .shear(
                            ColumnTieCheck.shearInput(
                                    lift, cage, context.basis(), axis, demands.leastAxial(combination)),
                            t)
                    .total();
            double v = demands.shear(combination, axis == 0 ? Analysis.VY : Analysis.VZ);
            String use = context.basis().designCode().notation().uses().shear();
            t.step(
                    use,
                    use,
                    "{0} / {1}",
                    v / total,
                    Quantity.UTILISATION,
                    context.basis().designCode().shearClause(),
                    in(v, Quantity.FORCE),
                    in(total, Quantity.FORCE));
        }
    }

    private static void strength(
            ColumnStack.Lift lift,
            ColumnCage.LiftCage cage,
            ColumnContext context,
            LiftDemands.Demand d,
            DesignCode code,
            Trace t) {
        StrengthSurface surface = context.surface(lift.section(), lift.material(), cage);
        InteractionSurface.Hit hit = surface.exact(d.p(), d.mx(), d.my());
        ColumnSection.Resultant r = hit.nominal();
        Notation n = code.notation();
        t.say(
                "Axial force with bending",
                "Strain compatibility along the ray of the demand",
                code.axialBendingClause());
        t.step("θ", "direction of the compression side", "", hit.theta(), Quantity.ANGLE, code.axialBendingClause());
        t.step(
                n.column().neutralAxis().symbol(),
                n.column().neutralAxis().formula(),
                "",
                hit.c(),
                Quantity.LENGTH,
                code.axialBendingClause());
        t.step(
                n.column().strain(),
                "strain of the outermost bar",
                "",
                r.epsT(),
                Quantity.STRAIN,
                code.axialBendingClause());
        code.reductionClause()
                .ifPresent(clause -> t.step(
                        "φ", "from εt", "εt = {0}", r.phi(), Quantity.NUMBER, clause, in(r.epsT(), Quantity.STRAIN)));
        t.step(n.column().strength(), "concrete and bars", "", r.N(), Quantity.FORCE, code.axialBendingClause());
        t.step(
                n.column().moment(),
                "√(Mx² + My²)",
                "√({0}² + {1}²)",
                Math.hypot(r.Mx(), r.My()),
                Quantity.MOMENT,
                code.axialBendingClause(),
                in(r.Mx(), Quantity.MOMENT),
                in(r.My(), Quantity.MOMENT));
        context.rules(cage)
                .axialCap(
                        lift.material().fc(),
                        context.basis().fy(),
                        lift.section().shape().A(),
                        cage.area(),
                        t);
        double m = Math.hypot(d.mx(), d.my());
        if (hit.capped()) {
            String use = n.uses().axial();
            t.step(
                    use,
                    use,
                    "{0} / {1}",
                    hit.utilisation(),
                    Quantity.UTILISATION,
                    code.axialCapClause(),
                    in(d.p(), Quantity.FORCE),
                    in(surface.axialCap(), Quantity.FORCE));
        } else {
            t.step(
                    n.uses().flexure(),
                    "on the ray, the axial force with it",
                    "{0} / {1}",
                    hit.utilisation(),
                    Quantity.UTILISATION,
                    code.axialBendingClause(),
                    in(m, Quantity.MOMENT),
                    in(m / hit.utilisation(), Quantity.MOMENT));
        }
        borne(surface, d, n, t);
    }

    /** How far the axial force may fall or rise while the moments stay. */
    private static void borne(StrengthSurface surface, LiftDemands.Demand d, Notation n, Trace t) {
        Optional<BorneForces> range = BorneForces.of(surface, d.p(), d.mx(), d.my());
        if (range.isEmpty()) {
            t.say("Range of the axial force", "none bears these moments", Clause.NONE);
            return;
        }
        String axial = n.column().axial();
        t.step(
                axial + ",min",
                "least that bears the same moments",
                "",
                range.get().least(),
                Quantity.FORCE,
                Clause.NONE);
        t.step(axial + ",max", "greatest that bears them", "", range.get().most(), Quantity.FORCE, Clause.NONE);
    }
}
