package kolonne.server.command;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import kolonne.core.work.Progress;
import kolonne.exchange.ifc.DesignIfc;
import picocli.CommandLine;

/** {@code kolonne ifc MODEL --out FILE}. */
@CommandLine.Command(
        name = "ifc",
        mixinStandardHelpOptions = true,
        description = "Designs a building and writes it with every bar as IFC 4. Exit status as design.")
public final class IfcCommand implements Callable<Integer> {
    @CommandLine.Mixin
    private Designed designed;

    @CommandLine.Option(names = "--out", paramLabel = "FILE", required = true, description = "The file to write.")
    private Path out;

    @CommandLine.Option(
            names = "--concrete",
            description = "Concrete with what the design says of it, without bars: a tenth of the size.")
    private boolean concrete;

    @CommandLine.Spec
    private CommandLine.Model.CommandSpec spec;

    @Override
    public Integer call() throws IOException {
        PrintWriter err = spec.commandLine().getErr();
        Designed.Told d;
        try {
            d = designed.design(err);
        } catch (Input.Bad e) {
            return Input.BAD_INPUT;
        }
        if (out.toAbsolutePath().getParent() != null) {
            Files.createDirectories(out.toAbsolutePath().getParent());
        }
        WholeFile.text(out, w -> DesignIfc.write(d.design(), d.project(), !concrete, Progress.NONE, w));
        spec.commandLine().getOut().println(Files.size(out) / 1000 + " kB in " + out);
        spec.commandLine().getOut().flush();
        return d.status();
    }
}
