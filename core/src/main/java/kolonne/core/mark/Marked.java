package kolonne.core.mark;

import java.util.List;
import kolonne.core.model.Role;

/**
 * A beam line or column stack as a project knows it.
 *
 * @param id      never changes; that of the member it began with when it was found first
 * @param mark    label on schedules; changed only by people
 * @param members in order
 */
public record Marked(String id, Role role, String mark, List<String> members) {
    public Marked {
        members = List.copyOf(members);
    }
}
