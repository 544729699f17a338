package kolonne.core.explain;

import java.util.ArrayList;
import java.util.List;

/**
 * Receives the steps of a calculation. The shared {@link #OFF} ignores them, so that a check is written once:
 * {@code if (t.on()) t.step(...)} builds a step only when somebody reads.
 */
public final class Trace {
    /** Records nothing. */
    public static final Trace OFF = new Trace(null);

    private final List<Step> steps;

    private Trace(List<Step> steps) {
        this.steps = steps;
    }

    /** A trace that keeps every step. */
    public static Trace recording() {
        return new Trace(new ArrayList<>());
    }

    public boolean on() {
        return steps != null;
    }

    /** The steps recorded so far, in order; empty when off. */
    public List<Step> steps() {
        return steps == null ? List.of() : List.copyOf(steps);
    }

    /** Records one step; {@code template} has {@code {0}}, {@code {1}}, ... where the inputs go. */
    public void step(
            String symbol,
            String formula,
            String template,
            double value,
            Quantity quantity,
            Clause clause,
            Step.Input... inputs) {
        if (steps != null) {
            steps.add(new Step(symbol, formula, template, List.of(inputs), value, quantity, clause));
        }
    }

    /** Records a step made elsewhere. */
    public void step(Step s) {
        if (steps != null) {
            steps.add(s);
        }
    }

    /** Records a heading or a verdict in words. */
    public void say(String symbol, String words, Clause clause) {
        if (steps != null) {
            steps.add(new Step(symbol, words, "", List.of(), Double.NaN, Quantity.NUMBER, clause));
        }
    }

    /** An input of a step. */
    public static Step.Input in(double value, Quantity quantity) {
        return new Step.Input(value, quantity);
    }
}
