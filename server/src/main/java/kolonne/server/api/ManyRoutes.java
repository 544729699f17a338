package kolonne.server.api;

import io.javalin.http.Context;
import io.javalin.http.HandlerType;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kolonne.core.beam.cage.HandCage;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.column.cage.HandLift;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.HandSet;
import kolonne.core.finding.Finding;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Member;
import kolonne.core.shape.Shape;
import kolonne.exchange.json.MayBeNull;
import kolonne.server.jobs.Jobs;
import kolonne.server.project.Outcome;
import kolonne.server.project.Projects;
import kolonne.server.project.Workspace;

/** What is done to many lines and stacks at once, and what came of the last change, line by line. */
final class ManyRoutes {
    /** Members that one request may name. */
    private static final int MOST = 20_000;

    private static final int MOST_STEPS = 20;
    /** Changes of an outcome that are told one by one. */
    private static final int TOLD = 50;

    private final Projects projects;

    ManyRoutes(Projects projects) {
        this.projects = projects;
    }

    List<Route> routes() {
        return List.of(
                new Route(
                                HandlerType.POST,
                                "/api/projects/{id}/elements",
                                "Analysis members by their ids: section, stiffness, connections and loads; nothing is stored",
                                MembersDto.class,
                                ElementsDto.class,
                                new String[0],
                                this::elements)
                        .needs(Needs.READER),
                new Route(
                                HandlerType.POST,
                                "/api/projects/{id}/resized",
                                "Edits that make members deeper or wider by steps of the basis; nothing is stored",
                                ResizeDto.class,
                                EditRoutes.EditsDto.class,
                                new String[0],
                                this::resized)
                        .needs(Needs.READER),
                new Route(
                        HandlerType.POST,
                        "/api/projects/{id}/hand",
                        "Releases what is set by hand on lines, or sets their kind of torsion, in one step (If-Match: version)",
                        HandOfManyDto.class,
                        Answers.ProjectDto.class,
                        new String[0],
                        this::hand),
                Route.get(
                        "/api/projects/{id}/outcome",
                        "What the newest design mended and broke beside the one before",
                        OutcomeDto.class,
                        this::outcome));
    }

    record MembersDto(List<String> members) {}

    record ElementsDto(List<EditRoutes.ElementDto> elements) {}

    /** @param deeper and {@code wider} in steps of the basis, negative for less */
    record ResizeDto(List<String> members, int deeper, int wider) {}

    /** @param torsion as-found, equilibrium or compatibility, or null to leave it. @param release whether all that is set by hand goes */
    record HandOfManyDto(
            List<String> marks, boolean release, @MayBeNull String torsion) {}

    record TurnedDto(String mark, double before, double after, String check) {
        static List<TurnedDto> of(List<Outcome.Change> all) {
            return all.stream()
                    .limit(TOLD)
                    .map(c -> new TurnedDto(c.mark(), c.before(), c.after(), c.check()))
                    .toList();
        }
    }

    /** @param mended and {@code broken}: counts; the first of them one by one */
    record OutcomeDto(
            int from, int to, int mended, int broken, List<TurnedDto> firstMended, List<TurnedDto> firstBroken) {}

    private static List<String> named(List<String> ids, String of) {
        if (ids == null || ids.isEmpty() || ids.size() > MOST || ids.contains(null)) {
            throw new BadRequest(
                    422, of, "Name 1 to " + MOST + " " + of + ".", "Select at least one, and fewer at a time.");
        }
        return ids;
    }

    private static List<Member> members(Building b, List<String> ids) {
        BuildingIndex index = new BuildingIndex(b);
        List<Member> out = new ArrayList<>();
        for (String id : named(ids, "members")) {
            Member m = index.member(id);
            if (m == null) {
                throw new BadRequest(422, "members", "There is no member " + id + ".", "Choose members of the model.");
            }
            out.add(m);
        }
        return out;
    }

    private void elements(Context c) {
        Building b = projects.model(c.pathParam("id")).building();
        BuildingIndex index = new BuildingIndex(b);
        Map<String, List<EditRoutes.LoadDto>> loads = new LinkedHashMap<>();
        b.memberLoads()
                .forEach(l -> loads.computeIfAbsent(l.member(), k -> new ArrayList<>())
                        .add(EditRoutes.load(b, l)));
        c.json(new ElementsDto(members(b, Body.of(c, MembersDto.class).members()).stream()
                .map(m -> EditRoutes.element(index, m, loads.getOrDefault(m.id(), List.of())))
                .toList()));
    }

