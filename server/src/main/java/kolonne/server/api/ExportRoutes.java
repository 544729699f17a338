package kolonne.server.api;

import io.javalin.http.Context;
import io.javalin.http.HandlerType;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Set;
import java.util.stream.Collectors;
import kolonne.core.design.BuildingDesign;
import kolonne.core.finding.Finding;
import kolonne.core.project.ProjectData;
import kolonne.core.schedule.Scheduled;
import kolonne.core.work.Progress;
import kolonne.exchange.basis.BasisFile;
import kolonne.exchange.bending.BendingData;
import kolonne.exchange.ifc.AnalysisIfc;
import kolonne.exchange.ifc.DesignIfc;
import kolonne.exchange.paper.ReportSheets;
import kolonne.exchange.paper.ScheduleCsv;
import kolonne.exchange.paper.SchedulePdf;
import kolonne.exchange.paper.ScheduleTables;
import kolonne.exchange.paper.ScheduleWorkbook;
import kolonne.exchange.paper.UtilisationReport;
import kolonne.exchange.results.ResultsCsv;
import kolonne.exchange.results.ResultsJson;
import kolonne.server.archive.ProjectArchive;
import kolonne.server.jobs.Job;
import kolonne.server.jobs.Jobs;
import kolonne.server.jobs.MadeFiles;
import kolonne.server.project.EditHistory;
import kolonne.server.project.HistoryCsv;
import kolonne.server.project.Projects;
import kolonne.server.project.Workspace;
import kolonne.server.store.Brought;
import kolonne.server.store.By;
import kolonne.server.store.DeedRow;
import kolonne.server.store.StoredProject;

/** Files to take away. */
final class ExportRoutes {
    /** Memory that a member takes while papers of it are made [bytes], and what any file takes. */
    private static final long PER_MEMBER = 40_000;

    private static final long ANY = 20_000_000;

    private final Projects projects;
    private final Jobs jobs;
    private final List<Export> exports = new ArrayList<>();

    ExportRoutes(Projects projects, Jobs jobs, List<Export> drawings) {
        this.projects = projects;
        this.jobs = jobs;
        papers();
        models();
        tables();
        exports.addAll(drawings);
        jobs.does(MadeFiles.KIND, this::again);
    }

    /** Writes a file of a design. */
    private interface OfDesign {
        void to(BuildingDesign d, ProjectData project, OutputStream out, Progress progress) throws IOException;
    }

    private void add(String file, String type, String summary, OfDesign writing) {
        exports.add(new Export(file, type, file, summary, a -> now(a, writing)));
    }

    /** Of the design and the project's data as they are now, whatever is changed while it is written. */
    private MadeFiles.Writing now(FileAsked a, OfDesign writing) {
        BuildingDesign d = ResultRoutes.published(projects, a.project()).design();
        ProjectData project = projects.paper().printed(a.project()).data();
        return (out, progress) -> writing.to(d, project, out, progress);
    }

    private void papers() {
        exports.add(new Export(
                "report.pdf",
                "application/pdf",
                "utilisation-report.pdf",
                "Utilisation report; sheets: marks whose calculations it holds, separated by commas; "
                        + "calculations: named (these alone), failing or cages (one of each) beside them",
                this::report,
                "sheets",
                "calculations"));
        schedules("schedules.pdf", "application/pdf", "Schedules on paper", SchedulePdf::write);
        schedules(
                "schedules.xlsx",
                "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
                "Schedules as a workbook",
                ScheduleWorkbook::write);
    }

    /** Writes schedules. */
    private interface OfSchedules {
        void to(Scheduled all, ProjectData project, Progress progress, OutputStream out) throws IOException;
    }

    private void schedules(String file, String type, String summary, OfSchedules writing) {
        exports.add(new Export(
                file,
                type,
                file,
                summary + "; marks: what is scheduled, separated by commas, all where there are none",
                a -> {
                    Set<String> marks = marks(a, "marks");
                    Scheduled.of(
                            ResultRoutes.published(projects, a.project()).design(), marks); // refuses unknown marks
                    return now(a, (d, p, out, progress) -> writing.to(Scheduled.of(d, marks), p, progress, out));
                },
                "marks"));
    }

