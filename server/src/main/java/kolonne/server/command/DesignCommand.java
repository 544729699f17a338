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
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.design.Decisions;
import kolonne.core.design.SuggestedTypes;
import kolonne.core.model.Building;
import kolonne.core.project.ProjectData;
import kolonne.exchange.paper.ReportSheets;
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
    @CommandLine.Parameters(
            paramLabel = "MODEL",
            description = "Model file (.json, .zip), folder of CSV tables, or - for the standard input.")
    private Path model;

    @CommandLine.Option(
            names = "--basis",
            paramLabel = "B",
            description = "Basis file; the standard basis if left out.")
    private Path basis;

    @CommandLine.Option(names = "--out", paramLabel = "DIR", required = true, description = "Folder for the files.")
    private Path out;

    @CommandLine.Option(
            names = "--sheets",
            paramLabel = "MARK",
            split = ",",
            description = "Marks whose calculation sheets the report holds.")
    private List<String> sheets = List.of();

    @CommandLine.Option(
            names = "--calculations",
            paramLabel = "C",
            converter = Words.class,
            description =
                    "named (those of --sheets alone, the default), failing (of all that fails) or cages (of one member with each cage).")
    private ReportSheets calculations = ReportSheets.NAMED;

    @CommandLine.Option(
            names = "--types",
            paramLabel = "T",
            description = "own (a cage for every member, the default) or suggested (few types for little more steel).")
    private TypesWanted types = TypesWanted.own;

    /** As they are written on the command line. */
    static final class Words implements CommandLine.ITypeConverter<ReportSheets> {
        @Override
        public ReportSheets convert(String word) {
            return ReportSheets.of(word)
                    .orElseThrow(() -> new CommandLine.TypeConversionException(
                            "expected named, failing or cages but was '" + word + "'"));
        }
    }

    /** As it is written on the command line. */
    enum TypesWanted {
        own,
        suggested
    }

    @CommandLine.Option(
            names = "--project",
            paramLabel = "P",
            description = "File of what title blocks tell: client, job, revisions; see docs/formats/project.md.")
    private Path project;

    @CommandLine.Spec
    private CommandLine.Model.CommandSpec spec;

    @Override
    public Integer call() throws IOException {
        PrintWriter err = spec.commandLine().getErr();
        BuildingDesign d;
        ProjectData told;
        try {
            told = Input.project(project, err);
            Building b = Input.model(model, err);
            Basis chosen = Input.basis(basis, b, err);
            Analysis a = Input.analysis(b, err);
            d = BuildingDesigner.design(a, chosen, BuildingDesigner.Progress.NONE);
            if (types == TypesWanted.suggested) {
                d = d.with(Decisions.typed(SuggestedTypes.of(d)), Set.of());
            }
        } catch (Input.Bad e) {
            return Input.BAD_INPUT;
        }
        Input.print(d.findings(), err);
        List<String> unknown = unknown(d);
        if (!unknown.isEmpty()) {
            err.println("There is no beam line or column stack " + String.join(", ", unknown)
                    + "; --sheets takes marks such as "
                    + d.beams().stream().map(b -> b.line().mark()).findFirst().orElse("C-A1") + ".");
            err.flush();
            return Input.BAD_INPUT;
        }
        Files.createDirectories(out);
        write(d, told);
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
        return s.satisfied() == s.members() ? Input.SATISFIED : Input.FAILS;
    }

    /** Marks of calculation sheets that the building does not have. */
    private List<String> unknown(BuildingDesign d) {
        return sheets.stream()
                .filter(m -> d.beams().stream().noneMatch(b -> b.line().mark().equals(m))
                        && d.columns().stream().noneMatch(c -> c.stack().mark().equals(m)))
                .toList();
    }

    /** The files beside each other: each takes a second or more. */
    private void write(BuildingDesign d, ProjectData told) throws IOException {
        List<Callable<Void>> files = List.of(
                bytes("results.json", o -> ResultsJson.write(d, o)),
                bytes("schedules.pdf", o -> SchedulePdf.write(d, told, o)),
                bytes("schedules.xlsx", o -> ScheduleWorkbook.write(d, told, o)),
                bytes("report.pdf", o -> UtilisationReport.write(d, told, calculations.marks(d, sheets), o)),
                () -> {
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
