package kolonne.server.api;

import io.javalin.http.Context;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.DoubleStream;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.check.CheckResult;
import kolonne.core.check.Shade;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.JointFits;
import kolonne.core.design.Quantities;
import kolonne.core.drawing.Drawing;
import kolonne.core.explain.Quantity;
import kolonne.core.finding.Finding;
import kolonne.core.model.Building;
import kolonne.core.model.Combination;
import kolonne.core.model.Joint;
import kolonne.core.model.LocalAxes;
import kolonne.core.model.Member;
import kolonne.core.model.Role;
import kolonne.core.model.Storey;
import kolonne.core.schedule.Scheduled;
import kolonne.core.section.general.Outline;
import kolonne.core.shape.Shape;
import kolonne.exchange.paper.ScheduleTables;
import kolonne.server.project.Projects;
import kolonne.server.project.ResultQuery;
import kolonne.server.project.ResultRow;
import kolonne.server.project.Workspace;

/** Results by page, the view, one member with its explanation, schedules, and what was read of the model. */
final class ResultRoutes {
    private static final int LARGEST_PAGE = 5000;
    private final Projects projects;

    ResultRoutes(Projects projects) {
        this.projects = projects;
    }

    List<Route> routes() {
        return List.of(
                Route.get(
                        "/api/projects/{id}/model",
                        "What was read: counts, cases, combinations, findings",
                        Answers.ModelDto.class,
                        this::model),
                Route.get(
                        "/api/projects/{id}/results",
                        "Worklist rows that match a query, worst first",
                        Answers.ResultsPage.class,
                        this::results,
                        "q",
                        "page",
                        "size"),
                Route.get("/api/projects/{id}/view", "Geometry with utilisations", Answers.View.class, this::view),
                Route.get(
                        "/api/projects/{id}/members/{mark}",
                        "A beam line or column stack",
                        Members.MemberDto.class,
                        this::member),
                Route.get(
                        "/api/projects/{id}/members/{mark}/calculation",
                        "Step-by-step calculation: of a station of a line, or of a lift, combination and place",
                        Answers.Calculation.class,
                        this::calculation,
                        "station",
                        "lift",
                        "combination",
                        "demand"),
                Route.get(
                        "/api/projects/{id}/members/{mark}/interaction",
                        "Demands of a lift with their utilisations, worst first",
                        ColumnMembers.InteractionDto.class,
                        this::interaction,
                        "lift"),
                Route.get(
                        "/api/projects/{id}/members/{mark}/curves",
                        "Strength of a lift at an angle of moments (in degrees; that of the demand if left out), and all round under a demand's axial force",
                        ColumnMembers.CurvesDto.class,
                        this::curves,
                        "lift",
                        "combination",
                        "demand",
                        "angle"),
                Route.get(
                        "/api/projects/{id}/members/{mark}/surface",
                        "The strength surface of a lift",
                        ColumnMembers.SurfaceDto.class,
                        this::surface,
                        "lift"),
                Route.get(
                        "/api/projects/{id}/schedules/{kind}",
                        "A page of the types, beams, columns, bars or totals schedule; "
                                + "marks: what is scheduled, separated by commas",
                        Answers.SchedulePage.class,
                        this::schedule,
                        "marks",
                        "page",
                        "size"));
    }

    /** The newest design; 409 where there is none yet after a while, or none can be. */
    static Workspace.Published published(Projects projects, Context c) {
        Workspace.Published p = published(projects, c.pathParam("id"));
        c.header("X-Designed-Version", Integer.toString(p.version()));
        return p;
    }

    static Workspace.Published published(Projects projects, String id) {
        Workspace w = projects.designed(id);
        Workspace.Published p = w.published();
        if (p == null) {
            List<Finding> f = w.state().findings();
            throw new BadRequest(
                    409,
                    "not-designed",
                    f.isEmpty() ? "The building is being designed." : f.get(0).what(),
                    f.isEmpty()
                            ? "Wait for it; the state tells how far it is."
                            : f.get(0).mend());
        }
        return p;
    }

    static int number(Context c, String name, int otherwise, int least, int most) {
        String s = c.queryParam(name);
        if (s == null || s.isBlank()) {
            return otherwise;
        }
        try {
            int v = Integer.parseInt(s);
            if (v >= least && v <= most) {
                return v;
            }
        } catch (NumberFormatException e) {
            // reported below with the same words as a number out of range
        }
        throw new BadRequest(
                400, "parameter", name + " is " + s + ".", "Give a whole number from " + least + " to " + most + ".");
    }

