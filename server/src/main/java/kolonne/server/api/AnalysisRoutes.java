package kolonne.server.api;

import io.javalin.http.Context;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.Deflection;
import kolonne.core.analysis.StoreyResults;
import kolonne.core.compare.AnalysisComparison;
import kolonne.core.model.Building;
import kolonne.core.model.Joint;
import kolonne.core.model.LoadCase;
import kolonne.core.revision.MemberMatching;
import kolonne.exchange.json.MayBeNull;
import kolonne.server.project.Projects;
import kolonne.server.project.Workspace;

/** What the analysis found, to look at: balance, storeys, diagrams, deflected shape, reactions, and what a change moved. */
final class AnalysisRoutes {
    private static final int SHAPE_PARTS = 8;

    private final Projects projects;

    AnalysisRoutes(Projects projects) {
        this.projects = projects;
    }

    List<Route> routes() {
        return List.of(
                Route.get(
                        "/api/projects/{id}/analysis",
                        "Balance of every case, storeys, masses, and what can be shown",
                        AnalysisDto.class,
                        this::analysis),
                Route.get(
                        "/api/projects/{id}/analysis/diagram",
                        "A force along every member, of a case, combination or envelope",
                        DiagramDto.class,
                        this::diagram,
                        "of",
                        "component"),
                Route.get(
                        "/api/projects/{id}/analysis/deflection",
                        "The deflected shape of every member, of a case or combination",
                        DeflectionDto.class,
                        this::deflection,
                        "of"),
                Route.get(
                        "/api/projects/{id}/analysis/reactions",
                        "Reactions of every supported joint, of a case or combination",
                        ReactionsDto.class,
                        this::reactions,
                        "of"),
                Route.get(
                        "/api/projects/{id}/analysis/compare",
                        "What changed per member between two versions, largest first",
                        CompareDto.class,
                        this::compare,
                        "from",
                        "to",
                        "component"));
    }

    /** Loads against reactions of a case, along X, Y, Z. */
    record BalanceDto(
            String id,
            String name,
            String kind,
            boolean selfWeight,
            boolean generated,
            double[] applied,
            double[] reaction,
            double residual) {}

    record DriftDto(
            String storey,
            double baseM,
            double topM,
            String loadCase,
            double[] driftMm,
            double[] worst,
            double[] shear) {}

    record MassDto(String storey, double massT, double xM, double yM) {}

    record ChoiceDto(String id, String name) {}

    record AnalysisDto(
            int version,
            boolean imported,
            boolean stale,
            String forceUnit,
            String momentUnit,
            List<BalanceDto> balance,
            List<DriftDto> drifts,
            List<MassDto> masses,
            List<ChoiceDto> combinations,
            List<Problem.FindingDto> findings) {}

    /** @param x along the member [m]; v values, upper ones of an envelope; low lower ones of an envelope, else null */
    record MemberDiagramDto(
            String id, double[] x, double[] v, @MayBeNull double[] low) {}

    record DiagramDto(
            int version, String of, String component, String unit, double most, List<MemberDiagramDto> members) {}

    /** @param points along the member (0 to 1) and displacements along X, Y, Z [mm], four numbers a point */
    record ShapeDto(String id, double[] points) {}

    record DeflectionDto(int version, String of, double mostMm, List<ShapeDto> members) {}

    /** @param forces along and about X, Y, Z */
    record ReactionDto(String joint, double xM, double yM, double zM, double[] forces) {}

    record ReactionsDto(int version, String of, String forceUnit, String momentUnit, List<ReactionDto> joints) {}

    /** @param before largest magnitude over the strength combinations; null if the member was not there */
    record ChangeDto(
            String member,
            String mark,
            @MayBeNull Double before,
            @MayBeNull Double after,
            double by) {}

    record CompareDto(int from, int to, String component, String unit, double most, List<ChangeDto> changes) {}

