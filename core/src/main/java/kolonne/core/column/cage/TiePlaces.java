package kolonne.core.column.cage;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.column.line.ColumnStack;

/**
 * Where the ties of a lift stand, above its foot: within every zone evenly, half a spacing from its ends, so that no two are farther apart than
 * the larger spacing of their zones. A lift that nothing stands on has ties up to the top of its beams.
 */
public final class TiePlaces {
    private TiePlaces() {}

    /** A zone of one spacing. @param from, to above the lift's lower joint [mm] */
    public record Zone(double from, double to, double spacing) {
        /** Ties in it. */
        int count() {
            return (int) Math.ceil((to - from) / spacing - 1e-9);
        }
    }

    /** Zones from the foot up. */
    public static List<Zone> zones(ColumnStack.Lift lift, TieSpacing s) {
        double top = lift.top() - lift.base();
        double low = Math.min(lift.inFoot() + s.foot(), top - lift.inHead());
        double high = Math.max(top - lift.inHead() - s.head(), low);
        List<Zone> out = new ArrayList<>(5);
        add(out, 0, lift.inFoot(), s.joint());
        add(out, lift.inFoot(), low, s.end());
        add(out, low, high, s.middle());
        add(out, high, top - lift.inHead(), s.end());
        add(out, top - lift.inHead(), lift.highest() ? top + lift.inHead() : top, s.joint());
        return out;
    }

    private static void add(List<Zone> out, double from, double to, double spacing) {
        if (to - from < 1) {
            return;
        }
        Zone last = out.isEmpty() ? null : out.get(out.size() - 1);
        if (last != null && last.spacing() == spacing) {
            out.set(out.size() - 1, new Zone(last.from(), to, spacing));
        } else {
            out.add(new Zone(from, to, spacing));
        }
    }

    /** Heights above the lift's lower joint, from the foot up [mm]; where a spiral stands between the joints only those of the hoops within them. */
    public static List<Double> of(ColumnStack.Lift lift, ColumnCage.LiftCage c) {
        return places(c.wound() ? joints(lift, c.ties()) : zones(lift, c.ties()));
    }

    private static List<Double> places(List<Zone> zones) {
        List<Double> out = new ArrayList<>();
        for (Zone z : zones) {
            double step = (z.to() - z.from()) / z.count();
            for (int i = 0; i < z.count(); i++) {
                out.add(z.from() + (i + 0.5) * step);
            }
        }
        return out;
    }

    private static List<Zone> joints(ColumnStack.Lift lift, TieSpacing s) {
        double top = lift.top() - lift.base();
        List<Zone> out = new ArrayList<>(2);
        add(out, 0, lift.inFoot(), s.joint());
        // not one zone with the lower joint, however near
        List<Zone> head = new ArrayList<>(1);
        add(head, top - lift.inHead(), lift.highest() ? top + lift.inHead() : top, s.joint());
        out.addAll(head);
        return out;
    }

    /** Heights where ties cross a vertical line: those of the hoops, and of every turn of a spiral. @param cover of the beams [mm] */
    public static List<Double> crossings(ColumnStack.Lift lift, ColumnCage.LiftCage c, double cover) {
        List<Double> out = of(lift, c);
        if (c.wound()) {
            out.addAll(Spiral.of(lift, c, cover).crossings());
            out.sort(null);
        }
        return out;
    }
}
