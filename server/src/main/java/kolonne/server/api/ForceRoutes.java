package kolonne.server.api;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import io.javalin.http.Context;
import io.javalin.http.HandlerType;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.AnalysisFailed;
import kolonne.core.compare.ForceTotals;
import kolonne.core.finding.Finding;
import kolonne.core.model.Building;
import kolonne.core.model.ModelEdit;
import kolonne.exchange.forces.ForceMapping;
import kolonne.exchange.forces.ForceProposal;
import kolonne.exchange.forces.ForceRows;
import kolonne.exchange.forces.ForceTable;
import kolonne.exchange.json.MayBeNull;
import kolonne.exchange.model.EditWriter;
import kolonne.server.project.Projects;
import kolonne.server.store.MappingRow;
import kolonne.server.store.Upload;

/** Station forces solved elsewhere: upload, mapping of columns, preview, import. */
final class ForceRoutes {
    private static final JsonMapper JSON = new JsonMapper();
    private static final int SAMPLE = 8;
    private static final List<String> COMPONENTS = List.of("N", "Vy", "Vz", "T", "My", "Mz");

    private final Projects projects;

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
                Route.get(
                        "/api/projects/{id}/force-files/{file}",
                        "An uploaded table with the proposed mapping of one of its sheets",
                        ForceFileDto.class,
                        c -> c.json(described(c, c.pathParam("file"), chosen(c), c.queryParam("sheet"))),
                        "sheet"),
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

    /** What only a person can say: of which quantity, and the headers that it could be. */
    record DoubtDto(String quantity, List<String> headers, String what) {}

    /** As it is stored. @param headers of the table that it was made for; null in those of older servers */
    record Remembered(@MayBeNull List<String> headers, List<MappedDto> mapping) {}

    record UnitsDto(String quantity, List<String> units) {}

    /**
     * @param unitRow    cells of a row of units beneath the header, empty if there is none
     * @param remembered name of the mapping that was made for the same headers before and is proposed again; empty if there is none
     */
    record ForceFileDto(
            String file,
            String fileName,
            List<String> sheets,
            String sheet,
            List<String> headers,
            List<String> unitRow,
            int rows,
            List<List<String>> sample,
            List<MappedDto> proposal,
            List<DoubtDto> doubts,
            String remembered,
            List<SavedDto> saved,
            List<UnitsDto> units) {}

    /** @param name to remember the mapping under; empty for not at all. @param incomplete whether the user takes it though forces are missing */
    record UseDto(String sheet, List<MappedDto> mapping, String name, Boolean incomplete) {}

    /** Members without forces in a load case that counts. */
    record GapDto(String loadCase, int members, List<String> first) {}

    /**
     * One component of all rows beside Kolonne's own analysis.
     *
     * @param own     root of the sum of squares [kN or kNm; kip or kip·ft]
     * @param factor  by which the own forces fit the table best, signed
     * @param verdict agrees, opposite-sign, other-unit, differs or nothing
     */
    record TotalDto(String component, double own, double read, double factor, String verdict) {}

    record ForceRowDto(String member, String loadCase, double xM, double[] forces) {}

    record PreviewDto(
            List<ForceRowDto> rows,
            int used,
            int total,
            List<String> without,
            List<GapDto> gaps,
            List<TotalDto> totals,
            List<Problem.FindingDto> findings) {}

    private void upload(Context c) {
        String name = Optional.ofNullable(c.queryParam("fileName")).orElse("forces");
        byte[] bytes = c.bodyAsBytes();
        table(bytes, null); // what is no table is not kept
        Upload u = new Upload(c.pathParam("id"), Projects.cut(name), bytes);
        c.json(described(c, projects.forceTables().put(u), u, null));
    }

    private Upload chosen(Context c) {
        return projects.forceTables().get(c.pathParam("id"), c.pathParam("file"));
    }

