package kolonne.core.column.choice;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import kolonne.core.basis.Basis;
import kolonne.core.check.CheckKind;
import kolonne.core.check.CheckResult;
import kolonne.core.check.Governing;
import kolonne.core.code.Bar;
import kolonne.core.code.DesignCode;
import kolonne.core.column.cage.BarLayout;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.HandLift;
import kolonne.core.column.cage.TieSpacing;
import kolonne.core.column.check.ColumnCheck;
import kolonne.core.column.check.ColumnContext;
import kolonne.core.column.check.ColumnTieCheck;
import kolonne.core.column.check.EndMoments;
import kolonne.core.column.check.TieLimits;
import kolonne.core.column.line.ColumnStack;

/** Ties of a lift whose bars are chosen: their size, which bars they hold, and their spacings. */
final class TieChoice {
    /** Checks that the size and spacing of ties decide. */
    private static final Set<CheckKind> OF_TIES = EnumSet.of(
            CheckKind.COLUMN_SHEAR_X,
            CheckKind.COLUMN_SHEAR_Y,
            CheckKind.COLUMN_SHEAR_BOTH,
            CheckKind.COLUMN_TORSION_X,
            CheckKind.COLUMN_TORSION_Y,
            CheckKind.COLUMN_TORSION_SPACING,
            CheckKind.COLUMN_TIE_SPACING,
            CheckKind.COLUMN_END_TIES,
            CheckKind.COLUMN_JOINT_TIES,
            CheckKind.COLUMN_CONFINEMENT_X,
            CheckKind.COLUMN_CONFINEMENT_Y,
            CheckKind.COLUMN_HELD_DISTANCE,
            CheckKind.COLUMN_EVERY_BAR_HELD,
            CheckKind.COLUMN_SPIRAL_CLEAR,
            CheckKind.COLUMN_SPIRAL_RATIO,
            CheckKind.COLUMN_MINIMUM_TIES_X,
            CheckKind.COLUMN_MINIMUM_TIES_Y);

    private final ColumnStack.Lift lift;
    private final List<Borne> borne;
    /** What people have set of the lift. */
    private final HandLift hand;

    private final ColumnContext context;
    private final Basis basis;
    private final DesignCode code;

    TieChoice(ColumnStack.Lift lift, List<Borne> borne, HandLift hand, ColumnContext context) {
        this.lift = lift;
        this.borne = borne;
        this.hand = hand;
        this.context = context;
        this.basis = context.basis();
        this.code = basis.designCode();
    }

    /** Ties: held bars by the code's rule, spacing in the basis's step, more legs, then a larger bar, for shear and confinement. */
    ColumnCage.LiftCage tied(ColumnCage.LiftCage c) {
        ColumnCage.LiftCage last = null;
        double[] gaps = c.layout().gaps(lift.section().shape(), ColumnTieCheck.inset(c, basis));
        for (Bar tie : tieSizes(c.tie())) {
            ColumnCage.LiftCage size =
                    new ColumnCage.LiftCage(c.layout(), tie, basis.stirrups().least());
            List<EndMoments> ends = borne.stream()
                    .map(b -> EndMoments.of(b.stack(), b.lift(), size, context, b.demands()))
                    .toList();
            for (BarLayout layout : heldLayouts(c.layout(), gaps)) {
                ColumnCage.LiftCage trial =
                        new ColumnCage.LiftCage(layout, tie, basis.stirrups().least());
                Search choice = new Search(trial, ends);
                boolean found = hand.ties() == null ? choice.find() : choice.serves(set(trial));
                last = trial.with(hand.ties() == null ? choice.spacing() : set(trial));
                if (found) {
                    return last;
                }
            }
        }
        return last;
    }

    /** Spacings that people have set; a spiral has one pitch from end to end. */
    private TieSpacing set(ColumnCage.LiftCage trial) {
        TieSpacing s = hand.ties().spacing();
        return trial.wound() ? new TieSpacing(s.joint(), s.middle(), s.middle(), 0, 0) : s;
    }

    /** Sizes of ties to look among. @param least that the bars ask for */
    private List<Bar> tieSizes(Bar least) {
        return hand.ties() != null
                ? List.of(hand.ties().bar())
                : basis.stirrupList().stream()
                        .filter(t -> t.diameter() >= least.diameter())
                        .toList();
    }

    /** The bars as they may be held: as people have set them; else by the code's rule, then all of them. */
    private List<BarLayout> heldLayouts(BarLayout layout, double[] gaps) {
        return hand.holds()
                ? List.of(layout)
                : List.of(
                        HeldBars.of(layout, gaps, code.columns().greatestUnheldDistance()),
                        HeldBars.of(layout, gaps, 0));
    }

