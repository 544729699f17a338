package kolonne.server.command;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import kolonne.core.work.Progress;
import kolonne.exchange.paper.SectionPaper;
import kolonne.exchange.single.SectionFile;
import picocli.CommandLine;

/** {@code kolonne section FILE}. */
@CommandLine.Command(
        name = "section",
        mixinStandardHelpOptions = true,
        description =
                "Strengths and utilisations of sections with bars, stirrups and sets of forces, as JSON. Exit status 0: all satisfied, 1: something fails, "
                        + "2: bad input.")
public final class SectionCommand implements Callable<Integer> {
    @CommandLine.Parameters(paramLabel = "FILE", description = "List of sections (.json); docs/formats/sections.md.")
    private Path file;

    @CommandLine.Option(names = "--out", paramLabel = "FILE", description = "Write there instead of to the screen.")
    private Path out;

    @CommandLine.Option(
            names = "--pdf",
            paramLabel = "FILE",
            description = "Write the sections on paper as well: pictures, uses and calculations.")
    private Path pdf;

    @CommandLine.Option(names = "--calculations", description = "Write every step of every check.")
    private boolean calculations;

    @CommandLine.Spec
    private CommandLine.Model.CommandSpec spec;

    @Override
    public Integer call() throws IOException {
        PrintWriter err = spec.commandLine().getErr();
        if (!Files.exists(file)) {
            err.println("There is no file " + file + ".");
            return Input.BAD_INPUT;
        }
        SectionFile.Read read = SectionFile.read(Files.readAllBytes(file));
        Input.print(read.findings(), err);
        if (!read.findings().isEmpty()) {
            return Input.BAD_INPUT;
        }
        if (pdf != null) {
            WholeFile.bytes(pdf, o -> SectionPaper.write(read.ready(), o, Progress.NONE));
        }
        ArrayNode answers = SectionFile.answers(read.ready(), calculations);
        if (out != null) {
            WholeFile.text(out, w -> w.write(answers.toPrettyString() + "\n"));
        } else {
            spec.commandLine().getOut().println(answers.toPrettyString());
            spec.commandLine().getOut().flush();
        }
        boolean over = false;
        for (JsonNode s : answers) {
            over |= !s.get("findings").isEmpty();
            for (JsonNode set : s.get("sets")) {
                over |= set.get("utilisation").asDouble() > 1 + 1e-6;
            }
        }
        return over ? Input.FAILS : Input.SATISFIED;
    }
}
