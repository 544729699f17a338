package kolonne.server.api;

import java.util.ArrayList;
import java.util.List;
import java.util.NoSuchElementException;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.Laps;
import kolonne.core.beam.cage.SectionCut;
import kolonne.core.beam.cage.StirrupPlaces;
import kolonne.core.beam.check.BeamCheck;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.check.Deflections;
import kolonne.core.beam.check.SteelNeeds;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.code.Bar;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.JointFits;
import kolonne.core.design.Quantities;
import kolonne.core.shape.Shape;
import kolonne.exchange.hand.HandFile;
import kolonne.exchange.json.MayBeNull;

/** One member on the wire, and a beam line with its calculations; of columns {@link ColumnMembers}. Lengths mm, forces kN, moments kNm. */
final class Members {
    private Members() {}

    record SupportDto(double x, String kind, double depth, String label) {}

    record SectionDto(
            String label, String shape, double width, double webWidth, double depth, double flangeDepth, double fc) {}

    record SpanDto(int number, double from, double to, double faceFrom, double faceTo, SectionDto section) {}

    record LapDto(double from, double to) {}

    /** @param pairs whether two bars each touch; laps where the bars are longer than those delivered */
    record GroupDto(
            String face,
            int layer,
            int count,
            String size,
            double diameter,
            double offset,
            double from,
            double to,
            boolean hookFrom,
            boolean hookTo,
            boolean through,
            boolean pairs,
            List<LapDto> laps) {}

    /** @param places of the stirrups along the line */
    record ZoneDto(int span, double from, double to, String size, int legs, double spacing, List<Double> places) {}

    record SpotDto(double y, double z, double diameter, String size, boolean through) {}

    record CutDto(
            double x,
            String label,
            int span,
            List<SpotDto> bars,
            String top,
            String bottom,
            int legs,
            double stirrupDiameter,
            int sideBarsPerFace,
            double sideBarDiameter) {}

    record PointDto(
            double x,
            int span,
            double mPos,
            String comboPos,
            double mNeg,
            String comboNeg,
            double capPos,
            double capNeg,
            double vMax,
            String comboVMax,
            double vMin,
            String comboVMin,
            double vc,
            double vn,
            double vLimit,
            double ve,
            double t,
            String comboT,
            double tn,
            double limitUse) {}

    /** Deflections downwards [mm], places along the line [mm], and their limits [mm]. */
    record DeflectedDto(
            int span,
            List<Double> x,
            List<Double> live,
            List<Double> lasting,
            double liveLimit,
            double lastingLimit,
            String service,
            String sustained) {}

    record SideDto(int span, String size, double diameter, int perFace, double from, double to) {}

    /** What is required; -1 where nothing is enough. */
    private static double told(double required) {
        return Double.isFinite(required) ? required : -1;
    }

    /** @param requiredMm2 -1 where no number of bars is enough; number of the support (top) or span (bottom) */
    record NeedDto(
            String face, int number, String label, double x, double requiredMm2, double providedMm2, boolean minimum) {}

    /** @param required area of legs per length [mm2/mm]; -1 where nothing is enough */
    record LegsDto(int span, double from, double to, double required, double provided) {}

    /**
     * @param hand       what is set by hand
     * @param sizes      of bars and {@code stirrupSizes} to choose from
     * @param firstBar, lastBar ends of the longest bars that the line has room for [mm]
     */
    record BeamDto(
            String mark,
            String storey,
            List<CrowdedDto> crowded,
            List<SpanDto> spans,
            List<SupportDto> supports,
            List<GroupDto> groups,
            List<ZoneDto> zones,
            List<SideDto> sides,
            List<CutDto> cuts,
            List<PointDto> points,
            List<DeflectedDto> deflections,
            List<Answers.CheckDto> checks,
            List<Problem.FindingDto> findings,
            double utilisation,
            boolean satisfied,
            double steelKg,
            double concreteM3,
            double coverMm,
            double fyMpa,
            int governingStation,
            HandFile.HandDto hand,
            List<NeedDto> needs,
            List<LegsDto> legs,
            List<String> sizes,
            List<String> stirrupSizes,
            double firstBar,
            double lastBar,
            double spacingStepMm) {}

