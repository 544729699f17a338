package kolonne.core.column.cage;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.code.Bar;
import kolonne.core.section.PlacedBar;
import kolonne.core.shape.Shape;

/** The reinforcement of a column stack, lift by lift. */
public record ColumnCage(List<LiftCage> lifts) {
    public ColumnCage {
        lifts = List.copyOf(lifts);
    }

    /** The same with ties of a lift no farther apart than so in its joints [mm]. */
    public ColumnCage withJoint(int number, double spacing) {
        List<LiftCage> out = new ArrayList<>(lifts);
        LiftCage c = out.get(number);
        TieSpacing t = c.ties();
        out.set(number, c.with(new TieSpacing(Math.min(t.joint(), spacing), t.end(), t.middle(), t.foot(), t.head())));
        return new ColumnCage(out);
    }

    /** Its lowest lifts. */
    public ColumnCage upTo(int count) {
        return count == lifts.size() ? this : new ColumnCage(lifts.subList(0, count));
    }

    /**
     * Bars and ties of a lift.
     *
     * @param tie tie bar
     */
    public record LiftCage(BarLayout layout, Bar tie, TieSpacing ties) {
        /** With ties at one spacing throughout [mm]. */
        public LiftCage(BarLayout layout, Bar tie, double spacing) {
            this(layout, tie, TieSpacing.even(spacing));
        }

        /** The same with other ties. */
        public LiftCage with(TieSpacing other) {
            return new LiftCage(layout, tie, other);
        }

        /** The same with every bar held. */
        public LiftCage holdingAll() {
            return new LiftCage(layout.holdingAll(), tie, ties);
        }

        /** Whether a spiral encloses the bars between the joints. */
        public boolean wound() {
            return layout instanceof RingBars r && r.spiral();
        }

        public int count() {
            return layout.count();
        }

        public double area() {
            return layout.area();
        }

        /** Where the bars lie in a section with clear cover {@code cover} to the ties. */
        public List<PlacedBar> bars(Shape shape, double cover) {
            return layout.bars(shape, cover + tie.diameter());
        }
    }
}
