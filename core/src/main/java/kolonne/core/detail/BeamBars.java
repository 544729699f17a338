package kolonne.core.detail;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.Laps;
import kolonne.core.beam.cage.LayerSpacers;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.code.Bar;

/** The bars of a beam cage, one by one. */
public final class BeamBars {
    private BeamBars() {}

    /** From the outer edge of bars to the cover of the other face of the shallowest span: what their hooks have [mm]. */
    private static double room(BeamLine line, BeamCage.Group g, Basis basis) {
        double depth =
                line.spans().stream().mapToDouble(s -> s.shape().depth()).min().orElseThrow();
        return depth - basis.beamCover() - (g.offset() - g.bar().diameter() / 2);
    }

    /**
     * Like bars of a line where they lie.
     *
     * @param face     null for stirrups, spacers and side bars
     * @param layer    from the face, 1 for side bars and stirrups
     * @param from     along the line, to {@code to} [mm]
     * @param hookFrom whether they are bent up there
     * @param part     of the cage that they belong to
     */
    public record Placed(
            BarItem item,
            BeamCage.Face face,
            int layer,
            double from,
            double to,
            boolean hookFrom,
            boolean hookTo,
            BeamCage.Part part) {
        /** Whether they run along the line. */
        public boolean along() {
            return face != null || item.what().startsWith("side");
        }
    }

    public static List<BarItem> of(BeamLine line, BeamCage cage, Basis basis) {
        return placed(line, cage, basis).stream().map(Placed::item).toList();
    }

    /** The same, each with its place. */
    public static List<Placed> placed(BeamLine line, BeamCage cage, Basis basis) {
        List<Placed> out = new ArrayList<>();
        for (BeamCage.Group g : cage.groups()) {
            String what =
                    g.face().word() + (g.through() ? ", through" : "") + (g.layer() > 1 ? ", layer " + g.layer() : "");
            pieces(
                    new Run(
                            what,
                            g.face(),
                            g.layer(),
                            g.bar(),
                            g.count(),
                            g.from(),
                            g.to(),
                            g.hookFrom(),
                            g.hookTo(),
                            g),
                    Laps.of(line, g, basis),
                    room(line, g, basis),
                    basis,
                    out);
        }
        for (BeamCage.Zone z : cage.zones()) {
            stirrups(line.spans().get(z.span()), z, cage.count(z), basis, out);
        }
        for (BeamCage.Spacers s : LayerSpacers.of(line, cage, basis)) {
            String what = "spacers, span " + (s.span() + 1) + ", " + s.face().word()
                    + (s.layer() > 2 ? ", layer " + s.layer() : "");
            BarItem item =
                    BarShapes.of(basis).longitudinal(what, s.bar(), s.places().size(), s.length(), 0, 0);
            double first = s.places().get(0);
            double last = s.places().get(s.places().size() - 1);
            out.add(new Placed(item, null, s.layer(), first, last, false, false, s));
        }
        for (BeamCage.SideBars s : cage.sideBars()) {
            pieces(
                    new Run(
                            "side bars, span " + (s.span() + 1),
                            null,
                            1,
                            s.bar(),
                            2 * s.perFace(),
                            s.from(),
                            s.to(),
                            s.hookFrom(),
                            s.hookTo(),
                            s),
                    Laps.of(line, s, basis),
                    0, // their hooks lie across the web
                    basis,
                    out);
        }
        return out;
    }

    /** Bars from end to end, laps between. */
    private record Run(
            String what,
            BeamCage.Face face,
            int layer,
            Bar bar,
            int count,
            double from,
            double to,
            boolean hookFrom,
            boolean hookTo,
            BeamCage.Part part) {}

    /** Bars of one run, from lap to lap. */
    private static void pieces(Run r, List<Laps.Lap> laps, double room, Basis basis, List<Placed> out) {
        for (int k = 0; k <= laps.size(); k++) {
            double from = k == 0 ? r.from() : laps.get(k - 1).from();
            double to = k == laps.size() ? r.to() : laps.get(k).to();
            boolean hookFrom = k == 0 && r.hookFrom();
            boolean hookTo = k == laps.size() && r.hookTo();
            BarItem item = BarShapes.of(basis)
                    .longitudinal(
                            r.what() + (laps.isEmpty() ? "" : ", piece " + (k + 1)),
                            r.bar(),
                            r.count(),
                            to - from,
                            (hookFrom ? 1 : 0) + (hookTo ? 1 : 0),
                            room);
            out.add(new Placed(item, r.face(), r.layer(), from, to, hookFrom, hookTo, r.part()));
        }
    }

    private static Placed in(BeamCage.Zone z, BarItem item) {
        return new Placed(item, null, 1, z.from(), z.to(), false, false, z);
    }

    private static void stirrups(BeamLine.Span span, BeamCage.Zone z, int count, Basis basis, List<Placed> out) {
        double b = span.shape().webWidth() - 2 * basis.beamCover();
        double h = span.shape().depth() - 2 * basis.beamCover();
        String what = "stirrups, span " + (z.span() + 1);
        Bar bar = z.bar();
        out.add(in(z, BarShapes.of(basis).closed(what, bar, count, b, h)));
        int inner = z.legs() - 2;
        for (int pair = 0; pair < inner / 2; pair++) {
            double width = apart(z, pair, span, basis) + bar.diameter();
            boolean bends = width >= 2 * (basis.entry().bends().stirrupRadius(bar) + bar.diameter());
            out.add(in(
                    z,
                    bends
                            ? BarShapes.of(basis).closed(what + ", inner", bar, count, width, h)
                            : BarShapes.of(basis).crossTie(what + ", single legs", bar, 2 * count, h)));
        }
        if (inner % 2 == 1) {
            out.add(in(z, BarShapes.of(basis).crossTie(what + ", single leg", bar, count, h)));
        }
    }

    /**
     * Between the middles of two legs of a stirrup inside the outer one [mm]. Legs stand evenly; pairs of them are closed stirrups, single legs where they stand too
     * close to be bent.
     *
     * @param pair from the outermost, 0
     */
    public static double apart(BeamCage.Zone z, int pair, BeamLine.Span span, Basis basis) {
        double outer = span.shape().webWidth() - 2 * basis.beamCover() - z.bar().diameter();
        return (z.legs() - 3 - 2 * pair) * outer / (z.legs() - 1);
    }
}
