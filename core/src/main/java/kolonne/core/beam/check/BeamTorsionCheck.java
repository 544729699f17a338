package kolonne.core.beam.check;

import static kolonne.core.explain.Trace.in;

import java.util.Comparator;
import java.util.List;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BarsAt;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.BeamTorsion;
import kolonne.core.check.At;
import kolonne.core.check.CheckKind;
import kolonne.core.check.Governing;
import kolonne.core.code.Bar;
import kolonne.core.code.ShearStrength;
import kolonne.core.code.Torsion;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;

/**
 * Shear and torsion together, where torsion counts: legs, the limit of the concrete, spacing of stirrups, and longitudinal
 * steel round the perimeter. Every combination with the forces that act together in it.
 */
final class BeamTorsionCheck {
    private final BeamLine line;
    private final BeamCage cage;
    private final BeamContext context;
    private final BarsAt bars;
    private final Governing governing;
    private final BeamShearCheck.Strength strength;
    private final Basis basis;
    private final Torsion rules;
    private final BeamTorsion[] torsion;

    BeamTorsionCheck(
            BeamLine line,
            BeamCage cage,
            BeamContext context,
            double[] torques,
            BarsAt bars,
            Governing governing,
            BeamShearCheck.Strength strength) {
        this.line = line;
        this.cage = cage;
        this.context = context;
        this.bars = bars;
        this.governing = governing;
        this.strength = strength;
        this.basis = context.basis();
        this.rules = basis.designCode().torsion();
        torsion = line.spans().stream()
                .map(s -> new BeamTorsion(
                        line,
                        s,
                        context.basis(),
                        torques,
                        stirrup(s.number()),
                        BeamCage.largest(cage.groups(), s, basis),
                        perFace(s.number())))
                .toArray(BeamTorsion[]::new);
    }

    private Bar stirrup(int span) {
        return cage.zones().stream()
                .filter(z -> z.span() == span)
                .map(BeamCage.Zone::bar)
                .max(Comparator.comparingDouble(Bar::diameter))
                .orElse(basis.smallestStirrup());
    }

    private int perFace(int span) {
        return cage.sideBars().stream()
                .filter(s -> s.span() == span)
                .mapToInt(BeamCage.SideBars::perFace)
                .sum();
    }

    BeamTorsion of(int span) {
        return torsion[span];
    }

    void run(List<BeamShearCheck.Demand> demands) {
        for (BeamLine.Span span : line.spans()) {
            BeamTorsion t = torsion[span.number()];
            if (t.counts()) {
                bars(span, t);
                zones(span, t);
            } else {
                belowThreshold(span, t);
            }
        }
        for (BeamShearCheck.Demand d : demands) {
            d.torsional().forEach(p -> legs(d, p));
        }
    }

    /** Where torsion may be neglected the threshold is shown, so that a reader sees how near it is; it is no strength, and never the check that decides. */
    private void belowThreshold(BeamLine.Span span, BeamTorsion t) {
        for (int i = 0; i < line.stations().size(); i++) {
            BeamLine.Station s = line.stations().get(i);
            for (int c = 0; s.span() == span.number() && c < context.combinations(); c++) {
                double torque = Math.abs(context.at(s, c, Analysis.T));
                if (torque > 1e-6 * t.threshold()) {
                    governing.offer(
                            CheckKind.TORSION_THRESHOLD,
                            torque,
                            t.threshold(),
                            torque / t.threshold(),
                            at(c, s.x(), span, i),
                            rules.thresholdClause());
                }
            }
        }
    }

    /** Every leg carries its share of the shear, the outer ones the torque as well. */
    private void legs(BeamShearCheck.Demand d, BeamShearCheck.Pair p) {
        BeamLine.Span span = line.spans().get(d.span());
        BeamCage.Zone z = cage.zoneAt(d.span(), d.x());
        ShearStrength s = strength.at(d.x(), span);
        if (z == null) {
            return;
        }
        double leg = z.bar().area() / z.spacing();
        double needed = torsion[span.number()].legSteel(p.t())
                + d.besideTorsion(p, bars.shearInput(d.x(), span), basis.designCode()) / z.legs();
        governing.offer(
                CheckKind.TORSION,
                needed,
                leg,
                needed / leg,
                at(p.combination(), d.x(), span, d.station()),
                rules.legClause());
        double depth = depth(d.x(), span);
        double use = rules.limitUse(p.v(), p.t(), torsion[d.span()].section(), depth, s.limit(), Trace.OFF);
        governing.offer(
                CheckKind.SHEAR_TORSION_LIMIT,
                p.t(),
                p.t() / Math.max(use, 1e-9),
                use,
                at(p.combination(), d.x(), span, d.station()),
                rules.limitClause());
    }

    private double depth(double x, BeamLine.Span span) {
        return Math.min(
                bars.effectiveDepth(x, span, BeamCage.Face.TOP), bars.effectiveDepth(x, span, BeamCage.Face.BOTTOM));
    }

