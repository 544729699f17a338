package kolonne.server.api;

import io.javalin.http.Context;
import io.javalin.http.HandlerType;
import java.util.List;
import java.util.Locale;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.function.Function;
import kolonne.core.basis.Basis;
import kolonne.core.basis.BasisField;
import kolonne.core.basis.local.LocalValues;
import kolonne.core.code.Bar;
import kolonne.core.code.CodeEntry;
import kolonne.core.code.registry.Codes;
import kolonne.exchange.basis.BasisFile;
import kolonne.server.jobs.Job;
import kolonne.server.jobs.Jobs;
import kolonne.server.project.Projects;
import kolonne.server.project.Workspace;
import kolonne.server.store.ProjectRow;

/** Projects, jobs, the model and the basis. */
final class ProjectRoutes {
    private final Projects projects;
    private final Jobs jobs;
    private final Doors doors;

    ProjectRoutes(Projects projects, Jobs jobs, Doors doors) {
        this.projects = projects;
        this.jobs = jobs;
        this.doors = doors;
    }

    List<Route> routes() {
        return List.of(
                Route.get(
                                "/api/health",
                                "Whether the server is up",
                                Answers.Health.class,
                                c -> c.json(new Answers.Health("up", "1")))
                        .needs(Needs.NOTHING),
                Route.get(
                                "/api/ready",
                                "Whether the server can do its work: 503 where its database, its memory or its disk are not up to it",
                                Answers.Ready.class,
                                c -> {
                                    Answers.Ready r = Readiness.now(projects);
                                    c.status(r.ready() ? 200 : 503).json(r);
                                })
                        .needs(Needs.NOTHING),
                Route.get(
                        "/api/catalogue",
                        "Design codes with the bars of their market",
                        CatalogueList.class,
                        c -> c.json(catalogue())),
                Route.get("/api/projects", "All projects, last changed first", Answers.ProjectList.class, this::list),
                new Route(
                        HandlerType.POST,
                        "/api/projects",
                        "Reads an uploaded model, or a project that was downloaded (the body); the job's result is the project",
                        byte[].class,
                        Answers.JobDto.class,
                        new String[] {"name", "fileName"},
                        this::upload),
                Route.get(
                                "/api/jobs/{job}",
                                "How a job stands",
                                Answers.JobDto.class,
                                c -> c.json(Answers.JobDto.of(job(c).status())))
                        .needs(Needs.JOB),
                new Route(
                                HandlerType.DELETE,
                                "/api/jobs/{job}",
                                "Cancels a job",
                                null,
                                Answers.JobDto.class,
                                new String[0],
                                c -> {
                                    job(c).cancel();
                                    c.json(Answers.JobDto.of(job(c).status()));
                                })
                        .needs(Needs.JOB),
                Route.get(
                        "/api/projects/{id}",
                        "One project; its ETag is the version",
                        Answers.ProjectDto.class,
                        c -> answer(c, projects.find(c.pathParam("id")))),
                new Route(
                                HandlerType.PATCH,
                                "/api/projects/{id}",
                                "Renames a project (If-Match: version)",
                                Answers.NewName.class,
                                Answers.ProjectDto.class,
                                new String[0],
                                this::rename)
                        .needs(Needs.OWNER),
                new Route(
                                HandlerType.DELETE,
                                "/api/projects/{id}",
                                "Deletes a project: it rests for 30 days, from where it can be brought back",
                                null,
                                Void.class,
                                new String[0],
                                c -> {
                                    projects.delete(c.pathParam("id"), People.of(c));
                                    c.status(204);
                                })
                        .needs(Needs.OWNER),
                Route.get(
                        "/api/deleted-projects",
                        "Projects that were deleted and rest, the last one first",
                        Answers.DeletedList.class,
                        this::deleted),
                new Route(
                                HandlerType.POST,
                                "/api/deleted-projects/{id}",
                                "Brings a deleted project back as it was",
                                null,
                                Answers.ProjectDto.class,
                                new String[0],
                                c -> answer(c, projects.deleted().bringBack(c.pathParam("id"), People.of(c))))
                        .needs(Needs.OWNER),
                new Route(
                                HandlerType.DELETE,
                                "/api/deleted-projects/{id}",
                                "Removes a deleted project for good, with all that belongs to it",
                                null,
                                Void.class,
                                new String[0],
                                c -> {
                                    projects.deleted().remove(c.pathParam("id"), People.of(c));
                                    c.status(204);
                                })
                        .needs(Needs.OWNER),
                Route.get(
                        "/api/projects/{id}/state",
                        "What the results belong to and what is being computed",
                        Answers.StateDto.class,
                        c -> {
                            Workspace w = projects.open(c.pathParam("id"));
                            c.json(Answers.StateDto.of(w, w.state()));
                        }),
                Route.get(
                        "/api/projects/{id}/basis",
                        "The basis of design; the ETag is the project's version",
                        BasisFile.BasisDto.class,
                        c -> {
                            ProjectRow row = projects.find(c.pathParam("id"));
                            c.header("ETag", etag(row.version()));
                            c.json(BasisFile.dto(projects.basis(row.id())));
                        }),
                new Route(
                        HandlerType.PATCH,
                        "/api/projects/{id}/basis",
                        "Changes fields of the basis on top of what it is now and redesigns: a JSON merge patch "
                                + "(If-Match: version that it was made on)",
                        BasisFile.BasisDto.class,
                        Answers.ProjectDto.class,
                        new String[0],
                        c -> answer(
                                c,
                                projects.changes()
                                        .basis(c.pathParam("id"), version(c), c.bodyAsBytes(), People.of(c)))));
    }

