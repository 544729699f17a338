package kolonne.core.shape;

import java.util.List;
import java.util.Locale;
import java.util.function.DoubleFunction;

/** A cross-section's outline. */
public sealed interface Shape permits Shape.Rectangle, Shape.Flanged, Shape.Circle {
    /** A strip of the section between two heights above the soffit, of constant width [mm]. */
    record Strip(double from, double to, double width) {
        double area() {
            return (to - from) * width;
        }

        double mid() {
            return (from + to) / 2;
        }
    }

    /** Largest width along local y [mm]. */
    double width();

    /** Depth along local z [mm]. */
    double depth();

    /** Width of the part that carries shear [mm]. */
    double webWidth();

    /** The section as horizontal strips from the soffit up; a circle is cut into strips of equal height. */
    List<Strip> strips();

    /** Torsion constant J [mm4]. */
    double J();

    /** Area that shears along local y [mm2]: 5/6 of what is as wide as the section. */
    double shearAreaY();

    /**
     * Area that shears along local z [mm2].
     * <pre>As = A / F, F = 6/5 rectangle, 10/9 circle, 6/5 on the web of a flanged section   Roark's Formulas, 7th ed., sec. 8.10</pre>
     */
    double shearAreaZ();

    /** Letter and sizes, each written by {@code size} from mm. */
    String label(DoubleFunction<String> size);

    /** Label in mm, for instance {@code 300 × 600}. */
    default String label() {
        return label(Shape::mm);
    }

    /** Label in the display unit, for instance {@code 12 × 24 in}. */
    default String label(boolean us) {
        return us ? label(Shape::inches) + " in" : label();
    }

    /** The label with all sizes, those of a flange too. */
    default String whole(boolean us) {
        DoubleFunction<String> size = us ? Shape::inches : Shape::mm;
        String unit = us ? " in" : "";
        return this instanceof Flanged f
                ? label(size) + unit + ", flange " + size.apply(f.bf()) + " × " + size.apply(f.hf()) + unit
                : label(us);
    }

    /** The same shape with a wider web and a greater depth, less where negative. @throws IllegalArgumentException if that is no shape any more */
    default Shape grown(double wider, double deeper) {
        Shape out = this instanceof Rectangle r
                ? new Rectangle(r.b() + wider, r.h() + deeper)
                : this instanceof Circle c
                        ? new Circle(c.d() + (wider != 0 ? wider : deeper))
                        : ((Flanged) this).withWeb(webWidth() + wider, depth() + deeper);
        if (out.webWidth() <= 0 || out.depth() <= out.flangeDepth() || out.webWidth() > out.width()) {
            throw new IllegalArgumentException("nothing of " + label() + " is left");
        }
        return out;
    }

    /** Its word in files: rectangle, circle, tee, ell, inverted-tee. */
    String word();

    /** Depth of a flange [mm]; 0 without one. */
    default double flangeDepth() {
        return 0;
    }

    /** Whether a flange lies on the side that is in tension. */
    default boolean flangeInTension(boolean sagging) {
        return false;
    }

    /** Gross area [mm2]. */
    default double A() {
        return strips().stream().mapToDouble(Strip::area).sum();
    }

    /** Mean width of the tension zone of the uncracked section, below the centroid if {@code sagging} [mm]. */
    default double tensionWidth(boolean sagging) {
        double zc = centroid();
        double area = 0;
        for (Strip s : strips()) {
            double from = sagging ? s.from() : Math.max(s.from(), zc);
            double to = sagging ? Math.min(s.to(), zc) : s.to();
            area += Math.max(0, to - from) * s.width();
        }
        return area / (sagging ? zc : depth() - zc);
    }

    /** Height of the centroid above the soffit [mm]. */
    default double centroid() {
        return strips().stream().mapToDouble(s -> s.area() * s.mid()).sum() / A();
    }

    /** Second moment about the horizontal axis through the centroid [mm4]. */
    default double Iy() {
        double zc = centroid();
        return strips().stream()
                .mapToDouble(s -> {
                    double h = s.to() - s.from();
                    double e = s.mid() - zc;
                    return s.width() * h * h * h / 12 + s.area() * e * e;
                })
                .sum();
    }

