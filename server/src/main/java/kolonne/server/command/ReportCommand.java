package kolonne.server.command;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.Set;
import kolonne.core.work.Progress;
import kolonne.exchange.paper.UtilisationReport;
import picocli.CommandLine;

/** {@code kolonne report MODEL --out FILE}. */
@CommandLine.Command(
        name = "report",
        mixinStandardHelpOptions = true,
        description = "Designs a building and writes its utilisation report as PDF. Exit status as design.")
public final class ReportCommand extends PaperCommand {
    @CommandLine.Mixin
    private ReportOptions report;

    @Override
    void write(Designed.Told told, Path file, PrintWriter err) throws IOException, Input.Bad {
        Set<String> marks = report.marks(told.design(), err);
        WholeFile.bytes(file, o -> UtilisationReport.write(told.design(), told.project(), marks, Progress.NONE, o));
    }
}
