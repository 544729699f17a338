package kolonne.server.command;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Set;
import kolonne.core.schedule.Scheduled;
import kolonne.core.work.Progress;
import kolonne.exchange.paper.SchedulePdf;
import kolonne.exchange.paper.ScheduleWorkbook;
import picocli.CommandLine;

/** {@code kolonne schedule MODEL --out FILE}. */
@CommandLine.Command(
        name = "schedule",
        mixinStandardHelpOptions = true,
        description = "Designs a building and writes its schedules, as .pdf or .xlsx. Exit status as design.")
public final class ScheduleCommand extends PaperCommand {
    @CommandLine.Option(
            names = "--marks",
            paramLabel = "MARK",
            split = ",",
            description = "Lines, stacks or types to schedule; all if left out.")
    private List<String> marks = List.of();

    @Override
    void write(Designed.Told told, Path file, PrintWriter err) throws IOException, Input.Bad {
        Scheduled all;
        try {
            all = Scheduled.of(told.design(), Set.copyOf(marks));
        } catch (NoSuchElementException e) {
            err.println(e.getMessage());
            err.flush();
            throw new Input.Bad();
        }
        switch (ending(file)) {
            case "pdf" -> WholeFile.bytes(file, o -> SchedulePdf.write(all, told.project(), Progress.NONE, o));
            case "xlsx" -> WholeFile.bytes(file, o -> ScheduleWorkbook.write(all, told.project(), Progress.NONE, o));
            default -> throw otherEnding(file, ".pdf or .xlsx", err);
        }
    }
}
