package kolonne.server.command;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import kolonne.core.work.Progress;
import kolonne.exchange.ifc.DesignIfc;
import picocli.CommandLine;

/** {@code kolonne ifc MODEL --out FILE}. */
@CommandLine.Command(
        name = "ifc",
        mixinStandardHelpOptions = true,
        description = "Designs a building and writes it with every bar as IFC 4. Exit status as design.")
public final class IfcCommand extends PaperCommand {
    @CommandLine.Option(
            names = "--concrete",
            description = "Concrete with what the design says of it, without bars: a tenth of the size.")
    private boolean concrete;

    @Override
    void write(Designed.Told told, Path file, PrintWriter err) throws IOException {
        WholeFile.text(file, w -> DesignIfc.write(told.design(), told.project(), !concrete, Progress.NONE, w));
    }
}
