package kolonne.exchange.ifc;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * The instances of an exchange file (ISO 10303-21), read once from front to back. Values: String, Double, {@link Ref}, {@link Word}, {@link Typed}, lists of
 * them, null for what is not given or worked out.
 */
final class StepFile {
    /** What is read of one file. */
    static final int MOST_INSTANCES = 2_000_000;

    private static final int DEEPEST = 16;
    private static final int LONGEST_TEXT = 100_000;

    /** An instance. @param entity in capitals */
    record Instance(int number, String entity, List<Object> values, int line) {}

    record Ref(int number) {}

    /** A word of an enumeration, in capitals. */
    record Word(String word) {}

    /** A value with its type. */
    record Typed(String type, Object value) {}

    /** A file that does not keep to the standard. */
    static final class Bad extends Exception {
        private static final long serialVersionUID = 1L;
        private final int line;

        Bad(int line, String what) {
            super(what);
            this.line = line;
        }

        int line() {
            return line;
        }
    }

    private final byte[] in;
    private int at;
    private int line = 1;
    private String schema = "";
    private final Map<Integer, Instance> instances = new LinkedHashMap<>();
    private final Map<String, List<Instance>> byEntity = new HashMap<>();

    private StepFile(byte[] in) {
        this.in = in;
    }

    static StepFile read(byte[] bytes) throws Bad {
        StepFile f = new StepFile(bytes);
        f.file();
        return f;
    }

    /** Name of the schema, for instance IFC4. */
    String schema() {
        return schema;
    }

    /** An instance of a number; null if there is none. */
    Instance instance(int number) {
        return instances.get(number);
    }

    /** All of an entity, in the order of the file. */
    List<Instance> all(String entity) {
        return byEntity.getOrDefault(entity, List.of());
    }

    private void file() throws Bad {
        if (!token().equals("ISO-10303-21")) {
            throw new Bad(line, "It does not begin with ISO-10303-21.");
        }
        expect(';');
        String section = token();
        while (!section.equals("END-ISO-10303-21")) {
            expect(';');
            switch (section) {
                case "HEADER" -> header();
                case "DATA" -> data();
                case "" -> throw new Bad(line, "It ends before END-ISO-10303-21: it was cut short.");
                default -> throw new Bad(line, "There is a section " + section + ".");
            }
            section = token();
        }
    }

    private void header() throws Bad {
        for (String name = token(); !name.equals("ENDSEC"); name = token()) {
            if (name.isEmpty()) {
                throw new Bad(line, "The header is cut short.");
            }
            List<Object> values = list(0);
            expect(';');
            if (name.equals("FILE_SCHEMA")
                    && !values.isEmpty()
                    && values.get(0) instanceof List<?> l
                    && !l.isEmpty()
                    && l.get(0) instanceof String s) {
                schema = s.toUpperCase(Locale.ROOT);
            }
        }
        expect(';');
    }

    private void data() throws Bad {
        while (true) {
            space();
            if (at >= in.length) {
                throw new Bad(line, "The data are cut short.");
            }
            if (in[at] != '#') {
                break;
            }
            at++;
            int number = integer();
            expect('=');
            space();
            if (peek() == '(') {
                throw new Bad(line, "Instance #" + number + " is of several entities at once.");
            }
            int begins = line;
            Instance i = new Instance(number, token().toUpperCase(Locale.ROOT), list(0), begins);
            expect(';');
            if (instances.put(number, i) != null) {
                throw new Bad(begins, "There are two instances #" + number + ".");
            }
            if (instances.size() > MOST_INSTANCES) {
                throw new Bad(line, "There are more than " + MOST_INSTANCES + " instances.");
            }
            byEntity.computeIfAbsent(i.entity(), k -> new ArrayList<>()).add(i);
        }
        if (!token().equals("ENDSEC")) {
            throw new Bad(line, "The data do not end with ENDSEC.");
        }
        expect(';');
    }

    // ---- values ---------------------------------------------------------------------------------------------------

    private List<Object> list(int depth) throws Bad {
        if (depth > DEEPEST) {
            throw new Bad(line, "Lists lie more than " + DEEPEST + " deep in one another.");
        }
        expect('(');
        List<Object> out = new ArrayList<>(8);
        space();
        if (peek() == ')') {
            at++;
            return out;
        }
        while (true) {
            out.add(value(depth));
            space();
            int c = peek();
            at++;
            if (c == ')') {
                return out;
            }
            if (c != ',') {
                throw new Bad(line, "A comma or bracket is missing.");
            }
        }
    }