    // ---- model ----------------------------------------------------------------------------------------------------

    private void model(Context c) {
        String id = c.pathParam("id");
        Workspace w = projects.model(id);
        Building b = w.building();
        Workspace.Published p = w.published();
        List<Finding> findings = projects.modelFindings(w);
        List<Answers.StoreySwayDto> sway = new ArrayList<>();
        if (p != null) {
            findings.addAll(p.design().analysis().findings());
            findings.addAll(p.design().findings());
            p.design()
                    .contexts()
                    .columns()
                    .sway()
                    .storeys()
                    .forEach(s -> sway.add(new Answers.StoreySwayDto(
                            s.base() / 1000, s.top() / 1000, s.knownX() ? s.qx() : null, s.knownY() ? s.qy() : null)));
        }
        findings.addAll(w.state().findings());
        c.json(new Answers.ModelDto(
                b.name(),
                b.unitSystem(),
                projects.modelFile(id).fileName(),
                b.hasImportedForces(),
                w.forcesStale(),
                counts(b),
                sections(b),
                materials(b),
                combinations(b),
                Problem.FindingDto.of(findings),
                sway));
    }

    private static List<Answers.NamedCount> counts(Building b) {
        long beams = b.members().stream().filter(m -> m.role() == Role.BEAM).count();
        return List.of(
                new Answers.NamedCount("storeys", b.storeys().size()),
                new Answers.NamedCount("grid lines", b.gridLines().size()),
                new Answers.NamedCount("joints", b.joints().size()),
                new Answers.NamedCount("beams", (int) beams),
                new Answers.NamedCount("columns", b.members().size() - (int) beams),
                new Answers.NamedCount("supports", b.supports().size()),
                new Answers.NamedCount("diaphragms", b.diaphragms().size()),
                new Answers.NamedCount("slab panels", b.panels().size()),
                new Answers.NamedCount("load cases", b.loadCases().size()),
                new Answers.NamedCount(
                        "loads",
                        b.memberLoads().size()
                                + b.areaLoads().size()
                                + b.jointLoads().size()),
                new Answers.NamedCount("combinations", b.combinations().size()));
    }

    private static List<Answers.NamedCount> sections(Building b) {
        Map<String, Integer> n = new HashMap<>();
        b.members().forEach(m -> n.merge(m.section(), 1, Integer::sum));
        return b.sections().stream()
                .map(s -> new Answers.NamedCount(
                        s.id() + " · " + s.shape().label(b.unitSystem().equals("US")), n.getOrDefault(s.id(), 0)))
                .sorted(Comparator.comparingInt(Answers.NamedCount::count).reversed())
                .toList();
    }

    private static List<Answers.NamedCount> materials(Building b) {
        Map<String, Integer> n = new HashMap<>();
        b.members().forEach(m -> n.merge(m.material(), 1, Integer::sum));
        return b.materials().stream()
                .map(m -> new Answers.NamedCount(
                        m.id() + " · f′c "
                                + Quantity.STRENGTH.text(m.fc(), b.unitSystem().equals("US")),
                        n.getOrDefault(m.id(), 0)))
                .toList();
    }

    private static List<Answers.CombinationDto> combinations(Building b) {
        return b.combinations().stream()
                .map(k -> {
                    Map<String, Double> terms = new LinkedHashMap<>();
                    for (Combination.Term t : k.terms()) {
                        terms.merge(t.loadCase(), t.factor(), Double::sum);
                    }
                    return new Answers.CombinationDto(
                            k.id(),
                            k.name(),
                            k.purpose()
                                    .name()
                                    .toLowerCase(java.util.Locale.ROOT)
                                    .replace('_', ' '),
                            terms);
                })
                .toList();
    }

    // ---- results --------------------------------------------------------------------------------------------------

