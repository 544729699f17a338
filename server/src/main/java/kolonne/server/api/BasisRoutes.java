package kolonne.server.api;

import io.javalin.http.Context;
import io.javalin.http.HandlerType;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kolonne.core.basis.Basis;
import kolonne.exchange.basis.BasisFile;
import kolonne.exchange.edit.BasisWords;
import kolonne.server.jobs.Jobs;
import kolonne.server.project.KeptBases;
import kolonne.server.project.Projects;

/** Bases kept for all projects, and one basis beside another. */
final class BasisRoutes {
    private static final String KEPT = "/api/bases";

    private final Projects projects;

    BasisRoutes(Projects projects) {
        this.projects = projects;
    }

    record KeptBasisDto(String name, String keptAt, BasisFile.BasisDto basis) {}

    record KeptBasesDto(List<KeptBasisDto> bases) {}

    /** A value in words as two bases have it. */
    record BasisLineDto(String name, String here, String there, boolean same) {}

    /** @param basis the other one, as it was understood */
    record BasesComparedDto(BasisFile.BasisDto basis, List<BasisLineDto> lines) {}

    List<Route> routes() {
        return List.of(
                Route.get(KEPT, "Bases of design kept for all projects", KeptBasesDto.class, this::list),
                new Route(
                        HandlerType.PUT,
                        KEPT,
                        "Keeps a basis under its name, without local settings, in place of one that has it",
                        BasisFile.BasisDto.class,
                        KeptBasesDto.class,
                        new String[0],
                        c -> {
                            projects.bases().keep(read(c), People.of(c));
                            list(c);
                        }),
                new Route(
                        HandlerType.DELETE,
                        KEPT,
                        "Forgets a kept basis; projects that took it keep what they have",
                        null,
                        KeptBasesDto.class,
                        new String[] {"name"},
                        c -> {
                            projects.bases().forget(name(c), People.of(c));
                            list(c);
                        }),
                new Route(
                                HandlerType.POST,
                                "/api/projects/{id}/basis/compare",
                                "The project's basis beside another, line by line; nothing is stored",
                                BasisFile.BasisDto.class,
                                BasesComparedDto.class,
                                new String[0],
                                this::compare)
                        .needs(Needs.READER));
    }

    private void list(Context c) {
        c.json(new KeptBasesDto(
                projects.bases().all().stream().map(BasisRoutes::of).toList()));
    }

    private static KeptBasisDto of(KeptBases.Kept k) {
        return new KeptBasisDto(
                k.basis().name(),
                k.keptAt().format(DateTimeFormatter.ISO_LOCAL_DATE_TIME) + "Z",
                BasisFile.dto(k.basis()));
    }

    /** Of what is kept. */
    static String name(Context c) {
        return Optional.ofNullable(c.queryParam("name"))
                .orElseThrow(() -> new BadRequest(400, "name", "No name is given.", "Give it as ?name=…"));
    }

    private static Basis read(Context c) {
        BasisFile.Read r = BasisFile.read(c.bodyAsBytes());
        if (r.basis() == null) {
            throw new Jobs.Refused(r.findings());
        }
        return r.basis();
    }

    private void compare(Context c) {
        Basis here = projects.basis(c.pathParam("id"));
        Basis there = read(c);
        Map<String, String> a = BasisWords.all(here);
        Map<String, String> b = BasisWords.all(there);
        Map<String, String> names = new LinkedHashMap<>(a);
        names.putAll(b);
        List<BasisLineDto> lines = new ArrayList<>();
        names.keySet().forEach(n -> {
            String mine = a.getOrDefault(n, "");
            String theirs = b.getOrDefault(n, "");
            lines.add(new BasisLineDto(n, mine, theirs, mine.equals(theirs)));
        });
        c.json(new BasesComparedDto(BasisFile.dto(there), lines));
    }
}