    private void models() {
        exports.add(new Export(
                "building.ifc",
                "application/x-step",
                "building.ifc",
                "The building as IFC 4; bars: yes (the default) or no (concrete alone)",
                this::ifc,
                "bars"));
        add(
                "analysis.ifc",
                "application/x-step",
                "The analysis model as IFC 4, structural analysis view",
                (d, p, out, progress) -> AnalysisIfc.write(
                        d.analysis().given().building(), p, new OutputStreamWriter(out, StandardCharsets.US_ASCII)));
    }

    private void tables() {
        add(
                "results.json",
                "application/json",
                "Everything needed to check the design again",
                (d, p, out, progress) -> ResultsJson.write(d, out));
        exports.add(new Export(
                "basis.json", "application/json", "basis.json", "The basis of design with its local settings", a -> {
                    String basis = BasisFile.write(projects.basis(a.project()));
                    return (out, progress) -> out.write(basis.getBytes(StandardCharsets.UTF_8));
                }));
        exports.add(new Export(
                "project.zip",
                "application/zip",
                "kolonne-project.zip",
                "The whole project as one file, with its models and all that was done; Projects takes it in again; "
                        + "results: no (the default) or yes (they are in it for others to read)",
                this::project,
                "results"));
        add(
                "bending.json",
                "application/json",
                "Every line of the bar list with the steps of its bending",
                (d, p, out, progress) -> BendingData.json(d, out));
        add(
                "bending.csv",
                "text/csv; charset=utf-8",
                "The same as a table",
                (d, p, out, progress) -> BendingData.csv(d, new OutputStreamWriter(out, StandardCharsets.UTF_8)));
        add(
                "quantities.csv",
                "text/csv; charset=utf-8",
                "Concrete, formwork and steel by storey as a table",
                (d, p, out, progress) -> ScheduleCsv.write(ScheduleTables.quantities(d), out));
        exports.add(new Export(
                "history.csv",
                "text/csv; charset=utf-8",
                "history.csv",
                "What was done, when, by whom and from where, as a table",
                a -> {
                    List<DeedRow> deeds = projects.deeds(a.project());
                    List<EditHistory.Entry> entries = projects.edits(a.project());
                    return (out, progress) -> {
                        Writer w = new OutputStreamWriter(out, StandardCharsets.UTF_8);
                        HistoryCsv.write(entries, deeds, w);
                        w.flush();
                    };
                }));
        add("checks.csv", "text/csv; charset=utf-8", "All checks as a table", (d, p, out, progress) -> {
            Writer w = new OutputStreamWriter(out, StandardCharsets.UTF_8);
            ResultsCsv.checks(d, w);
            w.flush();
        });
    }

    List<Route> routes() {
        List<Route> out = new ArrayList<>();
        for (Export e : exports) {
            String path = "/api/projects/{id}/exports/" + e.file();
            out.add(Route.get(path, e.summary(), byte[].class, c -> send(c, e), e.query()));
            out.add(new Route(
                            HandlerType.POST,
                            path,
                            "A job that makes it: " + e.summary(),
                            null,
                            Answers.JobDto.class,
                            e.query(),
                            c -> make(c, e))
                    .needs(Needs.READER));
        }
        out.add(Route.get(
                "/api/projects/{id}/exports/model", "The model as it was uploaded", byte[].class, this::model));
        out.add(Route.get("/api/jobs/{job}/file", "The file that a job made", byte[].class, this::made)
                .needs(Needs.JOB));
        return out;
    }

    private static void attached(Context c, String type, String name) {
        c.contentType(type);
        c.header("Content-Disposition", "attachment; filename=\"" + name + "\"");
    }

    private void send(Context c, Export e) throws IOException {
        MadeFiles.Writing writing = asked(c, e);
        exported(c, e.file());
        attached(c, e.type(), e.name());
        writing.to(c.outputStream(), Progress.NONE);
    }

    private MadeFiles.Writing asked(Context c, Export e) {
        MadeFiles.Writing writing = e.making().of(FileAsked.of(c, e.query()));
        Workspace.Published p = projects.open(c.pathParam("id")).published();
        if (p != null) {
            c.header("X-Designed-Version", Integer.toString(p.version()));
        }
        return writing;
    }

    private void make(Context c, Export e) {
        MadeFiles.Writing writing = asked(c, e);
        String id = c.pathParam("id");
        int members = projects.model(id).building().members().size();
        Brought what = Brought.of(id, e.file(), e.name(), By.NOBODY, Jobs.megabytes(ANY + PER_MEMBER * members));
        byte[] asked = FileAsked.of(c, e.query()).bytes();
        Job job = jobs.files().make(e.type(), what, asked, writing);
        exported(c, e.file());
        c.status(202).json(Answers.JobDto.of(job.status()));
    }

