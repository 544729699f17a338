package kolonne.core.column.line;

import java.util.List;
import kolonne.core.analysis.Analysis;
import kolonne.core.demand.Demands;

/**
 * First-order forces of one combination in a lift, moments from sidesway magnified: at its stations, and along the lengths between
 * restraints that it is part of.
 */
public final class LiftForces {
    /** Ordinates that leave the straight line between the ends by less than this part of the largest are on it. */
    private static final double STRAIGHT = 1e-3;

    /** By station of the lift, from foot to head: compression positive [N], moments [Nmm]. */
    public final double[] p;

    public final double[] mx;
    public final double[] my;
    /** Largest compression over all lengths the lift is part of [N]. */
    public final double greatest;

    public final Along alongX;
    public final Along alongY;

    /**
     * Moments about one axis along an unbraced length.
     *
     * @param foot     at its foot, in the sense of the lift [Nmm]; {@code head} at its head
     * @param most     the largest by size anywhere, with its sign
     * @param bow      largest distance from the straight line between foot and head
     * @param member   where the largest is; {@code station} of that member
     * @param aligned  whether the axes of all members agree, so that signs mean something
     */
    public record Along(double foot, double head, double most, double bow, int member, int station, boolean aligned) {}

    public LiftForces(ColumnStack.Lift lift, Demands d, int c, double deltaMx, double deltaMy) {
        ColumnStack.Part own = lift.aboutX().parts().stream()
                .filter(q -> q.memberNumber() == lift.memberNumber())
                .findFirst()
                .orElseThrow();
        int n = d.analysis().stationCount(lift.memberNumber());
        p = new double[n];
        mx = new double[n];
        my = new double[n];
        for (int i = 0; i < n; i++) {
            int s = station(own, n, i);
            p[i] = -d.at(own.memberNumber(), s, c, Analysis.N);
            mx[i] = moment(d, own.memberNumber(), s, c, Analysis.MY, deltaMx);
            my[i] = moment(d, own.memberNumber(), s, c, Analysis.MZ, deltaMy);
        }
        alongX = along(lift.aboutX().parts(), d, c, Analysis.MY, deltaMx);
        alongY = along(lift.aboutY().parts(), d, c, Analysis.MZ, deltaMy);
        greatest = Math.max(
                greatest(lift.aboutX().parts(), d, c), greatest(lift.aboutY().parts(), d, c));
    }

    public static double moment(Demands d, int member, int station, int c, int component, double delta) {
        double m = d.at(member, station, c, component);
        return delta == 1 ? m : m + (delta - 1) * d.lateralPart(member, station, c, component);
    }

    /** Number of the i-th station from the foot. */
    public static int station(ColumnStack.Part part, int count, int i) {
        return part.upwards() ? i : count - 1 - i;
    }

    private static double greatest(List<ColumnStack.Part> parts, Demands d, int c) {
        double out = Double.NEGATIVE_INFINITY;
        for (ColumnStack.Part q : parts) {
            for (int i = 0; i < d.analysis().stationCount(q.memberNumber()); i++) {
                out = Math.max(out, -d.at(q.memberNumber(), i, c, Analysis.N));
            }
        }
        return out;
    }

    private static Along along(List<ColumnStack.Part> parts, Demands d, int c, int component, double delta) {
        Analysis a = d.analysis();
        int count =
                parts.stream().mapToInt(q -> a.stationCount(q.memberNumber())).sum();
        double[] at = new double[count];
        double[] m = new double[count];
        double base = 0;
        int k = 0;
        int member = -1;
        int station = 0;
        double most = 0;
        boolean aligned = true;
        for (ColumnStack.Part q : parts) {
            int n = a.stationCount(q.memberNumber());
            double length = a.stationX(q.memberNumber(), n - 1);
            aligned &= q.sense() != 0;
            for (int i = 0; i < n; i++, k++) {
                int s = station(q, n, i);
                double x = a.stationX(q.memberNumber(), s);
                at[k] = base + (q.upwards() ? x : length - x);
                m[k] = (q.sense() == 0 ? 1 : q.sense()) * moment(d, q.memberNumber(), s, c, component, delta);
                if (member < 0 || Math.abs(m[k]) > Math.abs(most)) {
                    most = m[k];
                    member = q.memberNumber();
                    station = s;
                }
            }
            base += length;
        }
        return new Along(m[0], m[count - 1], most, bow(at, m), member, station, aligned);
    }

    private static double bow(double[] at, double[] v) {
        int last = v.length - 1;
        double out = 0;
        for (int i = 1; i < last; i++) {
            double t = at[last] > at[0] ? (at[i] - at[0]) / (at[last] - at[0]) : 0;
            out = Math.max(out, Math.abs(v[i] - v[0] - t * (v[last] - v[0])));
        }
        return out;
    }

    /** Whether the forces at a station leave the straight line between the ends, so that it may need more than they. */
    public boolean leavesTheLine(double[] heights, int i) {
        return leaves(heights, p, i) || leaves(heights, mx, i) || leaves(heights, my, i);
    }

    private static boolean leaves(double[] at, double[] v, int i) {
        int last = v.length - 1;
        double most = 0;
        for (double q : v) {
            most = Math.max(most, Math.abs(q));
        }
        double t = at[last] > at[0] ? (at[i] - at[0]) / (at[last] - at[0]) : 0;
        return Math.abs(v[i] - v[0] - t * (v[last] - v[0])) > STRAIGHT * most;
    }
}
