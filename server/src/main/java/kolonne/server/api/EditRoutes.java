package kolonne.server.api;

import io.javalin.http.Context;
import io.javalin.http.HandlerType;
import java.time.ZoneOffset;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import kolonne.core.model.AnalysisOptions;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Combination;
import kolonne.core.model.Member;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.StiffnessFactors;
import kolonne.exchange.model.ModelWriter;
import kolonne.server.project.Projects;

/** Changes of the model made in the application, with undo and redo, and what there is to change. */
final class EditRoutes {
    private final Projects projects;

    EditRoutes(Projects projects) {
        this.projects = projects;
    }

    List<Route> routes() {
        return List.of(
                Route.get(
                        "/api/projects/{id}/edits",
                        "The history of model, basis, cages and marks, oldest first",
                        HistoryDto.class,
                        this::history),
                new Route(
                        HandlerType.POST,
                        "/api/projects/{id}/edits",
                        "Changes the model, analyses it and redesigns (If-Match: version)",
                        EditsDto.class,
                        Answers.ProjectDto.class,
                        new String[0],
                        c -> ProjectRoutes.moved(
                                c,
                                projects.changes()
                                        .edit(
                                                c.pathParam("id"),
                                                ProjectRoutes.version(c),
                                                c.bodyAsBytes(),
                                                People.of(c)))),
                new Route(
                                HandlerType.POST,
                                "/api/projects/{id}/edits/preview",
                                "What edits would do to lines, stacks and what is set by hand; nothing is stored",
                                EditsDto.class,
                                EffectsDto.class,
                                new String[0],
                                c -> c.json(
                                        new EffectsDto(projects.changes().preview(c.pathParam("id"), c.bodyAsBytes()))))
                        .needs(Needs.READER),
                new Route(
                        HandlerType.PUT,
                        "/api/projects/{id}/members/{mark}/mark",
                        "Gives a line or stack another mark (If-Match: version)",
                        MarkDto.class,
                        Answers.ProjectDto.class,
                        new String[0],
                        this::mark),
                new Route(
                        HandlerType.POST,
                        "/api/projects/{id}/undo",
                        "Takes the newest change back (If-Match: version)",
                        null,
                        Answers.ProjectDto.class,
                        new String[0],
                        c -> ProjectRoutes.moved(
                                c,
                                projects.changes()
                                        .undo(c.pathParam("id"), ProjectRoutes.version(c), false, People.of(c)))),
                new Route(
                        HandlerType.POST,
                        "/api/projects/{id}/redo",
                        "Puts the last undone change in force again (If-Match: version)",
                        null,
                        Answers.ProjectDto.class,
                        new String[0],
                        c -> ProjectRoutes.moved(
                                c,
                                projects.changes()
                                        .undo(c.pathParam("id"), ProjectRoutes.version(c), true, People.of(c)))),
                Route.get(
                        "/api/projects/{id}/elements/{member}",
                        "One analysis member: section, stiffness, connections and loads",
                        ElementDto.class,
                        this::element),
                Route.get("/api/projects/{id}/options", "How the frame is analysed", OptionsDto.class, this::options));
    }

    /** Edits as in docs/formats/edits.md. */
    record EditsDto(List<EditDto> edits) {}

    /** @param effects sentences about lines, stacks and what is set by hand */
    record EffectsDto(List<String> effects) {}

    /** @param mark the new one */
    record MarkDto(String mark) {}

    /** @param kind model, basis, cage, mark, undo or redo; {@code person} empty where they did not say */
    record HistoryEntryDto(
            int version,
            String kind,
            String summary,
            String person,
            String at,
            boolean changesModel,
            boolean inForce,
            List<String> effects) {}

    /** @param entries the import is version 1 and not listed */
    record HistoryDto(List<HistoryEntryDto> entries, boolean canUndo, boolean canRedo, int modelVersion) {}

    record FactorsDto(double area, double shearY, double shearZ, double iy, double iz, double torsion) {
        static FactorsDto of(StiffnessFactors f) {
            return new FactorsDto(f.area(), f.shearY(), f.shearZ(), f.iy(), f.iz(), f.torsion());
        }
    }

