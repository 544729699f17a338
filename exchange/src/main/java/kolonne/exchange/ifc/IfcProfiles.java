package kolonne.exchange.ifc;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import kolonne.core.shape.Shape;
import kolonne.core.space.Point3;

/** Sections as profiles say them; outlines of lines along both axes are recognised as rectangle, tee, ell or inverted tee. */
final class IfcProfiles {
    private static final double SAME = 0.01;
    /** Corners of an outline. */
    private static final int MOST = 8;

    private final IfcReading in;

    IfcProfiles(IfcReading in) {
        this.in = in;
    }

    /** The shape, or null where it is none that is designed. */
    Shape shape(StepFile.Instance p) {
        return switch (p.entity()) {
            case "IFCRECTANGLEPROFILEDEF", "IFCROUNDEDRECTANGLEPROFILEDEF" -> {
                double b = size(p, 3);
                double h = size(p, 4);
                yield b > 0 && h > 0 ? new Shape.Rectangle(b, h) : null;
            }
            case "IFCCIRCLEPROFILEDEF" -> size(p, 3) > 0 ? new Shape.Circle(2 * size(p, 3)) : null;
            case "IFCTSHAPEPROFILEDEF" -> tee(p);
            case "IFCARBITRARYCLOSEDPROFILEDEF" -> outline(in.to(p, 2));
            default -> null;
        };
    }

    private double size(StepFile.Instance p, int n) {
        return even(IfcReading.number(p, n).orElse(0.0) * in.length());
    }

    /** To a millionth of a millimetre: what conversion of units leaves over. */
    private static double even(double mm) {
        return Math.rint(mm * 1e6) / 1e6;
    }

    private Shape tee(StepFile.Instance p) {
        Point3 x = in.direction(in.to(in.to(p, 2), 1));
        if (x != null && Math.abs(Math.abs(x.x()) - 1) > 1e-6) {
            return null; // turned aside
        }
        return flanged(x != null && x.x() < 0 ? "inverted-tee" : "tee", size(p, 5), size(p, 3), size(p, 4), size(p, 6));
    }

    private static Shape flanged(String word, double bw, double h, double bf, double hf) {
        return bw > 0 && bf >= bw && hf > 0 && hf < h ? Shape.flanged(word, bw, h, bf, hf) : null;
    }

    private Shape outline(StepFile.Instance curve) {
        List<Point3> c = new ArrayList<>();
        if (curve != null && curve.entity().equals("IFCPOLYLINE")) {
            IfcReading.list(curve, 0, MOST + 2).forEach(p -> c.add(in.point(in.instance(p))));
        } else if (curve != null
                && curve.entity().equals("IFCINDEXEDPOLYCURVE")
                && IfcReading.list(curve, 1, 1).isEmpty()) {
            for (Object p : IfcReading.list(in.to(curve, 0), 0, MOST + 2)) {
                boolean sound = p instanceof List<?> l
                        && l.size() >= 2
                        && l.get(0) instanceof Double
                        && l.get(1) instanceof Double;
                c.add(
                        sound
                                ? new Point3((Double) ((List<?>) p).get(0), (Double) ((List<?>) p).get(1), 0)
                                        .times(in.length())
                                : null);
            }
        }
        if (c.size() > 1 && c.get(0) != null && c.get(0).equals(c.get(c.size() - 1))) {
            c.remove(c.size() - 1);
        }
        return c.size() < 4 || c.size() > MOST || c.contains(null) ? null : straight(c);
    }

    /** Of corners between lines along the axes. */
    private static Shape straight(List<Point3> c) {
        TreeSet<Double> levels = new TreeSet<>();
        for (int i = 0; i < c.size(); i++) {
            Point3 d = c.get((i + 1) % c.size()).minus(c.get(i));
            if (Math.abs(d.x()) > SAME && Math.abs(d.y()) > SAME) {
                return null;
            }
            double y = c.get(i).y();
            if (levels.stream().noneMatch(l -> Math.abs(l - y) < SAME)) {
                levels.add(y);
            }
        }
        List<Double> up = new ArrayList<>(levels);
        double h = up.get(up.size() - 1) - up.get(0);
        double[] low = between(c, (up.get(0) + up.get(1)) / 2);
        if (low == null) {
            return null;
        }
        if (up.size() == 2) {
            return new Shape.Rectangle(even(low[1] - low[0]), even(h));
        }
        double[] high = between(c, (up.get(1) + up.get(2)) / 2);
        if (up.size() != 3 || high == null) {
            return null;
        }
        boolean below = low[1] - low[0] > high[1] - high[0];
        double[] wide = below ? low : high;
        double[] web = below ? high : low;
        double left = web[0] - wide[0];
        double right = wide[1] - web[1];
        double hf = below ? up.get(1) - up.get(0) : up.get(2) - up.get(1);
        boolean even = Math.abs(left - right) < SAME;
        String word = even ? below ? "inverted-tee" : "tee" : !below && Math.min(left, right) < SAME ? "ell" : null;
        return word == null ? null : flanged(word, even(web[1] - web[0]), even(h), even(wide[1] - wide[0]), even(hf));
    }

    /** Left and right end of the outline at a height; null where it is not of one piece. */
    private static double[] between(List<Point3> c, double y) {
        TreeSet<Double> x = new TreeSet<>();
        for (int i = 0; i < c.size(); i++) {
            Point3 a = c.get(i);
            Point3 b = c.get((i + 1) % c.size());
            if (a.y() < y != b.y() < y) {
                x.add(a.x());
            }
        }
        return x.size() == 2 ? new double[] {x.first(), x.last()} : null;
    }
}
