package kolonne.core.beam.check;

import java.util.Comparator;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BarsAt;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.Laps;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.DuctileSpans;
import kolonne.core.check.At;
import kolonne.core.check.CheckKind;
import kolonne.core.check.Governing;
import kolonne.core.code.Bar;
import kolonne.core.code.DesignCode;
import kolonne.core.code.DuctileFrame;
import kolonne.core.explain.Trace;
import kolonne.core.section.FlexuralStrength;

/** Bars, hoops and proportions of the spans of a ductile frame. The shear from the strength of their ends is checked with the other shear. */
public final class DuctileCheck {
    private static final double AT_END = 1;

    private final BeamLine line;
    private final BeamCage cage;
    private final BeamContext context;
    private final Basis basis;
    private final DesignCode code;
    private final BarsAt bars;
    private final Governing governing;
    private final DuctileFrame rules;

    DuctileCheck(
            BeamLine line, BeamCage cage, BeamContext context, BarsAt bars, Governing governing, DuctileFrame rules) {
        this.line = line;
        this.cage = cage;
        this.context = context;
        this.basis = context.basis();
        this.code = basis.designCode();
        this.bars = bars;
        this.governing = governing;
        this.rules = rules;
    }

    void run() {
        for (BeamCage.Face face : BeamCage.Face.values()) {
            int through = cage.groups().stream()
                    .filter(g -> g.face() == face && g.through())
                    .mapToInt(BeamCage.Group::count)
                    .sum();
            governing.offer(
                    CheckKind.DUCTILE_THROUGH.of(face == BeamCage.Face.BOTTOM),
                    2,
                    through,
                    At.place(line.spans().get(0).faceFrom(), line.spans().get(0).number()),
                    rules.continuousClause());
        }
        line.spans().stream().filter(s -> DuctileSpans.applies(line, s)).forEach(this::span);
        hooks();
        columns();
        if (rules.lapsAwayFromColumns()) {
            cage.groups().forEach(g -> Laps.of(line, g, basis).forEach(this::lap));
        }
    }

    private void span(BeamLine.Span s) {
        continuousBottom(s);
        strengths(s);
        steel(s);
        hoops(s);
        proportions(s);
    }

    private void continuousBottom(BeamLine.Span s) {
        if (rules.continuousBottom() > 0) {
            double through = cage.groups().stream()
                    .filter(g -> g.face() == BeamCage.Face.BOTTOM && g.through())
                    .mapToDouble(BeamCage.Group::area)
                    .sum();
            double most = line.stations().stream()
                    .filter(q -> q.span() == s.number())
                    .mapToDouble(q -> bars.areaAt(q.x(), BeamCage.Face.BOTTOM))
                    .max()
                    .orElse(0);
            governing.offer(
                    CheckKind.DUCTILE_BOTTOM,
                    rules.continuousBottom() * most,
                    through,
                    At.place(s.faceFrom(), s.number()),
                    rules.continuousClause());
        }
    }

    /** Nominal strength with the bars as far as they are developed [Nmm]. */
    public static double strength(BeamLine line, BeamLine.Span s, double x, boolean sagging, BarsAt bars, Basis basis) {
        double inside = line.within(basis, x);
        return FlexuralStrength.of(
                        s.shape(),
                        sagging,
                        bars.layers(inside, s, sagging),
                        s.material().fc(),
                        basis.fy(),
                        basis.designCode(),
                        Trace.OFF)
                .Mn();
    }

    private double strength(BeamLine.Span s, double x, boolean sagging) {
        return strength(line, s, x, sagging, bars, basis);
    }

    /** Sagging strength at the columns against the hogging strength there, and both everywhere against the largest at the columns. */
    private void strengths(BeamLine.Span s) {
        double most = 0;
        for (boolean left : new boolean[] {true, false}) {
            if (DuctileSpans.column(line, left ? s.number() : s.number() + 1)) {
                double x = left ? s.faceFrom() : s.faceTo();
                double sagging = strength(s, x, true);
                double hogging = strength(s, x, false);
                most = Math.max(most, Math.max(sagging, hogging));
                if (rules.saggingAtFace() > 0) {
                    governing.offer(
                            CheckKind.DUCTILE_SAGGING,
                            rules.saggingAtFace() * hogging,
                            sagging,
                            At.place(x, s.number()),
                            rules.strengthClause());
                }
            }
        }
        for (BeamLine.Station q : line.stations()) {
            if (q.span() == s.number() && rules.anywhere() > 0) {
                for (boolean sagging : new boolean[] {true, false}) {
                    governing.offer(
                            CheckKind.DUCTILE_ANYWHERE.of(sagging),
                            rules.anywhere() * most,
                            strength(s, q.x(), sagging),
                            At.place(q.x(), s.number()),
                            rules.strengthClause());
                }
            }
        }
    }

    /** Least and most steel of both faces at every station. */
    private void steel(BeamLine.Span s) {
        for (BeamLine.Station q : line.stations()) {
            for (BeamCage.Face face : BeamCage.Face.values()) {
                if (q.span() != s.number()) {
                    continue;
                }
                double inside = line.within(basis, q.x());
                double has = bars.areaAt(inside, face);
                double d = bars.effectiveDepth(inside, s, face);
                if (rules.leastSteelOnBothFaces()) {
                    double least = code.beamMinimumSteel(
                            s.material().fc(),
                            basis.fy(),
                            FlexureCheck.minimumWidth(code, line, s, face == BeamCage.Face.BOTTOM),
                            d,
                            Trace.OFF);
                    governing.offer(
                            CheckKind.DUCTILE_MINIMUM.of(face == BeamCage.Face.BOTTOM),
                            least,
                            has,
                            At.place(q.x(), s.number()),
                            rules.ratioClause());
                }
                double limit = rules.mostRatio(basis.fy()) * s.shape().webWidth() * d;
                if (Double.isFinite(limit)) {
                    governing.offer(
                            CheckKind.DUCTILE_MOST.of(face == BeamCage.Face.BOTTOM),
                            has,
                            limit,
                            At.place(q.x(), s.number()),
                            rules.ratioClause());
                }
            }
        }
    }

