package kolonne.core.check;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.explain.Clause;
import kolonne.core.finding.Cause;

/** Takes the results of checks and keeps the worst of every kind, in the order the kinds first appear. */
public final class Governing {
    /** Tells a place in words a person can find on the drawing. */
    @FunctionalInterface
    public interface Places {
        String words(double x, int part);
    }

    private final Places places;
    private final Map<String, Offered> worst = new LinkedHashMap<>();

    /** A result whose place is not put into words yet: most are soon passed by a worse one. */
    private record Offered(
            CheckKind kind, Cause cause, double demand, double capacity, double utilisation, At at, Clause clause) {
        CheckResult result(Places places) {
            String place = at.words().isEmpty() ? places.words(at.x(), at.part()) : at.words();
            return new CheckResult(
                    kind,
                    cause,
                    demand,
                    capacity,
                    utilisation,
                    at.combination(),
                    place,
                    at.x(),
                    at.part(),
                    at.station(),
                    clause);
        }
    }

    public Governing(Places places) {
        this.places = places;
    }

    /** Offers demand over capacity. */
    public void offer(CheckKind kind, double demand, double capacity, At at, Clause clause) {
        offer(kind, demand, capacity, CheckResult.use(demand, capacity), at, clause);
    }

    /** Offers a result with the cause of its kind. */
    public void offer(CheckKind kind, double demand, double capacity, double utilisation, At at, Clause clause) {
        offer(kind, kind.cause(), demand, capacity, utilisation, at, clause);
    }

    public void offer(
            CheckKind kind, Cause cause, double demand, double capacity, double utilisation, At at, Clause clause) {
        if (governs(kind, utilisation)) {
            worst.put(kind.id(), new Offered(kind, cause, demand, capacity, utilisation, at, clause));
        }
    }

    /** Whether a result of this utilisation would govern, to save computing it. */
    public boolean governs(CheckKind kind, double utilisation) {
        Offered before = worst.get(kind.id());
        return before == null || utilisation > before.utilisation();
    }

    public List<CheckResult> results() {
        return new ArrayList<>(
                worst.values().stream().map(o -> o.result(places)).toList());
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
