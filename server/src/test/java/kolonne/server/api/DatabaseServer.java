package kolonne.server.api;

import io.javalin.Javalin;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.function.UnaryOperator;
import kolonne.server.jobs.Jobs;
import kolonne.server.project.Projects;
import kolonne.server.store.Database;
import kolonne.server.store.MariaDbJobStore;
import kolonne.server.store.MariaDbProjectStore;
import kolonne.server.store.ProjectStore;
import kolonne.server.store.Shared;

/** One of several servers on the database of the tests. */
final class DatabaseServer {
    final Database database;
    final Jobs jobs;
    final ProjectStore store;
    final Projects projects;
    final Javalin javalin;

    DatabaseServer() throws IOException {
        this(s -> s);
    }

    /** @param shared what it shares with others, from what it would by itself */
    DatabaseServer(UnaryOperator<Shared> shared) throws IOException {
        database = new Database(
                System.getenv("KOLONNE_TEST_DB"),
                "app",
                Files.readString(Path.of(System.getenv("KOLONNE_TEST_DB_PASSWORD_FILE")))
                        .strip());
        jobs = new Jobs(new MariaDbJobStore(database));
        store = new MariaDbProjectStore(database);
        projects = new Projects(store, jobs, shared.apply(Shared.of(database)));
        projects.followOthers();
        javalin = new Api(projects, jobs).server().start("127.0.0.1", 0);
    }

    void stop() {
        javalin.stop();
        jobs.close();
        database.close();
    }
}
