package kolonne.core.beam.choice;

import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
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

    boolean any() {
        return parts.values().stream().anyMatch(p -> p != Part.NONE);
    }

    /** A place of a span by which too many bars end. */
    record Place(int span, double x) {}

    /** Lets fewer bars end on the sides of the spans where some places lie; whether there were any. */
    boolean fewer(Stream<Place> places) {
        Set<Side> sides = places.map(p ->
                        new Side(p.span(), p.x() > line.spans().get(p.span()).middle()))
                .filter(q -> ends(q.span(), q.right()))
                .collect(Collectors.toSet());
        sides.forEach(q -> parts.put(q, parts.get(q) == Part.ALL ? Part.SOME : Part.NONE));
        return !sides.isEmpty();
    }
}