    /**
     * Bars of a beam that do not pass between those of a column.
     *
     * @param with mark of the column, or of the beam
     * @param x    of the column's face along the beam [mm]
     * @param bars side by side in a layer, above or below; {@code room} for how many
     */
    record CrowdedDto(String with, String storey, double x, boolean top, int bars, int room) {
        static CrowdedDto of(JointFits.Misfit m, String with) {
            return new CrowdedDto(with, m.storey(), m.x(), m.top(), m.bars(), m.room());
        }
    }

    /** @param id by which local settings name it; @param role beam or column; the other of the two is null; @param type mark of the type whose cage it has, empty where it has its own; @param local names of its settings */
    record MemberDto(
            String id,
            String mark,
            String role,
            String type,
            List<String> local,
            @MayBeNull BeamDto beam,
            @MayBeNull ColumnMembers.ColumnDto column,
            @MayBeNull String previous,
            @MayBeNull String next,
            int failingRank,
            int failingCount) {}

    static SectionDto section(Shape s, double fc, Basis basis) {
        return new SectionDto(
                s.label(basis.usUnits()), s.word(), s.width(), s.webWidth(), s.depth(), s.flangeDepth(), fc);
    }

    static BeamDto beam(BuildingDesign d, BeamDesign b, JointFits fits) {
        Basis basis = b.basis();
        BeamLine line = b.line();
        List<CutDto> cuts = new ArrayList<>();
        for (BeamLine.Span s : line.spans()) {
            double[] at = line.cutPlaces(s);
            for (int k = 0; k < 3; k++) {
                if (k == 0 && s.number() > 0) {
                    continue; // the right face of the span before shows the same bars over the support
                }
                cuts.add(cut(line, SectionCut.at(line, b.cage(), basis, s, at[k]), s, k));
            }
        }
        Quantities mass = Quantities.of(b);
        int station = b.governing().station();
        return new BeamDto(
                line.mark(),
                line.storey(),
                fits.at(b).stream().map(m -> CrowdedDto.of(m, m.column())).toList(),
                line.spans().stream()
                        .map(s -> new SpanDto(
                                s.number(),
                                s.from(),
                                s.to(),
                                s.faceFrom(),
                                s.faceTo(),
                                section(s.shape(), s.material().fc(), basis)))
                        .toList(),
                line.supports().stream()
                        .map(s -> new SupportDto(
                                s.x(), s.kind().name().toLowerCase(java.util.Locale.ROOT), s.depth(), s.label()))
                        .toList(),
                b.cage().groups().stream()
                        .map(g -> new GroupDto(
                                g.face().name().toLowerCase(java.util.Locale.ROOT),
                                g.layer(),
                                g.count(),
                                g.bar().label(),
                                g.bar().diameter(),
                                g.offset(),
                                g.from(),
                                g.to(),
                                g.hookFrom(),
                                g.hookTo(),
                                g.through(),
                                g.pairs(),
                                Laps.of(line, g, basis).stream()
                                        .map(l -> new LapDto(l.from(), l.to()))
                                        .toList()))
                        .toList(),
                b.cage().zones().stream()
                        .map(z -> new ZoneDto(
                                z.span(),
                                z.from(),
                                z.to(),
                                z.bar().label(),
                                z.legs(),
                                z.spacing(),
                                StirrupPlaces.of(b.cage().zones(), z)))
                        .toList(),
                b.cage().sideBars().stream()
                        .map(q -> new SideDto(
                                q.span(), q.bar().label(), q.bar().diameter(), q.perFace(), q.from(), q.to()))
                        .toList(),
                cuts,
                b.profile().stream().map(p -> point(d, p)).toList(),
                b.deflections().stream().map(f -> deflected(d, b, f)).toList(),
                checks(b.checks(), basis),
                Problem.FindingDto.of(b.findings()),
                b.governing().utilisation(),
                b.satisfied(),
                mass.steel(),
                mass.concrete() / 1e9,
                basis.beamCover(),
                basis.fy(),
                station >= 0 ? station : nearest(line, b.governing().x()),
                HandFile.dto(b.hand()),
                needs(d, b),
                legs(d, b),
                basis.entry().catalogue().bars().stream()
                        .filter(k -> k.diameter() >= 12)
                        .map(Bar::label)
                        .toList(),
                basis.entry().catalogue().bars().stream()
                        .filter(k -> k.diameter() <= 20)
                        .map(Bar::label)
                        .toList(),
                line.firstBar(basis),
                line.lastBar(basis),
                basis.stirrups().step());
    }

