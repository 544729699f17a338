package kolonne.core.column.check;

import kolonne.core.analysis.Analysis;
import kolonne.core.code.Slenderness;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.column.line.LiftForces;
import kolonne.core.demand.Demands;

/**
 * What the moments of a demand are made of, about both axes of the section.
 *
 * @param pDelta whether the second order of a P-Delta analysis is in the forces, and so in the first two parts
 */
public record MomentParts(Part x, Part y, boolean pDelta) {
    /**
     * A moment about one axis, which is the sum of its parts [Nmm].
     *
     * @param sustained    of the analysis, from the load cases that stay
     * @param others       of the analysis, from all other load cases
     * @param eccentricity imperfection, least eccentricity and least moment of the code
     * @param secondOrder  what magnifiers add for sidesway and for the bow of the lift
     */
    public record Part(double sustained, double others, double eccentricity, double secondOrder) {
        public double total() {
            return sustained + others + eccentricity + secondOrder;
        }
    }

    /**
     * Where a demand comes from.
     *
     * @param station of the lift from its foot; −1 where it bows: then {@code x} and {@code y} are its magnified moments
     * @param against whether it bows the other way than the analysis bends it
     */
    record Origin(int station, Slenderness.Magnified x, boolean againstX, Slenderness.Magnified y, boolean againstY) {
        static Origin at(int station) {
            return new Origin(station, null, false, null, false);
        }
    }

    /** A moment of the analysis at a place. @param sustained from cases that stay; {@code first} from all, nothing magnified [Nmm] */
    private record Given(double sustained, double first) {}

    static MomentParts of(LiftDemands.Demand q, ColumnStack.Lift lift, LiftForces f, Demands d, boolean pDelta) {
        Origin o = q.origin();
        int c = q.combination();
        if (o.station() >= 0) {
            ColumnStack.Part own = own(lift.aboutX(), lift.memberNumber());
            int s = LiftForces.station(own, f.p.length, o.station());
            return new MomentParts(
                    at(given(d, own.memberNumber(), s, 1, c, Analysis.MY), f.mx[o.station()], q.mx()),
                    at(given(d, own.memberNumber(), s, 1, c, Analysis.MZ), f.my[o.station()], q.my()),
                    pDelta);
        }
        return new MomentParts(
                bowed(along(d, f.alongX, lift.aboutX(), c, Analysis.MY), f.alongX.most(), o.x(), o.againstX(), q.mx()),
                bowed(along(d, f.alongY, lift.aboutY(), c, Analysis.MZ), f.alongY.most(), o.y(), o.againstY(), q.my()),
                pDelta);
    }

    private static ColumnStack.Part own(ColumnStack.Unbraced u, int member) {
        return u.parts().stream()
                .filter(q -> q.memberNumber() == member)
                .findFirst()
                .orElseThrow();
    }

    private static Given given(Demands d, int member, int station, int sense, int c, int component) {
        return new Given(
                sense * d.sustainedPart(member, station, c, component),
                sense * LiftForces.moment(d, member, station, c, component, 1));
    }

    private static Given along(Demands d, LiftForces.Along along, ColumnStack.Unbraced u, int c, int component) {
        int sense = own(u, along.member()).sense();
        return given(d, along.member(), along.station(), sense == 0 ? 1 : sense, c, component);
    }

    private static Part at(Given g, double swayed, double total) {
        return new Part(g.sustained, g.first - g.sustained, total - swayed, swayed - g.first);
    }

    /** @param most of the analysis with its sidesway magnified; {@code total} with the imperfection */
    private static Part bowed(Given g, double most, Slenderness.Magnified m, boolean against, double total) {
        Given acts = against ? new Given(0, 0) : g;
        double bow = LiftDemands.bow(m, most, against);
        // what is asked for at least is larger than what the lift has, in the sense in which it bows
        double had = against || !m.least() ? 0 : Math.abs(m.own() / m.ownFactor());
        double least = m.least() && Double.isFinite(m.factor()) ? Math.copySign(m.moment() / m.factor() - had, bow) : 0;
        return new Part(acts.sustained, acts.first - acts.sustained, least + total - bow, bow - least - acts.first);
    }
}