    private void results(Context c) {
        Workspace.Published p = published(projects, c);
        Building b = p.design().analysis().index().building();
        List<Storey> storeys = b.storeys().stream()
                .sorted(Comparator.comparingDouble(Storey::elevation))
                .toList();
        String q = c.queryParam("q");
        ResultQuery query;
        try {
            query = ResultQuery.of(
                    q == null ? "" : q, storeys.stream().map(Storey::name).toList());
        } catch (IllegalArgumentException e) {
            throw new BadRequest(400, "query", e.getMessage(), "Correct the query or clear it.");
        }
        List<ResultRow> matching = p.rows().stream().filter(query::matches).toList();
        int size = number(c, "size", 200, 1, LARGEST_PAGE);
        int page = number(c, "page", 0, 0, Integer.MAX_VALUE / size);
        List<ResultRow> rows =
                matching.stream().skip((long) page * size).limit(size).toList();
        Map<String, Integer> causes = new LinkedHashMap<>();
        matching.forEach(r -> r.causes().forEach(k -> causes.merge(k, 1, Integer::sum)));
        c.json(new Answers.ResultsPage(
                p.version(),
                p.rows().size(),
                matching.size(),
                page,
                size,
                rows,
                matching.stream().map(ResultRow::mark).toList(),
                causes,
                rungs(p, storeys)));
    }

    /** Utilisations by storey: lines of the storey, and lifts that end there. */
    private static List<Answers.Rung> rungs(Workspace.Published p, List<Storey> storeys) {
        Map<String, List<Double>> u = new HashMap<>();
        Map<String, Integer> fails = new HashMap<>();
        for (BeamDesign b : p.design().beams()) {
            u.computeIfAbsent(b.line().storey(), k -> new ArrayList<>())
                    .add(b.governing().utilisation());
            fails.merge(b.line().storey(), b.satisfied() ? 0 : 1, Integer::sum);
        }
        for (ColumnDesign d : p.design().columns()) {
            for (ColumnDesign.LiftDesign l : d.lifts()) {
                u.computeIfAbsent(l.lift().storey(), k -> new ArrayList<>())
                        .add(l.governingCheck().utilisation());
                fails.merge(l.lift().storey(), l.governingCheck().satisfied() ? 0 : 1, Integer::sum);
            }
        }
        List<Answers.Rung> out = new ArrayList<>();
        for (int i = storeys.size() - 1; i >= 0; i--) {
            Storey s = storeys.get(i);
            out.add(new Answers.Rung(
                    s.id(),
                    s.name(),
                    s.elevation() / 1000,
                    u.getOrDefault(s.name(), List.of()).stream()
                            .mapToDouble(Double::doubleValue)
                            .toArray(),
                    fails.getOrDefault(s.name(), 0)));
        }
        return out;
    }

    private void view(Context c) {
        Workspace.Published p = published(projects, c);
        BuildingDesign d = p.design();
        Building b = d.analysis().index().building();
        List<String> marks = new ArrayList<>();
        List<Answers.ViewMember> members = new ArrayList<>();
        for (BeamDesign x : d.beams()) {
            double[] shades = shades(x.checks(), Quantities.of(x));
            for (var s : x.line().spans()) {
                for (Member m : s.members()) {
                    members.add(viewMember(
                            d,
                            m,
                            marks.size(),
                            s.number(),
                            x.governing().utilisation(),
                            x.satisfied(),
                            null,
                            0,
                            shades));
                }
            }
            marks.add(x.line().mark());
        }
        for (ColumnDesign x : d.columns()) {
            Map<Integer, List<JointFits.Misfit>> crowded = p.fits().at(x);
            for (ColumnDesign.LiftDesign l : x.lifts()) {
                Member m = b.members().get(l.lift().memberNumber());
                members.add(viewMember(
                        d,
                        m,
                        marks.size(),
                        l.lift().number(),
                        l.governingCheck().utilisation(),
                        l.governingCheck().satisfied(),
                        joint(l.checks()),
                        crowded.getOrDefault(l.lift().number(), List.of()).size(),
                        shades(l.checks(), Quantities.of(x, l.lift().number()))));
            }
            marks.add(x.stack().mark());
        }
        c.json(new Answers.View(
                p.version(),
                marks,
                members,
                b.gridLines().stream()
                        .map(g -> new Answers.ViewGrid(g.id(), g.x1(), g.y1(), g.x2(), g.y2()))
                        .toList(),
                b.storeys().stream()
                        .sorted(Comparator.comparingDouble(Storey::elevation))
                        .map(s -> new Answers.ViewStorey(s.id(), s.name(), s.elevation()))
                        .toList()));
    }