    /** Second moment about the vertical axis through the centroid [mm4]. */
    double Iz();

    /** Product of inertia about the centroid, of distances to the right and upwards [mm4]; 0 but for ells. */
    default double Iyz() {
        return 0;
    }

    /**
     * Torsion constant of a rectangle, shorter side {@code t}.
     * <pre>J = b t^3 (1/3 - 0.21 t/b (1 - t^4 / (12 b^4)))    W. C. Young, R. G. Budynas, Roark's Formulas, 7th ed., table 10.1</pre>
     */
    static double rectangleJ(double a, double c) {
        double b = Math.max(a, c);
        double t = Math.min(a, c);
        double r = t / b;
        return b * t * t * t * (1.0 / 3 - 0.21 * r * (1 - r * r * r * r / 12));
    }

    /** A rectangle of width b and depth h [mm]. */
    record Rectangle(double b, double h) implements Shape {
        @Override
        public double width() {
            return b;
        }

        @Override
        public double A() {
            return b * h;
        }

        @Override
        public double depth() {
            return h;
        }

        @Override
        public double webWidth() {
            return b;
        }

        @Override
        public List<Strip> strips() {
            return List.of(new Strip(0, h, b));
        }

        @Override
        public double J() {
            return rectangleJ(b, h);
        }

        @Override
        public double shearAreaY() {
            return b * h / 1.2;
        }

        @Override
        public double shearAreaZ() {
            return b * h / 1.2;
        }

        @Override
        public double Iz() {
            return h * b * b * b / 12;
        }

        @Override
        public String label(DoubleFunction<String> size) {
            return size.apply(b) + " × " + size.apply(h);
        }

        @Override
        public String word() {
            return "rectangle";
        }
    }

    /** A web bw × h with a flange bf wide in all and hf deep at the top or the bottom. */
    sealed interface Flanged extends Shape permits Tee, Ell, InvertedTee {
        double bw();

        double h();

        double bf();

        double hf();

        /** Sides on which the flange juts out. */
        int overhangs();

        /** The same flange on another web. */
        Flanged withWeb(double b, double depth);

        @Override
        default double width() {
            return bf();
        }

        @Override
        default double A() {
            return bw() * h() + (bf() - bw()) * hf();
        }

        @Override
        default double depth() {
            return h();
        }

        @Override
        default double webWidth() {
            return bw();
        }

        @Override
        default double flangeDepth() {
            return hf();
        }

        @Override
        default boolean flangeInTension(boolean sagging) {
            return !sagging;
        }

        @Override
        default double J() {
            return rectangleJ(bw(), h()) + rectangleJ(bf() - bw(), hf());
        }

        @Override
        default double shearAreaY() {
            return bf() * hf() / 1.2;
        }

        @Override
        default double shearAreaZ() {
            return bw() * h() / 1.2;
        }

        @Override
        default List<Strip> strips() {
            return List.of(new Strip(0, h() - hf(), bw()), new Strip(h() - hf(), h(), bf()));
        }
    }

    /** A tee: a flange on both sides of the top, symmetric. */
    record Tee(double bw, double h, double bf, double hf) implements Flanged {
        @Override
        public int overhangs() {
            return 2;
        }

        @Override
        public Flanged withWeb(double b, double depth) {
            return new Tee(b, depth, bf, hf);
        }

        @Override
        public double Iz() {
            return symmetricIz(this);
        }

        @Override
        public String label(DoubleFunction<String> size) {
            return "T " + size.apply(bw) + " × " + size.apply(h);
        }

        @Override
        public String word() {
            return "tee";
        }
    }

    /** A tee on its head: ledges on both sides of the soffit, symmetric. */
    record InvertedTee(double bw, double h, double bf, double hf) implements Flanged {
        @Override
        public int overhangs() {
            return 2;
        }

        @Override
        public Flanged withWeb(double b, double depth) {
            return new InvertedTee(b, depth, bf, hf);
        }

        @Override
        public boolean flangeInTension(boolean sagging) {
            return sagging;
        }

        @Override
        public List<Strip> strips() {
            return List.of(new Strip(0, hf, bf), new Strip(hf, h, bw));
        }

        @Override
        public double Iz() {
            return symmetricIz(this);
        }

