package kolonne.server.people;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What a person may do with a project; each may do all that those before it may. */
public enum Role {
    /** Looks at everything and downloads it. */
    READER,
    /** Fills in the title block and the table of revisions as well. */
    CHECKER,
    /** Changes model, basis, cages and types as well. */
    ENGINEER,
    /** Renames, shares and deletes it as well. */
    OWNER;

    public boolean covers(Role needed) {
        return compareTo(needed) >= 0;
    }

    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    public static Optional<Role> of(String word) {
        return Arrays.stream(values()).filter(r -> r.word().equals(word)).findFirst();
    }
}