    /** Area of an outer leg per length: At/s and a share of Av/s [mm2/mm]. */
    private double needed(BeamShearCheck.Pair p, double x, BeamLine.Span span, BeamCage.Zone z) {
        return torsion[span.number()].legSteel(p.t())
                + basis.designCode().shearSteelBesideTorsion(bars.shearInput(x, span), p.v()) / z.legs();
    }

    /** Torque that the outer legs carry beside the shear of a combination; the threshold where torsion does not count [Nmm]. */
    double capacity(BeamLine.Station s, BeamLine.Span span, ShearStrength shear, int combination) {
        BeamTorsion t = torsion[span.number()];
        BeamCage.Zone z = cage.zoneAt(span.number(), s.x());
        if (!t.counts() || !t.countsAt(s.x()) || z == null || context.combinations() == 0) {
            return t.threshold();
        }
        double v = Math.abs(context.at(s, combination, Analysis.VZ));
        double forShear = needed(new BeamShearCheck.Pair(v, 0, combination), s.x(), span, z);
        return Math.max(0, z.bar().area() / z.spacing() - forShear) / t.legSteel(1);
    }

    /** How far the shear of any combination, with its torque where that counts, uses up the concrete at a station. */
    double limitUse(BeamLine.Station s, BeamLine.Span span, ShearStrength shear) {
        BeamTorsion t = torsion[span.number()];
        boolean counts = t.counts() && t.countsAt(s.x());
        double most = 0;
        for (int c = 0; c < context.combinations(); c++) {
            double v = Math.abs(context.at(s, c, Analysis.VZ));
            most = Math.max(
                    most,
                    counts
                            ? rules.limitUse(
                                    v,
                                    Math.abs(context.at(s, c, Analysis.T)),
                                    t.section(),
                                    depth(s.x(), span),
                                    shear.limit(),
                                    Trace.OFF)
                            : v / shear.limit());
        }
        return most;
    }

    private void zones(BeamLine.Span span, BeamTorsion t) {
        double limit = rules.stirrupSpacing(t.section());
        for (BeamCage.Zone z : cage.zones()) {
            if (z.span() != span.number()
                    || !(t.countsAt(z.from()) || t.countsAt(z.to()) || t.countsAt((z.from() + z.to()) / 2))) {
                continue;
            }
            double x = (z.from() + z.to()) / 2;
            governing.offer(
                    CheckKind.TORSION_SPACING,
                    z.spacing(),
                    limit,
                    z.spacing() / limit,
                    At.place(x, span.number()),
                    rules.stirrupSpacingClause());
            double thinnest = thinnest(span);
            double least = rules.leastBar(z.spacing());
            governing.offer(
                    CheckKind.TORSION_BAR_SIZE,
                    least,
                    thinnest,
                    least / thinnest,
                    At.place(x, span.number()),
                    rules.barClause());
        }
    }

    private double thinnest(BeamLine.Span span) {
        double corner = cage.groups().stream()
                .filter(BeamCage.Group::through)
                .mapToDouble(g -> g.bar().diameter())
                .min()
                .orElse(0.01);
        return cage.sideBars().stream()
                .filter(s -> s.span() == span.number())
                .mapToDouble(s -> s.bar().diameter())
                .reduce(corner, Math::min);
    }

    /** Side bars, their distance, and bars of a face in compression: the tension face is checked with the bending. */
    private void bars(BeamLine.Span span, BeamTorsion t) {
        double h = span.shape().depth();
        double mid = span.middle();
        double between = (h - 2 * (basis.beamCover() + stirrup(span.number()).diameter() + thinnest(span) / 2))
                / (t.levels() - 1);
        governing.offer(
                CheckKind.TORSION_BAR_SPACING,
                between,
                rules.barSpacing(),
                between / rules.barSpacing(),
                At.place(mid, span.number()),
                rules.barClause());
        sideAnchorage(span, t);
        for (int i = 0; i < line.stations().size(); i++) {
            BeamLine.Station s = line.stations().get(i);
            if (s.span() != span.number() || !t.countsAt(s.x())) {
                continue;
            }
            for (int c = 0; c < context.combinations(); c++) {
                double level = t.levelSteel(Math.abs(context.at(s, c, Analysis.T)), i);
                for (BeamCage.SideBars side : cage.sideBars()) {
                    if (side.span() == span.number()) {
                        governing.offer(
                                CheckKind.TORSION_SIDE,
                                level,
                                side.levelArea(),
                                level / side.levelArea(),
                                at(c, s.x(), span, i),
                                rules.longitudinalClause());
                    }
                }
                inCompression(span, s, i, c, level);
            }
        }
    }

    /** Side bars past the faces of the supports: as much of their development as their share of the torque asks for (9.7.5.4). */
    private void sideAnchorage(BeamLine.Span span, BeamTorsion t) {
        double level = t.mostLevelSteel(line.stations());
        for (BeamCage.SideBars s : cage.sideBars()) {
            if (s.span() != span.number()) {
                continue;
            }
            double fc = span.material().fc();
            double hook = basis.designCode().detailing().hookLength(s.bar(), fc, basis.fy(), Trace.OFF);
            double straight = basis.designCode()
                    .detailing()
                    .developmentLength(s.bar(), fc, basis.fy(), false, s.bar().diameter(), basis.beamCover(), true);
            double share = Math.min(1, level / s.levelArea());
            sideEnd(span, t, share * (s.hookFrom() ? hook : straight), span.faceFrom() - s.from(), span.faceFrom());
            sideEnd(span, t, share * (s.hookTo() ? hook : straight), s.to() - span.faceTo(), span.faceTo());
        }
    }