    /** How far each kind of requirement is used, in the order of {@link Shade}; last the steel per concrete [kg/m3]. */
    private static double[] shades(List<CheckResult> checks, Quantities q) {
        Shade[] all = Shade.values();
        double[] out = new double[all.length + 1];
        for (Shade s : all) {
            out[s.ordinal()] = Math.round(1000 * s.of(checks)) / 1000.0;
        }
        out[all.length] = Math.round(q.density());
        return out;
    }

    private static Answers.ViewMember viewMember(
            BuildingDesign d,
            Member m,
            int line,
            int part,
            double u,
            boolean satisfied,
            Double joint,
            int crowded,
            double[] shades) {
        Joint i = d.analysis().index().joint(m.start());
        Joint j = d.analysis().index().joint(m.end());
        Shape s = d.analysis().index().sectionOf(m).shape();
        return new Answers.ViewMember(
                m.id(),
                m.role() == Role.BEAM ? "beam" : "column",
                new double[] {i.x(), i.y(), i.z(), j.x(), j.y(), j.z()},
                s.webWidth(),
                s.depth(),
                line,
                part,
                u,
                satisfied,
                s instanceof Shape.Circle,
                joint,
                crowded,
                m.role() == Role.COLUMN ? outline(m, s, i, j) : null,
                shades);
    }

    /** What is used most of a joint; null where no check is about it. */
    private static Double joint(List<CheckResult> checks) {
        OptionalDouble most = checks.stream()
                .filter(k -> k.kind().ofJoint())
                .mapToDouble(CheckResult::utilisation)
                .max();
        return most.isPresent() ? most.getAsDouble() : null;
    }

    /** Corners of a column in plan from its joint; null where a circle or a rectangle along X and Y tells all. */
    private static double[] outline(Member m, Shape s, Joint i, Joint j) {
        boolean along = Math.abs(m.angle()) < 1e-9;
        boolean lies = Math.hypot(j.x() - i.x(), j.y() - i.y()) > Math.abs(j.z() - i.z());
        if (s instanceof Shape.Circle || lies || along && s instanceof Shape.Rectangle) {
            return null;
        }
        double[][] axes = LocalAxes.of(i, j, m.angle());
        return Outline.centred(s).rings().get(0).corners().stream()
                .flatMapToDouble(c -> DoubleStream.of(
                        Math.rint(c.x() * axes[1][0] + c.y() * axes[2][0]),
                        Math.rint(c.x() * axes[1][1] + c.y() * axes[2][1])))
                .toArray();
    }

    // ---- one member -----------------------------------------------------------------------------------------------

    private static BeamDesign beam(BuildingDesign d, String mark) {
        return d.beams().stream()
                .filter(b -> b.line().mark().equals(mark))
                .findFirst()
                .orElse(null);
    }

    private static ColumnDesign column(BuildingDesign d, String mark) {
        return d.columns().stream()
                .filter(k -> k.stack().mark().equals(mark))
                .findFirst()
                .orElseThrow(() -> new NoSuchElementException("There is no beam line or column stack " + mark + "."));
    }

    /** A mark that a line had once leads to the lines that have its members now. */
    private void moved(Context c, String mark) {
        List<String> now = projects.whatBecame(c.pathParam("id"), mark);
        if (now.isEmpty()) {
            throw new NoSuchElementException("There is no beam line or column stack " + mark + ".");
        }
        throw new BadRequest(Problem.of(
                410,
                "moved-on",
                mark + " is " + String.join(" and ", now) + " now.",
                now.stream()
                        .map(m -> Finding.note("mark.moved", m, mark + " became " + m + ".", "Open " + m + "."))
                        .toList()));
    }

    private void member(Context c) {
        Workspace.Published p = published(projects, c);
        String mark = c.pathParam("mark");
        List<String> failing = p.rows().stream()
                .filter(r -> !r.satisfied())
                .map(ResultRow::mark)
                .toList();
        Optional<ResultRow> row =
                p.rows().stream().filter(r -> r.mark().equals(mark)).findFirst();
        String type = row.map(ResultRow::type).orElse("");
        List<String> local = row.map(ResultRow::local).orElse(List.of());
        int rank = failing.indexOf(mark);
        String previous = rank > 0 ? failing.get(rank - 1) : null;
        String next = rank + 1 < failing.size() ? failing.get(rank + 1) : null;
        BeamDesign b = beam(p.design(), mark);
        if (b == null
                && p.design().columns().stream().noneMatch(q -> q.stack().mark().equals(mark))) {
            moved(c, mark);
        }
        c.json(
                b != null
                        ? new Members.MemberDto(
                                b.line().id(),
                                mark,
                                "beam",
                                type,
                                local,
                                Members.beam(p.design(), b, p.fits()),
                                null,
                                previous,
                                next,
                                rank + 1,
                                failing.size())
                        : new Members.MemberDto(
                                column(p.design(), mark).stack().id(),
                                mark,
                                "column",
                                type,
                                local,
                                null,
                                ColumnMembers.column(p.design(), column(p.design(), mark), p.fits()),
                                previous,
                                next,
                                rank + 1,
                                failing.size()));
    }

