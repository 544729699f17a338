package kolonne.core.explain.maths;

import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Collectors;

/** A set formula in words for tests, its value where it holds numbers only, and its words. */
public final class MathsText {
    private MathsText() {}

    /** Indices in braces, fractions as {@code [over | under]}, roots as {@code root[...]}. */
    public static String show(Maths m) {
        return switch (m.kind()) {
            case ROW -> m.parts().stream().map(MathsText::show).collect(Collectors.joining(" "));
            case WORDS -> "‹" + m.text() + "›";
            case DIGITS, LETTER, NAME, SIGN -> m.text();
            case SCRIPT ->
                show(m.part(0))
                        + (m.part(1).blank() ? "" : "_{" + show(m.part(1)) + "}")
                        + (m.part(2).blank() ? "" : "^{" + show(m.part(2)) + "}");
            case FRACTION -> "[" + show(m.part(0)) + " | " + show(m.part(1)) + "]";
            case ROOT -> "root[" + show(m.part(0)) + "]";
            case BRACKETED -> "(" + show(m.part(0)) + ")";
        };
    }

    /** What the formula gives as it is set; throws where something is no number. */
    public static double value(Maths m) {
        return switch (m.kind()) {
            case DIGITS -> Double.parseDouble(m.text().replace(" ", ""));
            case FRACTION -> value(m.part(0)) / value(m.part(1));
            case ROOT -> Math.sqrt(value(m.part(0)));
            case BRACKETED -> value(m.part(0));
            case SCRIPT -> Math.pow(value(m.part(0)), value(m.part(2)));
            case ROW -> sum(m.parts());
            default -> throw new NumberFormatException(show(m));
        };
    }

    private static double sum(List<Maths> parts) {
        double sum = 0;
        double product = 1;
        boolean empty = true;
        boolean divides = false;
        for (Maths p : parts) {
            String sign = p.kind() == Maths.Kind.SIGN ? p.text() : "";
            switch (sign) {
                case "" -> {
                    product = divides ? product / value(p) : product * value(p);
                    empty = false;
                    divides = false;
                }
                case "×" -> {}
                case "/" -> divides = true;
                case "+", "−" -> {
                    sum += empty ? 0 : product;
                    product = sign.equals("−") ? -1 : 1;
                    empty = true;
                }
                default -> throw new NumberFormatException(sign);
            }
        }
        return sum + product;
    }

    /** Every stretch of words in it. */
    public static void words(Maths m, Consumer<String> to) {
        if (m.kind() == Maths.Kind.WORDS) {
            to.accept(m.text());
        }
        m.parts().forEach(p -> words(p, to));
    }
}
