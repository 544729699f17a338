package kolonne.core.column.check;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import kolonne.core.analysis.Analysis;
import kolonne.core.code.Slenderness;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.ColumnSteel;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.column.line.LiftForces;
import kolonne.core.demand.Demands;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;
import kolonne.core.shape.Shape;

/**
 * The forces a lift is checked for, combination by combination: at the foot, the head and every station between them where the forces leave
 * the straight line; and, in a slender lift, the magnified largest moment of each axis anywhere along its unbraced length. What does not depend on the
 * bars is kept, and the demands with the bars that were asked for last. For one thread.
 */
public final class LiftDemands {
    /** Where a demand is; {@code MIDDLE} is anywhere between the ends. */
    public enum Place {
        FOOT,
        MIDDLE,
        HEAD
    }

    /** A bow above this part of the largest moment comes from loads between the ends. */
    private static final double TRANSVERSE = 0.02;
    /** Effective length of a lift whose head nothing holds, as a part of its length (ACI 318-19 R6.2.5.1; EN 1992-1-1 figure 5.7 b). */
    private static final double FREE = 2.0;

    /**
     * Forces of one combination at one place.
     *
     * @param number    among those of its combination
     * @param part      of the lift's height above its foot, 0 to 1
     * @param p         compression positive [N]
     * @param mx        about the section's x axis, magnified [Nmm]; my about y
     * @param factor    largest magnifier in it; infinite where the lift or its storey is unstable
     * @param magnified whether the moments are those of a slender lift, wherever along it they are largest
     * @param origin    what it takes to tell the parts of its moments
     */
    public record Demand(
            int combination,
            int number,
            Place place,
            double part,
            double p,
            double mx,
            double my,
            double factor,
            boolean magnified,
            MomentParts.Origin origin) {
        public boolean stable() {
            return Double.isFinite(factor);
        }
    }

    /**
     * Second-order state of a lift.
     *
     * @param deltaMx, deltaMy sway magnifiers of Mx and My; infinite where unstable
     * @param kx, ky effective over unsupported length where Mx and My bend it
     * @param heldMx, heldMy magnifiers that the analysis' P-Delta has put into Mx and My already; 1 without it
     */
    public record Sway(
            double qx, double qy, double deltaMx, double deltaMy, double kx, double ky, double heldMx, double heldMy) {
        /** Second order over first order of sidesway, whichever way they came into the moments. */
        double whole() {
            return Math.max(heldMx * deltaMx, heldMy * deltaMy) / Math.max(deltaMx, deltaMy);
        }
    }

    /** Imperfections act in the sense that a moment has, or in the positive one, or against it. */
    private static final int AS_IT_IS = 1;

    private static final int UPWARDS = 2;

    private final ColumnStack.Lift lift;
    private final ColumnContext context;
    private final Demands d;
    private final Slenderness rules;
    private final Sway sway;
    private final LiftForces[] forces;
    /** Height of every station above the foot [mm]. */
    private final double[] heights;

    private final double inertiaX;
    private final double inertiaY;
    /** Stations of each combination at which it is checked; null where not asked yet, as all that is kept. */
    private final int[][] stations;
    /** Lifts of each combination about x, then about y, without imperfection, then with it; without bars. */
    private final Slenderness.Lift[][] plain = new Slenderness.Lift[4][];

    private final double[][] shears = new double[2][];
    private double[] torques;
    private ColumnSteel asked;
    private List<Demand> answered;

