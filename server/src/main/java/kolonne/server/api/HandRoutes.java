package kolonne.server.api;

import io.javalin.http.Context;
import io.javalin.http.HandlerType;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Set;
import kolonne.core.analysis.Analysis;
import kolonne.core.beam.cage.HandCage;
import kolonne.core.beam.check.BeamContext;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.IdenticalLines;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.HandSet;
import kolonne.core.design.JointFits;
import kolonne.exchange.hand.HandFile;
import kolonne.server.jobs.Jobs;
import kolonne.server.project.HandSummary;
import kolonne.server.project.Projects;
import kolonne.server.project.Workspace;

/** Beam lines set by hand: try, keep, release; cages copied to identical lines and columns; readings by combination. */
final class HandRoutes {
    private final Projects projects;

    HandRoutes(Projects projects) {
        this.projects = projects;
    }

    List<Route> routes() {
        String member = "/api/projects/{id}/members/{mark}";
        return List.of(
                new Route(
                                HandlerType.POST,
                                member + "/try",
                                "Checks a line as if set by hand so; nothing is stored",
                                HandFile.HandDto.class,
                                Members.BeamDto.class,
                                new String[0],
                                this::tried)
                        .needs(Needs.READER),
                new Route(
                        HandlerType.PUT,
                        member + "/hand",
                        "Sets a line by hand; what is left out is Kolonne's again (If-Match: version)",
                        HandFile.HandDto.class,
                        HandSetDto.class,
                        new String[0],
                        this::set),
                Route.get(
                        member + "/identical",
                        "Lines or columns of the same geometry, each checked with this one's cage",
                        IdenticalDto.class,
                        this::identical),
                new Route(
                        HandlerType.POST,
                        member + "/copy",
                        "Copies the cage to others of the same geometry by hand (If-Match: version)",
                        CopyDto.class,
                        Answers.ProjectDto.class,
                        new String[0],
                        this::copy),
                Route.get(
                        member + "/readings",
                        "Forces of every combination at a station",
                        ReadingsDto.class,
                        this::readings,
                        "station"));
    }

    /** @param version of the project now */
    record HandSetDto(int version, Members.BeamDto beam) {}

    /** @param utilisation with the cage of the line asked about; now with its own */
    record AlikeDto(String mark, String storey, double utilisation, boolean satisfied, double now, boolean handSet) {}

    record IdenticalDto(List<AlikeDto> lines) {}

    record CopyDto(List<String> marks) {}

    /** @param moment sagging positive [kNm], shear and axial [kN], torque [kNm]; tension positive */
    record ReadingDto(String combination, double moment, double shear, double torque, double axial) {}

    record ReadingsDto(double x, List<ReadingDto> readings) {}

    private Workspace.Published published(Context c) {
        return ResultRoutes.published(projects, c);
    }

    private static BeamDesign line(BuildingDesign d, String mark) {
        return d.beams().stream()
                .filter(b -> b.line().mark().equals(mark))
                .findFirst()
                .orElseThrow(() -> new NoSuchElementException("There is no beam line " + mark + "."));
    }

    /** The design with one line set by hand. */
    private static BuildingDesign with(BuildingDesign d, HandSet now, String line, HandCage cage) {
        return d.with(now.with(HandSet.ofLines(Map.of(line, cage))), Set.of(line));
    }

    private static HandCage cage(Context c, BuildingDesign d) {
        HandFile.Read r = HandFile.line(c.bodyAsBytes(), d.basis().entry().catalogue());
        if (!r.sound()) {
            throw new Jobs.Refused(r.findings());
        }
        return r.cages().line(HandFile.LINE);
    }

    private void tried(Context c) {
        Workspace.Published p = published(c);
        BuildingDesign d = p.design();
        String mark = c.pathParam("mark");
        String line = line(d, mark).line().id();
        BuildingDesign now = with(d, d.hand(), line, cage(c, d));
        c.json(Members.beam(now, line(now, mark), JointFits.of(now, p.fits())));
    }