    private void sideEnd(BeamLine.Span span, BeamTorsion t, double needed, double run, double face) {
        boolean free = face == span.faceFrom()
                ? line.supports().get(span.number()).kind() == BeamLine.SupportKind.FREE
                : line.supports().get(span.number() + 1).kind() == BeamLine.SupportKind.FREE;
        if (t.countsAt(face) && !free) {
            governing.offer(
                    CheckKind.TORSION_ANCHORAGE, needed, run, At.place(face, span.number()), rules.anchorageClause());
        }
    }

    /**
     * The level of the face that bending compresses: compression takes off M / (0.9 d fy) (9.5.4.5 allows it); and of both faces
     * where there is no bending to speak of. Bars count whether developed or not: torsion asks for that at supports (9.7.5.4).
     */
    private void inCompression(BeamLine.Span span, BeamLine.Station s, int i, int c, double level) {
        double m = context.at(s, c, Analysis.MY);
        boolean none = Math.abs(m) <= span.negligibleMoment();
        for (BeamCage.Face face : BeamCage.Face.values()) {
            if (none || face == (m >= 0 ? BeamCage.Face.TOP : BeamCage.Face.BOTTOM)) {
                face(span, s, i, c, level, face, m);
            }
        }
    }

    private void face(
            BeamLine.Span span, BeamLine.Station s, int i, int c, double level, BeamCage.Face face, double m) {
        double d = bars.effectiveDepth(s.x(), span, face);
        double needed = level - Math.abs(m) / (0.9 * d * basis.fy());
        if (needed > 0) {
            double has = bars.areaAt(line.within(basis, s.x()), face);
            governing.offer(
                    CheckKind.TORSION_BARS.of(face == BeamCage.Face.BOTTOM),
                    needed,
                    has,
                    at(c, s.x(), span, i),
                    rules.longitudinalClause());
        }
    }

    private At at(int combo, double x, BeamLine.Span span, int station) {
        return At.station(x, span.number(), station).under(combo < 0 ? "" : context.combinationName(combo));
    }

    /** The torsion of the combination with the largest torque at a station. */
    void explain(BeamDesign.Point p, BeamLine.Span span, int station, Trace t) {
        BeamTorsion of = torsion[span.number()];
        t.say(
                "Torsion",
                context.combinations() == 0 ? "" : context.combinationName(p.comboT()),
                rules.thresholdClause());
        rules.threshold(of.section(), t);
        String use = basis.designCode().notation().uses().torsion();
        t.step(
                use,
                use,
                "{0} / {1}",
                p.t() / of.threshold(),
                Quantity.UTILISATION,
                rules.thresholdClause(),
                in(p.t(), Quantity.MOMENT),
                in(of.threshold(), Quantity.MOMENT));
        if (!of.counts() || !of.countsAt(p.x())) {
            t.say("", "Torsion may be neglected here.", rules.thresholdClause());
            return;
        }
        BeamLine.Station s = line.stations().get(station);
        double v = Math.abs(context.at(s, p.comboT(), Analysis.VZ));
        rules.cracking(of.section(), t);
        double at = rules.legSteel(p.t(), of.section(), t);
        BeamCage.Zone z = cage.zoneAt(span.number(), p.x());
        ShearStrength shear = strength.at(p.x(), span);
        if (z != null) {
            double needed = needed(new BeamShearCheck.Pair(v, p.t(), p.comboT()), p.x(), span, z);
            t.step(
                    "A1/s",
                    "At/s + (Av/s) / n",
                    "{0} + {1} / {2}",
                    needed,
                    Quantity.AREA_PER_LENGTH,
                    rules.legClause(),
                    in(at, Quantity.AREA_PER_LENGTH),
                    in((needed - at) * z.legs(), Quantity.AREA_PER_LENGTH),
                    in(z.legs(), Quantity.COUNT));
            double leg = z.bar().area() / z.spacing();
            t.step(
                    "needed / provided",
                    "A1/s over Ab/s",
                    "{0} / {1}",
                    needed / leg,
                    Quantity.UTILISATION,
                    rules.legClause(),
                    in(needed, Quantity.AREA_PER_LENGTH),
                    in(leg, Quantity.AREA_PER_LENGTH));
        }
        double al = Math.max(
                rules.longitudinalSteel(p.t(), of.section(), t), rules.longitudinalMinimum(p.t(), of.section(), t));
        t.step(
                "Al, level",
                "Al over top, bottom and side levels",
                "{0} / {1}",
                al / of.levels(),
                Quantity.AREA,
                rules.longitudinalClause(),
                in(al, Quantity.AREA),
                in(of.levels(), Quantity.COUNT));
        rules.limitUse(v, p.t(), of.section(), depth(p.x(), span), shear.limit(), t);
    }
}
