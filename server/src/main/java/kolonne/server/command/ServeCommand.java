package kolonne.server.command;

import io.javalin.Javalin;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import kolonne.core.basis.Basis;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.model.Building;
import kolonne.exchange.basis.BasisFile;
import kolonne.exchange.model.ModelReader;
import kolonne.exchange.model.ModelWriter;
import kolonne.server.api.Api;
import kolonne.server.guard.Intake;
import kolonne.server.guard.SameSite;
import kolonne.server.jobs.Jobs;
import kolonne.server.project.Projects;
import kolonne.server.store.Database;
import kolonne.server.store.MariaDbProjectStore;
import kolonne.server.store.ProjectStore;
import kolonne.server.watch.Logs;
import picocli.CommandLine;

/** {@code kolonne serve}: the web application on loopback. */
@CommandLine.Command(name = "serve", mixinStandardHelpOptions = true, description = "Serves the web application.")
public final class ServeCommand implements Callable<Integer> {
    @CommandLine.Option(
            names = "--port",
            defaultValue = "8420",
            description = "Port on 127.0.0.1 (default ${DEFAULT-VALUE}).")
    private int port;

    @CommandLine.Mixin
    private StoredData stored;

    @CommandLine.Option(
            names = "--host",
            description = "A further host name under which the server is reached, through a proxy on this machine.")
    private List<String> hosts = List.of();

    @CommandLine.Option(
            names = "--logs",
            description = "Folder of server.log and access.log; without it, faults alone are told on the console.")
    private Path logs;

    @CommandLine.Option(names = "--demo", description = "Loads the Veldhaven building if there is no project yet.")
    private boolean demo;

    @Override
    public Integer call() throws IOException, InterruptedException {
        if (logs != null) {
            Logs.into(logs);
        }
        Database db = stored.open();
        ProjectStore store = new MariaDbProjectStore(db);
        if (demo && store.list().isEmpty()) {
            load(store);
        }
        Jobs jobs = new Jobs();
        Projects projects = new Projects(store, jobs);
        if (!projects.list().isEmpty()) {
            projects.open(projects.list().get(0).id());
        }
        Intake intake = new Intake(Intake.Limits.of(ModelReader.LARGEST + 1024));
        Javalin server = new Api(projects, jobs, new SameSite(hosts), intake).server();
        CountDownLatch stopped = new CountDownLatch(1);
        Runtime.getRuntime().addShutdownHook(new Thread(() -> {
            server.stop();
            intake.close();
            jobs.close();
            db.close();
            stopped.countDown();
        }));
        server.start("127.0.0.1", port);
        System.out.println("Kolonne is at http://127.0.0.1:" + server.port() + "/");
        stopped.await();
        return Input.SATISFIED;
    }

    private static void load(ProjectStore store) throws IOException {
        Building b = DemoBuilding.generate(DemoOptions.VELDHAVEN);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ModelWriter.json(b, out);
        store.create(b.name(), "veldhaven.json", out.toByteArray(), BasisFile.write(Basis.standard(false)), null);
    }
}
