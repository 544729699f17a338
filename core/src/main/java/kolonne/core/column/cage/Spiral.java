package kolonne.core.column.cage;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.column.line.ColumnStack;

/**
 * The spiral of a lift: from the top of the floor that it stands on to the lowest bars of the beams at its head, at the pitch of its cage, with flat turns at both ends, one and a half at
 * each at least (ACI 318-19 10.7.6.3, 25.7.3.4).
 *
 * @param from  height of its foot, along its middle, above the lift's lower joint [mm]
 * @param pitch rise of a turn between the flat ones [mm]
 * @param turns all, to the half; the flat ones among them
 * @param flat  turns at each end that rise by no more than their bar
 * @param bar   diameter of its bar [mm]
 */
public record Spiral(double from, double pitch, double turns, double flat, double bar) {
    /** Flat turns at both ends together, at least. */
    private static final double FLAT = 3;

    /** Of a lift whose cage has one. @param cover of the beams, in which nothing lies [mm] */
    public static Spiral of(ColumnStack.Lift lift, ColumnCage.LiftCage c, double cover) {
        double d = c.tie().diameter();
        double pitch = c.ties().middle();
        double into = Math.min(cover, lift.inHead());
        double height = Math.max(FLAT * d, lift.top() - lift.base() - lift.inHead() + into - lift.inFoot() - d);
        // with just the flat turns, then what its whole half turns leave goes to the ends
        double turns = Math.ceil(2 * (FLAT + (height - FLAT * d) / pitch) - 1e-9) / 2;
        double between = pitch > d ? (height - turns * d) / (pitch - d) : 0;
        return new Spiral(lift.inFoot() + d / 2, pitch, turns, (turns - between) / 2, d);
    }

    /** Height of its middle line after so many turns from its foot [mm]. */
    public double height(double after) {
        double low = Math.min(after, flat);
        double high = Math.max(0, after - (turns - flat));
        return from + (low + high) * bar + (after - low - high) * pitch;
    }

    /** Heights at which it crosses a vertical line [mm]. */
    List<Double> crossings() {
        List<Double> out = new ArrayList<>();
        for (int i = 0; i <= turns; i++) {
            out.add(height(i));
        }
        return out;
    }
}