    public LiftDemands(ColumnStack.Lift lift, ColumnContext context) {
        this.lift = lift;
        this.context = context;
        this.d = context.strength();
        this.rules = context.basis().designCode().slenderness();
        ColumnStack.Unbraced x = lift.aboutX();
        ColumnStack.Unbraced y = lift.aboutY();
        double deltaMx = context.sway().magnifier(lift.base(), lift.top(), x.ux(), x.uy());
        double deltaMy = context.sway().magnifier(lift.base(), lift.top(), y.ux(), y.uy());
        this.sway = new Sway(
                context.sway().index(lift.base(), lift.top(), true),
                context.sway().index(lift.base(), lift.top(), false),
                deltaMx,
                deltaMy,
                factor(x, deltaMx),
                factor(y, deltaMy),
                context.sway().held(lift.base(), lift.top(), x.ux(), x.uy()),
                context.sway().held(lift.base(), lift.top(), y.ux(), y.uy()));
        int n = d.analysis().stationCount(lift.memberNumber());
        boolean upwards = x.parts().stream().anyMatch(q -> q.memberNumber() == lift.memberNumber() && q.upwards());
        double length = d.analysis().stationX(lift.memberNumber(), n - 1);
        heights = new double[n];
        for (int i = 0; i < n; i++) {
            heights[i] = upwards
                    ? d.analysis().stationX(lift.memberNumber(), i)
                    : length - d.analysis().stationX(lift.memberNumber(), n - 1 - i);
        }
        forces = new LiftForces[d.count()];
        for (int c = 0; c < forces.length; c++) {
            forces[c] = new LiftForces(lift, d, c, finite(sway.deltaMx()), finite(sway.deltaMy()));
        }
        inertiaX = inertia(lift.section().shape(), true);
        inertiaY = inertia(lift.section().shape(), false);
        stations = new int[forces.length][];
        for (int i = 0; i < plain.length; i++) {
            plain[i] = new Slenderness.Lift[forces.length];
        }
    }

    /** What moments are multiplied by: an unstable storey fails by its magnifier, not by infinite moments. */
    private static double finite(double magnifier) {
        return Double.isInfinite(magnifier) ? 1 : magnifier;
    }

    /** All demands of a lift with a cage. */
    public static List<Demand> of(ColumnStack.Lift lift, ColumnCage.LiftCage cage, ColumnContext context) {
        return new LiftDemands(lift, context).all(ColumnSteel.of(lift, cage, context.basis()));
    }

    public ColumnStack.Lift lift() {
        return lift;
    }

    public Sway sway() {
        return sway;
    }

    /** Combination by combination. */
    public List<Demand> all(ColumnSteel steel) {
        if (!steel.equals(asked)) {
            List<Demand> out = new ArrayList<>(4 * d.count());
            for (int c = 0; c < d.count(); c++) {
                of(c, steel, out, Trace.OFF);
            }
            asked = steel;
            answered = Collections.unmodifiableList(out);
        }
        return answered;
    }

    /** The demands of a combination. */
    public List<Demand> of(int c, ColumnSteel steel) {
        List<Demand> out = new ArrayList<>(6);
        of(c, steel, out, Trace.OFF);
        return out;
    }

    /** The demands of a combination, about each axis in turn where the code asks for imperfections; records the second-order calculation. */
    public void of(int c, ColumnSteel steel, List<Demand> out, Trace t) {
        int before = out.size();
        if (rules.leastEccentricity(lift.section().shape().depth()) <= 0) {
            of(c, 0, 0, steel, before, out, t);
        } else {
            int as = lift.legged() ? UPWARDS : AS_IT_IS;
            of(c, as, 0, steel, before, out, t);
            of(c, 0, as, steel, before, out, t);
            if (lift.legged()) {
                of(c, -as, 0, steel, before, out, Trace.OFF);
                of(c, 0, -as, steel, before, out, Trace.OFF);
            }
        }
    }

