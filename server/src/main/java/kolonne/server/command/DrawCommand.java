package kolonne.server.command;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.Callable;
import kolonne.core.basis.Basis;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.design.Decisions;
import kolonne.core.design.SuggestedTypes;
import kolonne.core.drawing.Paper;
import kolonne.core.drawing.Sheet;
import kolonne.core.drawing.Sheets;
import kolonne.core.model.Building;
import kolonne.core.project.ProjectData;
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
            names = "--marks",
            paramLabel = "MARK",
            split = ",",
            description = "Marks of what is drawn; all if left out.")
    private List<String> marks = List.of();

    @CommandLine.Option(names = "--paper", paramLabel = "P", description = "A4, A3, A2, A1 (the default) or A0.")
    private Paper paper = Paper.A1;

    @CommandLine.Option(
            names = "--types",
            paramLabel = "T",
            description = "own (a cage for every member, the default) or suggested (few types for little more steel).")
    private DesignCommand.TypesWanted types = DesignCommand.TypesWanted.own;

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
            d = BuildingDesigner.design(Input.analysis(b, err), chosen, BuildingDesigner.Progress.NONE);
            if (types == DesignCommand.TypesWanted.suggested) {
                d = d.with(Decisions.typed(SuggestedTypes.of(d)), Set.of());
            }
        } catch (Input.Bad e) {
            return Input.BAD_INPUT;
        }
        Set<String> unknown = new HashSet<>(marks);
        unknown.removeAll(Sheets.marks(d));
        if (!unknown.isEmpty()) {
            err.println("There is no beam line, column stack or type " + String.join(", ", unknown) + ".");
            err.flush();
            return Input.BAD_INPUT;
        }
        List<Sheet> sheets = Sheets.of(d, told, Set.copyOf(marks), paper, () -> true);
        Files.createDirectories(out);
        WholeFile.bytes(out.resolve("drawings.pdf"), o -> DrawingPdf.write(sheets, o));
        WholeFile.text(out.resolve("drawings.dxf"), w -> DxfWriter.write(sheets, w));
        spec.commandLine().getOut().println(sheets.size() + " sheets in " + out);
        spec.commandLine().getOut().flush();
        BuildingDesign.State s = d.state();
        return s.satisfied() == s.members() ? Input.SATISFIED : Input.FAILS;
    }
}
