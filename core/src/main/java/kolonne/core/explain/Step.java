package kolonne.core.explain;

import java.util.List;

/**
 * One line of a calculation as a reader would write it.
 *
 * @param symbol   the quantity, for instance {@code φVn}
 * @param formula  the formula in symbols
 * @param template the formula with numbers to be put in, {@code {0} × {1}}
 * @param inputs   the numbers, in core units
 * @param value    the result in core units; NaN for a line of words
 * @param quantity what the result is
 * @param clause   clause of the design code
 */
public record Step(
        String symbol,
        String formula,
        String template,
        List<Input> inputs,
        double value,
        Quantity quantity,
        Clause clause) {
    /** A number put into a formula. */
    public record Input(double value, Quantity quantity) {}

    public Step {
        inputs = List.copyOf(inputs);
    }

    /** The formula with its numbers, in SI or US customary units (numbers only, units as in the result's system). */
    public String substituted(boolean usUnits) {
        String out = template;
        for (int i = 0; i < inputs.size(); i++) {
            out = out.replace(
                    "{" + i + "}", inputs.get(i).quantity().digits(inputs.get(i).value(), usUnits));
        }
        return out;
    }

    /** Whether the formula is what the line is called, so that it need not be written twice. */
    public boolean repeatsItsSymbol() {
        return formula.equals(symbol);
    }

    /** The result with its unit, or empty for a line of words. */
    public String result(boolean usUnits) {
        return Double.isNaN(value) ? "" : quantity.text(value, usUnits);
    }
}
