package kolonne.server.command;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.Set;
import kolonne.core.basis.Basis;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.design.Decisions;
import kolonne.core.design.SuggestedTypes;
import kolonne.core.model.Building;
import kolonne.core.project.ProjectData;
import picocli.CommandLine;

/** What is designed and by what: the part that the commands which write files of a design have in common. */
final class Designed {
    @CommandLine.Parameters(
            paramLabel = "MODEL",
            description = "Model file (.json, .zip, .ifc), folder of CSV tables, or - for the standard input.")
    private Path model;

    @CommandLine.Option(
            names = "--basis",
            paramLabel = "B",
            description = "Basis file; the standard basis if left out.")
    private Path basis;

    @CommandLine.Option(
            names = "--types",
            paramLabel = "T",
            description = "own (a cage for every member, the default) or suggested (few types for little more steel).")
    private TypesWanted types = TypesWanted.own;

    @CommandLine.Option(
            names = "--project",
            paramLabel = "P",
            description = "File of what title blocks tell: client, job, revisions; see docs/formats/project.md.")
    private Path project;

    /** As it is written on the command line. */
    enum TypesWanted {
        own,
        suggested
    }

    /** A design with what is told of its project. */
    record Told(BuildingDesign design, ProjectData project) {
        /** Exit status: whether everything is satisfied. */
        int status() {
            BuildingDesign.State s = design.state();
            return s.satisfied() == s.members() ? Input.SATISFIED : Input.FAILS;
        }
    }

    /** Reads and designs; what is wrong with the input is printed. */
    Told design(PrintWriter err) throws IOException, Input.Bad {
        ProjectData told = Input.project(project, err);
        Building b = Input.model(model, err);
        Basis chosen = Input.basis(basis, b, err);
        BuildingDesign d = BuildingDesigner.design(Input.analysis(b, err), chosen, BuildingDesigner.Progress.NONE);
        return new Told(
                types == TypesWanted.suggested ? d.with(Decisions.typed(SuggestedTypes.of(d)), Set.of()) : d, told);
    }
}
