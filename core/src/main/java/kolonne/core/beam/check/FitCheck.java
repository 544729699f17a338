package kolonne.core.beam.check;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BarsAt;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.FaceLayout;
import kolonne.core.beam.cage.Laps;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.check.At;
import kolonne.core.check.CheckKind;
import kolonne.core.check.Governing;
import kolonne.core.code.Bound;
import kolonne.core.code.DesignCode;

/** Room for bars: clear distances, layers, crack-control spacing, laps, most steel of a face, side bars. */
final class FitCheck {
    /** Use where no bar of a further layer stands over one below: as if half of them did, since bars are only moved. */
    private static final double NONE_OVER = 2;

    private final BeamLine line;
    private final BeamCage cage;
    private final BeamContext context;
    private final BarsAt bars;
    private final Governing governing;
    private final Basis basis;
    private final DesignCode code;

    FitCheck(BeamLine line, BeamCage cage, BeamContext context, BarsAt bars, Governing governing) {
        this.line = line;
        this.cage = cage;
        this.context = context;
        this.bars = bars;
        this.governing = governing;
        this.basis = context.basis();
        this.code = basis.designCode();
    }

    /** Clear distances, layers and crack-control spacing at the ends and the middle of the span, and where bars or zones begin or end: only there do they change. */
    void fit(BeamLine.Span span) {
        List<Double> places = new ArrayList<>(List.of(span.faceFrom(), span.middle(), span.faceTo()));
        List<Double> changes = new ArrayList<>();
        cage.groups().forEach(g -> changes.addAll(List.of(g.from(), g.to())));
        cage.zones().stream()
                .filter(z -> z.span() == span.number())
                .forEach(z -> changes.addAll(List.of(z.from() - 1, z.from() + 1)));
        changes.stream().filter(x -> x > span.faceFrom() && x < span.faceTo()).forEach(places::add);
        for (double x : places) {
            for (BeamCage.Face face : BeamCage.Face.values()) {
                fit(span, x, face);
            }
        }
    }

    private void fit(BeamLine.Span span, double x, BeamCage.Face face) {
        FaceLayout layout = FaceLayout.of(cage, span, face, x, basis);
        int layers =
                layout.units().stream().mapToInt(FaceLayout.Unit::layer).max().orElse(0);
        for (int layer = 1; layer <= layers; layer++) {
            double[] t = FaceLayout.tightest(layout.layer(layer), basis);
            if (t != null) {
                governing.offer(
                        CheckKind.CLEAR_SPACING.of(face == BeamCage.Face.BOTTOM),
                        t[0],
                        t[1],
                        At.place(x, span.number()),
                        code.detailing().beamClearSpacingClause());
            }
        }
        double[] apart = layout.closestAbove(basis);
        if (apart != null) {
            governing.offer(
                    CheckKind.LAYER_SPACING.of(face == BeamCage.Face.BOTTOM),
                    apart[0],
                    apart[1],
                    At.place(x, span.number()),
                    code.detailing().layersClause());
        }
        int upper = layout.upper();
        if (upper > 0) {
            int over = layout.over();
            governing.offer(
                    CheckKind.LAYERS.of(face == BeamCage.Face.BOTTOM),
                    upper,
                    over,
                    over > 0 ? (double) upper / over : NONE_OVER,
                    At.place(x, span.number()),
                    code.detailing().layersClause());
        }
        if (layers > 0 && (code.crackWidth().isEmpty() || context.sustained().count() == 0)) {
            BeamCage.Zone zone = cage.zoneAt(span.number(), x);
            double limit = code.detailing()
                    .crackSpacing(
                            basis.fy(),
                            basis.beamCover() + (zone == null ? 0 : zone.bar().diameter()));
            double centres = layout.widest(1);
            governing.offer(
                    CheckKind.BAR_SPACING.of(face == BeamCage.Face.BOTTOM),
                    centres,
                    limit,
                    centres / limit,
                    At.place(x, span.number()),
                    code.detailing().crackSpacingClause());
        }
    }

    /**
     * Room where bars lap: the two of a lap side by side, or, where the face has no further layer there, one above the other; so that the clear
     * distances hold between laps as between bars: the width that all take against the width between the legs.
     */
    void lapRoom(BeamCage.Group g) {
        for (Laps.Lap l : Laps.of(line, g, basis)) {
            double x = (l.from() + l.to()) / 2;
            BeamLine.Span span = line.spanAt(x);
            FaceLayout layout = FaceLayout.of(cage, span, g.face(), x, basis);
            boolean above = layout.layer(2).isEmpty();
            double room = layout.clearWidth();
            double bodies = 0;
            double needed = 0;
            int count = 0;
            for (FaceLayout.Unit u : layout.layer(g.layer())) {
                boolean lapped = u.groups().get(0).equals(g)
                        || Laps.of(line, u.groups().get(0), basis).stream()
                                .anyMatch(o -> o.from() < l.to() && l.from() < o.to());
                bodies += (lapped && !above ? 2 : 1) * u.diameter();
                needed = Math.max(needed, code.detailing().beamClearSpacing(u.spacing(), basis.aggregate()));
                count++;
            }
            double width = bodies + needed * (count - 1);
            governing.offer(
                    CheckKind.LAP_ROOM.of(g.face() == BeamCage.Face.BOTTOM),
                    width,
                    room,
                    At.place(x, span.number()),
                    code.detailing().beamClearSpacingClause());
        }
    }

    /** Steel of a face against the code's most, where it has one. */
    void most(BeamLine.Span span) {
        double limit = code.beamMaximumRatio() * span.shape().A();
        for (BeamCage.Face face : BeamCage.Face.values()) {
            for (BeamLine.Station s : line.stations()) {
                if (s.span() == span.number() && Double.isFinite(limit)) {
                    double has = bars.areaAt(s.x(), face);
                    governing.offer(
                            CheckKind.STEEL_MAXIMUM,
                            has,
                            limit,
                            has / limit,
                            At.place(s.x(), span.number()),
                            code.beamMaximumClause());
                }
            }
        }
    }

    void sideBars(BeamLine.Span span) {
        double h = span.shape().depth();
        if (Bound.within(h, code.detailing().skinSteelDepth())) {
            return;
        }
        double limit = code.detailing().crackSpacing(basis.fy(), basis.beamCover());
        int perFace = cage.sideBars().stream()
                .filter(s -> s.span() == span.number())
                .mapToInt(BeamCage.SideBars::perFace)
                .sum();
        double spacing = (h - 2 * basis.beamCover()) / (perFace + 1);
        governing.offer(
                CheckKind.SIDE_BARS,
                spacing,
                limit,
                spacing / limit,
                At.place(span.middle(), span.number()),
                code.detailing().skinSteelClause());
    }
}