    /** @param from and to along the member [m or ft], values in the units of the model file */
    record LoadDto(
            String loadCase, String kind, String direction, double from, double to, double value, double valueTo) {}

    /** @param ownFactors whether the factors are its own, not those of its role; releases: action or action=stiffness */
    record ElementDto(
            String id,
            String role,
            String section,
            List<String> sections,
            String material,
            List<String> materials,
            double lengthM,
            FactorsDto factors,
            boolean ownFactors,
            List<String> releaseStart,
            List<String> releaseEnd,
            List<LoadDto> loads) {}

    record OptionsDto(
            boolean shearDeformation,
            double rigidEnds,
            boolean patternLive,
            double inclination,
            Map<String, Double> pDelta,
            FactorsDto beams,
            FactorsDto columns) {}

    private void history(Context c) {
        String id = c.pathParam("id");
        boolean[] able = projects.undoable(id);
        c.json(new HistoryDto(
                projects.edits(id).stream()
                        .map(e -> new HistoryEntryDto(
                                e.version(),
                                e.kind(),
                                e.summary(),
                                e.person(),
                                e.at().atOffset(ZoneOffset.UTC).toString(),
                                e.changesModel(),
                                e.inForce(),
                                e.effects()))
                        .toList(),
                able[0],
                able[1],
                projects.model(id).modelVersion()));
    }

    private void mark(Context c) {
        String other = Body.of(c, MarkDto.class).mark();
        ProjectRoutes.moved(
                c,
                projects.changes()
                        .mark(
                                c.pathParam("id"),
                                ProjectRoutes.version(c),
                                c.pathParam("mark"),
                                other == null ? "" : other.strip(),
                                People.of(c)));
    }

    private void element(Context c) {
        Building b = projects.model(c.pathParam("id")).building();
        BuildingIndex index = new BuildingIndex(b);
        String id = c.pathParam("member");
        Member m = index.member(id);
        if (m == null) {
            throw new NoSuchElementException("There is no member " + id + ".");
        }
        c.json(element(
                index,
                m,
                b.memberLoads().stream()
                        .filter(l -> l.member().equals(id))
                        .map(l -> load(b, l))
                        .toList()));
    }

    static ElementDto element(BuildingIndex index, Member m, List<LoadDto> loads) {
        Building b = index.building();
        return new ElementDto(
                m.id(),
                m.role().name().toLowerCase(java.util.Locale.ROOT),
                m.section(),
                b.sections().stream().map(s -> s.id()).toList(),
                m.material(),
                b.materials().stream().map(q -> q.id()).toList(),
                index.length(m) / 1000,
                FactorsDto.of(b.options().factorsOf(m)),
                m.stiffness() != null,
                ModelWriter.released(m.startRelease(), b.unitSystem()),
                ModelWriter.released(m.endRelease(), b.unitSystem()),
                loads);
    }

    static LoadDto load(Building b, MemberLoad l) {
        Map<String, Object> row = ModelWriter.load(l, b.unitSystem());
        double value = (Double) row.get("value");
        return new LoadDto(
                l.loadCase(),
                (String) row.get("kind"),
                (String) row.get("direction"),
                (Double) row.get("from"),
                row.get("to") == null ? (Double) row.get("from") : (Double) row.get("to"),
                value,
                row.get("valueTo") == null ? value : (Double) row.get("valueTo"));
    }

    private void options(Context c) {
        AnalysisOptions o = projects.model(c.pathParam("id")).building().options();
        Map<String, Double> p = new LinkedHashMap<>();
        for (Combination.Term t : o.pDelta()) {
            p.merge(t.loadCase(), t.factor(), Double::sum);
        }
        c.json(new OptionsDto(
                o.shearDeformation(),
                o.rigidEnds(),
                o.patternLive(),
                o.inclination(),
                p,
                FactorsDto.of(o.beams()),
                FactorsDto.of(o.columns())));
    }
}
