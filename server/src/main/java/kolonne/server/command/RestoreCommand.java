package kolonne.server.command;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import kolonne.server.archive.Backup;
import kolonne.server.store.Database;
import kolonne.server.store.MariaDbProjectStore;
import picocli.CommandLine;

/** {@code kolonne restore FILE}. */
@CommandLine.Command(
        name = "restore",
        mixinStandardHelpOptions = true,
        description = "Brings back what a backup holds and the records do not; nothing that is there is changed. "
                + "Exit status 0: all of it, 1: some projects were left, 2: bad input.")
public final class RestoreCommand implements Callable<Integer> {
    @CommandLine.Mixin
    private StoredData stored;

    @CommandLine.Parameters(paramLabel = "FILE", description = "Zip file that backup wrote.")
    private Path file;

    @Override
    public Integer call() throws IOException {
        try (Database db = stored.open()) {
            List<Backup.Outcome> all = Backup.restore(file, new MariaDbProjectStore(db));
            all.forEach(o -> System.out.println(o.name() + ": " + o.told()));
            return all.stream().allMatch(Backup.Outcome::taken) ? Input.SATISFIED : Input.FAILS;
        }
    }
}
