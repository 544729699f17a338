package kolonne.core.analysis;

import java.util.Arrays;
import java.util.List;
import java.util.TreeSet;
import kolonne.core.shape.Shape;

/**
 * Internal forces along one member, exact from statics. Under P-Delta the axial force acts on the deflected axis: the moment at the far
 * end gains N (w(L) − w(0)), those between follow from the ends and the loads ({@link BeamColumn}); shear stays at right angles to the
 * undeflected axis.
 */
final class StationForcesOf {
    /** Half the distance between the two stations at a point load [mm]. */
    private static final double EITHER_SIDE = 0.01;

    private static final int EQUAL_PARTS = 10;
    /** Stations closer than this are one [mm]. */
    private static final double SAME = 5;
    /** Depth less effective depth that the station "at d from the face" supposes [mm]: cover, stirrup, half a bar. */
    private static final double COVER_TO_STEEL = 65;

    private final Element e;
    private final List<Loading> loads;
    /** By case: clear-end forces in local axes. */
    private final double[][] end;
    /** By case: displacements of the beam's own ends; null without P-Delta. */
    private final double[][] ends;

    StationForcesOf(Element e, List<Loading> loads, double[][] end, double[][] ends) {
        this.e = e;
        this.loads = loads;
        this.end = end;
        this.ends = ends;
    }

    /**
     * Stations known before the forces: clear ends, equal parts, faces of supports, d from a face, either side of every
     * point load.
     */
    double[] stations(double faceStart, double faceEnd, Shape shape) {
        double a = e.rigidStart;
        double b = e.length - e.rigidEnd;
        double d = Math.max(0.8 * shape.depth(), shape.depth() - COVER_TO_STEEL);
        TreeSet<Double> at = new TreeSet<>(List.of(a, b));
        for (Loading l : loads) {
            double x = l.shape().from();
            if (l.shape().isPoint() && x > a + 1 && x < b - 1) {
                at.add(x - EITHER_SIDE);
                at.add(x + EITHER_SIDE);
            }
        }
        for (double x : new double[] {faceStart, e.length - faceEnd, faceStart + d, e.length - faceEnd - d}) {
            addApart(at, x, a, b);
        }
        for (int i = 1; i < EQUAL_PARTS; i++) {
            addApart(at, a + e.clear * i / EQUAL_PARTS, a, b);
        }
        return at.stream().mapToDouble(Double::doubleValue).toArray();
    }

    /** Adds a station unless one is there; true if it was added. */
    static boolean addApart(TreeSet<Double> at, double x, double a, double b) {
        if (x < a || x > b) {
            return false;
        }
        Double below = at.floor(x);
        Double above = at.ceiling(x);
        if (below != null && x - below < SAME || above != null && above - x < SAME) {
            return false;
        }
        return at.add(x);
    }

    /** Forces at all stations: [(case × stations + station) × 6 + component]. */
    double[] fill(double[] stations) {
        double[] out = new double[end.length * stations.length * 6];
        for (int s = 0; s < stations.length; s++) {
            own(stations[s], out, 6 * s, 6 * stations.length);
        }
        if (ends != null) {
            bent(stations, out, 1);
            bent(stations, out, 2);
        }
        for (int o = 0; o < out.length; o += 6) {
            turnBack(out, o);
        }
        return out;
    }

    /** Six components of first order in local axes of every case at {@code x}, cases {@code stride} apart. */
    void at(double x, double[] out, int offset, int stride) {
        own(x, out, offset, stride);
        for (int c = 0; c < end.length; c++) {
            turnBack(out, offset + c * stride);
        }
    }

    /** Shears, and moments by their compression side, from the axes of bending to the local ones. */
    private void turnBack(double[] f, int o) {
        if (e.turn != 0) {
            double cos = Math.cos(e.turn);
            double sin = Math.sin(e.turn);
            turnBack(f, o + Analysis.VY, o + Analysis.VZ, cos, sin);
            turnBack(f, o + Analysis.MZ, o + Analysis.MY, cos, sin);
        }
    }

    private static void turnBack(double[] f, int y, int z, double cos, double sin) {
        double first = f[y];
        double second = f[z];
        f[y] = first * cos - second * sin;
        f[z] = first * sin + second * cos;
    }

