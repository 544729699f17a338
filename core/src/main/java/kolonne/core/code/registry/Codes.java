package kolonne.core.code.registry;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.ServiceLoader;
import java.util.stream.Collectors;
import kolonne.core.code.CodeEntry;

/** The design codes there are: the rows of META-INF/services/kolonne.core.code.CodeEntry, in their order. */
public final class Codes {
    public static final List<CodeEntry> ALL = ServiceLoader.load(CodeEntry.class, Codes.class.getClassLoader()).stream()
            .map(ServiceLoader.Provider::get)
            .toList();

    private static final Map<String, CodeEntry> BY_KEY =
            ALL.stream().collect(Collectors.toUnmodifiableMap(CodeEntry::key, c -> c));

    private Codes() {}

    public static Optional<CodeEntry> find(String key) {
        return Optional.ofNullable(key == null ? null : BY_KEY.get(key));
    }

    /** A code that is known to be there. */
    public static CodeEntry of(String key) {
        CodeEntry c = BY_KEY.get(key);
        if (c == null) {
            throw new IllegalStateException("Impossible: unknown code " + key + " passed the check");
        }
        return c;
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
