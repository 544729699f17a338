package kolonne.core.beam.line;

import java.awt.geom.Path2D;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.code.DesignCode;
import kolonne.core.mark.PlanOrder;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Joint;
import kolonne.core.model.Member;
import kolonne.core.model.Point;
import kolonne.core.model.Role;
import kolonne.core.model.SlabPanel;
import kolonne.core.shape.Shape;

/**
 * The slab beside a beam as its flange, as wide as the code lets it count. At some places along the span the slab is followed
 * square to the beam until the next beam, an opening or its edge; the narrowest place decides. The top of the beam is taken to be the
 * top of the slab. A beam hardly deeper than the slab has no flange.
 */
final class SlabFlanges {
    /** Places along a member where the slab is measured; none where other beams are likely to frame in. */
    private static final double[] PLACES = {0.13, 0.37, 0.63, 0.87};
    /** Depth over that of the slab from which a beam has a flange. */
    private static final double DEEPER = 1.25;
    /** A step into the next panel [mm]. */
    private static final double INTO = 2;

    private static final int MOST_PANELS = 8;

    private final BuildingIndex index;
    private final DesignCode code;
    private final Map<Double, Level> levels = new HashMap<>();

    private record Slab(Path2D.Double outline, List<Path2D.Double> holes, List<double[]> edges, double thickness) {
        boolean at(double x, double y) {
            return outline.contains(x, y) && holes.stream().noneMatch(h -> h.contains(x, y));
        }
    }

    /** A beam of the level in plan. */
    private record Web(Member member, double x1, double y1, double x2, double y2, double half) {}

    private record Level(List<Slab> slabs, List<Web> webs) {}

    /** Slab that is there on one side: how far it can count, and how deep it is [mm]. */
    private record Overhang(double reach, double thickness) {
        static final Overhang NONE = new Overhang(0, Double.POSITIVE_INFINITY);

        Overhang narrower(Overhang o) {
            return new Overhang(Math.min(reach, o.reach), Math.min(thickness, o.thickness));
        }
    }

    SlabFlanges(BuildingIndex index, DesignCode code) {
        this.index = index;
        this.code = code;
        for (SlabPanel p : index.building().panels()) {
            level(index.joint(p.joints().get(0)).z()).slabs().add(slab(p));
        }
        for (Member m : index.building().members()) {
            if (m.role() == Role.BEAM) {
                Joint a = index.joint(m.start());
                Joint b = index.joint(m.end());
                level(a.z())
                        .webs()
                        .add(new Web(
                                m,
                                a.x(),
                                a.y(),
                                b.x(),
                                b.y(),
                                index.sectionOf(m).shape().webWidth() / 2));
            }
        }
    }

    private Level level(double z) {
        return levels.computeIfAbsent(PlanOrder.row(z), k -> new Level(new ArrayList<>(), new ArrayList<>()));
    }

    private Slab slab(SlabPanel p) {
        List<double[]> corners = p.joints().stream()
                .map(index::joint)
                .map(j -> new double[] {j.x(), j.y()})
                .toList();
        List<double[]> edges = new ArrayList<>(edges(corners));
        List<Path2D.Double> holes = new ArrayList<>();
        for (List<Point> hole : p.holes()) {
            List<double[]> around =
                    hole.stream().map(q -> new double[] {q.x(), q.y()}).toList();
            holes.add(path(around));
            edges.addAll(edges(around));
        }
        return new Slab(path(corners), holes, edges, p.thickness());
    }

    private static Path2D.Double path(List<double[]> corners) {
        Path2D.Double out = new Path2D.Double();
        out.moveTo(corners.get(0)[0], corners.get(0)[1]);
        corners.subList(1, corners.size()).forEach(c -> out.lineTo(c[0], c[1]));
        out.closePath();
        return out;
    }

    private static List<double[]> edges(List<double[]> corners) {
        List<double[]> out = new ArrayList<>();
        for (int i = 0; i < corners.size(); i++) {
            double[] a = corners.get(i);
            double[] b = corners.get((i + 1) % corners.size());
            out.add(new double[] {a[0], a[1], b[0], b[1]});
        }
        return out;
    }

    /** The line with the slabs as flanges of its spans; as modelled where there is no slab beside it. */
    BeamLine of(BeamLine line) {
        return line.with(line.spans().stream().map(s -> s.with(shape(line, s))).toList());
    }

