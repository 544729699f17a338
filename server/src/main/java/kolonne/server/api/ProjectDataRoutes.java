package kolonne.server.api;

import io.javalin.http.Context;
import io.javalin.http.HandlerType;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.NoSuchElementException;
import java.util.Optional;
import kolonne.core.project.Logo;
import kolonne.core.project.ProjectData;
import kolonne.core.project.ProjectData.Field;
import kolonne.core.project.Revision;
import kolonne.exchange.project.LogoFile;
import kolonne.server.jobs.Jobs;
import kolonne.server.project.ProjectPaper;
import kolonne.server.project.Projects;

/** What title blocks tell of a project. */
final class ProjectDataRoutes {
    private static final String DATA = "/api/projects/{id}/project-data";
    private static final String LOGO = "/api/projects/{id}/logo";

    private final ProjectPaper paper;

    ProjectDataRoutes(Projects projects) {
        this.paper = projects.paper();
    }

    /** A text of it. @param key title, client, job, address, designer, checker, date or notes; @param longest most characters */
    record ProjectTextDto(String key, String name, String text, int longest) {}

    /** A line of the table of revisions. */
    record IssuedRevisionDto(String index, String date, String what, String by) {}

    /** @param logo whether there is one; @param version changes with every change of the data */
    record ProjectDataDto(int version, List<ProjectTextDto> texts, List<IssuedRevisionDto> revisions, boolean logo) {}

    /** @param was the text before, as it was seen */
    record TextChange(String key, String was, String text) {}

    /** @param was the lines before, as they were seen */
    record RevisionsChange(List<IssuedRevisionDto> was, List<IssuedRevisionDto> revisions) {}

    List<Route> routes() {
        return List.of(
                Route.get(
                        DATA,
                        "What title blocks and heads of pages tell of the project",
                        ProjectDataDto.class,
                        c -> answer(c, paper.of(c.pathParam("id")))),
                new Route(
                                HandlerType.PUT,
                                DATA,
                                "Changes a text of it; refused if it is no longer what it was",
                                TextChange.class,
                                ProjectDataDto.class,
                                new String[0],
                                this::text)
                        .needs(Needs.CHECKER),
                new Route(
                                HandlerType.PUT,
                                DATA + "/revisions",
                                "Changes the table of revisions; refused if it is no longer what it was",
                                RevisionsChange.class,
                                ProjectDataDto.class,
                                new String[0],
                                this::revisions)
                        .needs(Needs.CHECKER),
                Route.get(LOGO, "The logo of the project's paper", byte[].class, this::logo),
                new Route(
                                HandlerType.PUT,
                                LOGO,
                                "Takes a PNG or JPEG picture as the logo",
                                byte[].class,
                                ProjectDataDto.class,
                                new String[0],
                                c -> {
                                    LogoFile.Read read = LogoFile.read(c.bodyAsBytes());
                                    if (read.logo() == null) {
                                        throw new Jobs.Refused(read.findings());
                                    }
                                    answer(c, paper.put(c.pathParam("id"), read.logo(), People.of(c)));
                                })
                        .needs(Needs.CHECKER),
                new Route(
                                HandlerType.DELETE,
                                LOGO,
                                "Takes the logo away",
                                null,
                                ProjectDataDto.class,
                                new String[0],
                                c -> answer(c, paper.put(c.pathParam("id"), (Logo) null, People.of(c))))
                        .needs(Needs.CHECKER));
    }

    private static void answer(Context c, ProjectPaper.Stored s) {
        ProjectData d = s.data();
        c.json(new ProjectDataDto(
                s.version(),
                Arrays.stream(Field.values())
                        .map(f -> new ProjectTextDto(key(f), f.words(), d.text(f), f.longest()))
                        .toList(),
                d.revisions().stream()
                        .map(r -> new IssuedRevisionDto(r.index(), r.date(), r.what(), r.by()))
                        .toList(),
                d.logo() != null));
    }

    private static String key(Field f) {
        return f.name().toLowerCase(Locale.ROOT);
    }

    private void text(Context c) {
        TextChange body = Body.of(c, TextChange.class);
        Field field = Arrays.stream(Field.values())
                .filter(f -> key(f).equals(body.key()))
                .findFirst()
                .orElseThrow(() -> new BadRequest(
                        422,
                        "project-data",
                        "There is no text " + body.key() + ".",
                        "Take one of "
                                + String.join(
                                        ", ",
                                        Arrays.stream(Field.values())
                                                .map(ProjectDataRoutes::key)
                                                .toList()) + "."));
        answer(c, paper.put(c.pathParam("id"), field, plain(body.was()), plain(body.text()), People.of(c)));
    }

    private void revisions(Context c) {
        RevisionsChange body = Body.of(c, RevisionsChange.class);
        answer(c, paper.put(c.pathParam("id"), lines(body.was()), lines(body.revisions()), People.of(c)));
    }

    private static List<Revision> lines(List<IssuedRevisionDto> all) {
        if (all == null || all.stream().anyMatch(r -> r == null)) {
            throw new BadRequest(
                    422,
                    "project-data",
                    "A list of revisions is missing.",
                    "Send was and revisions; they may be empty.");
        }
        return all.stream()
                .map(r -> new Revision(plain(r.index()), plain(r.date()), plain(r.what()), plain(r.by())))
                .toList();
    }

    private static String plain(String s) {
        return Optional.ofNullable(s).orElse("").strip();
    }

    private void logo(Context c) {
        Logo logo = paper.of(c.pathParam("id")).data().logo();
        if (logo == null) {
            throw new NoSuchElementException("The project has no logo.");
        }
        c.contentType(LogoFile.type(logo));
        c.result(logo.bytes());
    }
}