    /** @param ofX how imperfections act in the plane of Mx, 0 for not at all; {@code ofY} in that of My */
    private void of(int c, int ofX, int ofY, ColumnSteel steel, int before, List<Demand> out, Trace t) {
        LiftForces f = forces[c];
        double factor = Math.max(sway.deltaMx(), sway.deltaMy());
        int last = heights.length - 1;
        for (int i : stations(c)) {
            out.add(new Demand(
                    c,
                    out.size() - before,
                    i == 0 ? Place.FOOT : i == last ? Place.HEAD : Place.MIDDLE,
                    heights[last] > 0 ? heights[i] / heights[last] : 0,
                    f.p[i],
                    eccentric(f.mx[i], f.p[i], ofX, lift.aboutX(), depth()),
                    eccentric(f.my[i], f.p[i], ofY, lift.aboutY(), width()),
                    factor,
                    false,
                    MomentParts.Origin.at(i)));
        }
        slender(c, ofX, ofY, steel, before, out, t);
    }

    /** The ends, the middle, and wherever the forces leave the straight line between the ends. */
    private int[] stations(int c) {
        if (stations[c] == null) {
            int last = heights.length - 1;
            stations[c] = IntStream.rangeClosed(0, last)
                    .filter(i -> i == 0 || i == last || i == last / 2 || forces[c].leavesTheLine(heights, i))
                    .toArray();
        }
        return stations[c];
    }

    private double depth() {
        return lift.section().shape().depth();
    }

    private double width() {
        return lift.section().shape().width();
    }

    /** A moment with the imperfection of the lift, by the least eccentricity at least: in the sense it has or, as told, in that of {@code counts}. */
    private double eccentric(double m, double p, int counts, ColumnStack.Unbraced u, double h) {
        if (counts == 0 || p <= 0) {
            return m;
        }
        double aside = p * rules.imperfection(effective(u));
        double least = p * rules.leastEccentricity(h);
        if (counts != AS_IT_IS) {
            return counts > 0 ? Math.max(m + aside, least) : Math.min(m - aside, -least);
        }
        double size = Math.max(Math.abs(m) + aside, least);
        return m < 0 ? -size : size;
    }

    /** Adds the magnified moments of a lift that is slender about either axis; about the other it has the largest moment of the analysis. */
    private void slender(int c, int ofX, int ofY, ColumnSteel steel, int before, List<Demand> out, Trace t) {
        LiftForces f = forces[c];
        t.say("Slenderness about x", "", rules.bracedClause());
        Slenderness.Magnified x = rules.braced(about(true, c, ofX != 0, t).with(steel.x()), t);
        t.say("Slenderness about y", "", rules.bracedClause());
        Slenderness.Magnified y = rules.braced(about(false, c, ofY != 0, t).with(steel.y()), t);
        if (!x.slender() && !y.slender()) {
            return;
        }
        if (x.least() && y.least()) {
            // they are not meant to act about both axes at once (ACI 318-19 R6.6.4.5.4)
            t.say("Least moments", "about one axis at a time", rules.bracedClause());
            bowed(c, ofX, ofY, x, y.plain(), before, out);
            bowed(c, ofX, ofY, x.plain(), y, before, out);
        } else {
            bowed(c, ofX, ofY, x, y, before, out);
        }
    }

    /** The lift about an axis, without bars. */
    private Slenderness.Lift about(boolean x, int c, boolean imperfect, Trace t) {
        Slenderness.Lift[] kept = plain[(x ? 0 : 1) + (imperfect ? 2 : 0)];
        if (kept[c] == null || t.on()) {
            LiftForces f = forces[c];
            kept[c] = x
                    ? lift(c, f.alongX, lift.aboutX(), inertiaX, depth(), f.greatest, imperfect, t)
                    : lift(c, f.alongY, lift.aboutY(), inertiaY, width(), f.greatest, imperfect, t);
        }
        return kept[c];
    }

