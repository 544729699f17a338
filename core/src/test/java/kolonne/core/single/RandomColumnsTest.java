package kolonne.core.single;

import static org.junit.jupiter.api.Assertions.assertNull;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.BiPredicate;
import java.util.stream.IntStream;
import kolonne.core.Sweep;
import kolonne.core.basis.Basis;
import kolonne.core.code.DesignCode;
import kolonne.core.section.general.Outline;
import kolonne.core.section.general.Outline.Corner;
import kolonne.core.section.general.Outline.Ring;
import kolonne.core.shape.Shape;
import kolonne.core.single.FibreColumn.Rod;
import kolonne.core.single.SingleSection.Forces;
import kolonne.core.single.SingleSection.Spot;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Random columns of every shape under axial force with biaxial bending, as the section bench answers for them: rectangles, circles, ells, tees, inverted tees,
 * any of these turned, and free polygons with openings; ACI 318-19 in both units and EN 1992-1-1 up to C90. The demands are points that {@link FibreColumn}
 * puts on the design surface, and parts and multiples of them: the use must be that part, or what the greatest axial force leaves.
 */
class RandomColumnsTest {
    private static final int KINDS = 7;
    /** Squares a side of the fibres: a fine grid decides where a coarse one is not near enough. */
    private static final int COARSE = 400;

    private static final int FINE = 2000;
    private static final int TIPS = 150;

    static IntStream seeds() {
        return IntStream.range(0, Sweep.of(6 * KINDS, 600 * KINDS));
    }

    /** An outline in this test's own words and the same in the program's. */
    private record Drawn(
            double[][] corners,
            double radius,
            BiPredicate<Double, Double> inside,
            double turn,
            Shape shape,
            Outline outline) {}

    private record Made(FibreColumn fibres, Uses uses) {}

    private static Drawn drawn(int kind, Random r) {
        double w = 300 + 50 * r.nextInt(13);
        double h = 300 + 50 * r.nextInt(13);
        // legs of ells and tees
        double web = Math.max(150, w * (0.3 + 0.3 * r.nextDouble()));
        double flange = Math.max(150, h * (0.3 + 0.3 * r.nextDouble()));
        double to = w / 2;
        switch (kind) {
            case 0:
                return new Drawn(
                        polygon(-to, 0, to, 0, to, h, -to, h),
                        0,
                        (x, z) -> Math.abs(x) < to && z > 0 && z < h,
                        0,
                        new Shape.Rectangle(w, h),
                        null);
            case 1:
                return new Drawn(new double[0][], to, (x, z) -> x * x + z * z < to * to, 0, new Shape.Circle(w), null);
            case 2:
                return legs(new Shape.Ell(web, h, w, flange), -to, -to + web, h - flange, h);
            case 3:
                return legs(new Shape.Tee(web, h, w, flange), -web / 2, web / 2, h - flange, h);
            case 4:
                return legs(Shape.flanged("inverted-tee", web, h, w, flange), -web / 2, web / 2, 0, flange);
            case 5:
                return turned(drawn(new int[] {0, 2, 3, 4}[r.nextInt(4)], r), 2 * Math.PI * r.nextDouble());
            default:
                return star(r);
        }
    }

    private static double[][] polygon(double... xz) {
        double[][] out = new double[xz.length / 2][];
        for (int i = 0; i < out.length; i++) {
            out[i] = new double[] {xz[2 * i], xz[2 * i + 1]};
        }
        return out;
    }

    /** A web from left to right all the way up, a flange all the way across from low to high. */
    private static Drawn legs(Shape s, double left, double right, double low, double high) {
        double w = s.width() / 2;
        double h = s.depth();
        return new Drawn(
                polygon(left, 0, right, 0, left, h, right, h, -w, low, w, low, -w, high, w, high),
                0,
                (x, z) -> z > 0 && z < h && x > left && x < right || z > low && z < high && x > -w && x < w,
                0,
                s,
                Outline.of(s));
    }

    private static Drawn turned(Drawn d, double by) {
        double cos = Math.cos(by);
        double sin = Math.sin(by);
        double[][] corners = new double[d.corners.length][];
        for (int i = 0; i < corners.length; i++) {
            double x = d.corners[i][0];
            double z = d.corners[i][1];
            corners[i] = new double[] {x * cos - z * sin, x * sin + z * cos};
        }
        Ring outer =
                (d.outline == null ? Outline.of(d.shape) : d.outline).rings().get(0);
        List<Corner> ring = outer.corners().stream()
                .map(c -> new Corner(c.x() * cos - c.y() * sin, c.x() * sin + c.y() * cos))
                .toList();
        return new Drawn(
                corners,
                0,
                (x, z) -> d.inside.test(x * cos + z * sin, z * cos - x * sin),
                by,
                null,
                new Outline(new Ring(ring), List.of()));
    }