    /** Looks for the largest spacings of ties of a size and arrangement. */
    private final class Search {
        private final ColumnCage.LiftCage trial;
        private final List<EndMoments> ends;
        private final TieSpacing limit;
        private final double step;
        private final double least;
        private double end;
        private double middle;
        /** Of hoops in the joints of a column with a spiral. */
        private double hoops;

        Search(ColumnCage.LiftCage trial, List<EndMoments> ends) {
            this.trial = trial;
            this.ends = ends;
            List<TieSpacing> limits = borne.stream()
                    .map(b -> TieLimits.of(b.lift(), trial, context, false, false))
                    .toList();
            this.limit = limits.stream().reduce(Search::smaller).orElseThrow();
            this.step = trial.wound() ? pitchStep() : basis.stirrups().step();
            // turns of a spiral lie as near as concrete passes between them
            this.least = trial.wound()
                    ? Math.ceil((code.spirals().leastClear(basis.aggregate())
                                                    + trial.tie().diameter())
                                            / step
                                    - 1e-9)
                            * step
                    : basis.stirrups().least();
            this.middle = stepped(Math.min(basis.stirrups().most(), limit.middle()));
            this.end = stepped(Math.min(middle, limit.end()));
            this.hoops = hoops();
        }

        private static TieSpacing smaller(TieSpacing a, TieSpacing b) {
            return new TieSpacing(
                    Math.min(a.joint(), b.joint()),
                    Math.min(a.end(), b.end()),
                    Math.min(a.middle(), b.middle()),
                    Math.max(a.foot(), b.foot()),
                    Math.max(a.head(), b.head()));
        }

        /** Pitches are told to 5 mm, or a quarter of an inch. */
        private double pitchStep() {
            return basis.usUnits() ? 6.35 : 5;
        }

        private double stepped(double s) {
            return Math.floor(s / step + 1e-9) * step;
        }

        private double reaching(double s) {
            return Math.ceil(s / step - 1e-6) * step;
        }

        /** The spacings as they are now, none under the practical minimum; closer ties reach up to the next step. */
        TieSpacing spacing() {
            double m = Math.max(least, middle);
            double e = Math.max(least, Math.min(end, m));
            if (trial.wound()) {
                return new TieSpacing(hoops, m, m, 0, 0);
            }
            boolean closer = Math.max(limit.foot(), limit.head()) > 0 && e < m;
            double joint = Math.max(least, Math.min(closer ? e : m, stepped(limit.joint())));
            return closer
                    ? new TieSpacing(joint, e, m, reaching(limit.foot()), reaching(limit.head()))
                    : new TieSpacing(joint, m, m, 0, 0);
        }

        /** As far apart as they may be, in the step of ties. */
        private double hoops() {
            double by = basis.stirrups().step();
            double most = Math.min(basis.stirrups().most(), limit.joint());
            return Math.max(basis.stirrups().least(), Math.floor(most / by + 1e-9) * by);
        }

        /** Goes down step by step, between the ends or next to the joints, wherever something is not met; whether all is met in the end. */
        boolean find() {
            while (middle >= least && end >= least) {
                CheckResult unmet = unmet(spacing());
                if (unmet == null) {
                    return true;
                }
                if (!decided(unmet.kind())) {
                    return false;
                }
                if (trial.wound() && unmet.kind() == CheckKind.COLUMN_JOINT_TIES) {
                    if (hoops <= basis.stirrups().least()) {
                        return false;
                    }
                    hoops = Math.max(
                            basis.stirrups().least(), hoops - basis.stirrups().step());
                } else if (unmet.place().equals(ColumnTieCheck.ENDS) && Math.max(limit.foot(), limit.head()) > 0) {
                    end -= step;
                } else {
                    middle -= step;
                    end = Math.min(end, middle);
                }
            }
            return false;
        }

        /** Whether ties at these spacings meet all that is asked of them. */
        boolean serves(TieSpacing set) {
            return unmet(set) == null;
        }

        /** Whether a smaller spacing helps. */
        private boolean decided(CheckKind kind) {
            return kind != CheckKind.COLUMN_HELD_DISTANCE && kind != CheckKind.COLUMN_EVERY_BAR_HELD;
        }

        /** An unmet check of the ties, by the same checks that judge the final cage; null if all are met. */
        private CheckResult unmet(TieSpacing spacing) {
            ColumnCage.LiftCage c = trial.with(spacing);
            for (int i = 0; i < borne.size(); i++) {
                Borne b = borne.get(i);
                Governing g = new Governing((x, number) -> ColumnCheck.WHOLE);
                new ColumnTieCheck(b.lift(), c, context, b.demands(), ends.get(i), g).run();
                for (CheckResult r : g.results()) {
                    if (OF_TIES.contains(r.kind()) && !r.satisfied()) {
                        return r;
                    }
                }
            }
            return null;
        }
    }
}