    private void bowed(
            int c, int ofX, int ofY, Slenderness.Magnified x, Slenderness.Magnified y, int before, List<Demand> out) {
        LiftForces f = forces[c];
        // a section that is not alike about its axes may bow either way
        int ways = lift.legged() ? 4 : 1;
        for (int way = 0; way < ways; way++) {
            boolean againstX = way % 2 == 1;
            boolean againstY = way / 2 == 1;
            double mx = bow(x, f.alongX.most(), againstX);
            double my = bow(y, f.alongY.most(), againstY);
            out.add(new Demand(
                    c,
                    out.size() - before,
                    Place.MIDDLE,
                    0.5,
                    f.greatest,
                    eccentric(mx, f.greatest, ofX, lift.aboutX(), depth()),
                    eccentric(my, f.greatest, ofY, lift.aboutY(), width()),
                    Math.max(x.factor() * sway.deltaMx(), y.factor() * sway.deltaMy()),
                    true,
                    new MomentParts.Origin(-1, x, againstX, y, againstY)));
        }
    }

    /** The other way than the largest moment of the analysis: the least moment where that decides, else what the lift adds to its moments. */
    private static double against(Slenderness.Magnified m, double most) {
        double own = Math.abs(most);
        boolean least = m.moment() > m.factor() * own * (1 + 1e-9);
        double size = Double.isInfinite(m.moment()) ? own : least ? m.moment() : m.moment() - own;
        return most < 0 ? size : -size;
    }

    /** The moment of a lift that bows the way that the analysis bends it most, or against it. */
    static double bow(Slenderness.Magnified m, double most, boolean against) {
        return against ? against(m, most) : signed(m, most);
    }

    /** What the moments of a demand of this lift are made of. */
    public MomentParts parts(Demand q) {
        boolean pDelta = sway.heldMx() > 1 || sway.heldMy() > 1;
        return MomentParts.of(q, lift, forces[q.combination()], d, pDelta);
    }

    /** An ell buckles about the axis of its least inertia, whichever way it bends. */
    private static double inertia(Shape s, boolean aboutX) {
        return s instanceof Shape.Ell e ? e.leastI() : aboutX ? s.Iy() : s.Iz();
    }

    /** The magnified moment in the sense of the largest of the analysis, and that one where the lift buckles: it fails by its magnifier. */
    private static double signed(Slenderness.Magnified m, double most) {
        double size = Double.isInfinite(m.moment()) ? Math.abs(most) : m.moment();
        return most < 0 ? -size : size;
    }

    /** Effective length: that between restraints, braced, since sway moments are magnified on their own; twice it where nothing holds the head and no such magnifier is known. */
    private double effective(ColumnStack.Unbraced u) {
        return k(u) * u.length();
    }

    private double k(ColumnStack.Unbraced u) {
        return u == lift.aboutX() ? sway.kx() : sway.ky();
    }

    private double factor(ColumnStack.Unbraced u, double delta) {
        double own = context.sway().lengthsFromEnds()
                ? fromEnds(u, delta, Trace.OFF)
                : context.sway().effectiveLength(u.ux(), u.uy());
        return unheld(u) ? Math.max(FREE, own) : own;
    }

    /**
     * By what turns with its ends; the whole length at least in a storey that sways (ACI 318-19 6.6.4.4.3), whose sway moments are magnified on their own,
     * or of which nobody knows whether it does.
     */
    private double fromEnds(ColumnStack.Unbraced u, double delta, Trace t) {
        double k = rules.lengthFactor(u.foot(), u.head(), unheld(u), t);
        return delta > 1 || swayed(u) || !knownToStand(u) ? Math.max(1, k) : k;
    }

    /** Whether the head moves as it likes, with no magnifier of sidesway to cover it. */
    private boolean unheld(ColumnStack.Unbraced u) {
        return u.headFree() && !knownToStand(u);
    }

    /** Whether its sway is known, or the basis says that it is braced. */
    private boolean knownToStand(ColumnStack.Unbraced u) {
        return context.sway().known(lift.base(), lift.top(), u.ux(), u.uy());
    }

