package kolonne.core.column.cage;

import kolonne.core.code.Bar;
import kolonne.core.shape.Shape;

/**
 * What a person has set on a lift. Kolonne never alters it, only checks it; a part that is null stays Kolonne's choice.
 *
 * @param bars the bars, with those that ties hold; where none of them is told to be held, Kolonne chooses which
 * @param ties their size and spacing
 */
public record HandLift(BarLayout bars, Ties ties) {
    public static final HandLift NONE = new HandLift(null, null);

    /** Ties of a lift, whatever bars they hold. */
    public record Ties(Bar bar, TieSpacing spacing) {}

    public boolean isEmpty() {
        return bars == null && ties == null;
    }

    /** Whether it tells which bars are held. */
    public boolean holds() {
        return bars instanceof RectangleBars r && !r.heldX().isEmpty()
                || bars instanceof LegBars l && !l.heldWeb().isEmpty()
                || bars instanceof RingBars;
    }

    /** Whether its bars are for a section of this shape. */
    public boolean suits(Shape s) {
        return bars == null
                || s instanceof Shape.Circle == bars instanceof RingBars
                        && s instanceof Shape.Flanged == bars instanceof LegBars
                        && !(s instanceof Shape.Flanged f
                                && bars instanceof LegBars l
                                && l.overhangs() != f.overhangs());
    }

    /** The same without bars that are not for a section of this shape. */
    public HandLift on(Shape s) {
        return suits(s) ? this : new HandLift(null, ties);
    }

    /** A whole cage as if set by hand, to copy it to another lift. */
    public static HandLift of(ColumnCage.LiftCage c) {
        return new HandLift(c.layout(), new Ties(c.tie(), c.ties()));
    }
}