    private static List<NeedDto> needs(BuildingDesign d, BeamDesign b) {
        BeamLine line = b.line();
        return SteelNeeds.bars(b, d.contexts().of(b.line())).stream()
                .map(n -> new NeedDto(
                        n.face() == BeamCage.Face.TOP ? "top" : "bottom",
                        n.number(),
                        n.face() == BeamCage.Face.TOP
                                ? line.supports().get(n.number()).label()
                                : line.supports().get(n.number()).label() + "–"
                                        + line.supports().get(n.number() + 1).label(),
                        n.x(),
                        told(n.required()),
                        n.provided(),
                        n.minimum()))
                .toList();
    }

    private static List<LegsDto> legs(BuildingDesign d, BeamDesign b) {
        return SteelNeeds.stirrups(b, d.contexts().of(b.line())).stream()
                .map(z -> new LegsDto(z.span(), z.from(), z.to(), told(z.required()), z.provided()))
                .toList();
    }

    private static DeflectedDto deflected(BuildingDesign d, BeamDesign b, Deflections f) {
        double live = d.contexts().of(b.line()).liveDivisor(b.line().spans().get(f.span()));
        return new DeflectedDto(
                f.span(),
                f.x(),
                f.live(),
                f.lasting(),
                f.length() / live,
                f.length() / b.basis().deflection().lasting(),
                d.contexts().beams().service().combination(f.service()).name(),
                d.contexts().beams().sustained().combination(f.sustained()).name());
    }

    private static int nearest(BeamLine line, double x) {
        int best = 0;
        for (int i = 0; i < line.stations().size(); i++) {
            if (Math.abs(line.stations().get(i).x() - x)
                    < Math.abs(line.stations().get(best).x() - x)) {
                best = i;
            }
        }
        return best;
    }

    static List<Answers.CheckDto> checks(List<kolonne.core.check.CheckResult> checks, Basis basis) {
        return checks.stream().map(c -> Answers.CheckDto.of(c, basis.usUnits())).toList();
    }

    private static CutDto cut(BeamLine line, SectionCut c, BeamLine.Span s, int k) {
        String label = k == 1
                ? line.supports().get(s.number()).label() + "–"
                        + line.supports().get(s.number() + 1).label() + " middle"
                : line.supports().get(k == 0 ? s.number() : s.number() + 1).label();
        return new CutDto(
                c.x(),
                label,
                s.number(),
                c.bars().stream()
                        .map(b -> new SpotDto(
                                b.y(), b.z(), b.bar().diameter(), b.bar().label(), b.through()))
                        .toList(),
                c.words(BeamCage.Face.TOP),
                c.words(BeamCage.Face.BOTTOM),
                c.zone() == null ? 0 : c.zone().legs(),
                c.zone() == null ? 0 : c.zone().bar().diameter(),
                c.sideBarsPerFace(),
                c.sideBar() == null ? 0 : c.sideBar().diameter());
    }

    private static PointDto point(BuildingDesign d, BeamDesign.Point p) {
        return new PointDto(
                p.x(),
                p.span(),
                p.mPos() / 1e6,
                name(d, p.comboPos()),
                p.mNeg() / 1e6,
                name(d, p.comboNeg()),
                p.capPos() / 1e6,
                p.capNeg() / 1e6,
                p.vMax() / 1e3,
                name(d, p.comboVMax()),
                p.vMin() / 1e3,
                name(d, p.comboVMin()),
                p.vc() / 1e3,
                p.vn() / 1e3,
                p.vLimit() / 1e3,
                p.ve() / 1e3,
                p.t() / 1e6,
                name(d, p.comboT()),
                p.tn() / 1e6,
                p.limitUse());
    }

    static String name(BuildingDesign d, int combination) {
        return d.contexts().beams().combinationName(combination);
    }

    static Answers.Calculation beamCalculation(BuildingDesign d, BeamDesign b, int station) {
        if (station < 0 || station >= b.line().stations().size()) {
            throw new NoSuchElementException(
                    "The line has stations 0 to " + (b.line().stations().size() - 1) + ".");
        }
        boolean us = d.basis().usUnits();
        BeamLine.Station s = b.line().stations().get(station);
        return new Answers.Calculation(
                "At " + kolonne.core.explain.Quantity.DISTANCE.text(s.x(), us),
                Answers.StepDto.of(
                        BeamCheck.explain(b.line(), b.cage(), d.contexts().of(b.line()), station), us));
    }
}
