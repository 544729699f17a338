package kolonne.core.column;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.LocalAxes;
import kolonne.core.basis.Basis;
import kolonne.core.code.Bar;
import kolonne.core.code.Slenderness;
import kolonne.core.demand.Demands;
import kolonne.core.explain.Trace;
import kolonne.core.model.Member;
import kolonne.core.section.Shape;

/**
 * The forces a lift is checked for: every combination at the foot, the middle and the head, with sway moments magnified
 * at the ends and, in a slender lift, the magnified moment of the middle.
 */
public final class LiftDemands {
    /** Where a demand is. */
    public enum Place { FOOT, MIDDLE, HEAD }

    /**
     * Forces of one combination at one place.
     *
     * @param p      compression positive [N]
     * @param mx     about the section's x axis, magnified [Nmm]; my about y
     * @param factor largest magnifier in it
     */
    public record Demand(int combination, Place place, double p, double mx, double my, double factor) {}

    /** Second-order state of a lift. @param deltaX, deltaY sway magnifiers of Mx and My; infinite where unstable */
    public record Sway(double qx, double qy, double deltaMx, double deltaMy) {}

    private final ColumnStack.Lift lift;
    private final ColumnContext context;
    private final Demands d;
    private final Slenderness rules;
    private final Sway sway;
    private final int foot;
    private final int head;
    private final int middle;
    /** From the face to the middle of the largest bars inside the largest ties that the basis allows [mm]. */
    private final double inset;

    LiftDemands(ColumnStack.Lift lift, ColumnContext context) {
        this.lift = lift;
        this.context = context;
        this.d = context.strength();
        this.rules = context.basis().designCode().slenderness();
        Member m = context.index().building().members().get(lift.memberNumber());
        int n = d.analysis().stationCount(lift.memberNumber());
        boolean upwards = context.index().joint(m.end()).z() > context.index().joint(m.start()).z();
        foot = upwards ? 0 : n - 1;
        head = upwards ? n - 1 : 0;
        middle = n / 2;
        Basis basis = context.basis();
        inset = basis.columnCover() + largest(basis.stirrupList()) + largest(basis.columnBarList()) / 2;
        sway = sway(m);
    }

    /** Sway magnifiers; with axes turned against the grid both moments take the larger one. */
    private Sway sway(Member m) {
        double qx = index(true, context.basis().swayX());
        double qy = index(false, context.basis().swayY());
        double fx = factor(qx);
        double fy = factor(qy);
        double[][] axes = LocalAxes.of(context.index().joint(m.start()), context.index().joint(m.end()), m.angle());
        double yAlongX = Math.abs(axes[1][0]);
        // Mx bends in the plane of local z; with local y along X that is the Y-Z plane
        double mx = yAlongX > 0.999 ? fy : yAlongX < 0.045 ? fx : Math.max(fx, fy);
        double my = yAlongX > 0.999 ? fx : yAlongX < 0.045 ? fy : Math.max(fx, fy);
        return new Sway(qx, qy, mx, my);
    }

    private double index(boolean alongX, Basis.Sway rule) {
        double q = context.sway().of(lift.base(), lift.top(), alongX);
        return rule == Basis.Sway.BRACED || Double.isNaN(q) ? 0 : q;
    }

    private double factor(double q) {
        return q <= rules.bracedIndex() ? 1 : rules.sway(q);
    }

    /** All demands of a lift. */
    public static List<Demand> of(ColumnStack.Lift lift, ColumnContext context) {
        return new LiftDemands(lift, context).all();
    }

    public Sway sway() {
        return sway;
    }

    /** Combination by combination, from foot to head. */
    List<Demand> all() {
        List<Demand> out = new ArrayList<>(3 * d.count());
        for (int c = 0; c < d.count(); c++) {
            of(c, out, Trace.OFF);
        }
        return out;
    }

    /** The demands of a combination: three places, about each axis in turn where the code asks for imperfections; records the second-order calculation. */
    void of(int c, List<Demand> out, Trace t) {
        if (rules.leastEccentricity(lift.section().shape().depth()) <= 0) {
            of(c, 0, 0, out, t);
        } else {
            of(c, 1, 0, out, t);
            of(c, 0, 1, out, t);
        }
    }

