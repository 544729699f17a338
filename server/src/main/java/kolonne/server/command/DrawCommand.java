package kolonne.server.command;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Set;
import java.util.concurrent.Callable;
import kolonne.core.design.BuildingDesign;
import kolonne.core.drawing.Paper;
import kolonne.core.drawing.Sheet;
import kolonne.core.drawing.Sheets;
import kolonne.core.work.Progress;
import kolonne.exchange.drawing.DrawingPdf;
import kolonne.exchange.drawing.DxfWriter;
import picocli.CommandLine;

/** {@code kolonne draw MODEL --out DIR}. */
@CommandLine.Command(
        name = "draw",
        mixinStandardHelpOptions = true,
        description =
                "Designs a building and draws its beams and columns on sheets, as drawings.pdf and drawings.dxf. Exit status as design.")
public final class DrawCommand implements Callable<Integer> {
    @CommandLine.Mixin
    private Designed designed;

    @CommandLine.Option(names = "--out", paramLabel = "DIR", required = true, description = "Folder for the files.")
    private Path out;

    @CommandLine.Option(
            names = "--marks",
            paramLabel = "MARK",
            split = ",",
            description = "Marks of what is drawn; all if left out.")
    private List<String> marks = List.of();

    @CommandLine.Option(names = "--paper", paramLabel = "P", description = "A4, A3, A2, A1 (the default) or A0.")
    private Paper paper = Paper.A1;

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
        List<Sheet> sheets;
        try {
            sheets = Sheets.of(d, told.project(), Set.copyOf(marks), paper, Progress.NONE);
        } catch (NoSuchElementException e) {
            err.println(e.getMessage());
            err.flush();
            return Input.BAD_INPUT;
        }
        Files.createDirectories(out);
        List<Sheet> drawn = sheets;
        WholeFile.bytes(out.resolve("drawings.pdf"), o -> DrawingPdf.write(drawn, Progress.NONE, o));
        WholeFile.text(out.resolve("drawings.dxf"), w -> DxfWriter.write(drawn, Progress.NONE, w));
        spec.commandLine().getOut().println(sheets.size() + " sheets in " + out);
        spec.commandLine().getOut().flush();
        return told.status();
    }
}
