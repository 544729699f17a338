package kolonne.core.beam.check;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BarsAt;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.FaceLayout;
import kolonne.core.beam.cage.Laps;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.Envelope;
import kolonne.core.beam.line.IgnoredForces;
import kolonne.core.check.At;
import kolonne.core.check.CheckKind;
import kolonne.core.check.Governing;
import kolonne.core.code.DesignCode;
import kolonne.core.code.ShearInput;
import kolonne.core.code.ShearStrength;
import kolonne.core.code.SpacingLimits;
import kolonne.core.explain.Trace;
import kolonne.core.section.FlexuralStrength;
import kolonne.core.shape.Shape;

/** Fit, spacing, anchorage, proportions and forces that the beam checks leave out. */
public final class BeamDetailCheck {
    /** Runs are sought up to so many times those that there are. */
    private static final double MOST_PART = 8;
    private static final int BISECTIONS = 24;
    /** Of a development length, what rounding may take. */
    private static final double DEVELOPED = 1e-3;

    private final BeamLine line;
    private final BeamCage cage;
    private final BeamContext context;
    private final Basis basis;
    private final DesignCode code;
    private final BarsAt bars;
    private final Governing governing;
    private final List<BeamShearCheck.Demand> shears;
    private final List<BeamDesign.Point> profile;

    BeamDetailCheck(BeamLine line, BeamCage cage, BeamContext context, BarsAt bars, Governing governing,
                    List<BeamShearCheck.Demand> shears, List<BeamDesign.Point> profile) {
        this.line = line;
        this.cage = cage;
        this.context = context;
        this.basis = context.basis();
        this.code = basis.designCode();
        this.bars = bars;
        this.governing = governing;
        this.shears = shears;
        this.profile = profile;
    }

    void run() {
        for (BeamLine.Span span : line.spans()) {
            if (!code.covers(span.material().fc())) {
                governing.offer(CheckKind.CONCRETE_SCOPE, span.material().fc(), 0, Double.POSITIVE_INFINITY, At.place(span.middle(), span.number()), code.coversClause());
            }
            if (span.shape() instanceof Shape.Circle) {
                governing.offer(CheckKind.SHAPE, 1, 0, Double.POSITIVE_INFINITY, At.place(span.middle(), span.number()), code.flexureClause());
            }
            fit(span);
            most(span);
            stirrups(span);
            proportions(span);
            ignoredForces(span);
        }
        anchorage();
        cage.groups().forEach(this::lapRoom);
        new PairCheck(line, cage, context, governing).run();
        for (BeamCage.Face face : BeamCage.Face.values()) {
            integrity(face);
        }
        double[] hogging = profile.stream().mapToDouble(p -> -p.mNeg()).toArray();
        for (int s = 0; s < line.supports().size(); s++) {
            inflection(s, hogging);
        }
    }

    /** Bars that run through a line of the perimeter against its largest steel of the face where moments are largest: in the spans, at the supports (9.7.7.1). */
    private void integrity(BeamCage.Face face) {
        double part = context.throughPart(line, face);
        double through = cage.groups().stream().filter(g -> g.face() == face && g.through()).mapToDouble(BeamCage.Group::area).sum();
        boolean bottom = face == BeamCage.Face.BOTTOM;
        double most = 0;
        for (BeamLine.Span span : line.spans()) {
            double middle = span.middle();
            for (boolean left : bottom ? new boolean[] {true} : new boolean[] {true, false}) {
                most = Math.max(most, profile.stream().filter(p -> p.span() == span.number() && (bottom || left == p.x() < middle))
                    .max(java.util.Comparator.comparingDouble(p -> bottom ? p.mPos() : -p.mNeg()))
                    .filter(p -> (bottom ? p.mPos() : -p.mNeg()) > span.negligibleMoment()).map(p -> bars.areaAt(p.x(), face)).orElse(0.0));
            }
        }
        if (part > 0 && most > 0) {
            governing.offer(CheckKind.INTEGRITY.of(face == BeamCage.Face.BOTTOM), part * most, through, At.place(line.spans().get(0).faceFrom(), line.spans().get(0).number()), code.detailing().integrityClause());
            for (boolean left : new boolean[] {true, false}) {
                yieldingAtEnd(face, left, part * most);
            }
        }
    }

