package kolonne.core.check;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Keeps the worst result of every kind, in the order the kinds first appear. */
public final class Governing {
    private final Map<String, CheckResult> worst = new LinkedHashMap<>();

    public void add(CheckResult r) {
        CheckResult before = worst.get(r.kind());
        if (before == null || r.utilisation() > before.utilisation()) {
            worst.put(r.kind(), r);
        }
    }

    /** Whether a result of this utilisation would govern, to save building it. */
    public boolean governs(String kind, double utilisation) {
        CheckResult before = worst.get(kind);
        return before == null || utilisation > before.utilisation();
    }

    public List<CheckResult> results() {
        return new ArrayList<>(worst.values());
    }

    /**
     * The check that decides: the worst unmet one if any, otherwise the strength used most. Detailing limits that are
     * met do not count, since spacings are chosen to come close to them.
     */
    public static CheckResult of(List<CheckResult> checks) {
        CheckResult best = checks.get(0);
        for (CheckResult c : checks) {
            if (rank(c) > rank(best)) {
                best = c;
            }
        }
        return best;
    }

    /** Unmet checks above strengths, strengths above the rest. */
    private static double rank(CheckResult c) {
        double tier = !c.satisfied() ? 1e6 : c.cause().isStrength() ? 1e3 : 0;
        return tier + c.utilisation();
    }
}
