package kolonne.core.beam.cage;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.DuctileSpans;
import kolonne.core.code.Bar;

/**
 * Where bars longer than those delivered are lapped: top bars in the middle of spans and bottom bars at supports, as near the end of a
 * delivered bar as such a place lies; in ductile frames both in the middle, away from columns. Laps are as long as tension in full asks for,
 * with all bars of a layer lapped at one place.
 */
public final class Laps {
    /** A 90° hook beyond the run of its bar, in diameters, at most: bend and tail. */
    private static final double HOOK = 14;
    /** For rounding up of cut lengths where there is no module [mm]. */
    private static final double ROUNDING = 10;

    private final BeamLine line;
    private final Basis basis;
    private final boolean ductile;

    /** From one place of the line to another [mm]. */
    public record Lap(double from, double to) {}

    private Laps(BeamLine line, Basis basis) {
        this.line = line;
        this.basis = basis;
        this.ductile = basis.designCode()
                        .ductile(basis.ductility())
                        .filter(r -> r.hoopDepths() > 0)
                        .isPresent()
                && line.spans().stream().anyMatch(s -> DuctileSpans.applies(line, s));
    }

    /** Laps of the bars of a group, from the left. */
    public static List<Lap> of(BeamLine line, BeamCage.Group g, Basis basis) {
        return new Laps(line, basis)
                .laps(
                        g.bar(),
                        g.from(),
                        g.to(),
                        g.hookFrom(),
                        g.hookTo(),
                        length(line, g.bar(), g.pairs(), g.face() == BeamCage.Face.TOP, basis),
                        g.face() == BeamCage.Face.TOP);
    }

    /** Laps of side bars. */
    public static List<Lap> of(BeamLine line, BeamCage.SideBars s, Basis basis) {
        return new Laps(line, basis)
                .laps(
                        s.bar(),
                        s.from(),
                        s.to(),
                        s.hookFrom(),
                        s.hookTo(),
                        length(line, s.bar(), false, false, basis),
                        false);
    }

    /** Length of a lap; pairs are lapped as they are anchored [mm]. */
    public static double length(BeamLine line, Bar bar, boolean pairs, boolean topFace, Basis basis) {
        double fc =
                line.spans().stream().mapToDouble(s -> s.material().fc()).min().orElseThrow();
        double depth =
                line.spans().stream().mapToDouble(s -> s.shape().depth()).max().orElseThrow();
        double cover = pairs ? basis.beamCover() / Math.sqrt(2) : basis.beamCover();
        return (pairs ? basis.designCode().detailing().pairAnchorage() : 1)
                * basis.designCode()
                        .detailing()
                        .lapLength(
                                bar,
                                fc,
                                basis.fy(),
                                topFace && basis.designCode().detailing().poorBond(depth - basis.beamCover(), depth),
                                bar.diameter(),
                                cover);
    }

    private List<Lap> laps(Bar bar, double from, double to, boolean hookFrom, boolean hookTo, double lap, boolean top) {
        double module = module();
        double stock = module > 0
                ? Math.floor(basis.bars().stockLength() / module + 1e-9) * module
                : basis.bars().stockLength() - ROUNDING;
        double hook = HOOK * bar.diameter();
        double rest = to - from + (hookFrom ? hook : 0) + (hookTo ? hook : 0);
        List<Lap> out = new ArrayList<>();
        if (rest <= stock) {
            return out;
        }
        List<Double> places = places(top);
        double begin = from - (hookFrom ? hook : 0);
        double end = to + (hookTo ? hook : 0);
        while (end - begin > stock) {
            double farthest = begin + stock - lap / 2;
            double least = begin + lap; // every piece brings the next one further
            double centre = places.stream()
                    .filter(x -> x > least && x <= farthest)
                    .mapToDouble(x -> x)
                    .max()
                    .orElse(farthest);
            out.add(new Lap(centre - lap / 2, centre + lap / 2));
            begin = centre - lap / 2;
        }
        double beyond = BarLengths.hookBeyondRun(bar, basis);
        return onModule(out, from - (hookFrom ? beyond : 0), to + (hookTo ? beyond : 0));
    }

    /** In ductile frames laps must keep away from columns: they become no longer than they must. */
    private double module() {
        return ductile ? 0 : basis.practice().lengthModule();
    }

    /** Laps so much longer that every piece is cut on the module. @param begin where the first piece would begin were it straight, {@code end} the last's end */
    private List<Lap> onModule(List<Lap> laps, double begin, double end) {
        List<Lap> out = new ArrayList<>();
        double module = module();
        double start = begin;
        for (int k = 0; k < laps.size(); k++) {
            Lap l = laps.get(k);
            boolean last = k == laps.size() - 1;
            double from = last ? l.from() - BarLengths.missing(end - l.from(), module) : l.from();
            out.add(new Lap(from, l.to() + BarLengths.missing(l.to() - start, module)));
            start = from;
        }
        return out;
    }

    /** Middles of laps that are preferred. */
    private List<Double> places(boolean top) {
        List<Double> out = new ArrayList<>();
        if (top || ductile) {
            line.spans().forEach(s -> out.add(s.middle()));
        } else {
            line.supports().forEach(s -> out.add(s.x()));
        }
        return out;
    }
}