    /** As much of the continuous steel as the code asks for is developed whole at a support where the line ends; less than a whole hook does not count (25.4.10.2). */
    private void yieldingAtEnd(BeamCage.Face face, boolean left, double needed) {
        BeamLine.Span span = line.spans().get(left ? 0 : line.spans().size() - 1);
        BeamLine.SupportKind kind = line.supports().get(left ? 0 : line.spans().size()).kind();
        if (!code.detailing().integrityYields() || kind == BeamLine.SupportKind.FREE || kind == BeamLine.SupportKind.HELD) {
            return;
        }
        double x = left ? span.faceFrom() : span.faceTo();
        double yields = 0;
        for (int i = 0; i < cage.groups().size(); i++) {
            BeamCage.Group g = cage.groups().get(i);
            yields += g.face() == face && g.through() && bars.developed(g, i, x) > 1 - DEVELOPED ? g.area() : 0;
        }
        governing.offer(CheckKind.INTEGRITY_END.of(face == BeamCage.Face.BOTTOM), needed, yields, At.place(x, span.number()), code.detailing().integrityEndClause());
    }

    /** A third of a support's top steel runs past the point of inflection (9.7.3.8.4). */
    private void inflection(int support, double[] hogging) {
        for (boolean right : new boolean[] {true, false}) {
            int number = right ? support : support - 1;
            if (number < 0 || number >= line.spans().size() || line.cantilever(number)) {
                continue;
            }
            BeamLine.Span span = line.spans().get(number);
            double x = inflection(line, span, hogging, right);
            double face = right ? span.faceFrom() : span.faceTo();
            double total = bars.areaAt(face, BeamCage.Face.TOP);
            if (Double.isNaN(x) || total <= 0 || code.detailing().inflectionPart() <= 0) {
                continue;
            }
            double passing = 0;
            for (BeamCage.Group g : cage.groups()) {
                double run = code.detailing().inflectionRun(span.shape().depth() - g.offset(), g.bar().diameter(), span.clear());
                double end = right ? Math.min(span.faceTo(), x + run) : Math.max(span.faceFrom(), x - run);
                boolean passes = right ? g.to() >= end - 1 : g.from() <= end + 1;
                passing += g.face() == BeamCage.Face.TOP && g.covers(face) && passes ? g.area() : 0;
            }
            double needed = code.detailing().inflectionPart() * total;
            governing.offer(CheckKind.PAST_INFLECTION, needed, passing, At.place(face, span.number()), code.detailing().inflectionClause());
        }
    }

    /** Clear distances, layers and crack-control spacing at the ends and the middle of the span, and where bars or zones begin or end: only there do they change. */
    private void fit(BeamLine.Span span) {
        List<Double> places = new ArrayList<>(List.of(span.faceFrom(), span.middle(), span.faceTo()));
        List<Double> changes = new ArrayList<>();
        cage.groups().forEach(g -> changes.addAll(List.of(g.from(), g.to())));
        cage.zones().stream().filter(z -> z.span() == span.number()).forEach(z -> changes.addAll(List.of(z.from() - 1, z.from() + 1)));
        changes.stream().filter(x -> x > span.faceFrom() && x < span.faceTo()).forEach(places::add);
        for (double x : places) {
            for (BeamCage.Face face : BeamCage.Face.values()) {
                fit(span, x, face);
            }
        }
    }

    private void fit(BeamLine.Span span, double x, BeamCage.Face face) {
        FaceLayout layout = FaceLayout.of(cage, span, face, x, basis);
        int layers = layout.units().stream().mapToInt(FaceLayout.Unit::layer).max().orElse(0);
        for (int layer = 1; layer <= layers; layer++) {
            double[] t = FaceLayout.tightest(layout.layer(layer), basis);
            if (t != null) {
                governing.offer(CheckKind.CLEAR_SPACING.of(face == BeamCage.Face.BOTTOM), t[0], t[1], At.place(x, span.number()), code.detailing().beamClearSpacingClause());
            }
        }
        double[] apart = layout.closestAbove(basis);
        if (apart != null) {
            governing.offer(CheckKind.LAYER_SPACING.of(face == BeamCage.Face.BOTTOM), apart[0], apart[1], At.place(x, span.number()), code.detailing().layersClause());
        }
        double[] off = layout.worstOff();
        if (off != null) {
            governing.offer(CheckKind.LAYERS.of(face == BeamCage.Face.BOTTOM), off[1], off[0], off[1] / off[0], At.place(x, span.number()), code.detailing().layersClause());
        }
        if (layers > 0 && (code.crackWidth().isEmpty() || context.sustained().count() == 0)) {
            BeamCage.Zone zone = cage.zoneAt(span.number(), x);
            double limit = code.detailing().crackSpacing(basis.fy(), basis.beamCover() + (zone == null ? 0 : zone.bar().diameter()));
            double centres = layout.widest(1);
            governing.offer(CheckKind.BAR_SPACING.of(face == BeamCage.Face.BOTTOM), centres, limit, centres / limit, At.place(x, span.number()), code.detailing().crackSpacingClause());
        }
    }

