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
import kolonne.core.check.CheckResult;
import kolonne.core.check.Governing;
import kolonne.core.code.DesignCode;
import kolonne.core.code.ShearInput;
import kolonne.core.code.ShearStrength;
import kolonne.core.code.SpacingLimits;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;
import kolonne.core.finding.Cause;
import kolonne.core.section.FlexuralStrength;
import kolonne.core.section.Shape;

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
                add("concrete-scope", "Concrete outside the code's classes", Cause.OUT_OF_SCOPE, span.material().fc(), 0, Quantity.STRENGTH,
                    Double.POSITIVE_INFINITY, span.middle(), span, code.coversClause());
            }
            if (span.shape() instanceof Shape.Circle) {
                add("shape", "Round beam", Cause.OUT_OF_SCOPE, 1, 0, Quantity.COUNT, Double.POSITIVE_INFINITY,
                    span.middle(), span, "22.3.1");
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
            String side = face.word();
            add("integrity-" + side, "Continuous bars of an edge beam, " + side, Cause.STEEL_BELOW_MINIMUM, part * most, through, Quantity.AREA,
                CheckResult.use(part * most, through), line.spans().get(0).faceFrom(), line.spans().get(0), code.detailing().integrityClause());
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
        String side = face.word();
        add("integrity-end-" + side, "Continuous bars anchored for yield, " + side, Cause.ANCHORAGE, needed, yields, Quantity.AREA,
            CheckResult.use(needed, yields), x, span, code.detailing().integrityEndClause());
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
            add("past-inflection", "Top bars past the point of inflection", Cause.ANCHORAGE, needed, passing, Quantity.AREA,
                CheckResult.use(needed, passing), face, span, code.detailing().inflectionClause());
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
        String side = face.word();
        int layers = layout.units().stream().mapToInt(FaceLayout.Unit::layer).max().orElse(0);
        for (int layer = 1; layer <= layers; layer++) {
            double[] t = FaceLayout.tightest(layout.layer(layer), basis);
            if (t != null) {
                add("clear-spacing-" + side, "Clear distance, " + side + " bars", Cause.BARS_DO_NOT_FIT, t[0], t[1], Quantity.LENGTH,
                    CheckResult.use(t[0], t[1]), x, span, code.detailing().beamClearSpacingClause());
            }
        }
        double[] apart = layout.closestAbove(basis);
        if (apart != null) {
            add("layer-spacing-" + side, "Clear distance of layers, " + side, Cause.BARS_DO_NOT_FIT, apart[0], apart[1], Quantity.LENGTH,
                CheckResult.use(apart[0], apart[1]), x, span, code.detailing().layersClause());
        }
        double[] off = layout.worstOff();
        if (off != null) {
            add("layers-" + side, "Upper bars over lower ones, " + side, Cause.BARS_DO_NOT_FIT, off[1], off[0], Quantity.LENGTH, off[1] / off[0], x, span,
                code.detailing().layersClause());
        }
        if (layers > 0 && (code.crackWidth().isEmpty() || context.sustained().count() == 0)) {
            BeamCage.Zone zone = cage.zoneAt(span.number(), x);
            double limit = code.detailing().crackSpacing(basis.fy(), basis.beamCover() + (zone == null ? 0 : zone.bar().diameter()));
            double centres = layout.widest(1);
            add("bar-spacing-" + side, "Bar spacing, " + side, Cause.BAR_SPACING_WIDE, centres, limit, Quantity.LENGTH,
                centres / limit, x, span, code.detailing().crackSpacingClause());
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
            String side = g.face().word();
            add("lap-room-" + side, "Width where bars lap, " + side, Cause.BARS_DO_NOT_FIT, width, room, Quantity.LENGTH, CheckResult.use(width, room), x, span,
                code.detailing().beamClearSpacingClause());
        }
    }

    /** Steel of a face against the code's most, where it has one. */
    private void most(BeamLine.Span span) {
        double limit = code.beamMaximumRatio() * span.shape().A();
        for (BeamCage.Face face : BeamCage.Face.values()) {
            for (BeamLine.Station s : line.stations()) {
                if (s.span() == span.number() && Double.isFinite(limit)) {
                    double has = bars.areaAt(s.x(), face);
                    add("steel-maximum", "Most steel of a face", Cause.STEEL_OVER_CAP, has, limit, Quantity.AREA, has / limit, s.x(), span, code.beamMaximumClause());
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
            add("stirrup-spacing", "Stirrup spacing", Cause.STIRRUP_SPACING, z.spacing(), limits.along(),
                Quantity.LENGTH, z.spacing() / limits.along(), x, span, limits.clause());
            add("legs-most", "Legs that the basis allows", Cause.TIE_ARRANGEMENT, z.legs(), basis.legsMost(), Quantity.COUNT, (double) z.legs() / basis.legsMost(), x, span,
                "basis");
            double across = (bw - 2 * basis.beamCover() - z.bar().diameter()) / (z.legs() - 1);
            add("leg-spacing", "Spacing of legs across", Cause.STIRRUP_SPACING, across, limits.across(),
                Quantity.LENGTH, across / limits.across(), x, span, limits.clause());
            add("minimum-shear-steel", "Minimum stirrups", Cause.STEEL_BELOW_MINIMUM, s.minimumAvs(), z.avs(),
                Quantity.AREA_PER_LENGTH, s.minimumAvs() / z.avs(), x, span, code.shearMinimumClause());
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
            add("deep-beam", "Deep beam", Cause.OUT_OF_SCOPE, deep, ratio, Quantity.NUMBER, deep / ratio, mid, span,
                code.deepBeamClause());
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
        add("side-bars", "Side bars", Cause.BAR_SPACING_WIDE, spacing, limit, Quantity.LENGTH, spacing / limit, mid,
            span, code.detailing().skinSteelClause());
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
                ignored("axial-force", "Axial force in the beam", Math.abs(n), allowed, Quantity.FORCE, st, span, c,
                    code.beamAxialClause());
                ignored("minor-moment", "Bending about the minor axis", Math.abs(context.at(st, c, Analysis.MZ)),
                    minor, Quantity.MOMENT, st, span, c, code.flexureClause());
                ignored("minor-shear", "Shear across the beam", Math.abs(context.at(st, c, Analysis.VY)), across, Quantity.FORCE, st, span, c, code.shearClause());
            }
        }
    }

    private void ignored(String kind, String title, double value, double threshold, Quantity q, BeamLine.Station st,
                         BeamLine.Span span, int combo, String clause) {
        double utilisation = value / threshold;
        if (utilisation > 0.05 && governing.governs(kind, utilisation)) {
            governing.add(new CheckResult(kind, title, Cause.OUT_OF_SCOPE, value, threshold, q, utilisation,
                context.combinationName(combo), BeamCheck.place(line, st.x(), span.number(), context), st.x(),
                span.number(), -1, clause));
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
            String side = g.face().word();
            add("hook-" + side, "Hook in the end support, " + side, Cause.ANCHORAGE, needed, run, Quantity.LENGTH,
                CheckResult.use(needed, run), face, span, code.detailing().hookClause());
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

    private void add(String kind, String title, Cause cause, double demand, double capacity, Quantity quantity,
                     double utilisation, double x, BeamLine.Span span, String clause) {
        if (governing.governs(kind, utilisation)) {
            governing.add(new CheckResult(kind, title, cause, demand, capacity, quantity, utilisation, "",
                BeamCheck.place(line, x, span.number(), context), x, span.number(), -1, clause));
        }
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
