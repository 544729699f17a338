package kolonne.core.advice;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.Map;
import kolonne.core.shape.Shape;

/** Of the sections that a project has those that are nearest in area: each that is tried costs a design. */
final class Near {
    private static final int MOST = 16;

    private Near() {}

    /** @param known ids by shape */
    static Map<Shape, String> of(Map<Shape, String> known, Shape now) {
        Map<Shape, String> out = new LinkedHashMap<>();
        known.entrySet().stream()
                .sorted(Comparator.comparingDouble(e -> Math.abs(e.getKey().A() - now.A())))
                .limit(MOST)
                .forEach(e -> out.put(e.getKey(), e.getValue()));
        return out;
    }
}
