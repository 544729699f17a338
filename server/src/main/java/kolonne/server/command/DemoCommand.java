package kolonne.server.command;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.model.Building;
import picocli.CommandLine;

/** {@code kolonne demo OUT}. */
@CommandLine.Command(
        name = "demo",
        mixinStandardHelpOptions = true,
        description = "Makes the Veldhaven building, or a plain frame of any size, as a model file.")
public final class DemoCommand implements Callable<Integer> {
    @CommandLine.Parameters(
            paramLabel = "OUT",
            description = "File ending in .json or .zip, a folder, or - for JSON on the standard output.")
    private Path out;

    @CommandLine.Option(
            names = "--seed",
            defaultValue = "7",
            description = "Varies the bays (default ${DEFAULT-VALUE}).")
    private long seed;

    @CommandLine.Option(
            names = "--storeys",
            defaultValue = "7",
            description = "Floors above ground (default ${DEFAULT-VALUE}).")
    private int storeys;

    @CommandLine.Option(
            names = "--bays",
            defaultValue = "6x4",
            description = "Bays along X and Y (default ${DEFAULT-VALUE}).")
    private String bays;

    @CommandLine.Option(names = "--plain", description = "Without pavilion, setback, hall, transfer and cantilevers.")
    private boolean plain;

    @CommandLine.Option(names = "--members", description = "A plain frame of about that many members instead.")
    private Integer members;

    @CommandLine.Option(names = "--us", description = "In US customary units: feet, whole inches, concretes in psi.")
    private boolean us;

    @CommandLine.Spec
    private CommandLine.Model.CommandSpec spec;

    @Override
    public Integer call() throws IOException {
        DemoOptions o;
        try {
            String[] xy = bays.split("x");
            int bx = Integer.parseInt(xy[0]);
            int by = Integer.parseInt(xy[xy.length - 1]);
            boolean features = !plain && storeys >= 6 && bx >= 6 && by >= 4;
            o = members != null ? DemoOptions.ofSize(members) : new DemoOptions(seed, storeys, bx, by, features);
        } catch (IllegalArgumentException e) {
            spec.commandLine()
                    .getErr()
                    .println("Give bays as 6x4, and storeys and bays from 1 to 60: " + e.getMessage());
            return Input.BAD_INPUT;
        }
        Building b = us ? DemoBuilding.customary(o) : DemoBuilding.generate(o);
        ConvertCommand.write(b, out);
        // what is written to the standard output stays a model
        PrintWriter told = out.toString().equals(ConvertCommand.STREAM)
                ? spec.commandLine().getErr()
                : spec.commandLine().getOut();
        told.println(b.members().size() + " members in " + out);
        told.flush();
        return Input.SATISFIED;
    }
}
