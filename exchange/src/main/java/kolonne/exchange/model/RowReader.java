package kolonne.exchange.model;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import kolonne.core.finding.Finding;

/** Reads typed fields of a row and reports everything that is missing or of the wrong kind. */
final class RowReader {
    private final Row row;
    private final Consumer<Finding> findings;
    private boolean sound = true;

    RowReader(Row row, Consumer<Finding> findings) {
        this.row = row;
        this.findings = findings;
    }

    /** Whether every field read so far was there and of its kind. */
    boolean sound() {
        return sound;
    }

    boolean has(String name) {
        return row.has(name);
    }

    String id(String name) {
        String s = text(name);
        if (s.isBlank() && sound) {
            fail("field.empty", name, "The field " + name + " is empty.", "Give it a name.");
        }
        return s;
    }

    String text(String name) {
        if (!row.has(name)) {
            missing(name);
            return "";
        }
        String s = row.text(name);
        if (s == null) {
            wrong(name, "a text");
            return "";
        }
        return s;
    }

    String text(String name, String otherwise) {
        return row.has(name) ? text(name) : otherwise;
    }

    double number(String name) {
        if (!row.has(name)) {
            missing(name);
            return Double.NaN;
        }
        Double v = row.number(name);
        if (v == null) {
            wrong(name, "a finite number");
            return Double.NaN;
        }
        return v;
    }

    double number(String name, double otherwise) {
        return row.has(name) ? number(name) : otherwise;
    }

    List<String> list(String name) {
        if (!row.has(name)) {
            return List.of();
        }
        List<String> l = row.list(name);
        if (l == null) {
            wrong(name, "a list of texts");
            return List.of();
        }
        return l;
    }

    Map<String, Double> map(String name) {
        if (!row.has(name)) {
            missing(name);
            return Map.of();
        }
        Map<String, Double> m = row.map(name);
        if (m == null) {
            wrong(name, "load cases with finite factors");
            return Map.of();
        }
        return m;
    }

    /** A word of a closed list, written in files with hyphens for underscores. */
    <E extends Enum<E>> E word(String name, Class<E> type, E otherwise) {
        if (!row.has(name) && otherwise != null) {
            return otherwise;
        }
        String s = text(name);
        for (E e : type.getEnumConstants()) {
            if (word(e).equals(s)) {
                return e;
            }
        }
        if (sound || row.has(name)) {
            fail(
                    "field.word",
                    name,
                    "The field " + name + " is " + row.raw(name) + ".",
                    "Use one of "
                            + String.join(
                                    ", ",
                                    Arrays.stream(type.getEnumConstants())
                                            .map(RowReader::word)
                                            .toList()) + ".");
        }
        return type.getEnumConstants()[0];
    }

    static String word(Enum<?> e) {
        return e.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    void fail(String code, String name, String what, String mend) {
        sound = false;
        findings.accept(Finding.fails(code, row.place() + "." + name, what, mend));
    }

    private void missing(String name) {
        fail("field.missing", name, "The field " + name + " is missing.", "Add it.");
    }

    private void wrong(String name, String kind) {
        fail(
                "field.type",
                name,
                "The field " + name + " is " + row.raw(name) + ", not " + kind + ".",
                "Write " + kind + ".");
    }
}
