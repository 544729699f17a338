package kolonne.core.single;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiPredicate;

/**
 * Second route for columns of any outline, from the codes alone: fibres of a grid that lies askew to the outline, bars one by one, and the rules of
 * ACI 318-19 22.2 and 22.4 or EN 1992-1-1 3.1.7 and 6.1 written anew.
 *
 * <p>x along the width and z upwards from any origin; moments about the centroid of the concrete, positive with compression upwards and towards the right.
 */
final class FibreColumn {
    private static final double ES = 200_000;
    /** Bars this near to the edge of the block are in it [mm]. */
    private static final double EDGE = 4;

    /** A bar [mm, mm2]. */
    record Rod(double x, double z, double area) {}

    /** Compression positive [N, Nmm]; φ with ties; what bars displace of the block, and what those in its edge displace or do not [N]. */
    record Point(double n, double up, double right, double phi, double displaced, double edged) {}

    private final double[] x;
    private final double[] z;
    private final double cell;
    private final double[][] corners;
    private final double radius;
    private final List<Rod> bars;
    private final Rules rules;
    private final double peak;
    private final double power;

    /** @param metric whether β1 is of the edition in SI units; both false by EN */
    record Rules(boolean en, boolean metric, double fc, double fy) {
        double steel() {
            return en ? fy / 1.15 : fy;
        }

        /** 22.2.2.4.3. */
        double beta() {
            double by = metric ? 0.05 * (fc - 28) / 7 : 0.05 * (fc / 6.894757293168e-3 - 4000) / 1000;
            return Math.max(0.65, Math.min(0.85, 0.85 - by));
        }

        double atPeak() {
            return fc <= 50 ? 0.002 : (2 + 0.085 * Math.pow(fc - 50, 0.53)) / 1000;
        }

        double atCrushing() {
            return fc <= 50 ? 0.0035 : (2.6 + 35 * Math.pow((90 - fc) / 100, 4)) / 1000;
        }

        double power() {
            return fc <= 50 ? 2 : 1.4 + 23.4 * Math.pow((90 - fc) / 100, 4);
        }

        /** Table 21.2.2, other than spirals. */
        double phi(double tension) {
            return en ? 1 : Math.max(0.65, Math.min(0.9, 0.65 + 0.25 * (tension - fy / ES) / 0.003));
        }
    }

    /** @param corners of the outline; none of a circle. @param radius of a circle about the origin. @param askew direction of the grid, along no side; it has {@code grid} squares a side */
    FibreColumn(
            double[][] corners,
            double radius,
            BiPredicate<Double, Double> inside,
            double askew,
            int grid,
            List<Rod> bars,
            Rules rules) {
        double half = radius;
        for (double[] c : corners) {
            half = Math.max(half, Math.hypot(c[0], c[1]));
        }
        double d = 2 * half / grid;
        List<double[]> cells = new ArrayList<>();
        for (int i = 0; i < grid * grid; i++) {
            double u = -half + (i / grid + 0.5) * d;
            double v = -half + (i % grid + 0.5) * d;
            double px = u * Math.cos(askew) - v * Math.sin(askew);
            double pz = u * Math.sin(askew) + v * Math.cos(askew);
            if (inside.test(px, pz)) {
                cells.add(new double[] {px, pz});
            }
        }
        double cx = cells.stream().mapToDouble(c -> c[0]).average().orElseThrow();
        double cz = cells.stream().mapToDouble(c -> c[1]).average().orElseThrow();
        this.x = cells.stream().mapToDouble(c -> c[0] - cx).toArray();
        this.z = cells.stream().mapToDouble(c -> c[1] - cz).toArray();
        this.cell = d * d;
        this.corners = new double[corners.length][];
        for (int i = 0; i < corners.length; i++) {
            this.corners[i] = new double[] {corners[i][0] - cx, corners[i][1] - cz};
        }
        this.radius = radius;
        this.bars = bars.stream()
                .map(b -> new Rod(b.x() - cx, b.z() - cz, b.area()))
                .toList();
        this.rules = rules;
        this.peak = rules.atPeak();
        this.power = rules.power();
    }

    double area() {
        return x.length * cell;
    }

    /** Greatest force that the code allows: 22.4.2.1 with φ for ties; 6.1(3) and figure 6.1, where no strain passes εc2. */
    double most() {
        double steel = bars.stream().mapToDouble(Rod::area).sum();
        double concrete = area() - steel;
        return rules.en
                ? rules.fc / 1.5 * concrete + Math.min(rules.steel(), ES * rules.atPeak()) * steel
                : 0.65 * 0.8 * (0.85 * rules.fc * concrete + rules.fy * steel);
    }

    private double reach(double ux, double uz) {
        double out = radius > 0 ? radius : Double.NEGATIVE_INFINITY;
        for (double[] c : corners) {
            out = Math.max(out, c[0] * ux + c[1] * uz);
        }
        return out;
    }

    /** Nominal resultants with compression towards an angle from the x axis. @param depth of the neutral axis in parts of the section's size that way */
    Point at(double angle, double depth) {
        double ux = Math.cos(angle);
        double uz = Math.sin(angle);
        double top = reach(ux, uz);
        double size = top + reach(-ux, -uz);
        double c = depth * size;
        double cu = rules.atCrushing();
        double c2 = rules.atPeak();
        // figure 6.1: outside the section the strain turns about εc2 at (1 − εc2 / εcu2) h
        double edge = !rules.en ? 0.003 : c <= size ? cu : c2 * c / (c - (1 - c2 / cu) * size);
        double block = rules.beta() * c;
        double n = 0;
        double up = 0;
        double right = 0;
        for (int i = 0; i < x.length; i++) {
            double s = stress(top - x[i] * ux - z[i] * uz, c, edge, block) * cell;
            n += s;
            up += s * z[i];
            right += s * x[i];
        }
        double tension = 0;
        double displaced = 0;
        double edged = 0;
        for (Rod b : bars) {
            double below = top - b.x * ux - b.z * uz;
            double strain = edge * (c - below) / c;
            double f = (Math.max(-rules.steel(), Math.min(rules.steel(), ES * strain)) - stress(below, c, edge, block))
                    * b.area;
            tension = Math.max(tension, -strain);
            double concrete = rules.en ? 0 : 0.85 * rules.fc * b.area;
            displaced += below < block ? concrete : 0;
            edged += Math.abs(below - block) < Math.sqrt(b.area / Math.PI) + EDGE ? concrete : 0;
            n += f;
            up += f * b.z;
            right += f * b.x;
        }
        return new Point(n, up, right, rules.phi(tension), displaced, edged);
    }

    private double stress(double below, double c, double edge, double block) {
        return rules.en ? curve(edge * (c - below) / c) : below < block ? 0.85 * rules.fc : 0;
    }

    /** (3.17), (3.18). */
    private double curve(double strain) {
        double fcd = rules.fc / 1.5;
        return strain <= 0 ? 0 : strain >= peak ? fcd : fcd * (1 - Math.pow(1 - strain / peak, power));
    }
}
