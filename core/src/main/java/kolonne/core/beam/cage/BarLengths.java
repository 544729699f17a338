package kolonne.core.beam.cage;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import kolonne.core.basis.Basis;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.code.Bar;

/**
 * Lengths to which bars are cut, on the module of the basis: a bar that ends straight runs on by what is missing, where it stays in the span or the support that
 * it ends in. Bars between hooks have it in their hooks, and lapped ones in their laps.
 */
public final class BarLengths {
    /** Lengths that differ by less are one [mm]. */
    private static final double EXACT = 1e-6;

    private final BeamLine line;
    private final Basis basis;

    private BarLengths(BeamLine line, Basis basis) {
        this.line = line;
        this.basis = basis;
    }

    /** What a length lacks to the next multiple of the module; 0 where bars are cut to any length [mm]. */
    public static double missing(double length, double module) {
        return module <= 0 ? 0 : Math.max(0, Math.ceil(length / module - EXACT) * module - length);
    }

    /**
     * The cage with bars that end straight on the module; the same cage where none becomes longer.
     *
     * @param stays     faces that stay as they are
     * @param fromFirst whether bars that are straight at both ends run on at their beginning rather than at their end
     */
    public static BeamCage onModule(
            BeamLine line, BeamCage cage, Basis basis, Set<BeamCage.Face> stays, boolean fromFirst) {
        if (basis.practice().lengthModule() <= 0) {
            return cage;
        }
        BarLengths l = new BarLengths(line, basis);
        List<BeamCage.Group> groups = new ArrayList<>();
        boolean other = false;
        for (BeamCage.Group g : cage.groups()) {
            BeamCage.Group now = stays.contains(g.face()) ? g : l.onModule(g, fromFirst);
            other |= now != g;
            groups.add(now);
        }
        return other ? new BeamCage(groups, cage.zones(), cage.sideBars()) : cage;
    }

    private BeamCage.Group onModule(BeamCage.Group g, boolean fromFirst) {
        return longer(g, toModule(g), fromFirst);
    }

    private double toModule(BeamCage.Group g) {
        return free(g) ? missing(length(g, basis), basis.practice().lengthModule()) : 0;
    }

    /** What the bars of a group lack to the module; 0 where their length is not to be chosen [mm]. */
    public static double toModule(BeamLine line, BeamCage.Group g, Basis basis) {
        double by = new BarLengths(line, basis).toModule(g);
        return by < EXACT ? 0 : by;
    }

    /**
     * The cage with bars that run on; those that find no room for it stay.
     *
     * @param by        what each group runs on by, in the order of the cage [mm]
     * @param fromFirst whether bars that are straight at both ends run on at their beginning rather than at their end
     */
    public static BeamCage longer(BeamLine line, BeamCage cage, Basis basis, double[] by, boolean fromFirst) {
        BarLengths l = new BarLengths(line, basis);
        List<BeamCage.Group> groups = new ArrayList<>();
        for (int i = 0; i < by.length; i++) {
            groups.add(l.longer(cage.groups().get(i), by[i], fromFirst));
        }
        return groups.equals(cage.groups()) ? cage : new BeamCage(groups, cage.zones(), cage.sideBars());
    }

    private BeamCage.Group longer(BeamCage.Group g, double by, boolean fromFirst) {
        if (by < EXACT) {
            return g;
        }
        boolean to = by <= roomTo(g);
        if (by <= roomFrom(g) && (fromFirst || !to)) {
            return unlapped(g, g.between(g.count(), g.from() - by, g.to()));
        }
        return to ? unlapped(g, g.between(g.count(), g.from(), g.to() + by)) : g;
    }

    /** Whether the length of bars may be chosen: they end straight somewhere, and nothing laps with them. */
    private boolean free(BeamCage.Group g) {
        return !(g.hookFrom() && g.hookTo()) && Laps.of(line, g, basis).isEmpty();
    }

    /** How much longer bars may be made at one of their ends; 0 where their length is not to be chosen [mm]. */
    public static double room(BeamLine line, BeamCage.Group g, Basis basis) {
        BarLengths l = new BarLengths(line, basis);
        return l.free(g) ? Math.max(0, Math.max(l.roomFrom(g), l.roomTo(g))) : 0;
    }

    private double roomFrom(BeamCage.Group g) {
        return g.hookFrom() ? -1 : room(g.from(), -1);
    }

    private double roomTo(BeamCage.Group g) {
        return g.hookTo() ? -1 : room(g.to(), 1);
    }

    private BeamCage.Group unlapped(BeamCage.Group was, BeamCage.Group now) {
        return Laps.of(line, now, basis).isEmpty() ? now : was;
    }

    /** Of each bar of a group, measured as it is cut [mm]. */
    public static double length(BeamCage.Group g, Basis basis) {
        double hook = hookBeyondRun(g.bar(), basis);
        return g.to() - g.from() + (g.hookFrom() ? hook : 0) + (g.hookTo() ? hook : 0);
    }

    static double hookBeyondRun(Bar bar, Basis basis) {
        return basis.entry().bends().hookBeyondRun(bar);
    }

    /** From a bar's end onwards, in the clear span or inside the support and its cover, where it is; negative where it is in none. @param way 1 or -1 */
    private double room(double end, int way) {
        for (BeamLine.Span s : line.spans()) {
            if (end > s.faceFrom() && end < s.faceTo()) {
                return (way > 0 ? s.faceTo() - end : end - s.faceFrom()) - EXACT;
            }
        }
        for (BeamLine.Support s : line.supports()) {
            if (Math.abs(end - s.x()) <= s.depth() / 2) {
                return s.depth() / 2 - basis.columnCover() + way * (s.x() - end);
            }
        }
        return -1;
    }
}
