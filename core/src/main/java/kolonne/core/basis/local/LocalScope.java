package kolonne.core.basis.local;

import java.util.Set;
import kolonne.core.model.Role;

/**
 * Where local settings hold: for the members of some storeys, and for single members.
 *
 * @param role    of the members; null for beams and columns
 * @param storeys names of storeys
 * @param members ids of analysis members
 */
public record LocalScope(Role role, Set<String> storeys, Set<String> members) {
    public LocalScope {
        storeys = Set.copyOf(storeys);
        members = Set.copyOf(members);
    }

    /** Single members. */
    public static LocalScope of(Set<String> members) {
        return new LocalScope(null, Set.of(), members);
    }

    /** Whether they hold for a member. */
    public boolean holds(Role of, String storey, String member) {
        return (role == null || role == of) && (storeys.contains(storey) || members.contains(member));
    }
}
