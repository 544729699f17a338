package kolonne.core.column.line;

import java.util.List;
import kolonne.core.code.ColumnEnd;
import kolonne.core.model.Material;
import kolonne.core.model.Section;
import kolonne.core.shape.Shape;

/**
 * The lifts of one column from its foundation to its top.
 *
 * @param id   never changes; that of its lowest member when it was found first
 * @param mark label on schedules
 */
public record ColumnStack(String id, String mark, List<Lift> lifts) {
    public ColumnStack {
        lifts = List.copyOf(lifts);
    }

    /** Whether two lifts have the same section. */
    public boolean alike(int one, int other) {
        return lifts.get(one).alike(lifts.get(other));
    }

    /** Lifts of the same section below a lift without another between. */
    public int sinceStep(int number) {
        int out = 0;
        while (out < number && alike(number - out - 1, number)) {
            out++;
        }
        return out;
    }

    /** The same stack under another mark. */
    public ColumnStack with(String other) {
        return new ColumnStack(id, other, lifts);
    }

    /**
     * One storey's length of the stack.
     *
     * @param storey  name of the storey at its head
     * @param base    height of its lower joint [mm]
     * @param top     height of its upper joint [mm]
     * @param clear   height between the faces of the beams [mm]
     * @param inFoot  half the depth of the deepest beam at its lower joint [mm]; {@code inHead} at its upper one
     * @param highest whether nothing stands on it
     * @param planted whether its foot stands on a beam
     * @param aboutX  length that may buckle while bending about the section's x axis; {@code aboutY} about its y axis
     */
    public record Lift(
            int number,
            String member,
            int memberNumber,
            String storey,
            double base,
            double top,
            double clear,
            double inFoot,
            double inHead,
            boolean highest,
            Section section,
            Material material,
            boolean planted,
            Unbraced aboutX,
            Unbraced aboutY) {
        /** The same with another section. */
        public Lift with(Section other) {
            return new Lift(
                    number,
                    member,
                    memberNumber,
                    storey,
                    base,
                    top,
                    clear,
                    inFoot,
                    inHead,
                    highest,
                    other,
                    material,
                    planted,
                    aboutX,
                    aboutY);
        }

        /** Whether another lift has the same section, whatever models call it. */
        public boolean alike(Lift other) {
            return section.shape().equals(other.section.shape());
        }

        /** Height that no beam takes up, whatever rigid ends the model has [mm]. */
        public double between() {
            return top - base - inFoot - inHead;
        }

        /** Whether it is an ell or a tee. */
        public boolean legged() {
            return section.shape() instanceof Shape.Flanged;
        }
    }

    /**
     * The length between two restraints that a lift is part of, in one direction: often the lift alone, longer where a joint holds nothing.
     *
     * @param parts    members from the lower restraint to the upper one
     * @param length   unsupported: between the faces of what holds it [mm]
     * @param headFree whether nothing holds its head
     * @param ux       plan direction in which it would move, a unit vector; 0 and 0 for a member that lies
     * @param foot     what turns with its lower end; {@code head} with its upper one
     */
    public record Unbraced(
            List<Part> parts, double length, boolean headFree, double ux, double uy, ColumnEnd foot, ColumnEnd head) {
        public Unbraced {
            parts = List.copyOf(parts);
        }
    }

    /**
     * A member of an unbraced length.
     *
     * @param upwards whether it starts at its lower joint
     * @param sense   of its moments against those of the lift: 1 or -1, 0 where its axes are turned
     */
    public record Part(int memberNumber, boolean upwards, int sense) {}
}