    private Slenderness.Lift lift(
            int c,
            LiftForces.Along along,
            ColumnStack.Unbraced u,
            double inertia,
            double h,
            double p,
            boolean imperfect,
            Trace t) {
        double a = along.foot();
        double b = along.head();
        double m1 = Math.abs(a) < Math.abs(b) ? a : b;
        double k = k(u);
        double ends = Math.max(Math.abs(a), Math.abs(b));
        double most = Math.abs(along.most());
        boolean mostlyImperfect = p > 0 && most < p * rules.imperfection(effective(u));
        boolean transverse =
                along.bow() > TRANSVERSE * Math.max(most, 1) || mostlyImperfect || k > 1 || !along.aligned();
        double m2 = transverse ? most : ends;
        boolean single = a * b > 0;
        boolean sways = sway(u) > 1 || swayed(u) || k > 1;
        if (t.on() && u.parts().size() > 1) {
            t.step(
                    "lu",
                    "between restraints, over " + u.parts().size() + " members",
                    "",
                    u.length(),
                    Quantity.LENGTH,
                    rules.bracedClause());
        }
        if (t.on() && context.sway().lengthsFromEnds()) {
            explainEnds(u, k, t);
        } else if (t.on() && k != 1) {
            boolean free = unheld(u) && k == FREE;
            t.say(
                    free ? "k = 2" : String.format(Locale.ROOT, "k = %.2f", k),
                    free
                            ? "Nothing holds the head and no magnifier of sidesway is known"
                            : "Effective length factor of the basis",
                    rules.bracedClause());
        }
        return new Slenderness.Lift(
                single ? -Math.abs(m1) : Math.abs(m1),
                m2,
                u.length(),
                k,
                Math.sqrt(inertia / area()),
                lift.material().E() * inertia,
                h,
                p,
                p > 0 ? Math.max(0, Math.min(1, sustainedAxial(c) / p)) : 0,
                sustainedMoment(c, along, u, p),
                transverse,
                sways,
                lift.material().fc(),
                context.basis().fy(),
                area(),
                null,
                imperfect && p > 0 ? p * rules.imperfection(effective(u)) : 0);
    }

    private void explainEnds(ColumnStack.Unbraced u, double k, Trace t) {
        fromEnds(u, sway(u), t);
        if (k == 1 && (sway(u) > 1 || swayed(u) || !knownToStand(u))) {
            t.say(
                    "k = 1",
                    knownToStand(u)
                            ? "The storey sways: the length is not taken shorter"
                            : "It is not known whether the storey sways: the length is not taken shorter",
                    rules.bracedClause());
        } else if (unheld(u)) {
            t.say(
                    String.format(Locale.ROOT, "k = %.2f ≥ 2", k),
                    "Nothing holds the head and no magnifier of sidesway is known",
                    rules.bracedClause());
        }
    }

    private double sway(ColumnStack.Unbraced u) {
        return u == lift.aboutX() ? sway.deltaMx() : sway.deltaMy();
    }

    /** Whether its storey sways so much that the second order in its forces would have had to be added. */
    private boolean swayed(ColumnStack.Unbraced u) {
        double held = context.sway().held(lift.base(), lift.top(), u.ux(), u.uy());
        return 1 - 1 / held > rules.bracedIndex();
    }

    private double area() {
        return lift.section().shape().A();
    }

    private double sustainedAxial(int c) {
        int n = heights.length;
        boolean upwards =
                lift.aboutX().parts().stream().anyMatch(q -> q.memberNumber() == lift.memberNumber() && q.upwards());
        return -d.sustainedPart(lift.memberNumber(), upwards ? 0 : n - 1, c, Analysis.N);
    }

    /**
     * First-order moment of the quasi-permanent combinations over that of a combination for strength, both with imperfections, where the
     * latter is largest; by the sustained part of the axial force where the model has no such combinations.
     */
    private double sustainedMoment(int c, LiftForces.Along along, ColumnStack.Unbraced u, double p) {
        Demands lasting = context.sustained();
        double imperfection = rules.imperfection(effective(u));
        if (imperfection <= 0 || lasting.count() == 0 || p <= 0) {
            return p > 0 ? Math.max(0, Math.min(1, sustainedAxial(c) / p)) : 0;
        }
        int component = u == lift.aboutX() ? Analysis.MY : Analysis.MZ;
        double most = 0;
        for (int k = 0; k < lasting.count(); k++) {
            double n = Math.max(0, -lasting.at(along.member(), along.station(), k, Analysis.N));
            most = Math.max(
                    most, Math.abs(lasting.at(along.member(), along.station(), k, component)) + n * imperfection);
        }
        return Math.min(1, most / (Math.abs(along.most()) + p * imperfection));
    }