    private Object value(int depth) throws Bad {
        space();
        int c = peek();
        if (c == '$' || c == '*') {
            at++;
            return null;
        }
        if (c == '#') {
            at++;
            return new Ref(integer());
        }
        if (c == '\'') {
            return text();
        }
        if (c == '.') {
            at++;
            String w = token().toUpperCase(Locale.ROOT);
            expect('.');
            return new Word(w);
        }
        if (c == '(') {
            return list(depth + 1);
        }
        if (c == '-' || c == '+' || c >= '0' && c <= '9') {
            return number();
        }
        if (c == '"') {
            throw new Bad(line, "Binary values are not read.");
        }
        String type = token().toUpperCase(Locale.ROOT);
        if (type.isEmpty()) {
            throw new Bad(line, at >= in.length ? "It was cut short." : "A value is missing.");
        }
        List<Object> inside = list(depth + 1);
        return new Typed(type, inside.size() == 1 ? inside.get(0) : inside);
    }

    private Double number() throws Bad {
        int from = at;
        while (at < in.length && (in[at] >= '0' && in[at] <= '9' || "+-.eE".indexOf(in[at]) >= 0) && at - from < 64) {
            at++;
        }
        String s = new String(in, from, at - from, StandardCharsets.US_ASCII);
        try {
            double v = Double.parseDouble(s);
            if (Double.isFinite(v)) {
                return v;
            }
        } catch (NumberFormatException e) {
            // told below
        }
        throw new Bad(line, "The number " + s + " cannot be read.");
    }

    private int integer() throws Bad {
        long v = 0;
        int from = at;
        while (at < in.length && in[at] >= '0' && in[at] <= '9') {
            v = v * 10 + in[at++] - '0';
            if (v > Integer.MAX_VALUE) {
                throw new Bad(line, "The number of an instance is too large.");
            }
        }
        if (at == from) {
            throw new Bad(line, "The number of an instance is missing.");
        }
        return (int) v;
    }

    /** In quotes, with the codes of the standard: \X2\ and \X4\ hexadecimals, \X\hh, \S\ for the upper half of ISO 8859-1. */
    private String text() throws Bad {
        int begins = line;
        at++;
        StringBuilder raw = new StringBuilder();
        while (true) {
            if (at >= in.length || raw.length() > LONGEST_TEXT) {
                throw new Bad(begins, "A text does not end.");
            }
            int c = in[at++] & 0xFF;
            if (c == '\'') {
                if (peek() != '\'') {
                    break;
                }
                at++;
            } else if (c == '\n') {
                line++;
                continue;
            } else if (c == '\r') {
                continue;
            }
            raw.append((char) c);
        }
        return StepText.decoded(raw.toString());
    }

    // ---- signs ----------------------------------------------------------------------------------------------------

    private int peek() {
        return at < in.length ? in[at] : -1;
    }

    private String token() {
        space();
        int from = at;
        while (at < in.length
                && (Character.isLetterOrDigit(in[at]) || in[at] == '_' || in[at] == '-')
                && at - from < 200) {
            at++;
        }
        return new String(in, from, at - from, StandardCharsets.US_ASCII);
    }

    private void expect(char c) throws Bad {
        space();
        if (peek() != c) {
            throw new Bad(line, at >= in.length ? "It was cut short." : "A \"" + c + "\" is missing.");
        }
        at++;
    }

    /** Over blanks and comments. */
    private void space() {
        while (at < in.length) {
            byte c = in[at];
            if (c == '\n') {
                line++;
                at++;
            } else if (c == ' ' || c == '\t' || c == '\r' || c == (byte) 0xEF || c == (byte) 0xBB || c == (byte) 0xBF) {
                at++;
            } else if (c == '/' && at + 1 < in.length && in[at + 1] == '*') {
                at += 2;
                while (at < in.length && !(in[at] == '*' && at + 1 < in.length && in[at + 1] == '/')) {
                    line += in[at] == '\n' ? 1 : 0;
                    at++;
                }
                at = Math.min(in.length, at + 2);
            } else {
                return;
            }
        }
    }
}
