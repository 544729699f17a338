package kolonne.core.column.choice;

import java.util.ArrayList;
import java.util.Comparator;
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
import kolonne.core.column.cage.EffectiveDepths;
import kolonne.core.column.cage.RectangleBars;
import kolonne.core.column.cage.RingBars;
import kolonne.core.column.check.ColumnCheck;
import kolonne.core.column.check.ColumnContext;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.check.ColumnTieCheck;
import kolonne.core.column.check.LiftDemands;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.section.InteractionSurface;
import kolonne.core.shape.Shape;

/**
 * Proposes the cage of a column stack from its top down: of all arrangements of counts and sizes the one with the least
 * steel whose every demand lies inside its surface, and with no fewer or smaller bars than the lift above of the same
 * section. Where none serves, the strongest is taken and the check says what is wrong.
 */
public final class ColumnDesigner {
    /** Checks that the size and spacing of ties decide. */
    private static final Set<CheckKind> OF_TIES = EnumSet.of(
            CheckKind.COLUMN_SHEAR_X,
            CheckKind.COLUMN_SHEAR_Y,
            CheckKind.COLUMN_SHEAR_BOTH,
            CheckKind.COLUMN_TIE_SPACING,
            CheckKind.COLUMN_MINIMUM_TIES_X,
            CheckKind.COLUMN_MINIMUM_TIES_Y);

    /** Screened utilisations above this are worked out exactly. */
    private static final double NEARLY_ONE = 0.96;

    private static final int MOST_ALONG = 8;
    private static final int MOST_IN_CIRCLE = 16;

    private final ColumnStack stack;
    private final ColumnContext context;
    private final Basis basis;
    private final DesignCode code;

    private ColumnDesigner(ColumnStack stack, ColumnContext context) {
        this.stack = stack;
        this.context = context;
        this.basis = context.basis();
        this.code = basis.designCode();
    }

    /** The designed stack: a cage and its checks. */
    public static ColumnDesign design(ColumnStack stack, ColumnContext context) {
        return ColumnCheck.run(stack, new ColumnDesigner(stack, context).cage(), context);
    }

    private ColumnCage cage() {
        ColumnCage.LiftCage[] out = new ColumnCage.LiftCage[stack.lifts().size()];
        ColumnCage.LiftCage above = null;
        for (int i = out.length - 1; i >= 0; i--) {
            ColumnStack.Lift lift = stack.lifts().get(i);
            boolean same = i + 1 < out.length
                    && stack.lifts()
                            .get(i + 1)
                            .section()
                            .id()
                            .equals(lift.section().id());
            out[i] = lift(lift, same ? above : null, above);
            above = out[i];
        }
        return new ColumnCage(List.of(out));
    }

    /** @param above the lift above if it has the same section; @param upper the lift above whatever its section, or null */
    private ColumnCage.LiftCage lift(ColumnStack.Lift lift, ColumnCage.LiftCage above, ColumnCage.LiftCage upper) {
        LiftDemands demands = new LiftDemands(lift, context);
        List<ColumnCage.LiftCage> all = arrangements(lift, above, ColumnCheck.leastRatio(lift, context, demands));
        if (!lift.inScope()) {
            return tied(lift, all.get(0), demands);
        }
        for (List<ColumnCage.LiftCage> some : ColumnPractice.of(lift, basis).from(all, upper)) {
            ColumnCage.LiftCage chosen = choose(some, lift, demands);
            if (chosen != null) {
                return tied(lift, chosen, demands);
            }
        }
        return tied(lift, strongest(lift, all, demands), demands);
    }

    /** The first arrangement inside whose surface every demand lies; null if there is none. */
    private ColumnCage.LiftCage choose(List<ColumnCage.LiftCage> all, ColumnStack.Lift lift, LiftDemands demands) {
        LiftDemands.Demand decisive = null;
        for (ColumnCage.LiftCage c : all) {
            InteractionSurface surface = context.surface(lift.section(), lift.material(), c);
            EffectiveDepths depths = EffectiveDepths.of(lift, c, basis);
            // the demand that failed the last arrangement most likely fails this one too
            if (decisive != null
                    && utilisation(
                                    surface,
                                    demands.of(decisive.combination(), depths).get(decisive.number()))
                            > 1) {
                continue;
            }
            LiftDemands.Demand failing = worst(surface, demands.all(depths));
            if (failing == null) {
                return c;
            }
            decisive = failing;
        }
        return null;
    }