    /** The same in the axes in which the member bends. */
    void own(double x, double[] out, int offset, int stride) {
        double arm = x - e.rigidStart;
        for (int c = 0; c < end.length; c++) {
            double[] f = end[c];
            int o = offset + c * stride;
            out[o] = -f[0];
            out[o + 1] = f[1];
            out[o + 2] = f[2];
            out[o + 3] = -f[3];
            out[o + 4] = f[4] + f[2] * arm;
            out[o + 5] = -f[5] + f[1] * arm;
        }
        double[] part = new double[6];
        for (Loading l : loads) {
            Arrays.fill(part, 0);
            add(l.shape(), x, part);
            for (int k = 0; k < l.cases().length; k++) {
                int o = offset + l.cases()[k] * stride;
                for (int i = 0; i < 6; i++) {
                    out[o + i] += l.sizes()[k] * part[i];
                }
            }
        }
    }

    /** Forces of first order at {@code x} put right for the axial force on the deflected axis; one bending axis, all cases. */
    private void bent(double[] stations, double[] out, int axis) {
        BeamColumn member = new BeamColumn(e.axial, axis == 2 ? e.eiy : e.eiz, axis == 2 ? e.gaz : e.gay, e.clear);
        int k = axis == 2 ? 4 : 5;
        double[] samples = new double[end.length * 6];
        double[][] loaded = new double[end.length][member.samples()];
        double[] last = new double[end.length * 6];
        own(e.length - e.rigidEnd, last, 0, 6);
        double[] m0 = new double[end.length];
        double[] mL = new double[end.length];
        for (int c = 0; c < end.length; c++) {
            m0[c] = axis == 2 ? end[c][4] : -end[c][5];
            mL[c] = last[6 * c + k] + chord(c, axis, e.length - e.rigidEnd);
        }
        for (int i = 0; i < member.samples(); i++) {
            double x = member.sample(i);
            own(e.rigidStart + x, samples, 0, 6);
            for (int c = 0; c < end.length; c++) {
                loaded[c][i] =
                        samples[6 * c + k] + chord(c, axis, e.rigidStart + x) - m0[c] - (mL[c] - m0[c]) * x / e.clear;
            }
        }
        for (int c = 0; c < end.length; c++) {
            double[] series = member.series(loaded[c]);
            for (int s = 0; s < stations.length; s++) {
                double x = stations[s] - e.rigidStart;
                int o = (c * stations.length + s) * 6 + k;
                double ofLoads = out[o] + chord(c, axis, stations[s]) - m0[c] - (mL[c] - m0[c]) * x / e.clear;
                out[o] = member.nearBuckling()
                        ? out[o]
                                + e.axial
                                        * (e.deflection(ends[c], axis, stations[s])
                                                - e.deflection(ends[c], axis, e.rigidStart))
                        : member.ofEnds(m0[c], mL[c], x) + member.ofLoads(ofLoads, series, x);
            }
        }
    }

    /** Axial force times the rise of the straight line between the moved ends. */
    private double chord(int c, int axis, double x) {
        return e.axial * (ends[c][6 + axis] - ends[c][axis]) * (x - e.rigidStart) / e.clear;
    }

    private void add(SpanLoad l, double x, double[] out) {
        double a = e.rigidStart;
        double from = Math.max(l.from(), a);
        if (l.isPoint()) {
            if (l.from() >= a && l.from() < x) {
                part(l.q1(), x - l.from(), out);
            }
            return;
        }
        double to = Math.min(l.to(), x);
        if (to <= from) {
            return;
        }
        double c = to - from;
        for (int k = 0; k < 6; k++) {
            double q1 = l.at(from, k);
            double q2 = l.at(to, k);
            double total = (q1 + q2) / 2 * c;
            // moment of the trapezium about its far end, plus its resultant times the rest of the way
            double moment = (2 * q1 + q2) / 6 * c * c + total * (x - to);
            switch (k) {
                case 0 -> out[0] -= total;
                case 1 -> {
                    out[1] += total;
                    out[5] += moment;
                }
                case 2 -> {
                    out[2] += total;
                    out[4] += moment;
                }
                case 3 -> out[3] -= total;
                case 4 -> out[4] += total;
                default -> out[5] -= total;
            }
        }
    }

    private static void part(double[] f, double arm, double[] out) {
        out[0] -= f[0];
        out[1] += f[1];
        out[2] += f[2];
        out[3] -= f[3];
        out[4] += (f[2] * arm + f[4]);
        out[5] += (f[1] * arm - f[5]);
    }
}
