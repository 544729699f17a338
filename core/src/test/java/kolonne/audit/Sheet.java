package kolonne.audit;

import java.util.List;
import java.util.stream.IntStream;

/** What the drawings of a building show, and the numbers of its basis: plain data, nothing computed. N, mm, MPa. */
final class Sheet {
    private Sheet() {}

    /** The code that is read. */
    enum Code {
        ACI_SI,
        ACI_US,
        EN
    }

    /** What a frame for earthquakes is: members outside the system that resists them have the shear of special ones. */
    enum Frame {
        NONE,
        ORDINARY,
        INTERMEDIATE,
        SPECIAL
    }

    /** Numbers of the basis. @param stock length in which bars are delivered */
    record Basis(
            Code code,
            double fy,
            double fyt,
            double beamCover,
            double columnCover,
            double aggregate,
            boolean swayX,
            boolean swayY,
            boolean lengthsFromEnds,
            double lengthX,
            double lengthY,
            boolean nominalStiffness,
            Frame frame,
            double stock) {
        boolean en() {
            return code == Code.EN;
        }
    }

    /** A span: faces of its supports, section (flange of thickness hf on top, or none), concrete. */
    record Span(
            double from,
            double to,
            double faceFrom,
            double faceTo,
            double b,
            double bw,
            double h,
            double hf,
            double fc,
            boolean columnLeft,
            boolean columnRight,
            boolean cantilever) {
        double width(double fromTop) {
            return fromTop < hf ? b : bw;
        }
    }

    /** Where forces of the analysis are known. */
    record Place(double x, int span, int member, int station, boolean reversed) {}

    record Bars(
            boolean top,
            int layer,
            int count,
            double d,
            double area,
            double offset,
            double from,
            double to,
            boolean hookFrom,
            boolean hookTo,
            boolean pairs) {
        boolean at(double x) {
            return x >= from - 1e-6 && x <= to + 1e-6;
        }
    }

    record Stirrups(int span, double from, double to, double d, double area, int legs, double spacing) {}

    /** A bar of a drawn section: y from the web's left side, z from the soffit. */
    record Spot(double y, double z, double d, boolean top, int layer) {}

    record Cut(double x, int span, List<Spot> spots) {}

    /** Where the bars of a group lap with one another, by its place in the list. */
    record Lap(int bars, double from, double to) {}

    /** @param standing places of all stirrups, from the left */
    record Line(
            String mark,
            List<Span> spans,
            List<Place> places,
            List<Bars> bars,
            List<Stirrups> stirrups,
            List<Cut> cuts,
            List<Lap> laps,
            List<Double> standing) {}

    /** A bar of a column from the centroid. */
    record Dot(double x, double y, double d, double area) {}

    /** A bar as it stands: a broken line of {height, x, y}, heights absolute, places about the centroid. @param hooked at one of its ends */
    record Standing(double d, boolean hooked, List<double[]> points) {
        double bottom() {
            return points.stream().mapToDouble(p -> p[0]).min().orElseThrow();
        }

        double top() {
            return points.stream().mapToDouble(p -> p[0]).max().orElseThrow();
        }

        /** {x, y} at a height; null where it does not reach. */
        double[] at(double height) {
            for (int i = 0; i + 1 < points.size(); i++) {
                double[] a = points.get(i);
                double[] b = points.get(i + 1);
                if (a[0] < height != b[0] < height) {
                    double t = (height - a[0]) / (b[0] - a[0]);
                    return new double[] {a[1] + t * (b[1] - a[1]), a[2] + t * (b[2] - a[2])};
                }
            }
            return null;
        }

        /** Whether it is the bar of a section at a height. */
        boolean is(Dot dot, double height) {
            double[] p = at(height);
            return Math.abs(d - dot.d()) < 0.1 && p != null && Math.hypot(p[0] - dot.x(), p[1] - dot.y()) < 1;
        }
    }

    /** A lift: section b along x (h along y, or a circle of diameter b), bars, and ties by their heights above its foot; which bars of a face have legs. */
    record Lift(
            String mark,
            int member,
            boolean round,
            boolean spiral,
            double b,
            double h,
            double fc,
            double ec,
            List<Dot> bars,
            double tie,
            double tieArea,
            List<Double> ties,
            List<Boolean> heldX,
            List<Boolean> heldY,
            int alongX,
            int alongY,
            Legs legs) {
        /** Between neighbouring ties. */
        double widest() {
            return IntStream.range(1, ties.size())
                    .mapToDouble(i -> ties.get(i) - ties.get(i - 1))
                    .max()
                    .orElseThrow();
        }
    }

    /**
     * What an ell or a tee has besides: {@code null} of other lifts.
     *
     * @param web, flange {left, lower, right, upper} about the centroid; the web without what lies in the flange
     * @param across      places {x, y} of cross-ties across the web; {@code over} of those across the flange
     */
    record Legs(double[] web, double[] flange, List<double[]> across, List<double[]> over) {
        double[][] rectangles() {
            return new double[][] {web, flange};
        }
    }
}