    private void hoops(BeamLine.Span s) {
        DuctileHoops hoops = DuctileHoops.of(line, s, cage.groups(), context).orElseThrow();
        for (BeamCage.Zone z : cage.zones()) {
            if (z.span() != s.number()) {
                continue;
            }
            double mid = (z.from() + z.to()) / 2;
            double d = bars.leastDepth(s, z.from(), z.to());
            double limit = hoops.spacing(z.from(), z.to(), d, z.bar());
            if (Double.isFinite(limit)) {
                boolean close = limit < rules.spacingElsewhere(d) - 1e-9;
                governing.offer(
                        close ? CheckKind.HOOP_SPACING : CheckKind.DUCTILE_SPACING,
                        z.spacing(),
                        limit,
                        At.place(mid, s.number()),
                        close ? rules.hoopClause() : rules.spacingElsewhereClause());
            }
            if (rules.hoopsHoldBars()
                    && (DuctileSpans.inHoops(s, rules, z.from() + AT_END)
                            || DuctileSpans.inHoops(s, rules, z.to() - AT_END))) {
                governing.offer(
                        CheckKind.HOOP_LEGS,
                        hoops.legs(z.bar()),
                        z.legs(),
                        At.place(mid, s.number()),
                        rules.heldClause());
            }
        }
    }

    private void proportions(BeamLine.Span s) {
        double h = s.shape().depth();
        double mid = s.middle();
        if (rules.leastSpanToDepth() > 0) {
            double d = bars.effectiveDepth(mid, s, BeamCage.Face.BOTTOM);
            governing.offer(
                    CheckKind.DUCTILE_SPAN,
                    rules.leastSpanToDepth(),
                    s.clear() / d,
                    At.place(mid, s.number()),
                    rules.proportionsClause());
            for (int k = s.number(); k <= s.number() + 1; k++) {
                BeamLine.Support c = line.supports().get(k);
                double past = (s.shape().webWidth() - c.across()) / 2;
                if (DuctileSpans.column(line, k) && past > 0) {
                    governing.offer(
                            CheckKind.DUCTILE_PROJECTION,
                            past,
                            rules.mostProjection(c.depth(), c.across()),
                            At.place(c.x(), s.number()),
                            rules.proportionsClause());
                }
            }
            governing.offer(
                    CheckKind.DUCTILE_WIDTH,
                    rules.leastWidth(h),
                    s.shape().webWidth(),
                    At.place(mid, s.number()),
                    rules.proportionsClause());
        }
    }

    /** Hooks in the columns at the ends of the line, for bars that yield. */
    private void hooks() {
        for (BeamCage.Group g : cage.groups()) {
            BeamLine.Span first = line.spans().get(0);
            BeamLine.Span last = line.spans().get(line.spans().size() - 1);
            if (g.hookFrom() && DuctileSpans.column(line, 0)) {
                hook(g.bar(), first.faceFrom() - g.from(), first.faceFrom(), first);
            }
            if (g.hookTo() && DuctileSpans.column(line, line.spans().size())) {
                hook(g.bar(), g.to() - last.faceTo(), last.faceTo(), last);
            }
        }
    }

    private void hook(Bar bar, double run, double face, BeamLine.Span s) {
        double needed = rules.hookLength(bar, s.material().fc(), basis.fy());
        if (needed > 0 && DuctileSpans.applies(line, s)) {
            governing.offer(CheckKind.DUCTILE_HOOK, needed, run, At.place(face, s.number()), rules.hookClause());
        }
    }

    /** How near a lap comes to the face of a column. */
    private void lap(Laps.Lap l) {
        for (BeamLine.Span s : line.spans()) {
            if (DuctileSpans.applies(line, s) && l.from() < s.to() && l.to() > s.from()) {
                double clear = Math.max(
                        0,
                        Math.min(
                                DuctileSpans.column(line, s.number()) ? l.from() - s.faceFrom() : Double.MAX_VALUE,
                                DuctileSpans.column(line, s.number() + 1) ? s.faceTo() - l.to() : Double.MAX_VALUE));
                governing.offer(
                        CheckKind.LAP_PLACE,
                        DuctileSpans.hoops(s, rules),
                        clear,
                        At.place((l.from() + l.to()) / 2, s.number()),
                        rules.lapClause());
            }
        }
    }

    /** Columns that bars pass through, against the largest of them. */
    private void columns() {
        for (int k = 1; k < line.supports().size() - 1; k++) {
            BeamLine.Support support = line.supports().get(k);
            double bar = cage.groups().stream()
                    .filter(g -> g.from() < support.x() && g.to() > support.x())
                    .map(BeamCage.Group::bar)
                    .max(Comparator.comparingDouble(Bar::diameter))
                    .map(Bar::diameter)
                    .orElse(0.0);
            double needed = rules.columnDepthInBars(basis.fy()) * bar;
            if (DuctileSpans.column(line, k) && needed > 0) {
                governing.offer(
                        CheckKind.DUCTILE_COLUMN_DEPTH,
                        needed,
                        support.depth(),
                        At.place(support.x(), line.spans().get(k).number()),
                        rules.columnDepthClause());
            }
        }
    }
}
