package kolonne.core.space;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.Laps;
import kolonne.core.beam.cage.StirrupPlaces;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.code.Bends;
import kolonne.core.detail.BarItem;
import kolonne.core.detail.BeamBars;
import kolonne.core.model.BuildingIndex;

/**
 * A beam line as it is built: beams between the faces of what holds them, level at the top, and every bar of the list. Middles of the deepest span's depth lie on the
 * line of the model.
 */
public final class LineInSpace {
    private final BeamLine line;
    private final BeamCage cage;
    private final Basis basis;
    private final Bends bends;
    private final BentBars bent;
    private final LineAxis axis;
    private final Function<BarItem, String> marks;
    private final double top;
    private final Map<BeamCage.Face, FacePlaces> faces = new EnumMap<>(BeamCage.Face.class);
    private final List<SpaceBar> bars = new ArrayList<>();

    private LineInSpace(BeamDesign d, BuildingIndex index, Function<BarItem, String> marks) {
        this.line = d.line();
        this.cage = d.cage();
        this.basis = d.basis();
        this.bends = basis.entry().bends();
        this.bent = new BentBars(bends);
        this.axis = new LineAxis(line, index);
        this.marks = marks;
        this.top =
                line.spans().stream().mapToDouble(s -> s.shape().depth()).max().orElseThrow() / 2;
        for (BeamCage.Face f : BeamCage.Face.values()) {
            faces.put(f, new FacePlaces(line, cage, f, basis, top));
        }
    }

    /** @param marks of its bars in the schedule */
    public static Placed of(BeamDesign d, BuildingIndex index, Function<BarItem, String> marks) {
        LineInSpace s = new LineInSpace(d, index, marks);
        s.allBars();
        return new Placed(s.axis.frame(), s.bodies(index), s.bars);
    }

    private List<Body> bodies(BuildingIndex index) {
        List<Body> out = new ArrayList<>();
        for (LineAxis.Run r : axis.members()) {
            BeamLine.Span span = line.spans().get(r.span());
            double from = Math.max(r.from(), span.faceFrom());
            double to = Math.min(r.to(), span.faceTo());
            if (to > from) {
                var section = index.sectionOf(r.member());
                out.add(new Body(
                        r.member(),
                        section,
                        index.materialOf(r.member()),
                        axis.point(from, 0, 0),
                        top - section.shape().depth() / 2,
                        to - from));
            }
        }
        return out;
    }

    private void allBars() {
        int nested = 0;
        BeamCage.Part before = null;
        for (BeamBars.Placed p : BeamBars.placed(line, cage, basis)) {
            String mark = marks.apply(p.item());
            if (p.part() instanceof BeamCage.Group g) {
                main(p, g, mark);
            } else if (p.part() instanceof BeamCage.SideBars side) {
                side(p, side, mark);
            } else if (p.part() instanceof BeamCage.Zone z) {
                nested = z == before ? nested + 1 : 0;
                stirrups(p.item(), z, mark, nested);
            } else if (p.part() instanceof BeamCage.Spacers s) {
                spacers(p.item(), s, mark);
            }
            before = p.part();
        }
    }

    private void main(BeamBars.Placed p, BeamCage.Group g, String mark) {
        double down = g.face() == BeamCage.Face.TOP ? -1 : 1;
        double lap = lapFrom(p, g);
        for (int k = 0; k < g.count(); k++) {
            Way way = faces.get(g.face()).way(g, k).between(p.from(), p.to());
            if (lap < p.to()) {
                // the bar that it laps with lies where it would
                way = way.lifted(lap, down * g.bar().diameter());
            }
            along(p, way, towards(p, way, down), mark, SpaceBar.Use.MAIN);
        }
    }

    /** Where hooks point: to the other face; laid over towards the middle of the web where they are higher than the beam has room. */
    private Point3 towards(BeamBars.Placed p, Way way, double down) {
        if (!p.hookFrom() && !p.hookTo()) {
            return new Point3(0, 0, down);
        }
        double[] at = way.at(p.hookFrom() ? way.from() : way.to());
        double depth = line.spanAt(at[0]).shape().depth();
        double to = down < 0 ? top - depth + basis.beamCover() : top - basis.beamCover();
        double height = p.item().dims().get(0) - p.item().bar().diameter() / 2;
        double upright = Math.min(1, Math.abs(to - at[2]) / height);
        return new Point3(0, (at[1] > 0 ? -1 : 1) * Math.sqrt(1 - upright * upright), down * upright);
    }