    private void set(Context c) {
        String id = c.pathParam("id");
        String mark = c.pathParam("mark");
        BuildingDesign d = published(c).design();
        String line = line(d, mark).line().id();
        HandCage cage = cage(c, d);
        HandCage before = d.hand().line(line);
        int version = projects.changes()
                .handSet(
                        id,
                        ProjectRoutes.version(c),
                        HandSet.ofLines(Map.of(line, cage)),
                        HandSummary.of(mark, before, cage),
                        People.of(c))
                .orElseThrow(HandRoutes::moved)
                .version();
        Workspace.Published after = projects.open(id).published();
        BuildingDesign now = after.design();
        if (!now.hand().line(line).equals(cage)) {
            now = with(
                    now,
                    projects.hand(id),
                    line,
                    cage); // a whole design is under way; this line is shown as it will be
        }
        c.json(new HandSetDto(version, Members.beam(now, line(now, mark), JointFits.of(now, after.fits()))));
    }

    /** What is said where the project moved on under a change. */
    static BadRequest moved() {
        return new BadRequest(
                412,
                "moved",
                "Somebody else changed the project meanwhile.",
                "Look at the newest state and make the change again.");
    }

    private void identical(Context c) {
        BuildingDesign d = published(c).design();
        String mark = c.pathParam("mark");
        c.json(new IdenticalDto(
                LiftHandRoutes.isStack(d, mark) ? LiftHandRoutes.alike(d, mark) : linesAlike(d, line(d, mark))));
    }

    private static List<AlikeDto> linesAlike(BuildingDesign d, BeamDesign b) {
        List<AlikeDto> out = new ArrayList<>();
        for (BeamLine o : identical(d, b)) {
            BeamDesign with = line(with(d, d.hand(), o.id(), HandCage.of(b.cage())), o.mark());
            BeamDesign now = line(d, o.mark());
            out.add(new AlikeDto(
                    o.mark(),
                    o.storey(),
                    with.governing().utilisation(),
                    with.satisfied(),
                    now.governing().utilisation(),
                    !now.hand().isEmpty()));
        }
        return out;
    }

    private static List<BeamLine> identical(BuildingDesign d, BeamDesign b) {
        return IdenticalLines.of(
                b.line(), d.beams().stream().map(BeamDesign::line).toList());
    }

    private void copy(Context c) {
        BuildingDesign d = published(c).design();
        String mark = c.pathParam("mark");
        boolean stack = LiftHandRoutes.isStack(d, mark);
        List<String> marks = Body.of(c, CopyDto.class).marks();
        List<String> alike = stack
                ? LiftHandRoutes.identical(d, mark)
                : identical(d, line(d, mark)).stream().map(BeamLine::mark).toList();
        if (marks == null || marks.isEmpty() || !alike.containsAll(marks)) {
            throw new BadRequest(
                    400,
                    "copy",
                    marks == null || marks.isEmpty()
                            ? "No member is named."
                            : "Not every member named has the geometry of " + mark + ".",
                    "Choose among the identical ones.");
        }
        Map<String, HandCage> cages = new LinkedHashMap<>();
        if (!stack) {
            HandCage cage = HandCage.of(line(d, mark).cage());
            marks.forEach(m -> cages.put(line(d, m).line().id(), cage));
        }
        ProjectRoutes.moved(
                c,
                projects.changes()
                        .handSet(
                                c.pathParam("id"),
                                ProjectRoutes.version(c),
                                stack ? LiftHandRoutes.copied(d, mark, marks) : HandSet.ofLines(cages),
                                "cage of " + mark + " copied to " + String.join(", ", marks),
                                People.of(c)));
    }

    private void readings(Context c) {
        BuildingDesign d = published(c).design();
        BeamDesign b = line(d, c.pathParam("mark"));
        BeamLine.Station s = b.line()
                .stations()
                .get(ResultRoutes.number(c, "station", 0, 0, b.line().stations().size() - 1));
        BeamContext context = d.contexts().of(b.line()).of(b.line());
        List<ReadingDto> out = new ArrayList<>();
        for (int k = 0; k < context.demands().count(); k++) {
            out.add(new ReadingDto(
                    context.combinationName(k),
                    context.demands().at(s, k, Analysis.MY) / 1e6,
                    context.demands().at(s, k, Analysis.VZ) / 1e3,
                    context.demands().at(s, k, Analysis.T) / 1e6,
                    context.demands().at(s, k, Analysis.N) / 1e3));
        }
        c.json(new ReadingsDto(s.x(), out));
    }
}
