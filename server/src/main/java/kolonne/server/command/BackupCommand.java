package kolonne.server.command;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.Callable;
import kolonne.server.archive.Backup;
import kolonne.server.store.Database;
import kolonne.server.store.MariaDbProjectStore;
import picocli.CommandLine;

/** {@code kolonne backup FILE}. */
@CommandLine.Command(
        name = "backup",
        mixinStandardHelpOptions = true,
        description =
                "Writes all projects with their histories, kept bases and mappings into one file, while people work, "
                        + "and reads it back. Exit status 0: whole, 2: not.")
public final class BackupCommand implements Callable<Integer> {
    @CommandLine.Mixin
    private StoredData stored;

    @CommandLine.Parameters(
            paramLabel = "FILE",
            description = "Zip file to write; one that is there is replaced when the new one is whole.")
    private Path file;

    @CommandLine.Spec
    private CommandLine.Model.CommandSpec spec;

    @Override
    public Integer call() throws IOException {
        int[] count = new int[1];
        try (Database db = stored.open()) {
            WholeFile.bytes(file, out -> count[0] = Backup.write(new MariaDbProjectStore(db), out));
        }
        Optional<String> unsound = Backup.unsound(file);
        if (unsound.isPresent()) {
            spec.commandLine().getErr().println("The backup cannot be read back: " + unsound.get());
            return Input.BAD_INPUT;
        }
        System.out.println((count[0] == 1 ? "1 project" : count[0] + " projects") + " in " + file);
        return Input.SATISFIED;
    }
}