    /** Goes on with a file that another server left, of the design as it is now. */
    private String again(Job job, Brought what, byte[] asked) {
        Export e = exports.stream()
                .filter(x -> x.file().equals(what.name()))
                .findFirst()
                .orElseThrow(() -> refused(what, "This server makes no such file.", "Ask for it again."));
        projects.awaited(projects.open(what.projectId()), job);
        try {
            MadeFiles.Writing writing = e.making().of(FileAsked.read(what.projectId(), asked));
            return jobs.files().written(job, e.type(), e.name(), writing);
        } catch (BadRequest x) {
            throw refused(what, x.problem().title(), x.problem().detail());
        } catch (NoSuchElementException x) {
            throw refused(what, x.getMessage(), "Ask for it again.");
        }
    }

    private static Jobs.Refused refused(Brought what, String why, String mend) {
        return new Jobs.Refused(List.of(Finding.fails("export.refused", what.name(), why, mend)));
    }

    /** Takes down that a file was given out, before it is. */
    private void exported(Context c, String file) {
        projects.exported(c.pathParam("id"), file, People.of(c));
    }

    private void made(Context c) throws IOException {
        String id = c.pathParam("job");
        MadeFiles.Made file = jobs.files().find(id).orElseThrow(() -> gone(id));
        try {
            InputStream content = Files.newInputStream(file.path());
            attached(c, file.type(), file.name());
            c.result(content);
        } catch (NoSuchFileException e) {
            throw gone(id); // forgotten a moment ago
        }
    }

    private NoSuchElementException gone(String id) {
        return new NoSuchElementException(
                jobs.find(id).filter(j -> !j.status().ended()).isPresent()
                        ? "The file is still being made."
                        : "The file is not kept any more. Ask for it again.");
    }

    private MadeFiles.Writing report(FileAsked a) {
        ReportSheets which = which(a);
        Set<String> marks = marks(a, "sheets");
        known(ResultRoutes.published(projects, a.project()).design(), marks);
        return now(a, (d, p, out, progress) -> UtilisationReport.write(d, p, which.marks(d, marks), progress, out));
    }

    private static ReportSheets which(FileAsked a) {
        String word = a.query("calculations", "named");
        return ReportSheets.of(word)
                .orElseThrow(() -> new BadRequest(
                        400,
                        "calculations",
                        "There are no calculations of " + word + ".",
                        "Ask for named, failing or cages."));
    }

    /** Marks that a parameter names, separated by commas. */
    static Set<String> marks(FileAsked a, String parameter) {
        return Arrays.stream(a.query(parameter, "").split(","))
                .map(String::strip)
                .filter(m -> !m.isEmpty())
                .collect(Collectors.toSet());
    }

    private MadeFiles.Writing ifc(FileAsked a) {
        boolean bars = yes(a, "bars", "yes");
        return now(
                a,
                (d, project, out, progress) -> DesignIfc.write(
                        d,
                        project,
                        bars,
                        progress,
                        new BufferedWriter(new OutputStreamWriter(out, StandardCharsets.US_ASCII))));
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

    private MadeFiles.Writing project(FileAsked a) {
        boolean results = yes(a, "results", "no");
        StoredProject p = projects.files().copy(a.project());
        if (!results) {
            return (out, progress) -> ProjectArchive.write(p, out);
        }
        Workspace.Published now = ResultRoutes.published(projects, a.project());
        if (now.version() != p.row().version()) {
            throw new BadRequest(
                    409,
                    "not-current",
                    "The results are those before the last change.",
                    "Ask again when all is current.");
        }
        return (out, progress) -> ProjectArchive.write(p, o -> ResultsJson.write(now.design(), o), out);
    }

    /** A parameter that is yes or no. */
    private static boolean yes(FileAsked a, String parameter, String usual) {
        String word = a.query(parameter, usual);
        if (!word.equals("yes") && !word.equals("no")) {
            throw new BadRequest(
                    400, parameter, "The parameter " + parameter + " is " + word + ".", "Ask for yes or no.");
        }
        return word.equals("yes");
    }

    private void model(Context c) {
        var file = projects.modelFile(c.pathParam("id"));
        exported(c, file.fileName());
        attached(c, "application/octet-stream", file.fileName().replaceAll("[^A-Za-z0-9._-]", "_"));
        c.result(file.content());
    }
}
