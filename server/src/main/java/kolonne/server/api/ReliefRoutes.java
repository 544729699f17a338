package kolonne.server.api;

import io.javalin.http.Context;
import io.javalin.http.HandlerType;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.NoSuchElementException;
import kolonne.core.analysis.Analysis;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.CrackingTorque;
import kolonne.core.compare.AnalysisComparison;
import kolonne.core.design.BuildingDesign;
import kolonne.core.model.Building;
import kolonne.core.model.Member;
import kolonne.core.model.StiffnessFactors;
import kolonne.core.relief.TorsionRelief;
import kolonne.server.project.Projects;
import kolonne.server.project.Workspace;

/** Whether a line's torsion is needed, and what relieving it to the cracking torque would move; nothing is stored. */
final class ReliefRoutes {
    private static final int SHOWN = 8;

    private final Projects projects;

    ReliefRoutes(Projects projects) {
        this.projects = projects;
    }

    List<Route> routes() {
        return List.of(
                new Route(
                                HandlerType.POST,
                                "/api/projects/{id}/members/{mark}/torsion-relief",
                                "Finds by re-analysis whether a line's torsion is needed, and the stiffness that relieves it; a trial, nothing is stored",
                                null,
                                ReliefDto.class,
                                new String[0],
                                this::find)
                        .needs(Needs.READER),
                new Route(
                                HandlerType.POST,
                                "/api/projects/{id}/torsion-relief",
                                "Relieves every line whose torsion comes from compatibility and passes the cracking torque, together; a trial, nothing is stored",
                                null,
                                ReliefOfAllDto.class,
                                new String[0],
                                this::findAll)
                        .needs(Needs.READER));
    }

    /** @param kind equilibrium lines are listed but keep their stiffness */
    record RelievedDto(
            String mark,
            String kind,
            String evidence,
            double factor,
            double torqueKnm,
            double relievedKnm,
            double crackingKnm) {}

    record ReliefOfAllDto(List<RelievedDto> lines, List<MovedDto> moved, List<EditDto> edits) {}

    private void findAll(Context c) {
        BuildingDesign d = own(c);
        Map<String, String> marks = new LinkedHashMap<>();
        List<TorsionRelief.Line> lines = new ArrayList<>();
        for (BeamDesign b : d.beams()) {
            marks.put(b.line().id(), b.line().mark());
            lines.add(line(d, b));
        }
        TorsionRelief.All all = TorsionRelief.all(d.analysis(), lines);
        List<EditDto> edits = new ArrayList<>();
        all.lines().stream()
                .filter(r -> r.factor() != 1)
                .forEach(r -> edits.addAll(
                        edits(d.analysis().index().building(), r.line().members(), r.factor())));
        c.json(new ReliefOfAllDto(
                all.lines().stream()
                        .map(r -> new RelievedDto(
                                marks.get(r.line().id()),
                                r.kind().name().toLowerCase(Locale.ROOT),
                                r.evidence(),
                                r.factor(),
                                r.torque() / 1e6,
                                r.relieved() / 1e6,
                                r.line().cracking() / 1e6))
                        .toList(),
                edits.isEmpty() ? List.of() : moved(d, all.after()),
                edits));
    }

    /** The design, if its frame was analysed here. */
    private BuildingDesign own(Context c) {
        Workspace.Published p = ResultRoutes.published(projects, c);
        if (p.design().analysis().imported()) {
            throw new BadRequest(
                    409,
                    "imported",
                    "The forces were solved elsewhere; the frame is not analysed here.",
                    "Use Kolonne's own analysis.");
        }
        return p.design();
    }

    /** @param before largest moment over the strength combinations */
    record MovedDto(String mark, String member, double before, double after, double by) {}

    /**
     * @param kind  equilibrium or compatibility
     * @param edits that put the relief in force; empty where there is nothing to relieve
     * @param moved members whose bending changes most
     */
    record ReliefDto(
            String kind,
            String evidence,
            double factor,
            double torqueKnm,
            double relievedKnm,
            double crackingKnm,
            List<MovedDto> moved,
            List<EditDto> edits) {}

    private void find(Context c) {
        BuildingDesign d = own(c);
        BeamDesign b = d.beams().stream()
                .filter(q -> q.line().mark().equals(c.pathParam("mark")))
                .findFirst()
                .orElseThrow(() -> new NoSuchElementException("There is no beam line " + c.pathParam("mark") + "."));
        TorsionRelief.Line line = line(d, b);
        TorsionRelief.Found f = TorsionRelief.find(d.analysis(), line);
        c.json(new ReliefDto(
                f.kind().name().toLowerCase(Locale.ROOT),
                f.evidence(),
                f.factor(),
                f.torque() / 1e6,
                f.relieved() / 1e6,
                line.cracking() / 1e6,
                f.after() == null || f.factor() == 1 ? List.of() : moved(d, f.after()),
                f.factor() == 1 ? List.of() : edits(d.analysis().index().building(), line.members(), f.factor())));
    }

    private static TorsionRelief.Line line(BuildingDesign d, BeamDesign b) {
        return new TorsionRelief.Line(
                b.line().id(),
                b.line().spans().stream()
                        .flatMap(s -> s.members().stream())
                        .map(Member::id)
                        .toList(),
                CrackingTorque.least(b.line(), b.basis()),
                b.hand().torsion());
    }

    private static List<MovedDto> moved(BuildingDesign d, Analysis after) {
        Map<String, String> marks = new LinkedHashMap<>();
        d.beams()
                .forEach(b -> b.line()
                        .spans()
                        .forEach(s -> s.members()
                                .forEach(m -> marks.put(m.id(), b.line().mark()))));
        d.columns()
                .forEach(k -> k.stack()
                        .lifts()
                        .forEach(l -> marks.put(l.member(), k.stack().mark())));
        return AnalysisComparison.of(d.analysis(), after, Analysis.MY).stream()
                .limit(SHOWN)
                .map(k -> new MovedDto(
                        marks.getOrDefault(k.member(), ""),
                        k.member(),
                        k.before()[Analysis.MY] / 1e6,
                        k.after()[Analysis.MY] / 1e6,
                        k.by(Analysis.MY) / 1e6))
                .toList();
    }

    /** Members keep their other factors. */
    private static List<EditDto> edits(Building b, List<String> members, double factor) {
        Map<StiffnessFactors, List<String>> alike = new LinkedHashMap<>();
        b.members().stream()
                .filter(m -> members.contains(m.id()))
                .forEach(m -> alike.computeIfAbsent(b.options().factorsOf(m), k -> new ArrayList<>())
                        .add(m.id()));
        List<EditDto> out = new ArrayList<>();
        alike.forEach((f, ids) -> out.add(new EditDto.StiffnessEdit(
                "stiffness", ids, f.area(), f.shearY(), f.shearZ(), f.iy(), f.iz(), Math.rint(factor * 1e5) / 1e5)));
        return out;
    }
}