    record CatalogueList(List<Answers.CatalogueDto> codes) {}

    private static CatalogueList catalogue() {
        return new CatalogueList(Codes.ALL.stream().map(ProjectRoutes::of).toList());
    }

    private static Answers.CatalogueDto of(CodeEntry code) {
        Basis standard = Basis.standard(code.key());
        return new Answers.CatalogueDto(
                code.key(),
                code.name(),
                code.usUnits(),
                code.usual(),
                code.catalogue().bars().stream().map(Bar::label).toList(),
                BasisFile.dto(standard),
                code.parameters().stream()
                        .map(q -> new Answers.ParameterDto(
                                q.key(), q.words(), q.clause(), q.recommended(), q.least(), q.most(), q.whole()))
                        .toList(),
                BasisField.ALL.stream()
                        .filter(f -> !code.without().contains(f.key()))
                        .map(f -> new Answers.FieldDto(
                                f.key(),
                                word(f.part()),
                                f.name(),
                                word(f.kind()),
                                f.least(),
                                f.mostBy(standard),
                                f.help(code),
                                LocalValues.KEYS.contains(f.key())))
                        .toList(),
                code.ductility().entrySet().stream()
                        .map(e -> new Answers.WordDto(word(e.getKey()), e.getValue()))
                        .toList(),
                code.remarks());
    }

    private static String word(Enum<?> e) {
        return e.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    private void list(Context c) {
        Function<String, Optional<String>> roles = doors.roles(c);
        c.json(new Answers.ProjectList(projects.list().stream()
                .flatMap(r -> roles.apply(r.id()).map(role -> Answers.ProjectDto.of(r, role)).stream())
                .toList()));
    }

    private void deleted(Context c) {
        Function<String, Optional<String>> roles = doors.roles(c);
        c.json(new Answers.DeletedList(projects.deleted().list().stream()
                .filter(r -> roles.apply(r.id()).isPresent())
                .map(Answers.DeletedDto::of)
                .toList()));
    }

    private void upload(Context c) {
        String fileName = Optional.ofNullable(c.queryParam("fileName"))
                .filter(s -> !s.isBlank())
                .orElse("model.json");
        Job job = projects.importFile(c.queryParam("name"), fileName, c.bodyAsBytes(), People.of(c));
        c.status(202).json(Answers.JobDto.of(job.status()));
    }

    Job job(Context c) {
        return jobs.find(c.pathParam("job"))
                .orElseThrow(() -> new NoSuchElementException(
                        "This work is not known any more: it ended a while ago, or the server was started anew."));
    }

    private void rename(Context c) {
        Answers.NewName body = Body.of(c, Answers.NewName.class);
        if (body.name() == null || body.name().isBlank()) {
            throw new BadRequest(422, "name", "The name is empty.", "Give the project a name.");
        }
        moved(c, projects.rename(c.pathParam("id"), version(c), body.name(), People.of(c)));
    }

    static void moved(Context c, Optional<ProjectRow> row) {
        answer(
                c,
                row.orElseThrow(() -> new BadRequest(
                        412,
                        "moved",
                        "Somebody else changed the project meanwhile.",
                        "Look at the newest state and make the change again.")));
    }

    static void answer(Context c, ProjectRow row) {
        c.header("ETag", etag(row.version()));
        c.json(Answers.ProjectDto.of(row, Doors.role(c)));
    }

    private static String etag(int version) {
        return "\"" + version + "\"";
    }

    /** The version that the client saw. */
    static int version(Context c) {
        String s = c.header("If-Match");
        if (s == null) {
            throw new BadRequest(428, "precondition", "The request says no version.", "Send If-Match with the ETag.");
        }
        try {
            return Integer.parseInt(s.replace("\"", "").replace("W/", "").strip());
        } catch (NumberFormatException e) {
            throw new BadRequest(400, "precondition", "If-Match is " + s + ".", "Send the ETag of the project.");
        }
    }
}
