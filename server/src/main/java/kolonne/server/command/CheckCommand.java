package kolonne.server.command;

import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import kolonne.core.model.Building;
import picocli.CommandLine;

/** {@code kolonne check MODEL}. */
@CommandLine.Command(
        name = "check",
        mixinStandardHelpOptions = true,
        description = "Reads a model, solves it and says everything that is wrong with it.")
public final class CheckCommand implements Callable<Integer> {
    @CommandLine.Parameters(paramLabel = "MODEL", description = "Model file (.json, .zip) or folder of CSV tables.")
    private Path model;

    @CommandLine.Spec
    private CommandLine.Model.CommandSpec spec;

    @Override
    public Integer call() throws IOException {
        try {
            Building b = Input.frame(model, spec.commandLine().getErr());
            Input.analysis(b, spec.commandLine().getErr());
            spec.commandLine()
                    .getOut()
                    .println("The model is sound: " + b.members().size() + " members, "
                            + b.joints().size() + " joints.");
            spec.commandLine().getOut().flush();
            return Input.SATISFIED;
        } catch (Input.Bad e) {
            return Input.BAD_INPUT;
        }
    }
}
