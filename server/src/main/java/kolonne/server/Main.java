package kolonne.server;

import kolonne.server.command.AccountCommand;
import kolonne.server.command.AnalyseCommand;
import kolonne.server.command.BackupCommand;
import kolonne.server.command.BbsCommand;
import kolonne.server.command.CheckCommand;
import kolonne.server.command.CompareCommand;
import kolonne.server.command.ConvertCommand;
import kolonne.server.command.DemoCommand;
import kolonne.server.command.DesignCommand;
import kolonne.server.command.DrawCommand;
import kolonne.server.command.IfcCommand;
import kolonne.server.command.OfficeCommand;
import kolonne.server.command.ReportCommand;
import kolonne.server.command.RestoreCommand;
import kolonne.server.command.ScheduleCommand;
import kolonne.server.command.SectionCommand;
import kolonne.server.command.ServeCommand;
import kolonne.server.command.WorkCommand;
import picocli.AutoComplete;
import picocli.CommandLine;

/** The {@code kolonne} command. */
@CommandLine.Command(
        name = "kolonne",
        mixinStandardHelpOptions = true,
        version = "kolonne 0.1.0",
        description = "Designs every concrete beam and column of a building from its analysis model.",
        subcommands = {
            ServeCommand.class,
            WorkCommand.class,
            OfficeCommand.class,
            AccountCommand.class,
            DesignCommand.class,
            DrawCommand.class,
            IfcCommand.class,
            ReportCommand.class,
            ScheduleCommand.class,
            BbsCommand.class,
            AnalyseCommand.class,
            CheckCommand.class,
            CompareCommand.class,
            SectionCommand.class,
            ConvertCommand.class,
            DemoCommand.class,
            BackupCommand.class,
            RestoreCommand.class,
            CommandLine.HelpCommand.class,
            AutoComplete.GenerateCompletion.class
        })
public final class Main implements Runnable {
    @CommandLine.Spec
    private CommandLine.Model.CommandSpec spec;

    public static void main(String[] args) {
        System.exit(run(args));
    }

    /** Runs a command and returns its exit status. */
    public static int run(String... args) {
        return new CommandLine(new Main())
                .setExecutionExceptionHandler((e, cmd, parsed) -> {
                    cmd.getErr()
                            .println(
                                    e instanceof java.io.IOException
                                            ? "Cannot read or write: " + e.getMessage()
                                            : e.toString());
                    return 2;
                })
                .execute(args);
    }

    @Override
    public void run() {
        spec.commandLine().usage(System.out);
    }
}
