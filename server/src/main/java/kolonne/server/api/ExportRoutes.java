package kolonne.server.api;

import io.javalin.http.Context;
import java.io.BufferedWriter;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import kolonne.core.design.BuildingDesign;
import kolonne.core.project.ProjectData;
import kolonne.exchange.basis.BasisFile;
import kolonne.exchange.bending.BendingData;
import kolonne.exchange.ifc.AnalysisIfc;
import kolonne.exchange.ifc.DesignIfc;
import kolonne.exchange.paper.ReportSheets;
import kolonne.exchange.paper.SchedulePdf;
import kolonne.exchange.paper.ScheduleWorkbook;
import kolonne.exchange.paper.UtilisationReport;
import kolonne.exchange.results.ResultsCsv;
import kolonne.exchange.results.ResultsJson;
import kolonne.server.project.Projects;

/** Files to take away. */
final class ExportRoutes {
    private final Projects projects;

    ExportRoutes(Projects projects) {
        this.projects = projects;
    }

    /** Writes a file of a design. */
    private interface Writing {
        void to(BuildingDesign d, ProjectData project, OutputStream out) throws IOException;
    }

    List<Route> routes() {
        return List.of(
                Route.get(
                        "/api/projects/{id}/exports/report.pdf",
                        "Utilisation report; sheets: marks whose calculations it holds, separated by commas; "
                                + "calculations: named (these alone), failing or cages (one of each) beside them",
                        byte[].class,
                        c -> send(
                                c,
                                "application/pdf",
                                "utilisation-report.pdf",
                                (d, p, out) -> UtilisationReport.write(d, p, which(c).marks(d, marks(c)), out)),
                        "sheets",
                        "calculations"),
                Route.get(
                        "/api/projects/{id}/exports/schedules.pdf",
                        "Schedules on paper",
                        byte[].class,
                        c -> send(c, "application/pdf", "schedules.pdf", SchedulePdf::write)),
                Route.get(
                        "/api/projects/{id}/exports/schedules.xlsx",
                        "Schedules as a workbook",
                        byte[].class,
                        c -> send(
                                c,
                                "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
                                "schedules.xlsx",
                                ScheduleWorkbook::write)),
                Route.get(
                        "/api/projects/{id}/exports/results.json",
                        "Everything needed to check the design again",
                        byte[].class,
                        c -> send(c, "application/json", "results.json", (d, p, out) -> ResultsJson.write(d, out))),
                Route.get(
                        "/api/projects/{id}/exports/building.ifc",
                        "The building as IFC 4; bars: yes (the default) or no (concrete alone)",
                        byte[].class,
                        this::ifc,
                        "bars"),
                Route.get(
                        "/api/projects/{id}/exports/analysis.ifc",
                        "The analysis model as IFC 4, structural analysis view",
                        byte[].class,
                        c -> send(c, "application/x-step", "analysis.ifc", (d, p, out) -> {
                            Writer w = new OutputStreamWriter(out, StandardCharsets.US_ASCII);
                            AnalysisIfc.write(d.analysis().index().building(), p, w);
                        })),
                Route.get(
                        "/api/projects/{id}/exports/basis.json",
                        "The basis of design with its local settings",
                        byte[].class,
                        c -> {
                            c.contentType("application/json");
                            c.header("Content-Disposition", "attachment; filename=\"basis.json\"");
                            c.result(BasisFile.write(projects.basis(c.pathParam("id"))));
                        }),
                Route.get(
                        "/api/projects/{id}/exports/bending.json",
                        "Every line of the bar list with the steps of its bending",
                        byte[].class,
                        c -> send(c, "application/json", "bending.json", (d, p, out) -> BendingData.json(d, out))),
                Route.get(
                        "/api/projects/{id}/exports/bending.csv",
                        "The same as a table",
                        byte[].class,
                        c -> send(
                                c,
                                "text/csv; charset=utf-8",
                                "bending.csv",
                                (d, p, out) ->
                                        BendingData.csv(d, new OutputStreamWriter(out, StandardCharsets.UTF_8)))),
                Route.get(
                        "/api/projects/{id}/exports/checks.csv",
                        "All checks as a table",
                        byte[].class,
                        c -> send(c, "text/csv; charset=utf-8", "checks.csv", (d, p, out) -> {
                            Writer w = new OutputStreamWriter(out, StandardCharsets.UTF_8);
                            ResultsCsv.checks(d, w);
                            w.flush();
                        })),
                Route.get(
                        "/api/projects/{id}/exports/model", "The model as it was uploaded", byte[].class, this::model));
    }

    private static ReportSheets which(Context c) {
        String word = Optional.ofNullable(c.queryParam("calculations")).orElse("named");
        return ReportSheets.of(word)
                .orElseThrow(() -> new BadRequest(
                        400,
                        "calculations",
                        "There are no calculations of " + word + ".",
                        "Ask for named, failing or cages."));
    }

    private static Set<String> marks(Context c) {
        String s = c.queryParam("sheets");
        return s == null
                ? Set.of()
                : Arrays.stream(s.split(","))
                        .map(String::strip)
                        .filter(m -> !m.isEmpty())
                        .collect(Collectors.toSet());
    }

    private void send(Context c, String type, String file, Writing writing) throws IOException {
        BuildingDesign d = ResultRoutes.published(projects, c).design();
        if (file.startsWith("utilisation")) {
            known(d, marks(c));
            which(c);
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream(1 << 16);
        writing.to(d, projects.paper().printed(c.pathParam("id")).data(), out);
        c.contentType(type);
        c.header("Content-Disposition", "attachment; filename=\"" + file + "\"");
        c.result(out.toByteArray());
    }

    /** Large, so it is sent while it is written; it ends when nobody takes it any more. */
    private void ifc(Context c) throws IOException {
        String bars = Optional.ofNullable(c.queryParam("bars")).orElse("yes");
        if (!bars.equals("yes") && !bars.equals("no")) {
            throw new BadRequest(400, "bars", "Bars are " + bars + ".", "Ask for yes or no.");
        }
        BuildingDesign d = ResultRoutes.published(projects, c).design();
        ProjectData project = projects.paper().printed(c.pathParam("id")).data();
        c.contentType("application/x-step");
        c.header("Content-Disposition", "attachment; filename=\"building.ifc\"");
        Writer w = new BufferedWriter(new OutputStreamWriter(c.outputStream(), StandardCharsets.US_ASCII));
        DesignIfc.write(d, project, bars.equals("yes"), () -> true, w);
    }

    private static void known(BuildingDesign d, Set<String> marks) {
        for (String m : marks) {
            boolean there = d.beams().stream().anyMatch(b -> b.line().mark().equals(m))
                    || d.columns().stream().anyMatch(k -> k.stack().mark().equals(m));
            if (!there) {
                throw new NoSuchElementException("There is no beam line or column stack " + m + ".");
            }
        }
    }

    private void model(Context c) {
        var file = projects.modelFile(c.pathParam("id"));
        c.contentType("application/octet-stream");
        c.header(
                "Content-Disposition",
                "attachment; filename=\"" + file.fileName().replaceAll("[^A-Za-z0-9._-]", "_") + "\"");
        c.result(file.content());
    }
}
