package kolonne.server.command;

import io.javalin.Javalin;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.InetAddress;
import java.nio.file.Path;
import java.time.Clock;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
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
import kolonne.server.people.Accounts;
import kolonne.server.people.OpenId;
import kolonne.server.people.Team;
import kolonne.server.project.Projects;
import kolonne.server.store.Database;
import kolonne.server.store.MariaDbJobStore;
import kolonne.server.store.MariaDbProjectStore;
import kolonne.server.store.ProjectStore;
import kolonne.server.store.Shared;
import kolonne.server.watch.Logs;
import picocli.CommandLine;

/** {@code kolonne serve}: the web application, for one person on loopback, or for a team that signs in. */
@CommandLine.Command(name = "serve", mixinStandardHelpOptions = true, description = "Serves the web application.")
public final class ServeCommand implements Callable<Integer> {
    private static final String LOOPBACK = "127.0.0.1";
    /** How long a design waits for its own server before this one makes it [ms]. */
    private static final int PATIENCE = 5000;

    @CommandLine.Option(names = "--port", defaultValue = "8420", description = "Port (default ${DEFAULT-VALUE}).")
    private int port;

    @CommandLine.Option(
            names = "--team",
            description =
                    "People have accounts and sign in; the first administrator's password is told at the first start.")
    private boolean team;

    @CommandLine.Option(
            names = "--listen",
            defaultValue = LOOPBACK,
            description = "Address of this machine to listen at (default ${DEFAULT-VALUE}); any other needs --team.")
    private String listen;

    @CommandLine.Option(
            names = "--proxy",
            description =
                    "Address of a proxy that is believed when it tells from where, and whether by TLS, a request came.")
    private List<String> proxies = List.of();

    @CommandLine.Mixin
    private OpenIdOptions openId;

    @CommandLine.Mixin
    private StoredData stored;

    @CommandLine.Option(names = "--host", description = "A further host name under which the server is reached.")
    private List<String> hosts = List.of();

    @CommandLine.Option(
            names = "--logs",
            description = "Folder of server.log and access.log; without it, faults alone are told on the console.")
    private Path logs;

    @CommandLine.Option(
            names = "--alone",
            description = "No other server works on the database: files that are made are kept here alone.")
    private boolean alone;

    @CommandLine.Option(names = "--demo", description = "Loads the Veldhaven building if there is no project yet.")
    private boolean demo;

    @CommandLine.Spec
    private CommandLine.Model.CommandSpec spec;

    @Override
    public Integer call() throws IOException, InterruptedException {
        if (!team && !InetAddress.getByName(listen).isLoopbackAddress()) {
            throw new CommandLine.ParameterException(
                    spec.commandLine(),
                    "Listening at " + listen + " lets others in: it needs --team, so that they sign in.");
        }
        Optional<OpenId> provider = openId.provider(spec.commandLine(), team);
        if (logs != null) {
            Logs.into(logs);
        }
        Database db = stored.open();
        ProjectStore store = new MariaDbProjectStore(db);
        if (demo && store.list().isEmpty()) {
            load(store);
        }
        Jobs jobs = new Jobs(new MariaDbJobStore(db, !alone));
        Projects projects = new Projects(store, jobs, Shared.of(db));
        if (!projects.list().isEmpty()) {
            projects.open(projects.list().get(0).id());
        }
        projects.followOthers();
        projects.help(PATIENCE);
        Intake intake = new Intake(Intake.Limits.of(ModelReader.LARGEST + 1024));
        Team people = team ? Team.of(db, Clock.systemUTC(), provider) : null;
        Javalin server = new Api(projects, jobs, new SameSite(hosts), intake, people, new HashSet<>(proxies)).server();
        CountDownLatch stopped = new CountDownLatch(1);
        Runtime.getRuntime().addShutdownHook(new Thread(() -> {
            server.stop();
            intake.close();
            projects.handOver();
            jobs.close();
            db.close();
            stopped.countDown();
        }));
        server.start(listen, port);
        System.out.println("Kolonne is at http://" + listen + ":" + server.port() + "/");
        if (people != null) {
            people.first().ifPresent(ServeCommand::tell);
        }
        stopped.await();
        return Input.SATISFIED;
    }

    /** The console, not the log, tells the first password: whoever starts the server reads it there once. */
    private static void tell(Accounts.Given first) {
        System.out.println(
                "There was no account yet. Sign in as " + first.account().name() + " with the password "
                        + first.password() + " and choose your own; it is told this once.");
    }

    private static void load(ProjectStore store) throws IOException {
        Building b = DemoBuilding.generate(DemoOptions.VELDHAVEN);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ModelWriter.json(b, out);
        store.create(b.name(), "veldhaven.json", out.toByteArray(), BasisFile.write(Basis.standard(false)), null);
    }
}
