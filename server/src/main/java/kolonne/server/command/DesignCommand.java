package kolonne.server.command;

import java.io.IOException;
import java.io.InterruptedIOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import kolonne.core.design.BuildingDesign;
import kolonne.core.project.ProjectData;
import kolonne.core.schedule.Scheduled;
import kolonne.core.work.Progress;
import kolonne.exchange.bending.BendingData;
import kolonne.exchange.paper.SchedulePdf;
import kolonne.exchange.paper.ScheduleWorkbook;
import kolonne.exchange.paper.UtilisationReport;
import kolonne.exchange.results.ResultsCsv;
import kolonne.exchange.results.ResultsJson;
import picocli.CommandLine;

/** {@code kolonne design MODEL --basis B --out DIR}. */
@CommandLine.Command(
        name = "design",
        mixinStandardHelpOptions = true,
        description =
                "Designs a building and writes results, reports and schedules. Exit status 0: all satisfied, 1: something fails, 2: bad input.")
public final class DesignCommand implements Callable<Integer> {
    @CommandLine.Mixin
    private Designed designed;

    @CommandLine.Option(names = "--out", paramLabel = "DIR", required = true, description = "Folder for the files.")
    private Path out;

    @CommandLine.Mixin
    private ReportOptions report;

    @CommandLine.Spec
    private CommandLine.Model.CommandSpec spec;

    @Override
    public Integer call() throws IOException {
        PrintWriter err = spec.commandLine().getErr();
        Designed.Told told;
        try {
            told = designed.design(err);
        } catch (Input.Bad e) {
            return Input.BAD_INPUT;
        }
        BuildingDesign d = told.design();
        Input.print(d.findings(), err);
        Set<String> sheets;
        try {
            sheets = report.marks(d, err);
        } catch (Input.Bad e) {
            return Input.BAD_INPUT;
        }
        Files.createDirectories(out);
        write(d, told.project(), sheets);
        BuildingDesign.State s = d.state();
        spec.commandLine()
                .getOut()
                .println(String.format(
                        Locale.ROOT,
                        "%d lines and stacks: %d satisfied, %d overstressed, %d failing; %s. Files in %s",
                        s.members(),
                        s.satisfied(),
                        s.overstressed(),
                        s.failing(),
                        d.quantities().words(d.basis().usUnits()),
                        out));
        spec.commandLine().getOut().flush();
        return told.status();
    }

    /** The files beside each other, the slowest first. */
    private void write(BuildingDesign d, ProjectData told, Set<String> sheets) throws IOException {
        List<Callable<Void>> files = List.of(
                bytes("report.pdf", o -> UtilisationReport.write(d, told, sheets, Progress.NONE, o)),
                bytes("results.json", o -> ResultsJson.write(d, o)),
                bytes("bending.json", o -> BendingData.json(d, o)),
                bytes("schedules.pdf", o -> SchedulePdf.write(Scheduled.of(d), told, Progress.NONE, o)),
                bytes("schedules.xlsx", o -> ScheduleWorkbook.write(Scheduled.of(d), told, Progress.NONE, o)),
                () -> {
                    WholeFile.text(out.resolve("bending.csv"), w -> BendingData.csv(d, w));
                    WholeFile.text(out.resolve("checks.csv"), w -> ResultsCsv.checks(d, w));
                    return null;
                });
        ExecutorService pool = Executors.newFixedThreadPool(Runtime.getRuntime().availableProcessors());
        try {
            for (Future<Void> f : pool.invokeAll(files)) {
                f.get();
            }
        } catch (ExecutionException e) {
            if (e.getCause() instanceof IOException io) {
                throw io;
            }
            throw new IllegalStateException(e.getCause());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new InterruptedIOException("stopped while writing");
        } finally {
            pool.shutdownNow();
        }
    }

    private Callable<Void> bytes(String name, WholeFile.Bytes content) {
        return () -> {
            WholeFile.bytes(out.resolve(name), content);
            return null;
        };
    }
}