    private void resized(Context c) {
        ResizeDto ask = Body.of(c, ResizeDto.class);
        if (Math.abs(ask.deeper()) > MOST_STEPS || Math.abs(ask.wider()) > MOST_STEPS) {
            throw new BadRequest(
                    422, "steps", "At most " + MOST_STEPS + " steps at a time.", "Take fewer steps, then look.");
        }
        String id = c.pathParam("id");
        Building b = projects.model(id).building();
        double step = projects.basis(id).beams().advice().step();
        BuildingIndex index = new BuildingIndex(b);
        Map<Shape, List<String>> by = new LinkedHashMap<>();
        for (Member m : members(b, ask.members())) {
            by.computeIfAbsent(index.sectionOf(m).shape(), k -> new ArrayList<>())
                    .add(m.id());
        }
        SectionEdits edits = new SectionEdits(b, b.unitSystem().equals("US"));
        List<EditDto> out = new ArrayList<>();
        by.forEach((shape, members) -> {
            try {
                out.addAll(edits.give(members, shape.grown(ask.wider() * step, ask.deeper() * step)));
            } catch (IllegalArgumentException e) {
                throw new BadRequest(
                        422,
                        "steps",
                        "A section of " + shape.label(b.unitSystem().equals("US"))
                                + " cannot be made that much smaller.",
                        "Take fewer steps.");
            }
        });
        c.json(new EditRoutes.EditsDto(out));
    }

    private void hand(Context c) {
        HandOfManyDto ask = Body.of(c, HandOfManyDto.class);
        Set<String> marks = new HashSet<>(named(ask.marks(), "lines"));
        BuildingDesign d = ResultRoutes.published(projects, c).design();
        Map<String, HandCage> cages = new LinkedHashMap<>();
        Map<String, HandLift> lifts = ask.release() ? byHand(d, marks) : Map.of();
        for (BeamDesign b : d.beams()) {
            if (marks.contains(b.line().mark())) {
                HandCage was = d.contexts().beams().hand().getOrDefault(b.line().id(), HandCage.NONE);
                HandCage now = ask.release() ? HandCage.NONE : was.with(torsion(ask.torsion()));
                if (!now.equals(was)) {
                    cages.put(b.line().id(), now);
                }
            }
        }
        if (cages.isEmpty() && lifts.isEmpty()) {
            throw new Jobs.Refused(List.of(Finding.fails(
                    "hand-set",
                    "lines",
                    ask.release()
                            ? "Nothing is set by hand on the members that are selected."
                            : "No beam line that is selected has another kind of torsion.",
                    "Select members that it changes.")));
        }
        String what = ask.release() ? "all set by hand released on " : "torsion " + ask.torsion() + " for ";
        ProjectRoutes.moved(
                c,
                projects.changes()
                        .handSet(
                                c.pathParam("id"),
                                ProjectRoutes.version(c),
                                new HandSet(cages, lifts),
                                what + counted(cages.size(), stacks(d, marks, lifts)),
                                People.of(c)));
    }

    /** Lifts of stacks of these marks that have parts set by hand, released. */
    private static Map<String, HandLift> byHand(BuildingDesign d, Set<String> marks) {
        Map<String, HandLift> out = new LinkedHashMap<>();
        d.columns().stream()
                .filter(s -> marks.contains(s.stack().mark()))
                .flatMap(s -> s.lifts().stream())
                .filter(l -> !l.hand().isEmpty())
                .forEach(l -> out.put(l.lift().member(), HandLift.NONE));
        return out;
    }

    private static int stacks(BuildingDesign d, Set<String> marks, Map<String, HandLift> lifts) {
        return lifts.isEmpty()
                ? 0
                : (int) d.columns().stream()
                        .filter(s -> s.byHand() && marks.contains(s.stack().mark()))
                        .count();
    }

    private static String counted(int lines, int stacks) {
        String l = lines == 1 ? "1 beam line" : lines + " beam lines";
        String c = stacks == 1 ? "1 column" : stacks + " columns";
        return stacks == 0 ? l : lines == 0 ? c : l + " and " + c;
    }

    private static HandCage.TorsionKind torsion(String word) {
        for (HandCage.TorsionKind k : HandCage.TorsionKind.values()) {
            if (k.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-').equals(word)) {
                return k;
            }
        }
        throw new BadRequest(
                422,
                "torsion",
                "There is no kind of torsion " + word + ".",
                "Use as-found, equilibrium or compatibility.");
    }

    private void outcome(Context c) {
        Workspace w = projects.designed(c.pathParam("id"));
        Outcome o = w.outcome();
        c.json(new OutcomeDto(
                o.from(),
                o.to(),
                o.mended().size(),
                o.broken().size(),
                TurnedDto.of(o.mended()),
                TurnedDto.of(o.broken())));
    }
}