    /** Corners at growing angles about the origin; up to three square openings that keep out of each other's and of the edge's way. */
    private static Drawn star(Random r) {
        int n = 4 + r.nextInt(7);
        double[] angle = new double[n];
        double[] far = new double[n];
        double[][] corners = new double[n][];
        List<Corner> ring = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            angle[i] = 2 * Math.PI * (i + 0.6 * r.nextDouble()) / n;
            far[i] = 250 + 350 * r.nextDouble();
            corners[i] = new double[] {far[i] * Math.cos(angle[i]), far[i] * Math.sin(angle[i])};
            ring.add(new Corner(corners[i][0], corners[i][1]));
        }
        BiPredicate<Double, Double> outer = (x, z) -> inFan(corners, x, z);
        List<double[]> openings = new ArrayList<>();
        List<Ring> rings = new ArrayList<>();
        int wanted = r.nextInt(4);
        for (int k = 0; k < 20 && openings.size() < wanted; k++) {
            double half = 25 + 35 * r.nextDouble();
            double ox = 300 * (r.nextDouble() - 0.5);
            double oz = 300 * (r.nextDouble() - 0.5);
            boolean free = openings.stream()
                    .noneMatch(o -> Math.abs(o[0] - ox) < o[2] + half + 5 && Math.abs(o[1] - oz) < o[2] + half + 5);
            if (free && squareInside(outer, ox, oz, half + 10)) {
                openings.add(new double[] {ox, oz, half});
                rings.add(new Ring(List.of(
                        new Corner(ox - half, oz - half),
                        new Corner(ox + half, oz - half),
                        new Corner(ox + half, oz + half),
                        new Corner(ox - half, oz + half))));
            }
        }
        return new Drawn(
                corners,
                0,
                (x, z) -> outer.test(x, z)
                        && openings.stream().noneMatch(o -> Math.abs(x - o[0]) < o[2] && Math.abs(z - o[1]) < o[2]),
                0,
                null,
                new Outline(new Ring(ring), rings));
    }

    private static boolean squareInside(BiPredicate<Double, Double> outer, double x, double z, double half) {
        for (double u = -1; u <= 1; u += 0.25) {
            for (double v = -1; v <= 1; v += 0.25) {
                if (!outer.test(x + u * half, z + v * half)) {
                    return false;
                }
            }
        }
        return true;
    }

    /** Whether a point lies in one of the triangles from the origin to every side. */
    private static boolean inFan(double[][] corners, double x, double z) {
        for (int i = 0; i < corners.length; i++) {
            double[] a = corners[i];
            double[] b = corners[(i + 1) % corners.length];
            double all = a[0] * b[1] - a[1] * b[0];
            double s = (x * b[1] - z * b[0]) / all;
            double t = (a[0] * z - a[1] * x) / all;
            if (s >= 0 && t >= 0 && s + t < 1) {
                return true;
            }
        }
        return false;
    }

    /** Bars anywhere in the concrete, a good 1 to 4 % of it; in half of rectangles and circles as they would be built. */
    private static List<Rod> bars(Drawn d, int kind, Random r) {
        double size = new double[] {201, 314, 491, 804}[r.nextInt(4)];
        if (kind == 1 && r.nextBoolean()) {
            List<Rod> out = new ArrayList<>();
            int n = 5 + r.nextInt(8);
            for (int i = 0; i < n; i++) {
                double a = 2 * Math.PI * i / n;
                out.add(new Rod((d.radius - 60) * Math.cos(a), (d.radius - 60) * Math.sin(a), size));
            }
            return out;
        }
        if (kind == 0 && r.nextBoolean()) {
            return around(d.shape.width(), d.shape.depth(), 2 + r.nextInt(4), r.nextInt(4), size);
        }
        double reach = d.radius;
        for (double[] c : d.corners) {
            reach = Math.max(reach, Math.hypot(c[0], c[1]));
        }
        List<Rod> out = new ArrayList<>();
        int n = 5 + r.nextInt(12);
        while (out.size() < n) {
            double x = 2 * reach * (r.nextDouble() - 0.5);
            double z = 2 * reach * (r.nextDouble() - 0.5);
            if (squareInside(d.inside, x, z, 30)) {
                out.add(new Rod(x, z, size));
            }
        }
        return out;
    }

    /** So many bars along the width below and above, so many between them at both sides. */
    private static List<Rod> around(double w, double h, int along, int between, double size) {
        List<Rod> out = new ArrayList<>();
        for (int i = 0; i < along; i++) {
            double x = -w / 2 + 60 + (w - 120) * i / (along - 1);
            out.add(new Rod(x, 60, size));
            out.add(new Rod(x, h - 60, size));
        }
        for (int i = 1; i <= between; i++) {
            double z = 60 + (h - 120) * i / (between + 1);
            out.add(new Rod(60 - w / 2, z, size));
            out.add(new Rod(w / 2 - 60, z, size));
        }
        return out;
    }

    private static Made made(int seed, int grid) {
        Random r = new Random(seed);
        int kind = seed % KINDS;
        Drawn d = drawn(kind, r);
        List<Rod> bars = bars(d, kind, r);
        String code = new String[] {"aci-318m-19", "aci-318-19", "en-1992-1-1"}[r.nextInt(3)];
        double fc = new double[] {20, 25, 30, 40, 50, 60, 70, 90}[r.nextInt(8)];
        double fy = new double[] {420, 500, 550}[r.nextInt(3)];
        DesignCode rules = Basis.standard(code).designCode();
        // the bench measures heights of circles from their lowest point
        double lift = d.radius;
        List<Spot> spots = bars.stream()
                .map(b -> new Spot(b.x(), b.z() + lift, Math.sqrt(4 * b.area() / Math.PI), b.area(), true))
                .toList();
        Uses uses = d.outline == null
                ? new SectionUses(new SingleSection(
                        "C" + seed, rules, true, d.shape, fc, fy, 420, 40, spots, SingleSection.Stirrup.NONE))
                : new GeneralUses(new GeneralColumn("C" + seed, rules, d.outline, fc, fy, spots, null));
        FibreColumn fibres = new FibreColumn(
                d.corners,
                d.radius,
                d.inside,
                d.turn + 0.6,
                grid,
                bars,
                new FibreColumn.Rules(code.startsWith("en"), code.equals("aci-318m-19"), fc, fy));
        return new Made(fibres, uses);
    }

    /** What a demand uses of the section by axial force and bending. */
    private static double used(Made m, double n, double up, double right) {
        return m.uses.uses(new Forces("k", -n, 0, 0, 0, up, right)).stream()
                .filter(u -> u.check().equals("axial-bending"))
                .findFirst()
                .orElseThrow()
                .utilisation();
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void usesAreThoseOfFibres(int seed) {
        String off = off(made(seed, COARSE), seed);
        assertNull(off == null ? null : off(made(seed, FINE), seed));
    }

    /** In words the first of some demands that is not used as it should be; null if all are. */
    private static String off(Made m, int seed) {
        Random r = new Random(7919L * seed);
        for (int k = 0; k < 5; k++) {
            double angle = 2 * Math.PI * r.nextDouble();
            double depth = Math.exp(Math.log(0.08) + Math.log(6 / 0.08) * r.nextDouble());
            FibreColumn.Point p = m.fibres.at(angle, depth);
            double part = 0.5 + 1.5 * r.nextDouble();
            double by = part * p.phi();
            double want = Math.max(part, by * p.n() / m.fibres.most());
            double now = used(m, by * p.n(), by * p.up(), by * p.right());
            // a bar in the edge of the block displaces its concrete or does not, and both may be in equilibrium
            double edged = 2 * p.edged() / Math.hypot(p.n(), Math.hypot(p.up(), p.right()) / 500);
            if (!(Math.abs(now - want) <= (4e-3 + edged) * want)) {
                return "shape " + seed % KINDS + " towards " + angle + " at " + depth + ": " + want + ", not " + now;
            }
        }
        return null;
    }

    /** With some whose bars stand at one side, where resultants turn back towards the tip before they leave it. */
    static IntStream tips() {
        return IntStream.concat(
                        IntStream.range(0, Sweep.of(2 * KINDS, 200 * KINDS)),
                        IntStream.of(218, 345, 450, 524, 876, 3021))
                .distinct();
    }

    /** Beside pure compression and pure tension, where all directions of the neutral axis come together, any ray meets the surface that fibres make there. */
    @ParameterizedTest
    @MethodSource("tips")
    void demandsBesideTheTips(int seed) {
        Made m = made(seed, TIPS);
        for (boolean compression : new boolean[] {true, false}) {
            String off = besideTip(m, new FibreTip(m.fibres, compression, 120, 30), seed);
            assertNull(off == null ? null : besideTip(m, new FibreTip(m.fibres, compression, 480, 120), seed));
        }
    }

    /** In words the first of some demands that is not used as the triangles say; null if all are. */
    private static String besideTip(Made m, FibreTip tip, int seed) {
        Random r = new Random(seed);
        FibreColumn.Point p = tip.tip();
        for (double off : new double[] {1e-6, 1e-4, 2e-3, 1e-2, 3e-2}) {
            double a = 2 * Math.PI * r.nextDouble();
            double by = off * Math.abs(p.n()) * 500;
            double up = p.up() + by * Math.sin(a);
            double right = p.right() + by * Math.cos(a);
            FibreTip.Use use = tip.of(p.n(), up, right);
            double cap = p.n() / m.fibres.most();
            double now = used(m, p.n(), up, right);
            double part = 6e-3 + use.unsure();
            if (!(now >= (1 - part) * Math.max(cap, use.least()) && now <= (1 + part) * Math.max(cap, use.most()))) {
                return "shape " + seed % KINDS + ", " + off + " beside: " + use + ", cap " + cap + ", not " + now;
            }
        }
        return null;
    }
}
