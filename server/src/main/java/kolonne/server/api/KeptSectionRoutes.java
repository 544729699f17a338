package kolonne.server.api;

import io.javalin.http.Context;
import io.javalin.http.HandlerType;
import java.time.format.DateTimeFormatter;
import java.util.List;
import kolonne.exchange.single.SectionFile;
import kolonne.server.project.KeptSections;
import kolonne.server.project.Projects;

/** Sections of the bench kept for all projects. */
final class KeptSectionRoutes {
    private static final String KEPT = "/api/sections";

    private final Projects projects;

    KeptSectionRoutes(Projects projects) {
        this.projects = projects;
    }

    /** @param section as one of a list of sections; its id is the name that it is kept by */
    record KeptSectionDto(String keptAt, SectionFile.Entry section) {}

    record KeptSectionsDto(List<KeptSectionDto> sections) {}

    List<Route> routes() {
        return List.of(
                Route.get(KEPT, "Sections of the bench kept for all projects", KeptSectionsDto.class, this::list),
                new Route(
                        HandlerType.PUT,
                        KEPT,
                        "Keeps a section under its id, in place of one that has it; the body is one of a list of sections",
                        SectionFile.Entry.class,
                        KeptSectionsDto.class,
                        new String[0],
                        c -> {
                            SectionRoutes.read(c);
                            projects.sections().keep(SectionFile.stored(c.bodyAsBytes()), People.of(c));
                            list(c);
                        }),
                new Route(
                        HandlerType.DELETE,
                        KEPT,
                        "Forgets a kept section; members that were given its bars keep them",
                        null,
                        KeptSectionsDto.class,
                        new String[] {"name"},
                        c -> {
                            projects.sections().forget(BasisRoutes.name(c), People.of(c));
                            list(c);
                        }));
    }

    private void list(Context c) {
        c.json(new KeptSectionsDto(
                projects.sections().all().stream().map(KeptSectionRoutes::of).toList()));
    }

    private static KeptSectionDto of(KeptSections.Kept k) {
        return new KeptSectionDto(k.keptAt().format(DateTimeFormatter.ISO_LOCAL_DATE_TIME) + "Z", k.section());
    }
}
