package kolonne.server.command;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import kolonne.core.schedule.Scheduled;
import kolonne.core.work.Progress;
import kolonne.exchange.bending.BendingData;
import kolonne.exchange.paper.SchedulePdf;
import picocli.CommandLine;

/** {@code kolonne bbs MODEL --out FILE}. */
@CommandLine.Command(
        name = "bbs",
        mixinStandardHelpOptions = true,
        description =
                "Designs a building and writes its bar bending schedule: .pdf to read, .json or .csv with the steps "
                        + "of every bar for machines. Exit status as design.")
public final class BbsCommand extends PaperCommand {
    @Override
    void write(Designed.Told told, Path file, PrintWriter err) throws IOException, Input.Bad {
        switch (ending(file)) {
            case "pdf" ->
                WholeFile.bytes(
                        file, o -> SchedulePdf.bars(Scheduled.of(told.design()), told.project(), Progress.NONE, o));
            case "json" -> WholeFile.bytes(file, o -> BendingData.json(told.design(), o));
            case "csv" -> WholeFile.text(file, w -> BendingData.csv(told.design(), w));
            default -> throw otherEnding(file, ".pdf, .json or .csv", err);
        }
    }
}
