package kolonne.core.type;

import java.util.List;
import kolonne.core.model.Role;

/**
 * Members that people want to share a cage.
 *
 * @param id      never changes
 * @param mark    label on schedules; changed only by people
 * @param members ids of beam lines or column stacks
 * @param locked  whether it stays as it is when types are made anew
 */
public record MemberType(String id, Role role, String mark, List<String> members, boolean locked) {
    public MemberType {
        members = List.copyOf(members);
    }

    /** Whether the same members share, whatever it is called. */
    public boolean sharesAs(MemberType o) {
        return o != null && role == o.role && members.equals(o.members);
    }

    MemberType with(List<String> other) {
        return new MemberType(id, role, mark, other, locked);
    }

    MemberType with(String other) {
        return new MemberType(id, role, other, members, locked);
    }

    MemberType locked(boolean now) {
        return new MemberType(id, role, mark, members, now);
    }
}