    /** Where the lap begins in which a piece ends; its end if it ends in none. */
    private double lapFrom(BeamBars.Placed p, BeamCage.Group g) {
        return Laps.of(line, g, basis).stream()
                .filter(l -> Math.abs(l.to() - p.to()) < 1e-6)
                .mapToDouble(Laps.Lap::from)
                .findFirst()
                .orElse(p.to());
    }

    private void side(BeamBars.Placed p, BeamCage.SideBars s, String mark) {
        BeamLine.Span span = line.spans().get(s.span());
        BeamCage.Zone zone = cage.zoneAt(s.span(), span.middle());
        double across = span.shape().webWidth() / 2
                - basis.beamCover()
                - (zone == null ? 0 : zone.bar().diameter())
                - s.bar().diameter() / 2;
        for (int k = 0; k < s.perFace(); k++) {
            double up = top - span.shape().depth() + s.level(k, span.shape().depth(), basis.beamCover());
            for (int sign : new int[] {1, -1}) {
                Way way = new Way(
                        List.of(new double[] {p.from(), sign * across, up}, new double[] {p.to(), sign * across, up}));
                along(p, way, new Point3(0, -sign, 0), mark, SpaceBar.Use.SIDE);
            }
        }
    }

    private void spacers(BarItem item, BeamCage.Spacers s, String mark) {
        double depth = line.spans().get(s.span()).shape().depth();
        double up = s.face() == BeamCage.Face.TOP ? top - s.level() : top - depth + s.level();
        CentreLine across = bent.along(
                item, List.of(Point3.ORIGIN, new Point3(0, s.length(), 0)), false, false, new Point3(0, 0, 1));
        for (double x : s.places()) {
            bars.add(new SpaceBar(item, mark, SpaceBar.Use.SPACER, across, axis.point(x, -s.length() / 2, up)));
        }
    }

    private void along(BeamBars.Placed p, Way way, Point3 towards, String mark, SpaceBar.Use use) {
        List<Point3> run = way.with(axis.places()).points().stream()
                .map(w -> axis.point(w[0], w[1], w[2]))
                .toList();
        Point3 at = run.get(0);
        List<Point3> own = straightened(run.stream().map(q -> q.minus(at)).toList());
        bars.add(new SpaceBar(p.item(), mark, use, bent.along(p.item(), own, p.hookFrom(), p.hookTo(), towards), at));
    }

    /** Without points on the straight way between their neighbours. */
    private static List<Point3> straightened(List<Point3> run) {
        List<Point3> out = new ArrayList<>(List.of(run.get(0)));
        for (int i = 1; i + 1 < run.size(); i++) {
            Point3 a = out.get(out.size() - 1);
            Point3 in = run.get(i).minus(a);
            Point3 on = run.get(i + 1).minus(a);
            double along = in.dot(on) / on.dot(on);
            if (in.minus(on.times(along)).length() > 0.1) {
                out.add(run.get(i));
            }
        }
        out.add(run.get(run.size() - 1));
        return out;
    }

    private void stirrups(BarItem item, BeamCage.Zone z, String mark, int nested) {
        BeamLine.Span span = line.spans().get(z.span());
        double middle = top - span.shape().depth() / 2;
        CentreLine shape = bent.across(item);
        boolean legs = item.shape().equals("99");
        double half = legs && 2 * nested <= z.legs() - 2 ? BeamBars.apart(z, nested - 1, span, basis) / 2 : 0;
        for (double x : StirrupPlaces.of(cage.zones(), z)) {
            // those inside the outer one stand beside it
            Point3 at = axis.point(x + nested * item.bar().diameter(), half, middle);
            bars.add(new SpaceBar(item, mark, SpaceBar.Use.TIE, shape, at));
            if (half > 0) {
                bars.add(new SpaceBar(
                        item, mark, SpaceBar.Use.TIE, shape.mirrored(), at.plus(new Point3(0, -2 * half, 0))));
            }
        }
    }
}
