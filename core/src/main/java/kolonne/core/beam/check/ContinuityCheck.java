package kolonne.core.beam.check;

import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BarsAt;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.Envelope;
import kolonne.core.check.At;
import kolonne.core.check.CheckKind;
import kolonne.core.check.Governing;
import kolonne.core.code.DesignCode;
import kolonne.core.explain.Trace;
import kolonne.core.section.FlexuralStrength;

/** Bars at the ends of a line, through an edge beam and past the points of inflection. */
public final class ContinuityCheck {
    /** Runs are sought up to so many times those that there are. */
    private static final double MOST_PART = 8;

    private static final int BISECTIONS = 24;
    /** Of a development length, what rounding may take. */
    private static final double DEVELOPED = 1e-3;

    private final BeamLine line;
    private final BeamCage cage;
    private final BeamContext context;
    private final BarsAt bars;
    private final Governing governing;
    private final List<BeamDesign.Point> profile;
    private final Basis basis;
    private final DesignCode code;

    ContinuityCheck(
            BeamLine line,
            BeamCage cage,
            BeamContext context,
            BarsAt bars,
            Governing governing,
            List<BeamDesign.Point> profile) {
        this.line = line;
        this.cage = cage;
        this.context = context;
        this.bars = bars;
        this.governing = governing;
        this.profile = profile;
        this.basis = context.basis();
        this.code = basis.designCode();
    }

    /** Hooks of tension bars at the ends of the line: length available inside the support against ldh. */
    void hooks() {
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
            governing.offer(
                    CheckKind.HOOK.of(g.face() == BeamCage.Face.BOTTOM),
                    needed,
                    run,
                    At.place(face, span.number()),
                    code.detailing().hookClause());
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
            double has = FlexuralStrength.of(
                            span.shape(),
                            sagging,
                            bars.layersAtEnd(x, span, sagging, middle),
                            span.material().fc(),
                            basis.fy(),
                            code,
                            Trace.OFF)
                    .phiMn();
            low = has < moment ? middle : low;
            high = has < moment ? high : middle;
        }
        return high;
    }

    /** Bars that run through a line of the perimeter against its largest steel of the face where moments are largest: in the spans, at the supports (9.7.7.1). */
    void integrity(BeamCage.Face face) {
        double part = context.throughPart(line, face);
        double through = cage.groups().stream()
                .filter(g -> g.face() == face && g.through())
                .mapToDouble(BeamCage.Group::area)
                .sum();
        boolean bottom = face == BeamCage.Face.BOTTOM;
        double most = 0;
        for (BeamLine.Span span : line.spans()) {
            double middle = span.middle();
            for (boolean left : bottom ? new boolean[] {true} : new boolean[] {true, false}) {
                most = Math.max(
                        most,
                        profile.stream()
                                .filter(p -> p.span() == span.number() && (bottom || left == p.x() < middle))
                                .max(java.util.Comparator.comparingDouble(p -> bottom ? p.mPos() : -p.mNeg()))
                                .filter(p -> (bottom ? p.mPos() : -p.mNeg()) > span.negligibleMoment())
                                .map(p -> bars.areaAt(p.x(), face))
                                .orElse(0.0));
            }
        }
        if (part > 0 && most > 0) {
            governing.offer(
                    CheckKind.INTEGRITY.of(face == BeamCage.Face.BOTTOM),
                    part * most,
                    through,
                    At.place(line.spans().get(0).faceFrom(), line.spans().get(0).number()),
                    code.detailing().integrityClause());
            for (boolean left : new boolean[] {true, false}) {
                yieldingAtEnd(face, left, part * most);
            }
        }
    }

    /** As much of the continuous steel as the code asks for is developed whole at a support where the line ends; less than a whole hook does not count (25.4.10.2). */
    private void yieldingAtEnd(BeamCage.Face face, boolean left, double needed) {
        BeamLine.Span span = line.spans().get(left ? 0 : line.spans().size() - 1);
        BeamLine.SupportKind kind =
                line.supports().get(left ? 0 : line.spans().size()).kind();
        if (!code.detailing().integrityYields()
                || kind == BeamLine.SupportKind.FREE
                || kind == BeamLine.SupportKind.HELD) {
            return;
        }
        double x = left ? span.faceFrom() : span.faceTo();
        double yields = 0;
        for (int i = 0; i < cage.groups().size(); i++) {
            BeamCage.Group g = cage.groups().get(i);
            yields += g.face() == face && g.through() && bars.developed(g, i, x) > 1 - DEVELOPED ? g.area() : 0;
        }
        governing.offer(
                CheckKind.INTEGRITY_END.of(face == BeamCage.Face.BOTTOM),
                needed,
                yields,
                At.place(x, span.number()),
                code.detailing().integrityEndClause());
    }

    /** A third of a support's top steel runs past the point of inflection (9.7.3.8.4). */
    void inflection(int support, double[] hogging) {
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
                double run = code.detailing()
                        .inflectionRun(
                                span.shape().depth() - g.offset(), g.bar().diameter(), span.clear());
                double end = right ? Math.min(span.faceTo(), x + run) : Math.max(span.faceFrom(), x - run);
                boolean passes = right ? g.to() >= end - 1 : g.from() <= end + 1;
                passing += g.face() == BeamCage.Face.TOP && g.covers(face) && passes ? g.area() : 0;
            }
            double needed = code.detailing().inflectionPart() * total;
            governing.offer(
                    CheckKind.PAST_INFLECTION,
                    needed,
                    passing,
                    At.place(face, span.number()),
                    code.detailing().inflectionClause());
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
