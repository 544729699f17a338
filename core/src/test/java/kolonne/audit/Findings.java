package kolonne.audit;

import java.util.LinkedHashMap;
import java.util.Map;

/** The worst use that was found of every kind, and where. 1 is the limit. */
final class Findings {
    record Use(double use, String where) {}

    private final Map<String, Use> worst = new LinkedHashMap<>();

    void add(String kind, double use, String where) {
        Use before = worst.get(kind);
        if (before == null || use > before.use() || Double.isNaN(use)) {
            worst.put(kind, new Use(Double.isNaN(use) ? 99 : use, where));
        }
    }

    Map<String, Use> all() {
        return worst;
    }
}