    // ---- units and parameters
    // -----------------------------------------------------------------------------------------

    private static boolean us(Analysis a) {
        return a.index().building().unitSystem().equals("US");
    }

    private static double unit(Analysis a, boolean moment) {
        double force = us(a) ? 4448.2216152605 : 1000;
        return moment ? force * (us(a) ? 304.8 : 1000) : force;
    }

    private static String unitName(Analysis a, boolean moment) {
        return us(a) ? moment ? "kip·ft" : "kip" : moment ? "kNm" : "kN";
    }

    private static double rounded(double v) {
        return Math.rint(v * 1000) / 1000;
    }

    private static final List<String> COMPONENTS = List.of("n", "vy", "vz", "t", "my", "mz");

    private static int component(Context c) {
        String s = c.queryParam("component") == null ? "my" : c.queryParam("component");
        int i = COMPONENTS.indexOf(s);
        if (i < 0) {
            throw new BadRequest(
                    400, "parameter", "component is " + s + ".", "Use one of " + String.join(", ", COMPONENTS) + ".");
        }
        return i;
    }

    /** Load-case factors of what is asked for; several sets for an envelope. */
    private static List<double[]> sets(Analysis a, String of) {
        Building b = a.index().building();
        if (of != null && of.startsWith("case:")) {
            for (int i = 0; i < b.loadCases().size(); i++) {
                if (b.loadCases().get(i).id().equals(of.substring(5))) {
                    double[] f = new double[b.loadCases().size()];
                    f[i] = 1;
                    return List.of(f);
                }
            }
        }
        List<double[]> out = new ArrayList<>();
        b.combinations().stream()
                .filter(k -> ("combination:" + k.id()).equals(of)
                        || ("envelope:"
                                        + k.purpose()
                                                .name()
                                                .toLowerCase(java.util.Locale.ROOT)
                                                .replace('_', '-'))
                                .equals(of))
                .forEach(k -> {
                    double[] f = new double[b.loadCases().size()];
                    k.terms().forEach(t -> f[a.index().caseNumber(t.loadCase())] += t.factor());
                    out.add(f);
                });
        if (out.isEmpty()) {
            throw new BadRequest(
                    400,
                    "parameter",
                    "There is nothing called " + of + ".",
                    "Ask for case:ID, combination:ID or envelope:strength.");
        }
        return out;
    }

    /** One set of factors; an envelope has no single shape. */
    private static double[] set(Analysis a, String of) {
        List<double[]> all = sets(a, of);
        if (all.size() != 1) {
            throw new BadRequest(
                    400,
                    "parameter",
                    "An envelope has no single shape and no single reaction.",
                    "Choose a load case or a combination.");
        }
        return all.get(0);
    }

    private static void displacementsKnown(Analysis a) {
        if (a.imported()) {
            throw new BadRequest(
                    409,
                    "imported",
                    "The forces were solved elsewhere; displacements and reactions did not come with them.",
                    "Use Kolonne's own analysis to see them.");
        }
    }

    private Analysis current(Context c) {
        return projects.analysis(c.pathParam("id"), Integer.MAX_VALUE);
    }

    private int version(Context c) {
        return projects.model(c.pathParam("id")).modelVersion();
    }

    // ---- answers
    // ------------------------------------------------------------------------------------------------------

