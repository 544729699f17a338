package kolonne.core.mark;

import java.util.List;

/**
 * What became of lines or stacks when the model changed.
 *
 * @param before marks of those whose members took part
 * @param after  marks of those that they are in now
 */
public record MarkChange(Kind kind, List<String> before, List<String> after) {
    /** Several became one, one became several, one is gone, one is new. */
    public enum Kind {
        JOINED,
        SPLIT,
        GONE,
        NEW
    }

    public MarkChange {
        before = List.copyOf(before);
        after = List.copyOf(after);
    }

    /** For instance {@code L3-B20 and L3-B22 become one, L3-B20}. */
    public String words() {
        return switch (kind) {
            case JOINED -> list(before) + " become one, " + after.get(0);
            case SPLIT -> before.get(0) + " becomes " + list(after);
            case GONE -> before.get(0) + " is gone";
            case NEW -> after.get(0) + " is new";
        };
    }

    private static String list(List<String> marks) {
        int last = marks.size() - 1;
        return last == 0 ? marks.get(0) : String.join(", ", marks.subList(0, last)) + " and " + marks.get(last);
    }
}
