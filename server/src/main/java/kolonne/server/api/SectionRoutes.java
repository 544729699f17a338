package kolonne.server.api;

import io.javalin.http.Context;
import io.javalin.http.HandlerType;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import kolonne.core.finding.Finding;
import kolonne.core.section.StrengthSurface;
import kolonne.core.section.SurfaceCurves;
import kolonne.core.section.general.Outline;
import kolonne.core.single.SectionUses;
import kolonne.core.single.SingleSection;
import kolonne.core.single.Uses;
import kolonne.core.work.Progress;
import kolonne.exchange.json.MayBeNull;
import kolonne.exchange.paper.SectionPaper;
import kolonne.exchange.single.SectionFile;
import kolonne.server.jobs.Jobs;

/** One section on its own under sets of forces; nothing is stored. */
final class SectionRoutes {
    /** Sets of forces that are answered at once; longer lists are for the command line. */
    private static final int MOST_SETS = 300;

    record SectionUseDto(String check, double utilisation, String demand, String capacity, String clause) {}

    /** @param kind strength, characteristic or quasi-permanent; @param stresses under service load; @param atAxial use where the axial force stays as it is; the neutral axis at the strength: its depth from the edge towards an angle from the x axis */
    record SectionSetDto(
            String name,
            String kind,
            double utilisation,
            String governs,
            @MayBeNull StressesDto stresses,
            @MayBeNull Double atAxial,
            @MayBeNull Double neutralAxisMm,
            @MayBeNull Double towardsDeg,
            double p,
            double mx,
            double my,
            List<SectionUseDto> checks) {}

    /** Largest stresses of the cracked section, and those of all bars, tension positive [MPa]. */
    record StressesDto(double concrete, double tension, double compression, List<Double> bars) {}

    /**
     * Strains and stresses across the neutral axis, compression positive, at the strength along the ray of the chosen set, at a point of its curve, or under
     * service load. Depths are measured from the edge that is compressed most.
     *
     * @param along      number of the point of the curve; null for the set itself
     * @param towardsDeg where that edge lies, from the x axis
     * @param edge       strain of that edge in thousandths; {@code far} of the other
     * @param concrete   depth [mm] and stress [MPa] in turn
     */
    record StrainsDto(
            @MayBeNull Integer along,
            double towardsDeg,
            double sizeMm,
            double edge,
            double far,
            List<StrainedBarDto> bars,
            List<Double> concrete) {}

    /** @param strain in thousandths */
    record StrainedBarDto(double depthMm, double strain, double stressMpa) {}

    record SectionBarDto(double x, double z, double diameter) {}

    /** @param rings x and z in turn, the outline first, then openings; empty for a circle */
    record SectionPictureDto(List<List<Double>> rings, double diameter, List<SectionBarDto> bars) {}

    /**
     * @param curves      of a column through the chosen set
     * @param calculation of the chosen set
     */
    record SectionAnswerDto(
            String code,
            Map<String, Double> strengths,
            List<Problem.FindingDto> findings,
            List<SectionSetDto> sets,
            SectionPictureDto picture,
            @MayBeNull ColumnMembers.CurvesDto curves,
            @MayBeNull StrainsDto strains,
            List<Answers.StepDto> calculation) {}

    List<Route> routes() {
        return List.of(
                new Route(
                        HandlerType.POST,
                        "/api/sections/pdf",
                        "A section on paper: picture, uses and calculations; the body is one of a list of sections",
                        SectionFile.Entry.class,
                        byte[].class,
                        new String[0],
                        SectionRoutes::paper),
                new Route(
                        HandlerType.POST,
                        "/api/sections/try",
                        "Strengths of a section and the use of every check under sets of forces; the body is one of a list of sections",
                        SectionFile.Entry.class,
                        SectionAnswerDto.class,
                        new String[] {"set", "along"},
                        SectionRoutes::tried));
    }

    private static void paper(Context c) {
        SectionFile.Ready one = read(c);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            SectionPaper.write(List.of(one), out, Progress.NONE);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        c.contentType("application/pdf").result(out.toByteArray());
    }

    /** @throws Jobs.Refused with what is wrong */
    static SectionFile.Ready read(Context c) {
        SectionFile.Read r = SectionFile.one(c.bodyAsBytes());
        List<Finding> wrong = new ArrayList<>(r.findings());
        if (wrong.isEmpty() && r.ready().get(0).forces().size() > MOST_SETS) {
            wrong.add(Finding.fails(
                    "section.sets",
                    "forces",
                    "There are " + r.ready().get(0).forces().size() + " sets of forces.",
                    "Give at most " + MOST_SETS + "; ./kolonne section takes more."));
        }
        if (!wrong.isEmpty()) {
            throw new Jobs.Refused(wrong);
        }
        return r.ready().get(0);
    }

