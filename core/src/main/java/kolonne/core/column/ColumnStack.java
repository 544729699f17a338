package kolonne.core.column;

import java.util.List;
import kolonne.core.model.Material;
import kolonne.core.model.Section;

/**
 * The lifts of one column from its foundation to its top.
 *
 * @param id   id of its lowest member
 * @param mark label on schedules
 */
public record ColumnStack(String id, String mark, List<Lift> lifts) {
    public ColumnStack {
        lifts = List.copyOf(lifts);
    }

    /**
     * One storey's length of the stack.
     *
     * @param storey  name of the storey at its head
     * @param base    height of its lower joint [mm]
     * @param top     height of its upper joint [mm]
     * @param clear   unsupported length: between the faces of the beams [mm]
     * @param planted whether its foot stands on a beam
     */
    public record Lift(int number, String member, int memberNumber, String storey, double base, double top,
                       double clear, Section section, Material material, boolean planted) {}
}
