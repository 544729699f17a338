package kolonne.core.beam.choice;

import java.util.HashMap;
import java.util.Map;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.line.BeamLine;

/** At which sides of which spans bottom bars end before the support, and how many of them: all that may, then fewer, then none. */
final class BottomCuts {
    /** How many of the additional bars of a span end in it. */
    enum Part {
        NONE,
        /** the upper layers, or half of a single one */
        SOME,
        /** all that the code does not want in the supports */
        ALL
    }

    private record Side(int span, boolean right) {}

    private final BeamLine line;
    private final Map<Side, Part> parts = new HashMap<>();

    private BottomCuts(BeamLine line) {
        this.line = line;
    }

    static BottomCuts none(BeamLine line) {
        return new BottomCuts(line);
    }

    static BottomCuts all(BeamLine line) {
        BottomCuts out = new BottomCuts(line);
        for (BeamLine.Span s : line.spans()) {
            out.parts.put(new Side(s.number(), false), Part.ALL);
            out.parts.put(new Side(s.number(), true), Part.ALL);
        }
        return out;
    }

    boolean ends(int span, boolean right) {
        return parts.getOrDefault(new Side(span, right), Part.NONE) != Part.NONE;
    }

    /** Of a span: the least of its sides where bars end at all. */
    Part part(int span) {
        Part left = parts.getOrDefault(new Side(span, false), Part.NONE);
        Part right = parts.getOrDefault(new Side(span, true), Part.NONE);
        if (left == Part.NONE || right == Part.NONE) {
            return left == Part.NONE ? right : left;
        }
        return left.compareTo(right) < 0 ? left : right;
    }

    /** Lets fewer bars end on sides where none of a cage does, since the code moved their ends to the support; whether there were any. */
    boolean fewerWhereNoneEnd(BeamCage cage) {
        boolean out = false;
        for (BeamLine.Span s : line.spans()) {
            out |= ends(s.number(), false)
                    && cage.groups().stream().noneMatch(g -> bottom(g) && inside(s, g.from()) && g.from() < s.middle())
                    && fewer(s.number(), s.faceFrom());
            out |= ends(s.number(), true)
                    && cage.groups().stream().noneMatch(g -> bottom(g) && inside(s, g.to()) && g.to() > s.middle())
                    && fewer(s.number(), s.faceTo());
        }
        return out;
    }

    private static boolean bottom(BeamCage.Group g) {
        return g.face() == BeamCage.Face.BOTTOM;
    }

    private static boolean inside(BeamLine.Span s, double x) {
        return x > s.faceFrom() + 1 && x < s.faceTo() - 1;
    }

    /** Lets fewer bars end on the side of a span where a place lies; whether there were any. */
    boolean fewer(int span, double x) {
        Side side = new Side(span, x > line.spans().get(span).middle());
        if (!ends(span, side.right())) {
            return false;
        }
        parts.put(side, parts.get(side) == Part.ALL ? Part.SOME : Part.NONE);
        return true;
    }
}
