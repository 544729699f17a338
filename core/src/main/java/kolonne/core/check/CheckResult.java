package kolonne.core.check;

import kolonne.core.explain.Clause;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;
import kolonne.core.finding.Cause;

/**
 * The governing outcome of one check of a line or a lift.
 *
 * @param kind        of the closed list
 * @param cause       why the member fails if the check is not met
 * @param demand      or the least required
 * @param capacity    or what is provided
 * @param utilisation demand over capacity; 1.00 is the limit
 * @param combination governing combination's name, or empty
 * @param place       in words a person can find on the drawing
 * @param x           along the line, or the height in the stack [mm]
 * @param part        number of the span or lift
 * @param station     number of the station that explains the check, or -1
 * @param clause      of the design code
 */
public record CheckResult(
        CheckKind kind,
        Cause cause,
        double demand,
        double capacity,
        double utilisation,
        String combination,
        String place,
        double x,
        int part,
        int station,
        Clause clause) {
    /** Slack for rounding when comparing with 1.00. */
    private static final double ROUNDING = 1e-6;
    /** Shown where there is no capacity at all. */
    public static final double NO_CAPACITY = 99.99;

    public CheckResult {
        utilisation = utilisation < NO_CAPACITY ? utilisation : NO_CAPACITY; // NaN falls through
    }

    /** Demand over capacity: nothing where nothing is asked, without end where there is nothing against it. */
    public static double use(double demand, double capacity) {
        return demand <= 0 ? 0 : capacity > 0 ? demand / capacity : Double.POSITIVE_INFINITY;
    }

    /** Of the kind, in words. */
    public String title() {
        return kind.title();
    }

    /** Of demand and capacity. */
    public Quantity quantity() {
        return kind.quantity();
    }

    public boolean satisfied() {
        return met(utilisation);
    }

    /** Whether a limit is kept with this use. */
    public static boolean met(double use) {
        return use <= 1 + ROUNDING;
    }

    /** Records the check as one line of a calculation: what is needed against what there is. */
    public void explain(Trace t) {
        t.step(
                title(),
                "needed / provided" + (place.isEmpty() || place.equals("whole lift") ? "" : ", “" + place + "”"),
                "{0} / {1}",
                utilisation,
                Quantity.UTILISATION,
                clause,
                Trace.in(demand, quantity()),
                Trace.in(capacity, quantity()));
    }

    /** Demand against capacity with units, in the display system. */
    public String words(boolean us) {
        return String.format(
                java.util.Locale.ROOT,
                "%s: %s against %s, %.2f.",
                title(),
                quantity().text(demand, us),
                quantity().text(capacity, us),
                utilisation);
    }
}