    private ForceFileDto described(Context c, String file, Upload u, String sheet) {
        Building b = projects.model(c.pathParam("id")).building();
        ForceTable t = table(u.content(), sheet);
        ForceProposal p = ForceProposal.of(t, b);
        List<SavedDto> saved = projects.mappings().stream()
                .map(m -> new SavedDto(m.name(), read(m.body()).mapping()))
                .toList();
        Optional<MappingRow> again = projects.mappings().stream()
                .filter(m -> t.headers().equals(read(m.body()).headers()))
                .findFirst();
        return new ForceFileDto(
                file,
                u.fileName(),
                t.sheets(),
                t.sheet(),
                t.headers(),
                t.units(),
                t.rows().size(),
                t.rows().subList(0, Math.min(SAMPLE, t.rows().size())),
                again.map(m -> read(m.body()).mapping()).orElseGet(() -> mapped(p.mapping())),
                again.isPresent()
                        ? List.of()
                        : p.doubts().stream()
                                .map(d -> new DoubtDto(word(d.quantity()), d.headers(), d.what()))
                                .toList(),
                again.map(MappingRow::name).orElse(""),
                saved,
                Arrays.stream(ForceMapping.Quantity.values())
                        .map(q -> new UnitsDto(word(q), q.units()))
                        .toList());
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

    private static Remembered read(String body) {
        try {
            JsonNode n = JSON.readTree(body);
            return n.isArray()
                    ? new Remembered(null, List.of(JSON.treeToValue(n, MappedDto[].class)))
                    : JSON.treeToValue(n, Remembered.class);
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
        ForceTable t = table(chosen(c).content(), use.sheet());
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
                ForceRows.gaps(r.forces(), b).stream()
                        .map(g -> new GapDto(
                                g.loadCase(),
                                g.members().size(),
                                g.members()
                                        .subList(0, Math.min(SAMPLE, g.members().size()))))
                        .toList(),
                totals(c.pathParam("id"), r, f, m),
                Problem.FindingDto.of(r.findings())));
    }

    /** Beside Kolonne's own analysis; nothing where the model cannot be analysed. */
    private List<TotalDto> totals(String id, ForceRows.Read r, double force, double moment) {
        if (r.forces().isEmpty()) {
            return List.of();
        }
        Analysis own;
        try {
            own = projects.ownAnalysis(id);
        } catch (AnalysisFailed e) {
            return List.of();
        }
        return ForceTotals.of(r.forces(), own).stream()
                .map(t -> {
                    double unit = t.component() >= Analysis.T ? moment : force;
                    return new TotalDto(
                            COMPONENTS.get(t.component()),
                            t.own() / unit,
                            t.read() / unit,
                            t.factor(),
                            t.verdict().name().toLowerCase(Locale.ROOT).replace('_', '-'));
                })
                .toList();
    }

    private void take(Context c) {
        UseDto use = Body.of(c, UseDto.class);
        Building b = projects.model(c.pathParam("id")).building();
        ForceTable t = table(chosen(c).content(), use.sheet());
        ForceRows.Read r = ForceRows.read(t, mapping(use), b, Integer.MAX_VALUE);
        if (r.forces().isEmpty()) {
            throw new BadRequest(Problem.of(422, "forces", "No row of the table could be used.", r.findings()));
        }
        List<ForceRows.Gap> gaps = ForceRows.gaps(r.forces(), b);
        if (!gaps.isEmpty() && !Boolean.TRUE.equals(use.incomplete())) {
            throw new BadRequest(Problem.of(
                    422,
                    "forces",
                    "The table leaves out forces that count.",
                    gaps.stream().map(ForceRoutes::missing).toList()));
        }
        if (use.name() != null && !use.name().isBlank()) {
            projects.putMapping(use.name().strip(), new Remembered(t.headers(), mapped(mapping(use))));
        }
        ProjectRoutes.moved(
                c,
                projects.changes()
                        .edit(
                                c.pathParam("id"),
                                ProjectRoutes.version(c),
                                EditWriter.bytes(List.of(new ModelEdit.UseForces(r.forces())), b),
                                People.of(c)));
    }

    private static Finding missing(ForceRows.Gap g) {
        int n = g.members().size();
        return Finding.fails(
                "forces.incomplete",
                "load case " + g.loadCase(),
                (n == 1 ? "Member " + g.members().get(0) + " has" : n + " members have") + " no forces in "
                        + g.loadCase() + ", which counts in combinations; they would be taken as zero.",
                "Add the rows to the table, or say that zero is meant.");
    }
}
