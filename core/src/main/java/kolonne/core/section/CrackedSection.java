package kolonne.core.section;

import java.util.List;
import kolonne.core.shape.Shape;

/**
 * Elastic properties of a section whose concrete does not carry tension, transformed to concrete.
 *
 * @param depth   of the neutral axis from the compression face [mm]
 * @param inertia about the neutral axis [mm4]
 */
public record CrackedSection(double depth, double inertia) {
    /**
     * A section bent about its horizontal axis: first moments of the compressed concrete and of the bars balance (any text,
     * for instance Wight and MacGregor, Reinforced Concrete, 9-3). Bars in the compressed concrete count n − 1 times.
     *
     * @param layers bars by depth from the compression face
     * @param n      modulus of steel over that of concrete
     */
    public static CrackedSection of(Shape shape, boolean sagging, List<BarLayer> layers, double n) {
        double h = shape.depth();
        double c = Root.find(
                q -> firstMoment(shape, sagging, layers, n, q) / (h * h * shape.width()), 1e-4 * h, h, 1e-9 * h);
        double inertia = 0;
        for (Shape.Strip s : shape.strips()) {
            double from = sagging ? h - s.to() : s.from();
            double to = Math.min(c, sagging ? h - s.from() : s.to());
            if (to > from) {
                inertia += s.width() * (Math.pow(c - from, 3) - Math.pow(c - to, 3)) / 3;
            }
        }
        for (BarLayer l : layers) {
            inertia += (l.depth() < c ? n - 1 : n) * l.area() * (l.depth() - c) * (l.depth() - c);
        }
        return new CrackedSection(c, inertia);
    }

    /** Compressed concrete less tension steel, about an axis at depth c [mm3]. */
    private static double firstMoment(Shape shape, boolean sagging, List<BarLayer> layers, double n, double c) {
        double h = shape.depth();
        double sum = 0;
        for (Shape.Strip s : shape.strips()) {
            double from = sagging ? h - s.to() : s.from();
            double to = Math.min(c, sagging ? h - s.from() : s.to());
            if (to > from) {
                sum += s.width() * (to - from) * (c - (from + to) / 2);
            }
        }
        for (BarLayer l : layers) {
            sum += (l.depth() < c ? n - 1 : n) * l.area() * (c - l.depth());
        }
        return sum;
    }
}
