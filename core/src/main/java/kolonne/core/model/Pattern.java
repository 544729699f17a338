package kolonne.core.model;

import java.util.Set;

/** An arrangement of a live load case. @param of the case whose loads it takes. @param members the members that carry them */
public record Pattern(String of, Set<String> members) {
    public Pattern {
        members = Set.copyOf(members);
    }
}
