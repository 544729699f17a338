package kolonne.core.code.registry;

import java.util.List;
import java.util.Optional;
import java.util.ServiceLoader;
import kolonne.core.code.CodeEntry;

/** The design codes there are: the rows of META-INF/services/kolonne.core.code.CodeEntry, in their order. */
public final class Codes {
    public static final List<CodeEntry> ALL = ServiceLoader.load(CodeEntry.class, Codes.class.getClassLoader()).stream()
            .map(ServiceLoader.Provider::get)
            .toList();

    // few rows, asked for at every place of every line: looked through without an iterator
    private static final CodeEntry[] ROWS = ALL.toArray(CodeEntry[]::new);

    private Codes() {}

    public static Optional<CodeEntry> find(String key) {
        for (CodeEntry c : ROWS) {
            if (c.key().equals(key)) {
                return Optional.of(c);
            }
        }
        return Optional.empty();
    }

    /** A code that is known to be there. */
    public static CodeEntry of(String key) {
        return find(key)
                .orElseThrow(() -> new IllegalStateException("Impossible: unknown code " + key + " passed the check"));
    }

    /** The code that is taken where none is named. */
    public static CodeEntry usual(boolean usUnits) {
        return ALL.stream()
                .filter(c -> c.usual() && c.usUnits() == usUnits)
                .findFirst()
                .orElseThrow();
    }

    /** Keys for a message. */
    public static String keys() {
        return String.join(", ", ALL.stream().map(CodeEntry::key).toList());
    }
}
