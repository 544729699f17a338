package kolonne.core.beam.cage;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.DoubleStream;
import kolonne.core.basis.Basis;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.code.Bar;
import kolonne.core.code.DesignCode;
import kolonne.core.code.ShearInput;
import kolonne.core.code.ShearStrength;
import kolonne.core.explain.Trace;
import kolonne.core.section.BarLayer;

/** Which bars act at a place of the line, and how much of them is developed there. */
public final class BarsAt {
    private final BeamLine line;
    private final BeamCage cage;
    private final Basis basis;
    private final double[] straight;
    private final double[] hooked;

    public BarsAt(BeamLine line, BeamCage cage, Basis basis) {
        this.line = line;
        this.cage = cage;
        this.basis = basis;
        DesignCode code = basis.designCode();
        int n = cage.groups().size();
        straight = new double[n];
        hooked = new double[n];
        double fc =
                line.spans().stream().mapToDouble(s -> s.material().fc()).min().orElseThrow();
        double depth =
                line.spans().stream().mapToDouble(s -> s.shape().depth()).max().orElseThrow();
        for (int i = 0; i < n; i++) {
            BeamCage.Group g = cage.groups().get(i);
            boolean top = g.face() == BeamCage.Face.TOP && code.detailing().poorBond(depth - g.offset(), depth);
            straight[i] = development(g.bar(), g.pairs(), fc, top, basis);
            hooked[i] = (g.pairs() ? code.detailing().pairAnchorage() : 1)
                    * code.detailing().hookLength(g.bar(), fc, basis.fy(), Trace.OFF);
        }
    }

    /** Development of a straight bar; the cover of a pair counts by one bar as large as both [mm]. */
    public static double development(Bar bar, boolean pairs, double fc, boolean top, Basis basis) {
        double cover = pairs ? basis.beamCover() / Math.sqrt(2) : basis.beamCover();
        return (pairs ? basis.designCode().detailing().pairAnchorage() : 1)
                * basis.designCode()
                        .detailing()
                        .developmentLength(bar, fc, basis.fy(), top, bar.diameter(), cover, true);
    }

    /** Length in which straight bars of group {@code i} develop [mm]. */
    public double straightLength(int i) {
        return straight[i];
    }

    /** Length in which a hook of group {@code i} develops [mm]. */
    public double hookLength(int i) {
        return hooked[i];
    }

    /**
     * Layers at {@code x} by depth from the compression face, with areas reduced where a bar is not yet developed.
     * Bars of the compression face count in full: they are in compression there.
     */
    public List<BarLayer> layers(double x, BeamLine.Span span, boolean sagging) {
        return layers(x, span, sagging, false);
    }

    /** The same, with every bar in full if {@code anchored}. */
    public List<BarLayer> layers(double x, BeamLine.Span span, boolean sagging, boolean anchored) {
        double h = span.shape().depth();
        List<BarLayer> out = new ArrayList<>(4);
        for (int i = 0; i < cage.groups().size(); i++) {
            BeamCage.Group g = cage.groups().get(i);
            if (!g.covers(x)) {
                continue;
            }
            boolean tension = sagging == (g.face() == BeamCage.Face.BOTTOM);
            double share = anchored ? 1 : developed(g, i, x);
            double area = g.area() * share;
            if (area > 0) {
                merge(out, tension ? h - g.offset() : g.offset(), area);
            }
        }
        return out;
    }

    /** Layers at the face of an end support as they would be with the runs of all bars inside it multiplied by a factor. */
    public List<BarLayer> layersAtEnd(double x, BeamLine.Span span, boolean sagging, double factor) {
        double h = span.shape().depth();
        List<BarLayer> out = new ArrayList<>(4);
        for (int i = 0; i < cage.groups().size(); i++) {
            BeamCage.Group g = cage.groups().get(i);
            if (g.covers(x)) {
                boolean tension = sagging == (g.face() == BeamCage.Face.BOTTOM);
                double area = g.area() * Math.max(0, Math.min(1, factor * run(g, i, x)));
                if (area > 0) {
                    merge(out, tension ? h - g.offset() : g.offset(), area);
                }
            }
        }
        return out;
    }

