package kolonne.core.analysis;

import java.util.Arrays;
import java.util.TreeSet;

/**
 * The deflected shape of a member: the displacements of its ends, with the moments (and, where the member shears, the
 * shears) between them integrated twice. Exact at every point but where a spread load begins or ends between two points.
 */
public final class Deflection {
    private static final double[] GAUSS = {0.5 - Math.sqrt(0.15), 0.5, 0.5 + Math.sqrt(0.15)};
    private static final double[] WEIGHT = {5.0 / 18, 8.0 / 18, 5.0 / 18};

    /**
     * @param x      distances from the start joint [mm]
     * @param global displacement along X, Y, Z at each [mm]
     */
    public record Shape(double[] x, double[][] global) {}

    private final Element e;
    private final StationForcesOf forces;
    private final double[] factors;
    private final double[] buffer;

    private Deflection(Element e, StationForcesOf forces, double[] factors) {
        this.e = e;
        this.forces = forces;
        this.factors = factors;
        buffer = new double[6 * factors.length];
    }

    /**
     * The shape under a sum of load cases.
     *
     * @param factors by load case
     * @param parts   number of equal parts of the length that deforms; places of point loads are added
     * @throws IllegalStateException for forces solved elsewhere, which come without displacements
     */
    public static Shape of(Analysis a, int member, double[] factors, int parts) {
        if (a.imported()) {
            throw new IllegalStateException("Forces solved elsewhere come without displacements.");
        }
        Frame frame = a.frame();
        Solution s = a.solved().solution();
        Element e = frame.elements[member];
        FrameAnalysis.Solved state = new FrameAnalysis.Solved(frame, null, s);
        Deflection d = new Deflection(e, FrameAnalysis.forcesOf(state, member), factors);
        double[] ends = new double[12];
        double[] joints = new double[6];
        for (int c = 0; c < factors.length; c++) {
            if (factors[c] == 0) {
                continue;
            }
            double[] u = s.beamEnds(member, c);
            for (int i = 0; i < 12; i++) {
                ends[i] += factors[c] * u[i];
            }
            for (int i = 0; i < 6; i++) {
                joints[i] += factors[c] * a.displacement(c, frame.joints[member][i / 3], i % 3);
            }
        }
        TreeSet<Double> at = new TreeSet<>();
        for (int i = 0; i <= parts; i++) {
            at.add(e.rigidStart + e.clear * i / parts);
        }
        for (Loading l : frame.loads.of(member)) {
            StationForcesOf.addApart(at, l.shape().from(), e.rigidStart, e.length - e.rigidEnd);
        }
        return d.shape(at.stream().mapToDouble(Double::doubleValue).toArray(), ends, joints);
    }

    private Shape shape(double[] at, double[] ends, double[] joints) {
        double[] v = transverse(at, ends[1], ends[7], Analysis.MZ, Analysis.VY, e.eiz, e.gay);
        double[] w = transverse(at, ends[2], ends[8], Analysis.MY, Analysis.VZ, e.eiy, e.gaz);
        double[][] axes = e.axes;
        int n = at.length;
        double[] x = new double[n + 2];
        double[][] out = new double[n + 2][];
        out[0] = Arrays.copyOfRange(joints, 0, 3);
        out[n + 1] = Arrays.copyOfRange(joints, 3, 6);
        x[n + 1] = e.length;
        for (int k = 0; k < n; k++) {
            double t = (at[k] - e.rigidStart) / e.clear;
            double[] local = {ends[0] + t * (ends[6] - ends[0]), v[k], w[k]};
            x[k + 1] = at[k];
            out[k + 1] = new double[3];
            for (int g = 0; g < 3; g++) {
                for (int c = 0; c < 3; c++) {
                    out[k + 1][g] += axes[c][g] * local[c];
                }
            }
        }
        return new Shape(x, out);
    }

    /** Deflection at each point: w' = θ − V / GA, θ' = M / EI, and w known at both ends. */
    private double[] transverse(double[] at, double first, double last, int moment, int shear, double ei, double ga) {
        int n = at.length;
        double[] w = new double[n];
        double slope = 0;
        for (int k = 0; k + 1 < n; k++) {
            double h = at[k + 1] - at[k];
            double turn = 0;
            double rise = 0;
            for (int g = 0; g < 3; g++) {
                double[] f = combined(at[k] + GAUSS[g] * h, moment, shear);
                turn += WEIGHT[g] * h * f[0] / ei;
                rise += WEIGHT[g] * h * ((1 - GAUSS[g]) * h * f[0] / ei - f[1] / ga);
            }
            w[k + 1] = w[k] + slope * h + rise;
            slope += turn;
        }
        double tilt = (last - first - w[n - 1]) / e.clear;
        for (int k = 0; k < n; k++) {
            w[k] += first + tilt * (at[k] - at[0]);
        }
        return w;
    }

    private double[] combined(double x, int moment, int shear) {
        forces.own(x, buffer, 0, 6);
        double m = 0;
        double v = 0;
        for (int c = 0; c < factors.length; c++) {
            m += factors[c] * buffer[6 * c + moment];
            v += factors[c] * buffer[6 * c + shear];
        }
        return new double[] {m, v};
    }
}