    private void analysis(Context c) {
        Workspace w = projects.model(c.pathParam("id"));
        Analysis a = current(c);
        Building b = a.index().building();
        double f = unit(a, false);
        List<BalanceDto> balance = new ArrayList<>();
        List<DriftDto> drifts = new ArrayList<>();
        for (int k = 0; k < b.loadCases().size(); k++) {
            LoadCase l = b.loadCases().get(k);
            double[] applied = new double[3];
            double[] reaction = new double[3];
            for (int d = 0; d < 3; d++) {
                applied[d] = rounded(a.applied(k, d) / f);
                for (int j = 0; j < b.joints().size(); j++) {
                    reaction[d] += a.reaction(k, j, d) / f;
                }
                reaction[d] = rounded(reaction[d]);
            }
            balance.add(new BalanceDto(
                    l.id(),
                    l.name(),
                    l.lean() != null
                            ? "out of plumb"
                            : l.kind().name().toLowerCase(java.util.Locale.ROOT).replace('_', ' '),
                    l.selfWeight() != 0,
                    l.generated(),
                    applied,
                    reaction,
                    a.residual(k)));
            if (l.kind().isLateral() && !a.imported()) {
                StoreyResults.of(a, k)
                        .forEach(r -> drifts.add(new DriftDto(
                                r.storey(),
                                r.base() / 1000,
                                r.top() / 1000,
                                l.id(),
                                new double[] {rounded(r.drift()[0]), rounded(r.drift()[1])},
                                r.worst(),
                                new double[] {rounded(r.shear()[0] / f), rounded(r.shear()[1] / f)})));
            }
        }
        c.json(new AnalysisDto(
                w.modelVersion(),
                a.imported(),
                w.forcesStale(),
                unitName(a, false),
                unitName(a, true),
                balance,
                drifts,
                StoreyResults.masses(a).stream()
                        .map(m -> new MassDto(m.storey(), m.mass(), m.x() / 1000, m.y() / 1000))
                        .toList(),
                b.combinations().stream()
                        .map(k -> new ChoiceDto(k.id(), k.name()))
                        .toList(),
                Problem.FindingDto.of(a.findings())));
    }

    private void diagram(Context c) {
        Analysis a = current(c);
        int component = component(c);
        List<double[]> sets = sets(a, c.queryParam("of"));
        boolean moment = component >= Analysis.T;
        double unit = unit(a, moment);
        MemberDiagramDto[] out =
                new MemberDiagramDto[a.index().building().members().size()];
        IntStream.range(0, out.length).parallel().forEach(m -> out[m] = member(a, m, component, sets, unit));
        double most = Arrays.stream(out)
                .flatMapToDouble(d -> java.util.stream.DoubleStream.concat(
                        Arrays.stream(d.v()),
                        d.low() == null ? java.util.stream.DoubleStream.empty() : Arrays.stream(d.low())))
                .map(Math::abs)
                .max()
                .orElse(0);
        c.json(new DiagramDto(
                version(c), c.queryParam("of"), COMPONENTS.get(component), unitName(a, moment), most, List.of(out)));
    }

    private static MemberDiagramDto member(Analysis a, int m, int component, List<double[]> sets, double unit) {
        int n = a.stationCount(m);
        double[] x = new double[n];
        double[] high = new double[n];
        double[] low = sets.size() > 1 ? new double[n] : null;
        for (int s = 0; s < n; s++) {
            x[s] = rounded(a.stationX(m, s) / 1000);
            double most = Double.NEGATIVE_INFINITY;
            double least = Double.POSITIVE_INFINITY;
            for (double[] f : sets) {
                double v = 0;
                for (int k = 0; k < f.length; k++) {
                    v += f[k] == 0 ? 0 : f[k] * a.force(m, k, s, component);
                }
                most = Math.max(most, v);
                least = Math.min(least, v);
            }
            high[s] = rounded(most / unit);
            if (low != null) {
                low[s] = rounded(least / unit);
            }
        }
        return new MemberDiagramDto(a.index().building().members().get(m).id(), x, high, low);
    }