    private static void tried(Context c) {
        SectionFile.Ready one = read(c);
        int set = one.forces().isEmpty()
                ? -1
                : ResultRoutes.number(c, "set", 0, 0, one.forces().size() - 1);
        c.json(answer(one, set, ResultRoutes.number(c, "along", -1, -1, SurfaceCurves.LAST)));
    }

    private static SectionAnswerDto answer(SectionFile.Ready one, int set, int along) {
        Uses uses = one.section();
        return new SectionAnswerDto(
                uses.code().name(),
                uses.strengths(),
                uses.findings().stream().map(Problem.FindingDto::of).toList(),
                one.forces().stream().map(f -> set(uses, f, one.us())).toList(),
                picture(uses.drawn()),
                set < 0 ? null : curves(uses, one.forces().get(set)),
                set < 0 ? null : strains(uses, one.forces().get(set), along),
                set < 0
                        ? List.of()
                        : Answers.StepDto.of(uses.explain(one.forces().get(set)), one.us()));
    }

    private static SectionSetDto set(Uses uses, SingleSection.Forces f, boolean us) {
        List<SectionUses.Use> all = uses.uses(f);
        Map<String, Double> beside = uses.beside(f);
        return new SectionSetDto(
                f.name(),
                f.kind().word(),
                shown(Uses.highest(all)),
                Uses.governs(all),
                stresses(uses, f, beside),
                beside.containsKey("utilisationAtAxial") ? shown(beside.get("utilisationAtAxial")) : null,
                beside.get("neutralAxisMm"),
                beside.get("compressionTowardsDeg"),
                -f.n() / 1e3,
                f.my() / 1e6,
                f.mz() / 1e6,
                all.stream()
                        .map(u -> new SectionUseDto(
                                u.check(),
                                shown(u.utilisation()),
                                u.quantity().text(u.demand(), us),
                                u.quantity().text(u.capacity(), us),
                                u.clause().text()))
                        .toList());
    }

    /** Null for strength, and where nothing balances the forces. */
    private static StressesDto stresses(Uses uses, SingleSection.Forces f, Map<String, Double> beside) {
        return beside.containsKey("concreteCompressionMpa")
                ? new StressesDto(
                        beside.get("concreteCompressionMpa"),
                        beside.get("barTensionMpa"),
                        beside.get("barCompressionMpa"),
                        uses.barStresses(f))
                : null;
    }

    private static double shown(double u) {
        return Double.isFinite(u) ? Math.min(u, 99.99) : 99.99;
    }

    private static ColumnMembers.CurvesDto curves(Uses uses, SingleSection.Forces f) {
        Optional<StrengthSurface> surface = uses.surface();
        if (surface.isEmpty() || f.kind() != SingleSection.Kind.STRENGTH) {
            return null;
        }
        StrengthSurface s = surface.get();
        double angle = Math.atan2(f.my(), f.mz());
        SurfaceCurves.Meridian curve = SurfaceCurves.meridian(s, angle);
        double at = uses.beside(f).get("utilisationAtAxial");
        return new ColumnMembers.CurvesDto(
                Math.toDegrees(angle),
                ColumnMembers.points(curve.design()),
                ColumnMembers.points(curve.nominal()),
                ColumnMembers.points(SurfaceCurves.contour(s, -f.n())),
                Double.isFinite(at) ? at : null,
                ColumnMembers.borne(s, -f.n(), f.my(), f.mz()),
                List.of());
    }

    private static StrainsDto strains(Uses uses, SingleSection.Forces f, int along) {
        boolean onCurve = along >= 0 && f.kind() == SingleSection.Kind.STRENGTH;
        return (onCurve
                        ? uses.surface().flatMap(s -> SurfaceCurves.along(s, Math.atan2(f.my(), f.mz()), along))
                        : uses.strains(f))
                .map(s -> new StrainsDto(
                        onCurve ? along : null,
                        Math.toDegrees(Math.IEEEremainder(s.theta(), 2 * Math.PI)),
                        s.size(),
                        1e3 * s.edge(),
                        1e3 * s.far(),
                        s.bars().stream()
                                .map(b -> new StrainedBarDto(b.depth(), 1e3 * b.strain(), b.stress()))
                                .toList(),
                        s.concrete().stream()
                                .flatMap(q -> Stream.of(q.depth(), q.stress()))
                                .toList()))
                .orElse(null);
    }

    private static SectionPictureDto picture(Uses.Drawn d) {
        List<List<Double>> rings = new ArrayList<>();
        if (d.outline() != null) {
            for (Outline.Ring r : d.outline().rings()) {
                List<Double> xz = new ArrayList<>();
                r.corners().forEach(k -> {
                    xz.add(k.x());
                    xz.add(k.y());
                });
                rings.add(xz);
            }
        }
        return new SectionPictureDto(
                rings,
                d.diameter(),
                d.bars().stream()
                        .map(b -> new SectionBarDto(b.x(), b.z(), b.diameter()))
                        .toList());
    }
}