    /** The demand that uses the section most, of those above 1; null if there is none. */
    private static LiftDemands.Demand worst(InteractionSurface surface, List<LiftDemands.Demand> demands) {
        LiftDemands.Demand worst = null;
        double highest = 1;
        for (LiftDemands.Demand d : demands) {
            double u = d.stable() ? surface.screened(d.p(), d.mx(), d.my()) : 0;
            if (u > NEARLY_ONE && (u = utilisation(surface, d)) > highest) {
                highest = u;
                worst = d;
            }
        }
        return worst;
    }

    private static double utilisation(InteractionSurface surface, LiftDemands.Demand d) {
        return surface.exact(d.p(), d.mx(), d.my()).utilisation();
    }

    /** Among the arrangements with most steel the one with the lowest highest utilisation. */
    private ColumnCage.LiftCage strongest(ColumnStack.Lift lift, List<ColumnCage.LiftCage> all, LiftDemands demands) {
        ColumnCage.LiftCage best = all.get(0);
        double lowest = Double.POSITIVE_INFINITY;
        for (ColumnCage.LiftCage c : all.subList(Math.max(0, all.size() - 12), all.size())) {
            InteractionSurface surface = context.surface(lift.section(), lift.material(), c);
            double worst = demands.all(EffectiveDepths.of(lift, c, basis)).stream()
                    .filter(LiftDemands.Demand::stable)
                    .mapToDouble(d -> surface.screened(d.p(), d.mx(), d.my()))
                    .max()
                    .orElse(0);
            if (worst < lowest) {
                lowest = worst;
                best = c;
            }
        }
        return best;
    }

    /** All arrangements that fit, within the code's limits of steel, least steel first (or fewest bars first). */
    private List<ColumnCage.LiftCage> arrangements(ColumnStack.Lift lift, ColumnCage.LiftCage above, double least) {
        Shape s = lift.section().shape();
        List<ColumnCage.LiftCage> out = new ArrayList<>();
        List<ColumnCage.LiftCage> unlimited = new ArrayList<>();
        for (Bar corner : basis.columnBarList()) {
            for (Bar face : basis.columnBarList()) {
                if (face.diameter() > corner.diameter() || s instanceof Shape.Circle && face != corner) {
                    continue;
                }
                counts(s, corner, face, unlimited);
            }
        }
        for (ColumnCage.LiftCage c : unlimited) {
            double ratio = c.area() / s.A();
            boolean legal = ratio >= least - 1e-9 && ratio <= code.columns().columnMaximumRatio() + 1e-9;
            if (legal && fits(c, s) && notLess(c, above)) {
                out.add(c);
            }
        }
        if (out.isEmpty()) {
            out.add(above != null ? above : unlimited.get(0));
        }
        Comparator<ColumnCage.LiftCage> byArea = Comparator.comparingDouble(ColumnCage.LiftCage::area);
        Comparator<ColumnCage.LiftCage> byCount = Comparator.comparingInt(ColumnCage.LiftCage::count);
        Comparator<ColumnCage.LiftCage> byCost =
                Comparator.comparingDouble(c -> c.area() + ColumnPractice.PIECE * c.count());
        out.sort(
                switch (basis.bars().preference()) {
                    case FEWEST_BARS -> byCount.thenComparing(byArea);
                    case PRACTICAL -> byCost.thenComparing(byCount);
                    default -> byArea.thenComparing(byCount);
                });
        return out;
    }

    private void counts(Shape s, Bar corner, Bar face, List<ColumnCage.LiftCage> out) {
        Bar tie = tieFor(corner);
        if (s instanceof Shape.Circle) {
            for (int n = 6; n <= MOST_IN_CIRCLE; n += 2) {
                out.add(new ColumnCage.LiftCage(
                        new RingBars(n, corner), tie, basis.stirrups().least()));
            }
            return;
        }
        for (int nx = 2; nx <= MOST_ALONG; nx++) {
            for (int ny = 2; ny <= MOST_ALONG; ny++) {
                if (nx == 2 && ny == 2 && face != corner) {
                    continue;
                }
                out.add(new ColumnCage.LiftCage(
                        new RectangleBars(nx, ny, corner, face, held(nx, 1, 0), held(ny, 1, 0)),
                        tie,
                        basis.stirrups().least()));
            }
        }
    }

