package kolonne.server.api;

import io.javalin.http.Context;
import io.javalin.http.HandlerType;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import kolonne.core.revision.CaseTotals;
import kolonne.core.revision.Difference;
import kolonne.core.revision.OwnChanges;
import kolonne.exchange.json.MayBeNull;
import kolonne.server.jobs.Job;
import kolonne.server.project.Changes;
import kolonne.server.project.Projects;
import kolonne.server.project.RevisedModel;

/** A newer model of a project's building: looked at against the one in force, and adopted. */
final class RevisionRoutes {
    /** Members or panels listed of a difference; more are counted. */
    private static final int MOST_MEMBERS = 200;

    private final Projects projects;

    RevisionRoutes(Projects projects) {
        this.projects = projects;
    }

    List<Route> routes() {
        return List.of(
                new Route(
                        HandlerType.POST,
                        "/api/projects/{id}/revisions",
                        "Reads a newer model of the building (the body); the job's result is its name for the routes below",
                        byte[].class,
                        Answers.JobDto.class,
                        new String[] {"fileName"},
                        this::upload),
                new Route(
                        HandlerType.GET,
                        "/api/projects/{id}/revisions/{revision}",
                        "What adopting a newer model would change; nothing is stored",
                        null,
                        RevisionDto.class,
                        new String[] {"own"},
                        this::compared),
                new Route(
                        HandlerType.POST,
                        "/api/projects/{id}/revisions/{revision}",
                        "Adopts a newer model in one step (If-Match: version)",
                        AdoptDto.class,
                        Answers.ProjectDto.class,
                        new String[0],
                        this::adopt));
    }

    /** @param keepOwn whether own changes of the model go on to the newer one where it does not say otherwise */
    record AdoptDto(boolean keepOwn) {}

    /**
     * @param kind    for instance {@code resized}; {@code title} in words
     * @param parts   ids of members or panels in the newer model, of what is gone in the older one; the first of {@code count}
     */
    record DifferenceDto(
            String kind, String title, String what, String was, String now, int count, List<String> parts) {}

    /** An own change of the model. @param fate kept, there or lost; @param reason why it is lost */
    record OwnChangeDto(String fate, String what, String reason, int count, List<String> members) {}

    /** Sums of a load case in X, Y, Z [kN]. */
    record CaseTotalDto(
            String loadCase,
            @MayBeNull List<Double> wasKn,
            @MayBeNull List<Double> nowKn) {}

    /**
     * @param version of the project that it is compared with
     * @param found   part of the members in force that are found in the newer model
     * @param effects on lines, stacks, types and what is set by hand
     */
    record RevisionDto(
            int version,
            String fileName,
            int members,
            double found,
            List<DifferenceDto> differences,
            List<CaseTotalDto> totals,
            List<OwnChangeDto> own,
            List<String> effects) {}

    private void upload(Context c) {
        String name = Optional.ofNullable(c.queryParam("fileName"))
                .filter(s -> !s.isBlank())
                .orElse("model.json");
        Job job = projects.readRevision(c.pathParam("id"), name, c.bodyAsBytes());
        c.status(202).json(Answers.JobDto.of(job.status()));
    }

    private RevisedModel revision(Context c) {
        return projects.revisions().get(c.pathParam("id"), c.pathParam("revision"));
    }

    private void compared(Context c) {
        RevisedModel newer = revision(c);
        int version = projects.find(newer.project()).version();
        Changes.Previewed p = projects.changes().preview(newer.project(), newer, !"no".equals(c.queryParam("own")));
        c.json(new RevisionDto(
                version,
                newer.fileName(),
                p.compared().newer().building().members().size(),
                p.compared().matching().found(),
                p.compared().comparison().differences().stream()
                        .map(RevisionRoutes::of)
                        .toList(),
                p.totals().stream().map(RevisionRoutes::of).toList(),
                p.compared().own().told().stream().map(RevisionRoutes::of).toList(),
                p.effects()));
    }

    private static DifferenceDto of(Difference d) {
        return new DifferenceDto(
                d.kind().name().toLowerCase(Locale.ROOT),
                d.kind().title(),
                d.what(),
                d.was(),
                d.now(),
                d.parts().size(),
                first(d.parts()));
    }

    private static List<String> first(List<String> members) {
        return members.subList(0, Math.min(MOST_MEMBERS, members.size()));
    }

    private static OwnChangeDto of(OwnChanges.Own o) {
        return new OwnChangeDto(
                o.fate().name().toLowerCase(Locale.ROOT),
                o.what(),
                o.reason(),
                o.members().size(),
                first(o.members()));
    }

    private static CaseTotalDto of(CaseTotals.Total t) {
        return new CaseTotalDto(t.loadCase(), kn(t.was()), kn(t.now()));
    }

    private static List<Double> kn(double[] sums) {
        return sums == null ? null : List.of(sums[0] / 1000, sums[1] / 1000, sums[2] / 1000);
    }

    private void adopt(Context c) {
        RevisedModel newer = revision(c);
        AdoptDto body = Body.of(c, AdoptDto.class);
        ProjectRoutes.moved(
                c,
                projects.changes()
                        .revise(newer.project(), ProjectRoutes.version(c), newer, body.keepOwn(), People.of(c)));
        projects.revisions().drop(c.pathParam("revision"));
    }
}
