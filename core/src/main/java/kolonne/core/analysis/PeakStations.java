package kolonne.core.analysis;

import java.util.TreeSet;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Combination;
import kolonne.core.model.Purpose;

/** Where the major moment of the strength combinations peaks between stations: the points of zero shear that matter. */
final class PeakStations {
    private static final int STEPS = 40;

    private final int[][] cases;
    private final double[][] factors;

    PeakStations(BuildingIndex index) {
        Building b = index.building();
        var strength = b.combinations().stream()
                .filter(c -> c.purpose() == Purpose.STRENGTH)
                .toList();
        cases = new int[strength.size()][];
        factors = new double[strength.size()][];
        for (int i = 0; i < cases.length; i++) {
            cases[i] = strength.get(i).terms().stream()
                    .mapToInt(t -> index.caseNumber(t.loadCase()))
                    .toArray();
            factors[i] = strength.get(i).terms().stream()
                    .mapToDouble(Combination.Term::factor)
                    .toArray();
        }
    }

    /** Stations with the places of the greatest and the least moment added; the same array if nothing is missing. */
    double[] added(StationForcesOf forces, double[] stations, double[] known, int caseCount) {
        int n = stations.length;
        double[] best = {0, 0};
        double[] at = {-1, -1};
        double[] value = new double[6 * caseCount];
        for (int c = 0; c < cases.length; c++) {
            double before = combined(known, c, 0, n, Analysis.VZ);
            for (int s = 0; s + 1 < n; s++) {
                double after = combined(known, c, s + 1, n, Analysis.VZ);
                if (before * after < 0) {
                    double x = zero(forces, c, stations[s], stations[s + 1], before, after, value);
                    forces.at(x, value, 0, 6);
                    double m = combined(value, c, 0, 1, Analysis.MY);
                    double ends =
                            Math.max(combined(known, c, s, n, Analysis.MY), combined(known, c, s + 1, n, Analysis.MY));
                    int side = m >= ends ? 0 : 1;
                    if (at[side] < 0 || (side == 0 ? m > best[0] : m < best[1])) {
                        best[side] = m;
                        at[side] = x;
                    }
                }
                before = after;
            }
        }
        TreeSet<Double> out = new TreeSet<>();
        for (double x : stations) {
            out.add(x);
        }
        boolean grown = false;
        for (double x : at) {
            grown |= x >= 0 && StationForcesOf.addApart(out, x, stations[0], stations[n - 1]);
        }
        return grown ? out.stream().mapToDouble(Double::doubleValue).toArray() : stations;
    }

    private double combined(double[] values, int c, int station, int stations, int component) {
        double sum = 0;
        for (int k = 0; k < cases[c].length; k++) {
            sum += factors[c][k] * values[(cases[c][k] * stations + station) * 6 + component];
        }
        return sum;
    }

    /** Zero of the combination's shear between two stations by the Illinois variant of the false position. */
    private double zero(StationForcesOf forces, int c, double a, double b, double fa, double fb, double[] value) {
        double lo = a;
        double hi = b;
        double flo = fa;
        double fhi = fb;
        int side = 0;
        for (int i = 0; i < STEPS && hi - lo > 1; i++) {
            double x = (flo * hi - fhi * lo) / (flo - fhi);
            forces.at(x, value, 0, 6);
            double fx = combined(value, c, 0, 1, Analysis.VZ);
            if (Math.abs(fx) <= 1e-6 * (Math.abs(fa) + Math.abs(fb))) {
                return x;
            }
            if (fx * flo > 0) {
                lo = x;
                flo = fx;
                fhi *= side == 1 ? 0.5 : 1;
                side = 1;
            } else {
                hi = x;
                fhi = fx;
                flo *= side == 2 ? 0.5 : 1;
                side = 2;
            }
        }
        return (lo + hi) / 2;
    }
}