        @Override
        public String label(DoubleFunction<String> size) {
            return "⊥ " + size.apply(bw) + " × " + size.apply(h);
        }

        @Override
        public String word() {
            return "inverted-tee";
        }
    }

    /** An ell: a flange on one side of the top. */
    record Ell(double bw, double h, double bf, double hf) implements Flanged {
        @Override
        public int overhangs() {
            return 1;
        }

        @Override
        public Flanged withWeb(double b, double depth) {
            return new Ell(b, depth, bf, hf);
        }

        @Override
        public double Iz() {
            double hw = h - hf;
            double yc = (hw * bw * bw / 2 + hf * bf * bf / 2) / A();
            double web = hw * bw * bw * bw / 12 + hw * bw * (bw / 2 - yc) * (bw / 2 - yc);
            return web + hf * bf * bf * bf / 12 + hf * bf * (bf / 2 - yc) * (bf / 2 - yc);
        }

        /** Of two areas about the centroid between them. */
        @Override
        public double Iyz() {
            double web = (h - hf) * bw;
            double flange = hf * bf;
            return web * flange / (web + flange) * (bf - bw) / 2 * h / 2;
        }

        /** Least second moment about any axis through the centroid [mm4]. */
        public double leastI() {
            return (Iy() + Iz()) / 2 - Math.hypot((Iy() - Iz()) / 2, Iyz());
        }

        @Override
        public String label(DoubleFunction<String> size) {
            return "L " + size.apply(bw) + " × " + size.apply(h);
        }

        @Override
        public String word() {
            return "ell";
        }
    }

    /** A circle of diameter d [mm]. */
    record Circle(double d) implements Shape {
        private static final int STRIPS = 60;

        @Override
        public double width() {
            return d;
        }

        @Override
        public double depth() {
            return d;
        }

        @Override
        public double webWidth() {
            return d;
        }

        @Override
        public double A() {
            return Math.PI * d * d / 4;
        }

        @Override
        public double centroid() {
            return d / 2;
        }

        @Override
        public double Iy() {
            return Math.PI * d * d * d * d / 64;
        }

        @Override
        public double Iz() {
            return Iy();
        }

        @Override
        public double J() {
            return 2 * Iy();
        }

        @Override
        public double shearAreaY() {
            return 0.9 * A();
        }

        @Override
        public double shearAreaZ() {
            return 0.9 * A();
        }

        @Override
        public List<Strip> strips() {
            List<Strip> out = new java.util.ArrayList<>(STRIPS);
            double r = d / 2;
            for (int i = 0; i < STRIPS; i++) {
                double from = d * i / STRIPS;
                double to = d * (i + 1) / STRIPS;
                out.add(new Strip(from, to, (segment(r, to) - segment(r, from)) / (to - from)));
            }
            return out;
        }

        /** Area of the circle below height z above its lowest point. */
        private static double segment(double r, double z) {
            double c = Math.max(-1, Math.min(1, (r - z) / r));
            double t = Math.acos(c);
            return r * r * (t - Math.sin(t) * Math.cos(t));
        }

        @Override
        public String label(DoubleFunction<String> size) {
            return "Ø " + size.apply(d);
        }

        @Override
        public String word() {
            return "circle";
        }
    }

    /** A flanged shape by its word; null if the word is none of theirs. */
    static Flanged flanged(String word, double bw, double h, double bf, double hf) {
        return switch (word) {
            case "tee" -> new Tee(bw, h, bf, hf);
            case "ell" -> new Ell(bw, h, bf, hf);
            case "inverted-tee" -> new InvertedTee(bw, h, bf, hf);
            default -> null;
        };
    }

    private static double symmetricIz(Flanged s) {
        return ((s.h() - s.hf()) * Math.pow(s.bw(), 3) + s.hf() * Math.pow(s.bf(), 3)) / 12;
    }

    private static String mm(double v) {
        return trimmed(v, "%.1f");
    }

    private static String inches(double mm) {
        return trimmed(mm / 25.4, "%.2f");
    }

    /** Digits without zeros at the end. */
    private static String trimmed(double v, String format) {
        return String.format(Locale.ROOT, format, v).replaceFirst("\\.?0+$", "");
    }
}
