package kolonne.exchange.ifc;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.util.List;

/**
 * Writes the instances of an exchange file (ISO 10303-21) one after another. Values: text, numbers, {@link Ref}, {@link Word}, {@link Typed}, lists of them,
 * booleans, null for what is not given.
 */
final class StepWriter {
    /** An instance that was written. */
    record Ref(int number) {}

    /** A word of an enumeration. */
    record Word(String word) {}

    /** A value with its type where a choice of types is allowed. */
    record Typed(String type, Object value) {}

    /** What is worked out from the rest. */
    static final Word DERIVED = new Word("*");

    private final Writer out;
    private int last;

    StepWriter(Writer out) {
        this.out = out;
    }

    /** What the file begins with. @param stamp when, by ISO 8601 */
    void header(String view, String name, String stamp) {
        line("ISO-10303-21;");
        line("HEADER;");
        line("FILE_DESCRIPTION((" + text(view) + "),'2;1');");
        line("FILE_NAME(" + text(name) + "," + text(stamp) + ",(''),(''),'Kolonne','Kolonne','');");
        line("FILE_SCHEMA(('IFC4'));");
        line("ENDSEC;");
        line("DATA;");
    }

    void end() throws IOException {
        line("ENDSEC;");
        line("END-ISO-10303-21;");
        out.flush();
    }

    Ref add(String entity, Object... values) {
        StringBuilder b = new StringBuilder(64)
                .append('#')
                .append(++last)
                .append('=')
                .append(entity)
                .append('(');
        for (int i = 0; i < values.length; i++) {
            if (i > 0) {
                b.append(',');
            }
            value(b, values[i]);
        }
        line(b.append(");").toString());
        return new Ref(last);
    }

    private void line(String s) {
        try {
            out.write(s);
            out.write('\n');
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void value(StringBuilder b, Object v) {
        if (v == null) {
            b.append('$');
        } else if (v instanceof Ref r) {
            b.append('#').append(r.number());
        } else if (v instanceof String s) {
            b.append(text(s));
        } else if (v instanceof Double d) {
            b.append(real(d));
        } else if (v instanceof Integer i) {
            b.append(i.intValue());
        } else if (v instanceof Boolean t) {
            b.append(t ? ".T." : ".F.");
        } else if (v instanceof Word w) {
            b.append(w.equals(DERIVED) ? "*" : "." + w.word() + ".");
        } else if (v instanceof Typed t) {
            b.append(t.type()).append('(');
            value(b, t.value());
            b.append(')');
        } else if (v instanceof List<?> l) {
            b.append('(');
            for (int i = 0; i < l.size(); i++) {
                if (i > 0) {
                    b.append(',');
                }
                value(b, l.get(i));
            }
            b.append(')');
        } else {
            throw new IllegalArgumentException("no value of an exchange file: " + v);
        }
    }

    /** A number with its point, to seven digits or more: to a millionth, below 1000 to a thousandth and below 1 to a millionth of that. */
    static String real(double v) {
        if (!Double.isFinite(v)) {
            throw new IllegalArgumentException("not a number: " + v);
        }
        double size = Math.abs(v);
        if (size >= 1e9 || size > 0 && size < 1e-6) {
            return Double.toString(v);
        }
        int decimals = size < 1 ? 12 : size < 1000 ? 9 : 6;
        long scaled = Math.round(v * Math.pow(10, decimals));
        String digits = Long.toString(Math.abs(scaled));
        StringBuilder b = new StringBuilder(24);
        b.append("0".repeat(Math.max(0, decimals + 1 - digits.length()))).append(digits);
        b.insert(b.length() - decimals, '.');
        while (b.charAt(b.length() - 1) == '0') {
            b.setLength(b.length() - 1);
        }
        return scaled < 0 ? "-" + b : b.toString();
    }

    /** Text in quotes; characters beyond ASCII by their codes (ISO 10303-21, 6.4.3). */
    static String text(String s) {
        StringBuilder b = new StringBuilder(s.length() + 2).append('\'');
        boolean coded = false;
        for (int i = 0; i < s.length(); i++) {
            char c = s.charAt(i);
            boolean plain = c >= 32 && c < 127;
            if (plain == coded) {
                b.append(plain ? "\\X0\\" : "\\X2\\");
                coded = !plain;
            }
            if (!plain) {
                b.append(String.format(java.util.Locale.ROOT, "%04X", (int) c));
            } else if (c == '\'' || c == '\\') {
                b.append(c).append(c);
            } else {
                b.append(c);
            }
        }
        return b.append(coded ? "\\X0\\'" : "'").toString();
    }
}
