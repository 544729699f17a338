package kolonne.core.beam.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BarsAt;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.check.At;
import kolonne.core.check.CheckKind;
import kolonne.core.check.CheckResult;
import kolonne.core.check.Governing;
import kolonne.core.code.DesignCode;

/** Bars that every stirrup needs in its corners, bottom bars that must reach the supports, and ends of bars along the spans. */
final class CutOffCheck {
    private static final int CORNERS = 2;
    /** Of a development length, what rounding may take. */
    private static final double DEVELOPED = 1e-3;

    private final BeamLine line;
    private final BeamCage cage;
    private final BeamContext context;
    private final Basis basis;
    private final DesignCode code;
    private final BarsAt bars;
    private final Governing governing;
    private final BeamShearCheck.Strength strength;

    CutOffCheck(
            BeamLine line,
            BeamCage cage,
            BeamContext context,
            BarsAt bars,
            Governing governing,
            BeamShearCheck.Strength strength) {
        this.strength = strength;
        this.line = line;
        this.cage = cage;
        this.context = context;
        this.basis = context.basis();
        this.code = basis.designCode();
        this.bars = bars;
        this.governing = governing;
    }

    void run(List<BeamDesign.Point> profile) {
        for (BeamLine.Span span : line.spans()) {
            corners(span);
            intoSupport(span, true, profile);
            intoSupport(span, false, profile);
        }
        CutOffs cutOffs = new CutOffs(line, cage, context);
        for (CutOffs.End e : cutOffs.ends()) {
            extension(cutOffs, e);
            tensionZone(cutOffs, e);
        }
    }

    /** Whether no bar ends in a zone of tension where it may not. */
    boolean mayEnd() {
        CutOffs cutOffs = new CutOffs(line, cage, context);
        return cutOffs.ends().stream().allMatch(e -> CheckResult.met(cutOffs.tensionUse(e, strength)));
    }

    /** A bar in each of a stirrup's corners, all along. */
    private void corners(BeamLine.Span span) {
        for (BeamCage.Face face : BeamCage.Face.values()) {
            int fewest = Integer.MAX_VALUE;
            double where = span.faceFrom();
            for (BeamLine.Station s : line.stations()) {
                int count =
                        s.span() == span.number() ? inFirstLayer(face, line.within(basis, s.x())) : Integer.MAX_VALUE;
                if (count < fewest) {
                    fewest = count;
                    where = s.x();
                }
            }
            governing.offer(
                    CheckKind.CORNER_BARS.of(face == BeamCage.Face.BOTTOM),
                    CORNERS,
                    fewest,
                    At.place(where, span.number()),
                    code.detailing().cornerBarsClause());
        }
    }

    private int inFirstLayer(BeamCage.Face face, double x) {
        int count = 0;
        for (BeamCage.Group g : cage.groups()) {
            count += g.face() == face && g.layer() == 1 && g.covers(x) ? g.count() : 0;
        }
        return count;
    }

    /** The part of the span's bottom steel that must run into its supports. */
    private void intoSupport(BeamLine.Span span, boolean left, List<BeamDesign.Point> profile) {
        BeamLine.Support support = line.supports().get(left ? span.number() : span.number() + 1);
        if (support.kind() == BeamLine.SupportKind.FREE || line.cantilever(span.number())) {
            return;
        }
        boolean end = left ? span.number() == 0 : span.number() == line.spans().size() - 1;
        double most = line.stations().stream()
                .filter(s -> s.span() == span.number())
                .mapToDouble(s -> bars.areaAt(s.x(), BeamCage.Face.BOTTOM))
                .max()
                .orElse(0);
        double face = left ? span.faceFrom() : span.faceTo();
        double run = Math.min(code.detailing().bottomRunIntoSupport(), roomBehind(span, left, end));
        boolean yields = code.detailing().bottomYieldsAtColumns() && support.kind() == BeamLine.SupportKind.COLUMN;
        List<Reaching> reaching = new ArrayList<>();
        for (int i = 0; i < cage.groups().size(); i++) {
            BeamCage.Group g = cage.groups().get(i);
            boolean there = g.face() == BeamCage.Face.BOTTOM
                    && (left
                            ? g.from() <= face - run + 1 && g.to() > face
                            : g.to() >= face + run - 1 && g.from() < face);
            if (there) {
                reaching.add(new Reaching(g.area(), yields ? bars.developed(g, i, face) : 1));
            }
        }
        boolean simple = end
                && profile.stream()
                        .filter(p -> p.span() == span.number())
                        .noneMatch(p -> Math.abs(p.x() - face) < 1 && -p.mNeg() > span.negligibleMoment());
        double part = code.detailing().bottomIntoSupport(simple);
        if (most > 0 && part > 0) {
            governing.offer(
                    CheckKind.BOTTOM_INTO_SUPPORT,
                    part * most,
                    developed(reaching, part * most),
                    At.place(face, span.number()),
                    code.detailing().bottomIntoSupportClause());
        }
    }

    /** Bars that run into a support [mm2], and the part of their yield strength that they find room to develop there. */
    private record Reaching(double area, double developed) {}

    /**
     * Area against what must reach into a support: of all bars that are developed whole where they suffice; where not, what must reach times the part
     * that the last bar needed for it develops, so that the use tells how much room is missing.
     */
    private static double developed(List<Reaching> bars, double needed) {
        double whole = bars.stream()
                .filter(r -> r.developed() > 1 - DEVELOPED)
                .mapToDouble(Reaching::area)
                .sum();
        if (whole >= needed) {
            return whole;
        }
        List<Reaching> best = bars.stream()
                .sorted(Comparator.comparingDouble(Reaching::developed).reversed())
                .toList();
        double area = 0;
        for (Reaching r : best) {
            area += r.area();
            if (area >= needed) {
                return needed * Math.min(r.developed(), 1 - DEVELOPED);
            }
        }
        return best.isEmpty() ? 0 : area * Math.min(1, best.get(best.size() - 1).developed());
    }

    /** How far bars may run past a face: to the end of the line, or to the middle of an interior support [mm]. */
    private double roomBehind(BeamLine.Span span, boolean left, boolean end) {
        if (end) {
            return line.endRoom(basis, left);
        }
        double between = left
                ? span.faceFrom() - line.spans().get(span.number() - 1).faceTo()
                : line.spans().get(span.number() + 1).faceFrom() - span.faceTo();
        return between / 2 - 1;
    }

    private void extension(CutOffs cutOffs, CutOffs.End e) {
        CutOffs.Alone alone = cutOffs.extension(e);
        if (alone.use() > 0) {
            governing.offer(
                    CheckKind.CUT_OFF,
                    alone.demand(),
                    alone.strength(),
                    At.place(alone.x(), alone.span().number()),
                    code.detailing().extensionClause());
        }
        CutOffs.Alone partly = cutOffs.development(e);
        if (partly.use() > 0) {
            BeamCage.Group g = cage.groups().get(e.group());
            governing.offer(
                    CheckKind.DEVELOPMENT.of(g.face() == BeamCage.Face.BOTTOM),
                    partly.demand(),
                    partly.strength(),
                    At.place(partly.x(), partly.span().number()),
                    code.detailing().developmentClause());
        }
    }

    private void tensionZone(CutOffs cutOffs, CutOffs.End e) {
        double use = cutOffs.tensionUse(e, strength);
        double v = cutOffs.shearAt(e);
        if (use > 0) {
            governing.offer(
                    CheckKind.CUT_OFF_TENSION,
                    v,
                    v / use,
                    use,
                    At.place(e.x(), e.span().number()),
                    code.detailing().cutOffClause());
        }
    }
}
