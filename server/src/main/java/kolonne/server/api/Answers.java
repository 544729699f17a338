package kolonne.server.api;

import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import kolonne.core.check.CheckResult;
import kolonne.core.detail.ShapeSketch;
import kolonne.core.explain.Step;
import kolonne.core.explain.maths.Maths;
import kolonne.exchange.basis.BasisFile;
import kolonne.exchange.json.MayBeNull;
import kolonne.server.jobs.Job;
import kolonne.server.project.DeletedProjects;
import kolonne.server.project.ResultRow;
import kolonne.server.project.Workspace;
import kolonne.server.store.DeletedRow;
import kolonne.server.store.ProjectRow;

/** Records that the API answers with, apart from those of one member. */
final class Answers {
    private Answers() {}

    /** @param changedAt ISO 8601, UTC */
    /** @param role of who asks; empty where everybody may do everything */
    record ProjectDto(String id, String name, String createdAt, String changedAt, int version, String role) {
        static ProjectDto of(ProjectRow r, String role) {
            return new ProjectDto(
                    r.id(),
                    r.name(),
                    r.createdAt().atOffset(ZoneOffset.UTC).toString(),
                    r.changedAt().atOffset(ZoneOffset.UTC).toString(),
                    r.version(),
                    role);
        }
    }

    record ProjectList(List<ProjectDto> projects) {}

    /** @param until when it is removed for good */
    record DeletedDto(String id, String name, String deletedAt, String deletedBy, String until) {
        static DeletedDto of(DeletedRow r) {
            return new DeletedDto(
                    r.id(),
                    r.name(),
                    r.deletedAt().atOffset(ZoneOffset.UTC).toString(),
                    r.deletedBy(),
                    DeletedProjects.until(r).atOffset(ZoneOffset.UTC).toString());
        }
    }

    record DeletedList(List<DeletedDto> projects) {}

    /** Who else has a project open; an empty name is one that nobody told. */
    record PeopleDto(List<String> people) {}

    record NewName(String name) {}

    record JobDto(
            String id,
            String kind,
            String phase,
            String doing,
            int done,
            int total,
            List<Problem.FindingDto> findings,
            @MayBeNull String result) {
        static JobDto of(Job.Status s) {
            return new JobDto(
                    s.id(),
                    s.kind(),
                    s.phase().name().toLowerCase(java.util.Locale.ROOT),
                    s.doing(),
                    s.done(),
                    s.total(),
                    Problem.FindingDto.of(s.findings()),
                    s.result());
        }
    }

    /** The newest change: by whom, in which window, and what it brought with it. */
    record LatestDto(int version, String person, String window, String summary, List<String> effects) {}

    /** The sentence of state. Counts are null before the first design. */
    record StateDto(
            int version,
            int designed,
            boolean current,
            String doing,
            int done,
            int total,
            List<Problem.FindingDto> findings,
            LatestDto last,
            @MayBeNull Totals totals) {
        static StateDto of(Workspace w, Workspace.State s) {
            Workspace.Published p = w.published();
            Workspace.Change l = w.last();
            return new StateDto(
                    s.version(),
                    s.designed(),
                    s.current(),
                    s.doing(),
                    s.done(),
                    s.total(),
                    Problem.FindingDto.of(s.findings()),
                    new LatestDto(l.version(), l.person(), l.window(), l.summary(), l.effects()),
                    p == null ? null : Totals.of(p));
        }
    }

    /** @param members analysis members; lines: beam lines and column stacks, of which the other counts are */
    record Totals(
            String code,
            boolean usUnits,
            int members,
            int lines,
            int satisfied,
            int overstressed,
            int failing,
            int notes,
            double steelKg,
            double concreteM3,
            Map<String, Integer> causes) {
        static Totals of(Workspace.Published p) {
            var d = p.design();
            var s = d.state();
            return new Totals(
                    d.basis().designCode().name(),
                    d.basis().usUnits(),
                    d.analysis().index().building().members().size(),
                    s.members(),
                    s.satisfied(),
                    s.overstressed(),
                    s.failing(),
                    s.withNotes(),
                    d.quantities().steel(),
                    d.quantities().concrete() / 1e9,
                    d.causes());
        }
    }

    /** @param elevationM height; lines: marks of the lines and stacks that touch it */
    record Rung(String id, String name, double elevationM, double[] utilisations, int fails) {}

    record ResultsPage(
            int version,
            int total,
            int matching,
            int page,
            int size,
            List<ResultRow> rows,
            List<String> marks,
            Map<String, Integer> causes,
            List<Rung> rungs) {}

    /**
     * A member in the view: x1..z2 in mm.
     *
     * @param line   index into marks; satisfied false draws it over
     * @param joint   highest use of the joint at the head of a lift; null where nothing is asked of it
     * @param crowded layers of beams' bars that do not pass in that joint
     * @param outline of a column that is an ell, a tee or turned: X and Y of its corners in turn from its joint [mm]; else null
     * @param shades use of strength, bending, shear with torsion, axial with bending, deflection, detailing and congestion, then kg/m3
     */
    record ViewMember(
            String id,
            String role,
            double[] ends,
            double widthMm,
            double depthMm,
            int line,
            int part,
            double utilisation,
            boolean satisfied,
            boolean round,
            @MayBeNull Double joint,
            int crowded,
            @MayBeNull double[] outline,
            double[] shades) {}

    record ViewGrid(String id, double x1, double y1, double x2, double y2) {}

    record ViewStorey(String id, String name, double elevationMm) {}

    record View(
            int version, List<String> marks, List<ViewMember> members, List<ViewGrid> grid, List<ViewStorey> storeys) {}

    record NamedCount(String name, int count) {}

