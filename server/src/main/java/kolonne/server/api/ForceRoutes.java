package kolonne.server.api;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.json.JsonMapper;
import io.javalin.http.Context;
import io.javalin.http.HandlerType;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import kolonne.core.model.Building;
import kolonne.exchange.forces.ForceMapping;
import kolonne.exchange.forces.ForceRows;
import kolonne.exchange.forces.ForceTable;
import kolonne.exchange.model.EditFile;
import kolonne.server.project.ForceUploads;
import kolonne.server.project.Projects;

/** Station forces solved elsewhere: upload, mapping of columns, preview, import. */
final class ForceRoutes {
    private static final JsonMapper JSON = new JsonMapper();
    private static final int SAMPLE = 8;

    private final Projects projects;
    private final ForceUploads uploads = new ForceUploads();

    ForceRoutes(Projects projects) {
        this.projects = projects;
    }

    List<Route> routes() {
        return List.of(
                new Route(
                        HandlerType.POST,
                        "/api/projects/{id}/force-files",
                        "Uploads a table of station forces (CSV or XLSX) and proposes a mapping of its columns",
                        byte[].class,
                        ForceFileDto.class,
                        new String[] {"fileName"},
                        this::upload),
                new Route(
                        HandlerType.POST,
                        "/api/projects/{id}/force-files/{file}/preview",
                        "Reads the first rows with a mapping and counts all",
                        UseDto.class,
                        PreviewDto.class,
                        new String[0],
                        this::preview),
                new Route(
                        HandlerType.POST,
                        "/api/projects/{id}/force-files/{file}/import",
                        "Takes the forces into the model and redesigns (If-Match: version); remembers the mapping under its name",
                        UseDto.class,
                        Answers.ProjectDto.class,
                        new String[0],
                        this::take));
    }

    /** @param quantity member, case, x, n, vy, vz, t, my or mz */
    record MappedDto(String quantity, String header, String unit, boolean opposite) {}

    record SavedDto(String name, List<MappedDto> mapping) {}

    record UnitsDto(String quantity, List<String> units) {}

    record ForceFileDto(
            String file,
            String fileName,
            List<String> sheets,
            String sheet,
            List<String> headers,
            int rows,
            List<List<String>> sample,
            List<MappedDto> proposal,
            List<SavedDto> saved,
            List<UnitsDto> units) {}

    /** @param name to remember the mapping under; empty for not at all */
    record UseDto(String sheet, List<MappedDto> mapping, String name) {}

    record ForceRowDto(String member, String loadCase, double xM, double[] forces) {}

    record PreviewDto(
            List<ForceRowDto> rows, int used, int total, List<String> without, List<Problem.FindingDto> findings) {}

    private void upload(Context c) {
        Building b = projects.model(c.pathParam("id")).building();
        String name = Optional.ofNullable(c.queryParam("fileName")).orElse("forces");
        byte[] bytes = c.bodyAsBytes();
        ForceTable t = table(bytes, null);
        c.json(new ForceFileDto(
                uploads.put(name, bytes),
                name,
                t.sheets(),
                t.sheet(),
                t.headers(),
                t.rows().size(),
                t.rows().subList(0, Math.min(SAMPLE, t.rows().size())),
                mapped(ForceMapping.propose(t, b)),
                projects.mappings().stream()
                        .map(m -> new SavedDto(m.name(), read(m.body())))
                        .toList(),
                Arrays.stream(ForceMapping.Quantity.values())
                        .map(q -> new UnitsDto(word(q), q.units()))
                        .toList()));
    }

    private static ForceTable table(byte[] bytes, String sheet) {
        ForceTable.Read r = ForceTable.read(bytes, sheet == null || sheet.isBlank() ? null : sheet);
        if (r.table() == null) {
            throw new BadRequest(Problem.of(422, "table", "The table cannot be read.", r.findings()));
        }
        return r.table();
    }

    private static String word(ForceMapping.Quantity q) {
        return q.name().toLowerCase(Locale.ROOT);
    }

    private static List<MappedDto> mapped(ForceMapping m) {
        return Arrays.stream(ForceMapping.Quantity.values())
                .filter(m.columns()::containsKey)
                .map(q -> {
                    ForceMapping.Column col = m.columns().get(q);
                    return new MappedDto(word(q), col.header(), col.unit(), col.opposite());
                })
                .toList();
    }

    private static List<MappedDto> read(String body) {
        try {
            return List.of(JSON.readValue(body, MappedDto[].class));
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("a stored mapping cannot be read", e);
        }
    }

    private static ForceMapping mapping(UseDto use) {
        Map<ForceMapping.Quantity, ForceMapping.Column> out = new EnumMap<>(ForceMapping.Quantity.class);
        for (MappedDto m : use.mapping() == null ? List.<MappedDto>of() : use.mapping()) {
            ForceMapping.Quantity q = Arrays.stream(ForceMapping.Quantity.values())
                    .filter(v -> word(v).equals(m.quantity()))
                    .findFirst()
                    .orElseThrow(() -> new BadRequest(
                            400,
                            "mapping",
                            "There is no quantity " + m.quantity() + ".",
                            "Map to member, case, x, n, vy, vz, t, my or mz."));
            out.put(q, new ForceMapping.Column(m.header(), m.unit() == null ? "" : m.unit(), m.opposite()));
        }
        return new ForceMapping(out);
    }

    private void preview(Context c) {
        UseDto use = Body.of(c, UseDto.class);
        Building b = projects.model(c.pathParam("id")).building();
        ForceTable t = table(uploads.get(c.pathParam("file")).bytes(), use.sheet());
        ForceRows.Read r = ForceRows.read(t, mapping(use), b, Integer.MAX_VALUE);
        boolean us = b.unitSystem().equals("US");
        double f = us ? 4448.2216152605 : 1000;
        double m = f * (us ? 304.8 : 1000);
        c.json(new PreviewDto(
                r.forces().stream()
                        .limit(SAMPLE)
                        .map(s -> new ForceRowDto(s.member(), s.loadCase(), s.x() / 1000, new double[] {
                            s.n() / f, s.vy() / f, s.vz() / f, s.t() / m, s.my() / m, s.mz() / m
                        }))
                        .toList(),
                r.used(),
                t.rows().size(),
                ForceRows.without(r.forces(), b),
                Problem.FindingDto.of(r.findings())));
    }

    private void take(Context c) {
        UseDto use = Body.of(c, UseDto.class);
        Building b = projects.model(c.pathParam("id")).building();
        ForceTable t = table(uploads.get(c.pathParam("file")).bytes(), use.sheet());
        ForceRows.Read r = ForceRows.read(t, mapping(use), b, Integer.MAX_VALUE);
        if (r.forces().isEmpty()) {
            throw new BadRequest(Problem.of(422, "forces", "No row of the table could be used.", r.findings()));
        }
        if (use.name() != null && !use.name().isBlank()) {
            projects.putMapping(use.name().strip(), mapped(mapping(use)));
        }
        ProjectRoutes.moved(
                c,
                projects.changes()
                        .edit(
                                c.pathParam("id"),
                                ProjectRoutes.version(c),
                                EditFile.forces(b, r.forces()),
                                People.of(c)));
    }
}
