package kolonne.server.command;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.concurrent.Callable;
import kolonne.core.analysis.Analysis;
import kolonne.core.model.Building;
import kolonne.exchange.results.ResultsCsv;
import picocli.CommandLine;

/** {@code kolonne analyse MODEL --out DIR}. */
@CommandLine.Command(
        name = "analyse",
        mixinStandardHelpOptions = true,
        description =
                "Solves the frame and writes displacements, reactions and station forces of every case and combination as CSV.")
public final class AnalyseCommand implements Callable<Integer> {
    @CommandLine.Parameters(
            paramLabel = "MODEL",
            description = "Model file (.json, .zip, .ifc), folder of CSV tables, or - for the standard input.")
    private Path model;

    @CommandLine.Option(names = "--out", paramLabel = "DIR", required = true, description = "Folder for the files.")
    private Path out;

    @CommandLine.Spec
    private CommandLine.Model.CommandSpec spec;

    @Override
    public Integer call() throws IOException {
        PrintWriter err = spec.commandLine().getErr();
        try {
            Building b = Input.frame(model, err);
            Analysis a = Input.analysis(b, err);
            Files.createDirectories(out);
            WholeFile.text(out.resolve("displacements.csv"), w -> ResultsCsv.displacements(a, w));
            WholeFile.text(out.resolve("reactions.csv"), w -> ResultsCsv.reactions(a, w));
            WholeFile.text(out.resolve("station-forces.csv"), w -> ResultsCsv.stationForces(a, w));
            double worst = 0;
            for (int c = 0; c < b.loadCases().size(); c++) {
                worst = Math.max(worst, a.residual(c));
            }
            spec.commandLine()
                    .getOut()
                    .println(String.format(
                            Locale.ROOT,
                            "%d members, %d load cases; largest joint imbalance %.1e of the largest load. Files in %s",
                            b.members().size(),
                            b.loadCases().size(),
                            worst,
                            out));
            spec.commandLine().getOut().flush();
            return Input.SATISFIED;
        } catch (Input.Bad e) {
            return Input.BAD_INPUT;
        }
    }
}