    /** The shape that a span is designed with. */
    private Shape shape(BeamLine line, BeamLine.Span span) {
        Shape modelled = span.section().shape();
        if (modelled instanceof Shape.Circle || modelled instanceof Shape.InvertedTee) {
            return modelled;
        }
        Overhang left = side(span, 1);
        Overhang right = side(span, -1);
        int sides = (left.reach() > 0 ? 1 : 0) + (right.reach() > 0 ? 1 : 0);
        double hf = Math.min(left.thickness(), right.thickness());
        if (sides == 0 || modelled.depth() < DEEPER * hf) {
            return modelled;
        }
        double zero = code.zeroMomentLength(
                span.clear(), line.cantilever(span.number()), line.spans().size(), span.number());
        double a = overhang(left, hf, sides == 1, span.clear(), zero);
        double b = overhang(right, hf, sides == 1, span.clear(), zero);
        double bw = modelled.webWidth();
        return sides == 1
                ? new Shape.Ell(bw, modelled.depth(), bw + a + b, hf)
                : new Shape.Tee(bw, modelled.depth(), bw + a + b, hf);
    }

    private double overhang(Overhang o, double hf, boolean oneSided, double clear, double zeroMoments) {
        return o.reach() <= 0 ? 0 : code.flangeOverhang(o.reach(), hf, oneSided, clear, zeroMoments);
    }

    /** What the slab on one side of all members of a span allows. @param turn 1 left, -1 right of the first member's direction */
    private Overhang side(BeamLine.Span span, int turn) {
        Overhang out = null;
        Joint a0 = index.joint(span.members().get(0).start());
        Joint b0 = index.joint(span.members().get(0).end());
        for (Member m : span.members()) {
            Joint a = index.joint(m.start());
            Joint b = index.joint(m.end());
            boolean along = (b.x() - a.x()) * (b0.x() - a0.x()) + (b.y() - a.y()) * (b0.y() - a0.y()) >= 0;
            for (double place : PLACES) {
                Overhang o = Math.abs(a.z() - b.z()) > 1 ? Overhang.NONE : at(m, a, b, place, along ? turn : -turn);
                out = out == null ? o : out.narrower(o);
            }
        }
        return out.reach() > 0 ? out : Overhang.NONE;
    }

    /** The slab square to a member at a part of its length. */
    private Overhang at(Member m, Joint a, Joint b, double place, int turn) {
        Level level = levels.get(PlanOrder.row(a.z()));
        double length = Math.hypot(b.x() - a.x(), b.y() - a.y());
        double nx = -turn * (b.y() - a.y()) / length;
        double ny = turn * (b.x() - a.x()) / length;
        double x = a.x() + place * (b.x() - a.x());
        double y = a.y() + place * (b.y() - a.y());
        Ray ray = new Ray(x, y, nx, ny);
        double half = index.sectionOf(m).shape().webWidth() / 2;
        double at = half + INTO;
        double thickness = Double.POSITIVE_INFINITY;
        for (int k = 0; k < MOST_PANELS; k++) {
            Slab slab = slabAt(level, x + at * nx, y + at * ny);
            if (slab == null) {
                break;
            }
            thickness = Math.min(thickness, slab.thickness());
            double exit = Double.POSITIVE_INFINITY;
            for (double[] e : slab.edges()) {
                double t = ray.crossing(e[0], e[1], e[2], e[3]);
                exit = t > at ? Math.min(exit, t) : exit;
            }
            Web next = null;
            double web = exit + INTO;
            for (Web w : level.webs()) {
                double t = w.member() == m ? Double.NaN : ray.crossing(w.x1(), w.y1(), w.x2(), w.y2());
                if (t > half && t < web) {
                    web = t;
                    next = w;
                }
            }
            if (next != null) {
                return new Overhang(Math.max(0, (web - half - next.half()) / 2), thickness);
            }
            at = exit + INTO;
        }
        return at <= half + INTO ? Overhang.NONE : new Overhang(at - INTO - half, thickness);
    }

    private static Slab slabAt(Level level, double x, double y) {
        for (Slab s : level.slabs()) {
            if (s.at(x, y)) {
                return s;
            }
        }
        return null;
    }

    /** A ray square to a beam. @param nx its direction, a unit vector */
    private record Ray(double x, double y, double nx, double ny) {
        /** Distance along it to a stretch; NaN if they do not meet. */
        double crossing(double x1, double y1, double x2, double y2) {
            double ex = x2 - x1;
            double ey = y2 - y1;
            double det = nx * ey - ny * ex;
            if (Math.abs(det) < 1e-9 * Math.hypot(ex, ey)) {
                return Double.NaN;
            }
            double t = ((x1 - x) * ey - (y1 - y) * ex) / det;
            double part = ((x1 - x) * ny - (y1 - y) * nx) / det;
            return part >= -1e-9 && part <= 1 + 1e-9 && t > 0 ? t : Double.NaN;
        }
    }
}
