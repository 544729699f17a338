package kolonne.core.design;

import java.util.Map;
import kolonne.core.beam.cage.HandCage;
import kolonne.core.mark.Marks;
import kolonne.core.type.Types;

/**
 * What people have decided beside the basis.
 *
 * @param marks of lines and stacks; where one is not among them it keeps its own
 * @param hand  what is set by hand, by id of the beam line
 * @param types members that share cages
 */
public record Decisions(Marks marks, Map<String, HandCage> hand, Types types) {
    public static final Decisions NONE = new Decisions(Marks.NONE, Map.of(), Types.NONE);

    /** Only cages set by hand. @param hand by id of the line */
    public static Decisions byHand(Map<String, HandCage> hand) {
        return new Decisions(Marks.NONE, hand, Types.NONE);
    }
}
