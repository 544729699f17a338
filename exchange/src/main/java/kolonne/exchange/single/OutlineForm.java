package kolonne.exchange.single;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import kolonne.core.section.general.Outline;
import kolonne.core.section.general.Outline.Corner;
import kolonne.core.section.general.Outline.Ring;
import kolonne.core.shape.Shape;
import kolonne.exchange.model.ModelUnits;

/** Reads the outline of a column that is neither a rectangle nor a circle: flanged, or a polygon with openings. */
final class OutlineForm {
    private static final int MOST_CORNERS = 200;
    private static final int MOST_OPENINGS = 20;
    /** Least and largest extent of a section [mm]. */
    private static final double[] EXTENT = {20, 20_000};

    /** Told what is wrong. */
    interface Told {
        void fail(String where, String what, String mend);
    }

    private final Told told;

    OutlineForm(Told told) {
        this.told = told;
    }

    /** The outline; null for rectangles and circles, and for what is wrong, which is told. */
    Outline read(SectionFile.ShapeEntry s, ModelUnits u, String where) {
        if (s == null || s.shape() == null) {
            return null;
        }
        if (!s.shape().equals("polygon")) {
            return SectionFile.flanged(s, u.size())
                            && !s.shape().equals("rectangle")
                            && !s.shape().equals("circle")
                    ? flanged(s, u)
                    : null;
        }
        String at = where + ", shape";
        Ring outer = ring(s.outline(), u, at + ", outline");
        List<List<double[]>> given = s.openings() == null ? List.of() : s.openings();
        if (given.size() > MOST_OPENINGS) {
            told.fail(at, "There are " + given.size() + " openings.", "Give at most " + MOST_OPENINGS + ".");
            return null;
        }
        List<Ring> openings = new ArrayList<>();
        for (int i = 0; i < given.size(); i++) {
            openings.add(ring(given.get(i), u, at + ", openings[" + i + "]"));
        }
        if (outer == null || openings.contains(null)) {
            return null;
        }
        Outline out = new Outline(outer, openings);
        Optional<String> fault = out.fault();
        if (fault.isPresent()) {
            told.fail(at, fault.get(), "Give corners in order round each polygon, the first not again at the end.");
            return null;
        }
        double width = out.reach(1, 0) + out.reach(-1, 0);
        double depth = out.reach(0, 1) + out.reach(0, -1);
        if (Math.min(width, depth) < EXTENT[0] || Math.max(width, depth) > EXTENT[1]) {
            told.fail(at, "The section is smaller than 20 mm or larger than 20 m.", "Check sizes and units.");
            return null;
        }
        return out;
    }

    private static Outline flanged(SectionFile.ShapeEntry s, ModelUnits u) {
        Shape shape = SectionFile.flanged(s, u);
        return shape == null ? null : Outline.of(shape);
    }

    private Ring ring(List<double[]> corners, ModelUnits u, String where) {
        if (corners == null || corners.size() < 3 || corners.size() > MOST_CORNERS) {
            told.fail(where, "It has fewer than 3 or more than " + MOST_CORNERS + " corners.", "Give [[x, z], …].");
            return null;
        }
        List<Corner> out = new ArrayList<>();
        for (double[] c : corners) {
            if (c == null || c.length != 2 || !(Math.abs(c[0]) < 1e6 && Math.abs(c[1]) < 1e6)) {
                told.fail(where, "A corner is not a pair of numbers.", "Give [[x, z], …].");
                return null;
            }
            out.add(new Corner(c[0] * u.size(), c[1] * u.size()));
        }
        return new Ring(out);
    }
}