    /**
     * Room where bars lap: the two of a lap side by side, or, where the face has no further layer there, one above the other; so that the clear
     * distances hold between laps as between bars: the width that all take against the width between the legs.
     */
    private void lapRoom(BeamCage.Group g) {
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
                boolean lapped = u.groups().get(0).equals(g) || Laps.of(line, u.groups().get(0), basis).stream().anyMatch(o -> o.from() < l.to() && l.from() < o.to());
                bodies += (lapped && !above ? 2 : 1) * u.diameter();
                needed = Math.max(needed, code.detailing().beamClearSpacing(u.spacing(), basis.aggregate()));
                count++;
            }
            double width = bodies + needed * (count - 1);
            governing.offer(CheckKind.LAP_ROOM.of(g.face() == BeamCage.Face.BOTTOM), width, room, At.place(x, span.number()), code.detailing().beamClearSpacingClause());
        }
    }

    /** Steel of a face against the code's most, where it has one. */
    private void most(BeamLine.Span span) {
        double limit = code.beamMaximumRatio() * span.shape().A();
        for (BeamCage.Face face : BeamCage.Face.values()) {
            for (BeamLine.Station s : line.stations()) {
                if (s.span() == span.number() && Double.isFinite(limit)) {
                    double has = bars.areaAt(s.x(), face);
                    governing.offer(CheckKind.STEEL_MAXIMUM, has, limit, has / limit, At.place(s.x(), span.number()), code.beamMaximumClause());
                }
            }
        }
    }

    private void stirrups(BeamLine.Span span) {
        double fc = span.material().fc();
        double bw = span.shape().webWidth();
        for (BeamCage.Zone z : cage.zones()) {
            if (z.span() != span.number()) {
                continue;
            }
            double x = (z.from() + z.to()) / 2;
            double d = Math.min(bars.effectiveDepth(x, span, BeamCage.Face.TOP),
                bars.effectiveDepth(x, span, BeamCage.Face.BOTTOM));
            ShearStrength s = code.shear(new ShearInput(fc, basis.fyt(), bw, d, bw * d, 0.01, z.avs(), 0), Trace.OFF);
            double needed = neededVs(span, z, s);
            SpacingLimits limits = code.beamStirrupSpacing(d, needed > 0.5 * (s.limit() - s.concrete()));
            governing.offer(CheckKind.STIRRUP_SPACING, z.spacing(), limits.along(), z.spacing() / limits.along(), At.place(x, span.number()), limits.clause());
            governing.offer(CheckKind.LEGS_MOST, z.legs(), basis.stirrups().legsMost(), (double) z.legs() / basis.stirrups().legsMost(), At.place(x, span.number()), "basis");
            double across = (bw - 2 * basis.beamCover() - z.bar().diameter()) / (z.legs() - 1);
            governing.offer(CheckKind.LEG_SPACING, across, limits.across(), across / limits.across(), At.place(x, span.number()), limits.clause());
            governing.offer(CheckKind.MINIMUM_SHEAR_STEEL, s.minimumAvs(), z.avs(), s.minimumAvs() / z.avs(), At.place(x, span.number()), code.shearMinimumClause());
        }
    }

    /** The shear that stirrups of a zone must carry, as design strength [N]; decides the spacing limits. */
    private double neededVs(BeamLine.Span span, BeamCage.Zone z, ShearStrength s) {
        double worst = 0;
        for (BeamShearCheck.Demand d : shears) {
            if (d.span() == span.number() && d.x() >= z.from() - 1e-6 && d.x() <= z.to() + 1e-6) {
                worst = Math.max(worst, d.v() - s.concrete());
            }
        }
        return worst;
    }

    private void proportions(BeamLine.Span span) {
        double h = span.shape().depth();
        double mid = span.middle();
        boolean cantilever = line.cantilever(span.number());
        double ratio = span.clear() / h;
        double deep = cantilever ? code.deepBeamRatio() / 2 : code.deepBeamRatio();
        if (ratio < deep) {
            governing.offer(CheckKind.DEEP_BEAM, deep, ratio, deep / ratio, At.place(mid, span.number()), code.deepBeamClause());
        }
        if (h > code.detailing().skinSteelDepth()) {
            sideBars(span, h, mid);
        }
    }

    private void sideBars(BeamLine.Span span, double h, double mid) {
        double limit = code.detailing().crackSpacing(basis.fy(), basis.beamCover());
        int perFace = cage.sideBars().stream().filter(s -> s.span() == span.number())
            .mapToInt(BeamCage.SideBars::perFace).sum();
        double spacing = (h - 2 * basis.beamCover()) / (perFace + 1);
        governing.offer(CheckKind.SIDE_BARS, spacing, limit, spacing / limit, At.place(mid, span.number()), code.detailing().skinSteelClause());
    }

    private void ignoredForces(BeamLine.Span span) {
        Shape s = span.shape();
        double fc = span.material().fc();
        double compression = IgnoredForces.axial(code, s, fc, false);
        double tension = IgnoredForces.axial(code, s, fc, true);
        double minor = IgnoredForces.minorMoment(s, fc);
        double across = IgnoredForces.minorShear(s, fc);
        for (BeamLine.Station st : line.stations()) {
            if (st.span() != span.number()) {
                continue;
            }
            for (int c = 0; c < context.combinations(); c++) {
                double n = context.at(st, c, Analysis.N);
                double allowed = n > 0 ? tension : compression;
                ignored(CheckKind.AXIAL_FORCE, Math.abs(n), allowed, st, c, code.beamAxialClause());
                ignored(CheckKind.MINOR_MOMENT, Math.abs(context.at(st, c, Analysis.MZ)), minor, st, c, code.flexureClause());
                ignored(CheckKind.MINOR_SHEAR, Math.abs(context.at(st, c, Analysis.VY)), across, st, c, code.shearClause());
            }
        }
    }

    private void ignored(CheckKind kind, double value, double threshold, BeamLine.Station st, int combo, String clause) {
        if (value / threshold > 0.05) {
            governing.offer(kind, value, threshold, value / threshold, At.place(st.x(), st.span()).under(context.combinationName(combo)), clause);
        }
    }

    /** Hooks of tension bars at the ends of the line: length available inside the support against ldh. */
    private void anchorage() {
        for (int i = 0; i < cage.groups().size(); i++) {
            BeamCage.Group g = cage.groups().get(i);
            if (g.hookFrom()) {
                hook(g, i, line.spans().get(0), true);
            }
            if (g.hookTo()) {
                hook(g, i, line.spans().get(line.spans().size() - 1), false);
            }
        }
    }

    /** Run inside the support against the run at which the bars of the face develop just the moment there. */
    private void hook(BeamCage.Group g, int i, BeamLine.Span span, boolean from) {
        double face = from ? span.faceFrom() : span.faceTo();
        double run = from ? face - g.from() : g.to() - face;
        double needed = Math.min(bars.hookLength(i), run * neededPart(span, from, g.face()));
        if (needed > 0) {
            governing.offer(CheckKind.HOOK.of(g.face() == BeamCage.Face.BOTTOM), needed, run, At.place(face, span.number()), code.detailing().hookClause());
        }
    }

    /** What the runs of all bars of a face inside the support may be multiplied by until they develop no more than the moment at its face. */
    private double neededPart(BeamLine.Span span, boolean from, BeamCage.Face face) {
        boolean sagging = face == BeamCage.Face.BOTTOM;
        double x = from ? span.faceFrom() : span.faceTo();
        double moment = new Envelope(line, context.demands()).at(x, span, sagging);
        if (moment <= span.negligibleMoment()) {
            return 0;
        }
        double low = 0;
        double high = MOST_PART;
        for (int k = 0; k < BISECTIONS; k++) {
            double middle = (low + high) / 2;
            double has = FlexuralStrength.of(span.shape(), sagging, bars.layersAtEnd(x, span, sagging, middle), span.material().fc(), basis.fy(), code, Trace.OFF).phiMn();
            low = has < moment ? middle : low;
            high = has < moment ? high : middle;
        }
        return high;
    }

    /** The last place from a support into a span where the top is in tension without a break; NaN where it never is. */
    public static double inflection(BeamLine line, BeamLine.Span span, double[] hogging, boolean fromLeft) {
        double out = Double.NaN;
        int n = line.stations().size();
        for (int k = 0; k < n; k++) {
            int i = fromLeft ? k : n - 1 - k;
            if (line.stations().get(i).span() != span.number()) {
                continue;
            }
            if (hogging[i] <= span.negligibleMoment()) {
                return Double.isNaN(out) ? out : line.stations().get(i).x();
            }
            out = line.stations().get(i).x();
        }
        return out;
    }
}