    private Bar tieFor(Bar bar) {
        List<Bar> ties = basis.stirrupList();
        return ties.stream()
                .filter(t -> t.diameter() >= code.columns().smallestTie(bar))
                .findFirst()
                .orElse(ties.get(ties.size() - 1));
    }

    private boolean fits(ColumnCage.LiftCage c, Shape s) {
        double needed = code.detailing().columnClearSpacing(c.layout().largest().diameter(), basis.aggregate());
        for (double g : c.layout().gaps(s, ColumnTieCheck.inset(c, basis))) {
            if (g < needed - 1e-6) {
                return false;
            }
        }
        return true;
    }

    private static boolean notLess(ColumnCage.LiftCage c, ColumnCage.LiftCage above) {
        return above == null || c.layout().notLessThan(above.layout());
    }

    /** Ties: held bars by the code's rule, spacing in the basis's step, more legs, then a larger bar, for shear. */
    private ColumnCage.LiftCage tied(ColumnStack.Lift lift, ColumnCage.LiftCage c, LiftDemands demands) {
        ColumnCage.LiftCage last = null;
        double[] gaps = c.layout().gaps(lift.section().shape(), ColumnTieCheck.inset(c, basis));
        for (Bar tie : basis.stirrupList()) {
            if (tie.diameter() < c.tie().diameter()) {
                continue;
            }
            for (boolean all : new boolean[] {false, true}) {
                ColumnCage.LiftCage trial = new ColumnCage.LiftCage(
                        held(c.layout(), gaps, all), tie, basis.stirrups().least());
                double s = spacing(lift, trial, demands);
                last = withSpacing(trial, Math.max(s, basis.stirrups().least()));
                if (s >= basis.stirrups().least()) {
                    return last;
                }
            }
        }
        return last;
    }

    /** The bars held by the code's rule, or all of them; a ring is held by its round ties. */
    private BarLayout held(BarLayout layout, double[] gaps, boolean all) {
        double limit = all ? 0 : code.columns().greatestUnheldDistance();
        return layout instanceof RectangleBars r
                ? new RectangleBars(
                        r.alongX(),
                        r.alongY(),
                        r.corner(),
                        r.face(),
                        held(r.alongX(), gaps[0], limit),
                        held(r.alongY(), gaps[1], limit))
                : layout;
    }

    private static ColumnCage.LiftCage withSpacing(ColumnCage.LiftCage c, double s) {
        return new ColumnCage.LiftCage(c.layout(), c.tie(), s);
    }

    /** Largest spacing in the basis's step that meets tie rules and shear [mm]; may be below the practical minimum. */
    private double spacing(ColumnStack.Lift lift, ColumnCage.LiftCage c, LiftDemands demands) {
        Shape s = lift.section().shape();
        double most = Math.min(
                basis.stirrups().most(),
                code.columns()
                        .columnTieSpacing(
                                c.layout().smallest(), c.tie(), Math.min(s.width(), s.depth()), 1e9, false, false));
        double step = basis.stirrups().step();
        double spacing = Math.floor(most / step + 1e-9) * step;
        while (spacing > 0 && !shearHolds(lift, withSpacing(c, spacing), demands)) {
            spacing -= step;
        }
        return spacing;
    }

    /** Shear and tie spacing of a trial, by the same checks that judge the final cage. */
    private boolean shearHolds(ColumnStack.Lift lift, ColumnCage.LiftCage c, LiftDemands demands) {
        Governing g = new Governing((x, number) -> ColumnCheck.WHOLE);
        new ColumnTieCheck(lift, c, context, demands, g).run();
        return g.results().stream().filter(r -> OF_TIES.contains(r.kind())).allMatch(CheckResult::satisfied);
    }

    /** Which bars of a face are held: corners always; alternate ones if the gap is small, all otherwise; symmetric. */
    public static List<Boolean> held(int n, double gap, double limit) {
        Boolean[] out = new Boolean[n];
        boolean all = gap > limit;
        for (int i = 0; i < n; i++) {
            int fromEnd = Math.min(i, n - 1 - i);
            out[i] = all || fromEnd % 2 == 0;
        }
        // an even count leaves the middle pair alike: hold both if they would be two unheld in a row
        if (n % 2 == 0 && n > 2 && !out[n / 2]) {
            out[n / 2] = true;
            out[n / 2 - 1] = true;
        }
        return List.of(out);
    }
}
