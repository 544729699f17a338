package kolonne.server.command;

import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import kolonne.server.jobs.Jobs;
import kolonne.server.project.Projects;
import kolonne.server.store.Database;
import kolonne.server.store.MariaDbJobStore;
import kolonne.server.store.MariaDbProjectStore;
import kolonne.server.store.Shared;
import kolonne.server.watch.Logs;
import picocli.CommandLine;

/** {@code kolonne work}: designs for the servers of a database, on this machine. */
@CommandLine.Command(
        name = "work",
        mixinStandardHelpOptions = true,
        description =
                "Designs buildings for the servers on the same database, whenever all of them are busy or one has died, and takes up imports of one that died.")
public final class WorkCommand implements Callable<Integer> {
    @CommandLine.Mixin
    private StoredData stored;

    @CommandLine.Option(
            names = "--patience",
            defaultValue = "500",
            description = "Milliseconds that a design waits for a server first (0 to 60000, default ${DEFAULT-VALUE}).")
    private int patience;

    @CommandLine.Option(
            names = "--logs",
            description = "Folder of server.log; without it, faults alone are told on the console.")
    private Path logs;

    @CommandLine.Spec
    private CommandLine.Model.CommandSpec spec;

    @Override
    public Integer call() throws IOException, InterruptedException {
        if (patience < 0 || patience > 60_000) {
            throw new CommandLine.ParameterException(
                    spec.commandLine(), "--patience is " + patience + "; give 0 to 60000 milliseconds.");
        }
        if (logs != null) {
            Logs.into(logs);
        }
        Database db = stored.open();
        Jobs jobs = new Jobs(new MariaDbJobStore(db));
        CountDownLatch stopped = new CountDownLatch(1);
        Projects projects = new Projects(new MariaDbProjectStore(db), jobs, Shared.of(db));
        Runtime.getRuntime().addShutdownHook(new Thread(() -> {
            projects.handOver();
            jobs.close();
            db.close();
            stopped.countDown();
        }));
        projects.help(patience);
        System.out.println("Kolonne works on what waits. End it with Ctrl+C; nothing is lost.");
        stopped.await();
        return Input.SATISFIED;
    }
}
