package kolonne.exchange.json;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.core.exc.StreamConstraintsException;
import com.fasterxml.jackson.core.io.JsonEOFException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonMappingException;
import com.fasterxml.jackson.databind.MapperFeature;
import com.fasterxml.jackson.databind.exc.InvalidFormatException;
import com.fasterxml.jackson.databind.exc.MismatchedInputException;
import com.fasterxml.jackson.databind.exc.UnrecognizedPropertyException;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.util.Collection;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kolonne.core.finding.Finding;

/** The reader of all JSON that people write: unknown and repeated fields, text for numbers, half a bar and trailing text are refused. */
public final class StrictJson {
    /** Most names, values and brackets of a text, and the longest text in it: a small zip must not fill the memory. */
    private static final long MOST_VALUES = 25_000_000;

    private static final int LONGEST_TEXT = 100_000;
    public static final JsonMapper READER = JsonMapper.builder(JsonFactory.builder()
                    .streamReadConstraints(StreamReadConstraints.builder()
                            .maxTokenCount(MOST_VALUES)
                            .maxStringLength(LONGEST_TEXT)
                            .build())
                    .build())
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .disable(MapperFeature.ALLOW_COERCION_OF_SCALARS)
            .disable(DeserializationFeature.ACCEPT_FLOAT_AS_INT)
            .build();
    /** The same where every plain number must be given. */
    public static final JsonMapper WHOLE = READER.rebuild()
            .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .build();

    private static final Pattern MISSING = Pattern.compile("Missing required creator property '([^']+)'");
    private static final Pattern REPEATED = Pattern.compile("Duplicate field '([^']+)'");
    private static final Pattern NOT_A_NUMBER = Pattern.compile("Non-standard token '([^']+)'");

    private StrictJson() {}

    /**
     * What is wrong, where and how to mend it.
     *
     * @param code of the finding
     * @param root what the text is, such as {@code file} or {@code basis}
     * @param list the page that lists the fields
     */
    public static Finding trouble(IOException e, String code, String root, String list) {
        if (e instanceof JsonMappingException m) {
            return m.getCause() instanceof JsonProcessingException inner && !(inner instanceof JsonMappingException)
                    ? unsound(inner, code, root)
                    : unexpected(m, code, root, list);
        }
        return e instanceof JsonProcessingException p ? unsound(p, code, root) : notText(code, root);
    }

    private static Finding notText(String code, String where) {
        return Finding.fails(code, where, "The text is not UTF-8.", "Save it as UTF-8.");
    }

    private static Finding unexpected(JsonMappingException m, String code, String root, String list) {
        String where = path(m, root);
        if (m instanceof UnrecognizedPropertyException u) {
            return Finding.fails(
                    code,
                    where,
                    "There is no field " + u.getPropertyName() + " here.",
                    "Take it out, or use one of " + known(u.getKnownPropertyIds()) + "; " + list
                            + " tells what they mean.");
        }
        if (m instanceof MismatchedInputException x) {
            return Finding.fails(code, where, mismatch(x), "Correct it there; " + list + " lists the fields.");
        }
        return Finding.fails(
                code, where, first(m.getOriginalMessage()) + ".", "Correct it there; " + list + " lists the fields.");
    }

    private static Finding unsound(JsonProcessingException e, String code, String root) {
        String where = root
                + (e.getLocation() == null
                        ? ""
                        : ", line " + e.getLocation().getLineNr() + ", column "
                                + e.getLocation().getColumnNr());
        if (e instanceof StreamConstraintsException) {
            return Finding.fails(
                    code,
                    where,
                    "The text holds more than " + MOST_VALUES / 1_000_000
                            + " million values, is nested too deeply, or a value in it is too long.",
                    "Give the fields as the format says; split the building, or leave out station forces.");
        }
        Matcher repeated = REPEATED.matcher(e.getOriginalMessage());
        if (e instanceof JsonEOFException) {
            return Finding.fails(code, where, "The text ends in the middle.", "Export or copy it again, whole.");
        }
        if (repeated.find()) {
            return Finding.fails(
                    code, where, "The field " + repeated.group(1) + " is given twice.", "Keep one of them.");
        }
        if (e.getOriginalMessage().contains("UTF-8")) {
            return notText(code, where);
        }
        Matcher number = NOT_A_NUMBER.matcher(e.getOriginalMessage());
        if (number.find()) {
            return Finding.fails(
                    code, where, number.group(1) + " is not a number.", "Give a number, or leave the field out.");
        }
        return Finding.fails(
                code, where, "This is not sound JSON: " + first(e.getOriginalMessage()) + ".", "Correct it there.");
    }

    private static String mismatch(MismatchedInputException e) {
        String said = e.getOriginalMessage();
        Matcher missing = MISSING.matcher(said);
        if (missing.find()) {
            return "The field " + missing.group(1) + " is missing.";
        }
        if (said.startsWith("No content")) {
            return "The text is empty.";
        }
        String wanted = words(e.getTargetType());
        if (said.startsWith("Trailing token")) {
            return "There is more text after the end.";
        }
        return e instanceof InvalidFormatException f
                ? "The value is " + f.getValue() + ", not " + wanted + "."
                : "The value is not " + wanted + ".";
    }

    private static String words(Class<?> c) {
        if (c == null) {
            return "what is expected";
        }
        if (c == int.class || c == Integer.class || c == long.class || c == Long.class) {
            return "a whole number";
        }
        if (c == double.class || c == Double.class) {
            return "a number";
        }
        if (c == boolean.class || c == Boolean.class) {
            return "true or false";
        }
        return c == String.class
                ? "a text in quotes"
                : c.isArray() || Collection.class.isAssignableFrom(c)
                        ? "a list"
                        : Map.class.isAssignableFrom(c) || c.isRecord() ? "an object with fields" : "what is expected";
    }

    private static String path(JsonMappingException e, String root) {
        StringBuilder out = new StringBuilder(root);
        for (JsonMappingException.Reference r : e.getPath()) {
            out.append(r.getFieldName() == null ? "[" + r.getIndex() + "]" : "." + r.getFieldName());
        }
        return out.toString();
    }

    private static String known(Collection<Object> ids) {
        return ids == null
                ? "the fields"
                : String.join(", ", ids.stream().map(String::valueOf).sorted().toList());
    }

    /** The first line of a message, without the full stop. */
    private static String first(String message) {
        String s = message == null ? "" : message.lines().findFirst().orElse("");
        return s.endsWith(".") ? s.substring(0, s.length() - 1) : s;
    }
}