    record CombinationDto(String id, String name, String purpose, Map<String, Double> terms) {}

    record StoreySwayDto(
            double baseM,
            double topM,
            @MayBeNull Double qx,
            @MayBeNull Double qy) {}

    /** What was read. */
    record ModelDto(
            String name,
            String units,
            String fileName,
            boolean importedForces,
            boolean forcesStale,
            List<NamedCount> counts,
            List<NamedCount> sections,
            List<NamedCount> materials,
            List<CombinationDto> combinations,
            List<Problem.FindingDto> findings,
            List<StoreySwayDto> sway) {}

    record CheckDto(
            String kind,
            String title,
            String cause,
            String demand,
            String capacity,
            double utilisation,
            boolean satisfied,
            String combination,
            String place,
            double x,
            int part,
            int station,
            String clause) {
        static CheckDto of(CheckResult c, boolean us) {
            return new CheckDto(
                    c.kind().id(),
                    c.title(),
                    c.cause().id(),
                    c.quantity().text(c.demand(), us),
                    c.quantity().text(c.capacity(), us),
                    c.utilisation(),
                    c.satisfied(),
                    c.combination(),
                    c.place(),
                    c.x(),
                    c.part(),
                    c.station(),
                    c.clause().text());
        }
    }

    /** A formula as it is set; parts by the kind, as the core says. */
    record MathsDto(String kind, String text, List<MathsDto> parts) {
        static MathsDto of(Maths m) {
            return new MathsDto(
                    m.kind().name().toLowerCase(Locale.ROOT),
                    m.text(),
                    m.parts().stream().map(MathsDto::of).toList());
        }
    }

    /** @param equal whether it can stand behind an equals sign */
    record FormulaDto(String text, boolean equal, MathsDto set) {
        static FormulaDto of(String text) {
            Maths m = Maths.of(text);
            return new FormulaDto(text, m.equal(), MathsDto.of(m));
        }
    }

    /**
     * @param title   whether the line is a heading, in {@code symbol} and {@code words}
     * @param formula of a step in symbols; null where it only repeats the symbol, or is empty
     * @param numbers the formula with its numbers; null where there are none
     */
    record StepDto(
            boolean title,
            String symbol,
            @MayBeNull FormulaDto set,
            String words,
            @MayBeNull FormulaDto formula,
            @MayBeNull FormulaDto numbers,
            String result,
            String clause) {
        static List<StepDto> of(List<Step> steps, boolean us) {
            return steps.stream().map(s -> of(s, us)).toList();
        }

        private static StepDto of(Step s, boolean us) {
            String clause = s.clause().text();
            if (Double.isNaN(s.value())) {
                return new StepDto(true, s.symbol(), null, s.formula(), null, null, "", clause);
            }
            String numbers = s.substituted(us);
            return new StepDto(
                    false,
                    s.symbol(),
                    FormulaDto.of(s.symbol()),
                    "",
                    s.repeatsItsSymbol() || s.formula().isEmpty() ? null : FormulaDto.of(s.formula()),
                    numbers.isEmpty() ? null : FormulaDto.of(numbers),
                    s.result(us),
                    clause);
        }
    }

    record Calculation(String heading, List<StepDto> steps) {}

    record ScheduleColumn(String name, int width, boolean numeric) {}

    /** A letter of a shape's dimension. */
    record BarShapeLetter(double x, double y, String text) {}

    /** A shape of the bar list in a field 100 wide and 60 high, y upwards. @param lines x1, y1, x2, y2, … of each */
    record BarShapeDto(String code, List<List<Double>> lines, List<BarShapeLetter> letters) {
        static BarShapeDto of(ShapeSketch s) {
            return new BarShapeDto(
                    s.code(),
                    s.lines(),
                    s.letters().stream()
                            .map(l -> new BarShapeLetter(l.x(), l.y(), l.text()))
                            .toList());
        }
    }

    /** @param shapes that the rows name by their codes; {@code pictures} of sections, each with the mark in the first column */
    record SchedulePage(
            String title,
            int total,
            int page,
            int size,
            List<ScheduleColumn> columns,
            List<List<String>> rows,
            List<BarShapeDto> shapes,
            List<DrawingRoutes.SheetDto> pictures) {}

    /** A nationally determined parameter with the bounds of what can be meant. */
    record ParameterDto(
            String key, String words, String clause, double recommended, double least, double most, boolean whole) {}

    /**
     * A number of the basis as the code describes it.
     *
     * @param part where it is asked for; {@code kind} stress, length, count, number or part
     * @param least and {@code most} in MPa, mm, or as they are
     * @param local whether it may differ for some members
     */
    record FieldDto(
            String key, String part, String name, String kind, double least, double most, String help, boolean local) {}

    /** A word that may be chosen, and what a reader sees of it. */
    record WordDto(String value, String label) {}

    /**
     * A design code.
     *
     * @param usual      whether it is taken where none is named
     * @param standard   the basis that a new project starts with
     * @param parameters that it leaves to nations
     * @param fields     numbers of the basis that mean something by it
     * @param ductility  kinds of ductile frames that are covered
     * @param remarks    what it says of fields that are no numbers, by their key
     */
    record CatalogueDto(
            String code,
            String name,
            boolean usUnits,
            boolean usual,
            List<String> bars,
            BasisFile.BasisDto standard,
            List<ParameterDto> parameters,
            List<FieldDto> fields,
            List<WordDto> ductility,
            Map<String, String> remarks) {}

    /**
     * @param database whether it answers
     * @param heapFreeMb  memory that is left [MB]
     * @param diskFreeMb  room for files in the making [MB]
     */
    record Ready(boolean ready, boolean database, int heapFreeMb, int diskFreeMb) {}

    record Health(String status, String version) {}
}