    /** @param ofX 1 where imperfections act in the plane of Mx, else 0; {@code ofY} in that of My */
    private void of(int c, int ofX, int ofY, List<Demand> out, Trace t) {
        double pf = axial(foot, c);
        double pm = axial(middle, c);
        double ph = axial(head, c);
        double mxf = moment(foot, c, Analysis.MY, sway.deltaMx());
        double mxh = moment(head, c, Analysis.MY, sway.deltaMx());
        double myf = moment(foot, c, Analysis.MZ, sway.deltaMy());
        double myh = moment(head, c, Analysis.MZ, sway.deltaMy());
        double factor = Math.max(sway.deltaMx(), sway.deltaMy());
        Shape s = lift.section().shape();
        out.add(new Demand(c, Place.FOOT, pf, eccentric(mxf, pf, ofX, s.depth()), eccentric(myf, pf, ofY, s.width()), factor));
        out.add(middle(c, Math.max(Math.max(pf, pm), ph), pm, mxf, mxh, myf, myh, ofX, ofY, t));
        out.add(new Demand(c, Place.HEAD, ph, eccentric(mxh, ph, ofX, s.depth()), eccentric(myh, ph, ofY, s.width()), factor));
    }

    /** A moment with the imperfection of the lift, by the least eccentricity at least, in the sense it has. */
    private double eccentric(double m, double p, int counts, double h) {
        if (counts == 0 || p <= 0) {
            return m;
        }
        double size = Math.max(Math.abs(m) + p * rules.imperfection(lift.clear()), p * rules.leastEccentricity(h));
        return m < 0 ? -size : size;
    }

    private Demand middle(int c, double pMax, double pm, double mxf, double mxh, double myf, double myh, int ofX, int ofY, Trace t) {
        double mxm = moment(middle, c, Analysis.MY, sway.deltaMx());
        double mym = moment(middle, c, Analysis.MZ, sway.deltaMy());
        Shape s = lift.section().shape();
        double sustained = pMax > 0 ? Math.max(0, Math.min(1, sustained(c) / pMax)) : 0;
        if (t.on()) {
            t.say("Slenderness about x", "", rules.bracedClause());
        }
        Slenderness.Magnified x = rules.braced(lift(mxf, mxm, mxh, s.Iy(), s.depth(), s.A(), pMax, sustained), t);
        if (t.on()) {
            t.say("Slenderness about y", "", rules.bracedClause());
        }
        Slenderness.Magnified y = rules.braced(lift(myf, mym, myh, s.Iz(), s.width(), s.A(), pMax, sustained), t);
        if (!x.slender() && !y.slender()) {
            return new Demand(c, Place.MIDDLE, pm, eccentric(mxm, pm, ofX, s.depth()), eccentric(mym, pm, ofY, s.width()), Math.max(sway.deltaMx(), sway.deltaMy()));
        }
        return new Demand(c, Place.MIDDLE, pMax, eccentric(x.moment(), pMax, ofX, s.depth()), eccentric(y.moment(), pMax, ofY, s.width()),
            Math.max(x.factor() * sway.deltaMx(), y.factor() * sway.deltaMy()));
    }

    private Slenderness.Lift lift(double a, double m, double b, double inertia, double h, double area, double p,
                                  double sustained) {
        double m1 = Math.abs(a) < Math.abs(b) ? a : b;
        double m2 = Math.abs(a) < Math.abs(b) ? b : a;
        boolean single = m1 * m2 > 0;
        double bow = Math.abs(m - (a + b) / 2);
        boolean mostlyImperfect = p > 0 && Math.abs(m2) < p * rules.imperfection(lift.clear());
        boolean transverse = bow > 0.02 * Math.max(Math.abs(m2), 1) || mostlyImperfect;
        Basis basis = context.basis();
        return new Slenderness.Lift(single ? -Math.abs(m1) : Math.abs(m1), Math.abs(m2), lift.clear(), 1.0,
            Math.sqrt(inertia / area), lift.material().E() * inertia, h, p, sustained, transverse,
            lift.material().fc(), basis.fy(), area, Math.max(0.5 * h, h - inset));
    }

    private static double largest(List<Bar> ascending) {
        return ascending.get(ascending.size() - 1).diameter();
    }

    private double axial(int station, int c) {
        return -d.at(lift.memberNumber(), station, c, Analysis.N);
    }

    private double sustained(int c) {
        return -d.sustainedPart(lift.memberNumber(), foot, c, Analysis.N);
    }

    private double moment(int station, int c, int component, double delta) {
        double m = d.at(lift.memberNumber(), station, c, component);
        return delta == 1 ? m : m + (delta - 1) * d.lateralPart(lift.memberNumber(), station, c, component);
    }

    /** A shear component of a combination, sway shears magnified, the larger of both ends by size [N]. */
    double shear(int c, int component) {
        double delta = Math.max(sway.deltaMx(), sway.deltaMy());
        return Math.max(Math.abs(moment(foot, c, component, delta)), Math.abs(moment(head, c, component, delta)));
    }

    /** Least compression over the lift with a combination [N]; negative for tension. */
    double leastAxial(int c) {
        return Math.min(axial(foot, c), axial(head, c));
    }

    double torque(int c) {
        return Math.abs(d.at(lift.memberNumber(), foot, c, Analysis.T));
    }
}