    private void deflection(Context c) {
        Analysis a = current(c);
        displacementsKnown(a);
        double[] f = set(a, c.queryParam("of"));
        ShapeDto[] out = new ShapeDto[a.index().building().members().size()];
        double[] most = new double[out.length];
        IntStream.range(0, out.length).parallel().forEach(m -> {
            Deflection.Shape s = Deflection.of(a, m, f, SHAPE_PARTS);
            double length = s.x()[s.x().length - 1];
            double[] points = new double[4 * s.x().length];
            for (int k = 0; k < s.x().length; k++) {
                points[4 * k] = rounded(s.x()[k] / length);
                for (int d = 0; d < 3; d++) {
                    points[4 * k + 1 + d] = rounded(s.global()[k][d]);
                }
                double[] g = s.global()[k];
                most[m] = Math.max(most[m], Math.sqrt(g[0] * g[0] + g[1] * g[1] + g[2] * g[2]));
            }
            out[m] = new ShapeDto(a.index().building().members().get(m).id(), points);
        });
        c.json(new DeflectionDto(
                version(c), c.queryParam("of"), Arrays.stream(most).max().orElse(0), List.of(out)));
    }

    private void reactions(Context c) {
        Analysis a = current(c);
        displacementsKnown(a);
        double[] f = set(a, c.queryParam("of"));
        Building b = a.index().building();
        List<String> held =
                new ArrayList<>(b.supports().stream().map(s -> s.joint()).toList());
        b.springs().stream().map(s -> s.joint()).filter(j -> !held.contains(j)).forEach(held::add);
        List<ReactionDto> out = new ArrayList<>();
        for (String id : held) {
            int j = a.index().jointNumber(id);
            double[] r = new double[6];
            for (int d = 0; d < 6; d++) {
                for (int k = 0; k < f.length; k++) {
                    r[d] += f[k] * a.reaction(k, j, d);
                }
                r[d] = rounded(r[d] / unit(a, d >= 3));
            }
            Joint joint = b.joints().get(j);
            out.add(new ReactionDto(id, joint.x() / 1000, joint.y() / 1000, joint.z() / 1000, r));
        }
        c.json(new ReactionsDto(version(c), c.queryParam("of"), unitName(a, false), unitName(a, true), out));
    }

    private void compare(Context c) {
        String id = c.pathParam("id");
        int from = ResultRoutes.number(c, "from", 1, 1, Integer.MAX_VALUE);
        int to = ResultRoutes.number(c, "to", Integer.MAX_VALUE, 1, Integer.MAX_VALUE);
        int component = component(c);
        Analysis before = projects.analysis(id, from);
        Analysis after = projects.analysis(id, to);
        double unit = unit(after, component >= Analysis.T);
        Map<String, String> marks = new HashMap<>();
        Workspace.Published p = projects.open(id).published();
        if (p != null) {
            p.design()
                    .beams()
                    .forEach(d -> d.line()
                            .spans()
                            .forEach(s -> s.members()
                                    .forEach(m -> marks.put(m.id(), d.line().mark()))));
            p.design()
                    .columns()
                    .forEach(d -> d.stack()
                            .lifts()
                            .forEach(l -> marks.put(l.member(), d.stack().mark())));
        }
        List<ChangeDto> changes = AnalysisComparison.of(before, after, component, renamed(before, after)).stream()
                .map(k -> new ChangeDto(
                        k.member(),
                        marks.getOrDefault(k.member(), ""),
                        k.before() == null ? null : rounded(k.before()[component] / unit),
                        k.after() == null ? null : rounded(k.after()[component] / unit),
                        rounded(k.by(component) / unit)))
                .toList();
        c.json(new CompareDto(
                from,
                Math.min(to, version(c)),
                COMPONENTS.get(component),
                unitName(after, component >= Analysis.T),
                changes.isEmpty() ? 0 : Math.abs(changes.get(0).by()),
                changes));
    }

    /** Newer ids of members that a newer model calls otherwise. */
    private static UnaryOperator<String> renamed(Analysis before, Analysis after) {
        if (before.index().building().members().equals(after.index().building().members())) {
            return UnaryOperator.identity();
        }
        Map<String, String> pairs =
                MemberMatching.of(before.index(), after.index()).pairs();
        return id -> pairs.getOrDefault(id, id);
    }
}