    private void calculation(Context c) {
        BuildingDesign d = published(projects, c).design();
        String mark = c.pathParam("mark");
        BeamDesign b = beam(d, mark);
        if (b != null) {
            c.json(Members.beamCalculation(d, b, number(c, "station", 0, 0, 1_000_000)));
        } else {
            c.json(ColumnMembers.columnCalculation(
                    d,
                    column(d, mark),
                    number(c, "lift", 0, 0, 1000),
                    number(c, "combination", 0, 0, 1_000_000),
                    number(c, "demand", 0, 0, 1000)));
        }
    }

    private void curves(Context c) {
        BuildingDesign d = published(projects, c).design();
        c.json(ColumnMembers.curves(
                d,
                column(d, c.pathParam("mark")),
                number(c, "lift", 0, 0, 1000),
                number(c, "combination", 0, 0, 100_000),
                number(c, "demand", 0, 0, 100_000),
                Optional.ofNullable(c.queryParam("angle")).map(a -> number(c, "angle", 0, -360, 360))));
    }

    private void surface(Context c) {
        BuildingDesign d = published(projects, c).design();
        c.json(ColumnMembers.surface(d, column(d, c.pathParam("mark")), number(c, "lift", 0, 0, 1000)));
    }

    private void interaction(Context c) {
        BuildingDesign d = published(projects, c).design();
        c.json(ColumnMembers.interaction(d, column(d, c.pathParam("mark")), number(c, "lift", 0, 0, 1000)));
    }

    private void schedule(Context c) {
        BuildingDesign d = published(projects, c).design();
        Scheduled all = Scheduled.of(d, ExportRoutes.marks(FileAsked.of(c, "marks"), "marks"));
        ScheduleTables.Table t = switch (c.pathParam("kind")) {
            case "beams" -> ScheduleTables.beams(all);
            case "columns" -> ScheduleTables.columns(all);
            case "bars" -> ScheduleTables.bars(all);
            case "totals" -> ScheduleTables.totals(all);
            case "quantities" -> ScheduleTables.quantities(d);
            case "types" -> ScheduleTables.types(all);
            default -> throw new NoSuchElementException("There is no schedule " + c.pathParam("kind") + ".");
        };
        int size = number(c, "size", 50, 1, LARGEST_PAGE);
        int page = number(c, "page", 0, 0, 1_000_000);
        List<Answers.ScheduleColumn> columns = new ArrayList<>();
        for (int k = 0; k < t.columns().size(); k++) {
            columns.add(
                    new Answers.ScheduleColumn(t.columns().get(k), t.widths().get(k), t.numeric(k)));
        }
        List<List<String>> rows = new ArrayList<>();
        List<DrawingRoutes.SheetDto> pictures = new ArrayList<>();
        Set<String> shown = new HashSet<>();
        for (int r = page * size; r < Math.min(t.rows().size(), (page + 1) * size); r++) {
            List<String> row = new ArrayList<>();
            for (int k = 0; k < columns.size(); k++) {
                row.add(t.text(r, k));
            }
            rows.add(row);
            Drawing picture = t.pictures().get(row.get(0));
            if (picture != null && shown.add(row.get(0))) {
                pictures.add(section(picture, row.get(0)));
            }
        }
        c.json(new Answers.SchedulePage(
                t.title(),
                t.rows().size(),
                page,
                size,
                columns,
                rows,
                t.shapes().stream().map(Answers.BarShapeDto::of).toList(),
                pictures));
    }

    private static DrawingRoutes.SheetDto section(Drawing picture, String mark) {
        double[] box = picture.box();
        return DrawingRoutes.of(
                picture.moved(-box[0], -box[1]),
                1,
                1,
                new double[] {box[2] - box[0] + 2, box[3] - box[1] + 2},
                List.of(mark));
    }
}
