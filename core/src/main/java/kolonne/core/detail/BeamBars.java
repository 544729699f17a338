package kolonne.core.detail;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.beam.BeamCage;
import kolonne.core.beam.BeamLine;
import kolonne.core.code.Bar;

/** The bars of a beam cage, one by one. */
public final class BeamBars {
    /** Longest bar delivered [mm]. */
    static final double STOCK_LENGTH = 12_000;
    /** Class B lap over the development length (ACI 318-19 table 25.5.2.1). */
    private static final double LAP = 1.3;

    private BeamBars() {}

    public static List<BarItem> of(BeamLine line, BeamCage cage, Basis basis) {
        List<BarItem> out = new ArrayList<>();
        double fc = line.spans().stream().mapToDouble(s -> s.material().fc()).min().orElseThrow();
        for (BeamCage.Group g : cage.groups()) {
            longitudinal(g, fc, basis, out);
        }
        for (BeamCage.Zone z : cage.zones()) {
            stirrups(line.spans().get(z.span()), z, basis, out);
        }
        for (BeamCage.SideBars s : cage.sideBars()) {
            lapped("side bars, span " + (s.span() + 1), s.bar(), 2 * s.perFace(), s.to() - s.from(),
                (s.hookFrom() ? 1 : 0) + (s.hookTo() ? 1 : 0), fc, false, basis, out);
        }
        return out;
    }

    private static void longitudinal(BeamCage.Group g, double fc, Basis basis, List<BarItem> out) {
        boolean top = g.face() == BeamCage.Face.TOP;
        String what = (top ? "top" : "bottom") + (g.through() ? ", through" : "") + (g.layer() > 1
            ? ", layer " + g.layer() : "");
        int hooks = (g.hookFrom() ? 1 : 0) + (g.hookTo() ? 1 : 0);
        lapped(what, g.bar(), g.count(), g.to() - g.from(), hooks, fc, top, basis, out);
    }

    /** Bars of one run, in lapped pieces where they are longer than the stock. */
    private static void lapped(String what, Bar bar, int count, double run, int hooks, double fc, boolean top, Basis basis,
                               List<BarItem> out) {
        double whole = BarShapes.longitudinal(what, bar, 1, run, hooks).cutLength();
        if (whole <= STOCK_LENGTH) {
            out.add(BarShapes.longitudinal(what, bar, count, run, hooks));
            return;
        }
        double lap = LAP * basis.designCode().developmentLength(bar, fc, basis.fy(), top, bar.diameter(), basis.beamCover(), true);
        // a piece may be a hooked end piece, and every cut is rounded up: leave room for both
        double longest = STOCK_LENGTH - (whole - run) - 10;
        int pieces = Math.max(2, (int) Math.ceil((run - lap) / (longest - lap)));
        double each = (run + (pieces - 1) * lap) / pieces;
        if (hooks > 0) {
            out.add(BarShapes.longitudinal(what + ", end piece", bar, hooks * count, each, 1));
        }
        if (pieces > hooks) {
            out.add(BarShapes.longitudinal(what + ", lapped piece", bar, (pieces - hooks) * count, each, 0));
        }
    }

    private static void stirrups(BeamLine.Span span, BeamCage.Zone z, Basis basis, List<BarItem> out) {
        double b = span.shape().webWidth() - 2 * basis.beamCover();
        double h = span.shape().depth() - 2 * basis.beamCover();
        String what = "stirrups, span " + (z.span() + 1);
        Bar bar = z.bar();
        out.add(BarShapes.closed(what, bar, z.count(), b, h));
        int inner = z.legs() - 2;
        double pitch = (b - bar.diameter()) / (z.legs() - 1);
        for (int pair = 0; pair < inner / 2; pair++) {
            double width = (inner - 1 - 2 * pair) * pitch + bar.diameter();
            out.add(BarShapes.closed(what + ", inner", bar, z.count(), width, h));
        }
        if (inner % 2 == 1) {
            out.add(BarShapes.crossTie(what + ", single leg", bar, z.count(), h));
        }
    }
}
