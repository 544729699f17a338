package kolonne.core.detail;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.Laps;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.code.Bar;

/** The bars of a beam cage, one by one. */
public final class BeamBars {
    private BeamBars() {}

    /** Height between the covers of the shallowest span: what a hook has [mm]. */
    private static double room(BeamLine line, Basis basis) {
        return line.spans().stream().mapToDouble(s -> s.shape().depth()).min().orElseThrow() - 2 * basis.beamCover();
    }

    public static List<BarItem> of(BeamLine line, BeamCage cage, Basis basis) {
        List<BarItem> out = new ArrayList<>();
        for (BeamCage.Group g : cage.groups()) {
            String what =
                    g.face().word() + (g.through() ? ", through" : "") + (g.layer() > 1 ? ", layer " + g.layer() : "");
            pieces(
                    new Run(what, g.bar(), g.count(), g.from(), g.to(), g.hookFrom(), g.hookTo()),
                    Laps.of(line, g, basis),
                    room(line, basis),
                    basis,
                    out);
        }
        for (BeamCage.Zone z : cage.zones()) {
            stirrups(line.spans().get(z.span()), z, basis, out);
        }
        for (BeamCage.SideBars s : cage.sideBars()) {
            pieces(
                    new Run(
                            "side bars, span " + (s.span() + 1),
                            s.bar(),
                            2 * s.perFace(),
                            s.from(),
                            s.to(),
                            s.hookFrom(),
                            s.hookTo()),
                    Laps.of(line, s, basis),
                    room(line, basis),
                    basis,
                    out);
        }
        return out;
    }

    /** Bars from end to end, laps between. */
    private record Run(String what, Bar bar, int count, double from, double to, boolean hookFrom, boolean hookTo) {}

    /** Bars of one run, from lap to lap. */
    private static void pieces(Run r, List<Laps.Lap> laps, double room, Basis basis, List<BarItem> out) {
        for (int k = 0; k <= laps.size(); k++) {
            double from = k == 0 ? r.from() : laps.get(k - 1).from();
            double to = k == laps.size() ? r.to() : laps.get(k).to();
            int hooks = (k == 0 && r.hookFrom() ? 1 : 0) + (k == laps.size() && r.hookTo() ? 1 : 0);
            out.add(BarShapes.of(basis)
                    .longitudinal(
                            r.what() + (laps.isEmpty() ? "" : ", piece " + (k + 1)),
                            r.bar(),
                            r.count(),
                            to - from,
                            hooks,
                            room));
        }
    }

    private static void stirrups(BeamLine.Span span, BeamCage.Zone z, Basis basis, List<BarItem> out) {
        double b = span.shape().webWidth() - 2 * basis.beamCover();
        double h = span.shape().depth() - 2 * basis.beamCover();
        String what = "stirrups, span " + (z.span() + 1);
        Bar bar = z.bar();
        out.add(BarShapes.of(basis).closed(what, bar, z.count(), b, h));
        int inner = z.legs() - 2;
        double pitch = (b - bar.diameter()) / (z.legs() - 1);
        for (int pair = 0; pair < inner / 2; pair++) {
            double width = (inner - 1 - 2 * pair) * pitch + bar.diameter();
            out.add(BarShapes.of(basis).closed(what + ", inner", bar, z.count(), width, h));
        }
        if (inner % 2 == 1) {
            out.add(BarShapes.of(basis).crossTie(what + ", single leg", bar, z.count(), h));
        }
    }
}