    private static void merge(List<BarLayer> out, double depth, double area) {
        for (int i = 0; i < out.size(); i++) {
            if (Math.abs(out.get(i).depth() - depth) < 1e-9) {
                out.set(i, new BarLayer(depth, out.get(i).area() + area));
                return;
            }
        }
        out.add(new BarLayer(depth, area));
    }

    /** Part of a group that is developed at {@code x}, 0 to 1, from both its ends. */
    public double developed(BeamCage.Group g, int i, double x) {
        return Math.max(0, Math.min(1, run(g, i, x)));
    }

    /** The shorter run from {@code x} to an end of a group over the length in which that end develops it. */
    private double run(BeamCage.Group g, int i, double x) {
        double from = g.hookFrom() ? hookPart(i, x - g.from()) : (x - g.from()) / straight[i];
        double to = g.hookTo() ? hookPart(i, g.to() - x) : (g.to() - x) / straight[i];
        return Math.min(from, to);
    }

    /** A hook reaches to the far side of the support, where the bar starts. */
    private double hookPart(int i, double run) {
        return run / hooked[i];
    }

    /** Area of tension bars without development, for minimum steel [mm2]. */
    public double areaAt(double x, BeamCage.Face face) {
        double sum = 0;
        for (BeamCage.Group g : cage.groups()) {
            if (g.face() == face && g.covers(x)) {
                sum += g.area();
            }
        }
        return sum;
    }

    /** Effective depth of a face's bars at {@code x} [mm]; the through bars' where there are no others. */
    public double effectiveDepth(double x, BeamLine.Span span, BeamCage.Face face) {
        double sum = 0;
        double moment = 0;
        for (BeamCage.Group g : cage.groups()) {
            if (g.face() == face && g.covers(x)) {
                sum += g.area();
                moment += g.area() * g.offset();
            }
        }
        return span.shape().depth() - (sum > 0 ? moment / sum : basis.beamCover());
    }

    /** Axial force is left out: compression helps, tension above a threshold is reported as out of scope. */
    public ShearStrength shear(double x, BeamLine.Span span, Trace t) {
        return basis.designCode().shear(shearInput(x, span), t);
    }

    /** The section as it resists shear. */
    public ShearInput shearInput(double x, BeamLine.Span span) {
        double fc = span.material().fc();
        double bw = span.shape().webWidth();
        double d = Math.min(effectiveDepth(x, span, BeamCage.Face.TOP), effectiveDepth(x, span, BeamCage.Face.BOTTOM));
        double as = Math.min(areaAt(x, BeamCage.Face.TOP), areaAt(x, BeamCage.Face.BOTTOM));
        BeamCage.Zone zone = cage.zoneAt(span.number(), x);
        double avs = zone == null ? 0 : zone.avs();
        return new ShearInput(fc, basis.fyt(), bw, d, span.shape().A(), as / (bw * d), avs, 0);
    }

    /** The smallest effective depth of either face in a span [mm]. */
    public double leastDepth(BeamLine.Span span) {
        return leastDepth(span, span.faceFrom(), span.faceTo());
    }

    /** The same between two places: it changes only where bars end. */
    public double leastDepth(BeamLine.Span span, double from, double to) {
        double[] at = cage.groups().stream()
                .flatMapToDouble(g -> DoubleStream.of(g.from(), g.to()))
                .filter(x -> x > from && x < to)
                .sorted()
                .toArray();
        double d = Double.POSITIVE_INFINITY;
        for (int i = 0; i <= at.length; i++) {
            double x = ((i == 0 ? from : at[i - 1]) + (i == at.length ? to : at[i])) / 2;
            for (BeamCage.Face face : BeamCage.Face.values()) {
                d = Math.min(d, effectiveDepth(x, span, face));
            }
        }
        return d;
    }

    public BeamCage cage() {
        return cage;
    }

    BeamLine line() {
        return line;
    }
}
