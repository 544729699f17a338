package kolonne.core.design;

import java.util.Map;
import kolonne.core.beam.cage.HandCage;
import kolonne.core.mark.Marks;
import kolonne.core.type.Types;

/**
 * What people have decided beside the basis.
 *
 * @param marks of lines and stacks; where one is not among them it keeps its own
 * @param hand  what is set by hand
 * @param types members that share cages
 */
public record Decisions(Marks marks, HandSet hand, Types types) {
    public static final Decisions NONE = new Decisions(Marks.NONE, HandSet.NONE, Types.NONE);

    /** Only cages set by hand. @param hand by id of the line */
    public static Decisions byHand(Map<String, HandCage> hand) {
        return byHand(HandSet.ofLines(hand));
    }

    /** Only cages set by hand. */
    public static Decisions byHand(HandSet hand) {
        return new Decisions(Marks.NONE, hand, Types.NONE);
    }

    /** Only types. */
    public static Decisions typed(Types types) {
        return new Decisions(Marks.NONE, HandSet.NONE, types);
    }
}