    /** A shear component of a combination, sway shears magnified, the largest along the lift by size [N]. */
    double shear(int c, int component) {
        double[] kept = shears[component == Analysis.VY ? 0 : 1];
        if (kept == null) {
            kept = new double[forces.length];
            double delta = Math.max(finite(sway.deltaMx()), finite(sway.deltaMy()));
            for (int k = 0; k < kept.length; k++) {
                for (int i = 0; i < heights.length; i++) {
                    double v = LiftForces.moment(d, lift.memberNumber(), i, k, component, delta);
                    kept[k] = Math.max(kept[k], Math.abs(v));
                }
            }
            shears[component == Analysis.VY ? 0 : 1] = kept;
        }
        return kept[c];
    }

    /** The same with its earthquake multiplied, either way round [N]. */
    double shear(int c, int component, double earthquake) {
        double delta = Math.max(finite(sway.deltaMx()), finite(sway.deltaMy()));
        double out = 0;
        for (int i = 0; i < heights.length; i++) {
            double v = LiftForces.moment(d, lift.memberNumber(), i, c, component, delta);
            double e = delta * d.earthquakePart(lift.memberNumber(), i, c, component);
            out = Math.max(out, Math.max(Math.abs(v + (earthquake - 1) * e), Math.abs(v)));
        }
        return out;
    }

    /** Least and greatest compression of the combinations with earthquake, of all where there are none [N]. */
    public double[] earthquakeAxial() {
        int[] with = IntStream.range(0, d.count()).filter(d::hasEarthquake).toArray();
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (int c : with.length > 0 ? with : IntStream.range(0, d.count()).toArray()) {
            for (double p : forces[c].p) {
                least = Math.min(least, p);
                most = Math.max(most, p);
            }
        }
        return new double[] {least, most};
    }

    /** Least compression over the lift with a combination [N]; negative for tension. */
    double leastAxial(int c) {
        return java.util.Arrays.stream(forces[c].p).min().orElse(0);
    }

    /** Greatest compression over the lift of all combinations [N]. */
    double greatestAxial() {
        double out = 0;
        for (LiftForces f : forces) {
            for (double p : f.p) {
                out = Math.max(out, p);
            }
        }
        return out;
    }

    /**
     * Moment of a combination that a beam brings to an end of the lift, that of sidesway magnified [Nmm].
     *
     * @param theta direction of the beam from the x axis of the lift's section [rad]
     */
    double end(int c, double theta, boolean atHead) {
        int at = atHead ? heights.length - 1 : 0;
        return forces[c].my[at] * Math.cos(theta) + forces[c].mx[at] * Math.sin(theta);
    }

    /** Shear of a combination along a direction so far as it goes against the moment at the foot, as where the lift bends both ways [N]. */
    double shearAgainstFoot(int c, double theta) {
        double foot = end(c, theta, false);
        double head = end(c, theta, true);
        return Math.max(0, (Math.abs(foot) - Math.signum(foot) * head) / (lift.top() - lift.base()));
    }

    /** Largest torque of a combination [Nmm]. */
    double torque(int c) {
        if (torques == null) {
            torques = new double[forces.length];
            for (int k = 0; k < torques.length; k++) {
                for (int i = 0; i < heights.length; i++) {
                    torques[k] = Math.max(torques[k], Math.abs(d.at(lift.memberNumber(), i, k, Analysis.T)));
                }
            }
        }
        return torques[c];
    }
}
