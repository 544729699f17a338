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
        double by = missing(length(g), basis.practice().lengthModule());
        if (by < EXACT || g.hookFrom() && g.hookTo() || !Laps.of(line, g, basis).isEmpty()) {
            return g;
        }
        boolean to = !g.hookTo() && stays(g.to(), g.to() + by);
        boolean from = !g.hookFrom() && stays(g.from(), g.from() - by);
        if (from && (fromFirst || !to)) {
            return unlapped(g, g.between(g.count(), g.from() - by, g.to()));
        }
        return to ? unlapped(g, g.between(g.count(), g.from(), g.to() + by)) : g;
    }

    private BeamCage.Group unlapped(BeamCage.Group was, BeamCage.Group now) {
        return Laps.of(line, now, basis).isEmpty() ? now : was;
    }

    private double length(BeamCage.Group g) {
        double hook = hookBeyondRun(g.bar(), basis);
        return g.to() - g.from() + (g.hookFrom() ? hook : 0) + (g.hookTo() ? hook : 0);
    }

    static double hookBeyondRun(Bar bar, Basis basis) {
        return basis.entry().bends().hookBeyondRun(bar);
    }

    /** Whether a bar's end stays in the clear span, or inside the support and its cover, where it is. */
    private boolean stays(double from, double to) {
        double least = Math.min(from, to);
        double most = Math.max(from, to);
        for (BeamLine.Span s : line.spans()) {
            if (from > s.faceFrom() && from < s.faceTo()) {
                return least > s.faceFrom() && most < s.faceTo();
            }
        }
        for (BeamLine.Support s : line.supports()) {
            double inside = s.depth() / 2 - basis.columnCover();
            if (Math.abs(from - s.x()) <= s.depth() / 2) {
                return least >= s.x() - inside && most <= s.x() + inside;
            }
        }
        return false;
    }
}
