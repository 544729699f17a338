package kolonne.server.api;

import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import io.javalin.Javalin;
import io.javalin.config.JavalinConfig;
import io.javalin.http.Context;
import io.javalin.http.sse.SseClient;
import io.javalin.http.staticfiles.Location;
import io.javalin.json.JavalinJackson;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import kolonne.exchange.model.ModelReader;
import kolonne.server.guard.Intake;
import kolonne.server.guard.Refusal;
import kolonne.server.guard.SameSite;
import kolonne.server.jobs.Job;
import kolonne.server.jobs.Jobs;
import kolonne.server.people.Team;
import kolonne.server.project.Busy;
import kolonne.server.project.Clash;
import kolonne.server.project.Projects;
import kolonne.server.project.Workspace;
import kolonne.server.store.Database;
import kolonne.server.watch.Metrics;
import kolonne.server.watch.RequestWatch;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Puts the routes, the event streams, the errors and the web pages together. */
public final class Api {
    private static final Logger LOG = LoggerFactory.getLogger(Api.class);
    private static final JsonMapper JSON = new JsonMapper();
    private static final String JOB_EVENTS = "/api/jobs/{job}/events";
    private static final String PROJECT_EVENTS = "/api/projects/{id}/events";
    /** Between two looks at whether the windows that follow projects are still there [s]. */
    private static final int BEAT = 5;

    private final Projects projects;
    private final ProjectRoutes projectRoutes;
    private final List<Route> routes = new ArrayList<>();
    private final SameSite sameSite;
    private final Doors doors;
    private final Intake intake;
    /** Open streams of projects. */
    private final Map<SseClient, String> streams = new ConcurrentHashMap<>();

    private final Set<SseClient> jobStreams = ConcurrentHashMap.newKeySet();
    /** Sends what has no design behind it, so that a window that reads slowly keeps nobody's request waiting. */
    private final ScheduledExecutorService pulse = Executors.newSingleThreadScheduledExecutor(r -> {
        Thread t = new Thread(r, "pulse");
        t.setDaemon(true);
        return t;
    });

    private final Metrics metrics = new Metrics();
    private final RequestWatch watch = new RequestWatch(metrics);

    public Api(Projects projects, Jobs jobs) {
        this(
                projects,
                jobs,
                new SameSite(List.of()),
                new Intake(Intake.Limits.of(ModelReader.LARGEST + 1024)),
                null,
                Set.of());
    }

    /**
     * @param sameSite which hosts and pages are ours; @param intake how much is taken in at a time
     * @param team     who may sign in; null for one person on their own machine
     * @param proxies  addresses of proxies whose word of where a request comes from is taken
     */
    public Api(Projects projects, Jobs jobs, SameSite sameSite, Intake intake, Team team, Set<String> proxies) {
        this.projects = projects;
        doors = new Doors(team, proxies, jobs);
        this.sameSite = sameSite;
        this.intake = intake;
        metrics.gauge("kolonne.jobs.waiting", "Jobs that have not begun", () -> jobs.count(Job.Phase.WAITING));
        metrics.gauge("kolonne.jobs.running", "Jobs that are at work", () -> jobs.count(Job.Phase.RUNNING));
        metrics.gauge("kolonne.projects.open", "Projects that are held in memory", projects::held);
        projectRoutes = new ProjectRoutes(projects, jobs, doors);
        routes.addAll(projectRoutes.routes());
        routes.addAll(new SessionRoutes(doors).routes());
        routes.addAll(new AccountRoutes(doors).routes());
        routes.addAll(new OfficeRoutes(doors).routes());
        routes.addAll(new SharingRoutes(projects, doors).routes());
        routes.addAll(new ProjectDataRoutes(projects).routes());
        routes.addAll(new BasisRoutes(projects).routes());
        routes.addAll(new SectionRoutes().routes());
        routes.addAll(new KeptSectionRoutes(projects).routes());
        routes.addAll(new ResultRoutes(projects).routes());
        routes.addAll(new AnalysisRoutes(projects).routes());
        routes.addAll(new EditRoutes(projects).routes());
        routes.addAll(new RevisionRoutes(projects).routes());
        routes.addAll(new ManyRoutes(projects).routes());
        routes.addAll(new ForceRoutes(projects).routes());
        routes.addAll(new SketchRoutes(projects).routes());
        routes.addAll(new ReliefRoutes(projects).routes());
        routes.addAll(new ChoiceRoutes(projects).routes());
        routes.addAll(new HandRoutes(projects).routes());
        routes.addAll(new LiftHandRoutes(projects).routes());
        routes.addAll(new TypeRoutes(projects).routes());
        DrawingRoutes drawings = new DrawingRoutes(projects);
        routes.addAll(drawings.routes());
        routes.addAll(new ExportRoutes(projects, jobs, drawings.exports()).routes());
    }

    /** The OpenAPI description of the routes. */
    public ObjectNode description() {
        return OpenApi.describe(routes);
    }

    /** A server that is ready to start. */
    public Javalin server() {
        return Javalin.create(this::configure);
    }

    private void configure(JavalinConfig cfg) {
        cfg.jsonMapper(new JavalinJackson(JSON, false));
        cfg.http.maxRequestSize = ModelReader.LARGEST + 1024;
        cfg.startup.showJavalinBanner = false;
        cfg.jetty.modifyServer(j -> j.setErrorHandler(new PlainErrors()));
        boolean pages = Api.class.getResource("/web/index.html") != null;
        if (pages) {
            cfg.routes.get("/assets/{name}", Assets::serve);
            cfg.staticFiles.add("/web", Location.CLASSPATH);
            cfg.spaRoot.addFile("/", "/web/index.html", Location.CLASSPATH);
        }
        cfg.requestLogger.http(watch::ends);
        cfg.routes.before(c -> {
            watch.begins(c);
            SameSite.headers().forEach(c::header);
            sameSite.check(c);
        });
        for (Route r : routes) {
            cfg.routes.addHttpHandler(r.method(), r.path(), c -> {
                RequestWatch.of(c, r.path());
                doors.enter(c, r.needs(), r.about() == null ? null : c.pathParam(r.about()));
                if (Intake.sends(c)) {
                    SameSite.checkContent(c, r.request() != null && r.request() != byte[].class);
                }
                intake.take(c);
                r.handler().handle(c);
            });
        }
        new OpenIdPages(doors).add(cfg.routes);
        ObjectNode description = description();
        cfg.routes.get("/api/openapi.json", c -> {
            doors.enter(c, Needs.ACCOUNT, null);
            c.json(description);
        });
        cfg.routes.get("/api/metrics", c -> {
            RequestWatch.of(c, "/api/metrics");
            doors.enter(c, Needs.ACCOUNT, null);
            c.contentType(Metrics.CONTENT_TYPE).result(metrics.text());
        });
        cfg.events.serverStarted(() -> pulse.scheduleWithFixedDelay(this::beat, BEAT, BEAT, TimeUnit.SECONDS));
        // a stream that outlives its connection would be written to by a design that is still under way, without end
        cfg.events.serverStopping(() -> {
            streams.keySet().forEach(SseClient::close);
            jobStreams.forEach(SseClient::close);
        });
        cfg.events.serverStopped(() -> {
            pulse.shutdownNow();
            metrics.close();
        });
        // before the stream begins: its first line is a 200
        cfg.routes.before(JOB_EVENTS, c -> doors.enter(c, Needs.JOB, c.pathParam("job")));
        cfg.routes.before(PROJECT_EVENTS, c -> doors.enter(c, Needs.READER, c.pathParam("id")));
        cfg.routes.sse(JOB_EVENTS, this::jobEvents);
        cfg.routes.sse(PROJECT_EVENTS, this::projectEvents);
        cfg.routes.get(
                "/api/*",
                c -> fail(
                        c,
                        Problem.of(
                                404,
                                "not-found",
                                "There is nothing at " + c.path() + ".",
                                "See /api/openapi.json for what there is.")));
        cfg.routes.after("/api/*", c -> c.header("Cache-Control", "no-store"));
        errors(cfg);
    }

    /** A window that has gone is known only by what can no longer be sent to it. */
    private void beat() {
        streams.forEach((s, project) -> {
            try {
                // who was signed out, or may read the project no longer, hears no more of it
                doors.enter(s.ctx(), Needs.READER, project);
                s.sendComment("here");
            } catch (RuntimeException gone) {
                s.close();
            }
        });
    }

    private void tell(SseClient client, List<String> names) {
        if (!pulse.isShutdown()) {
            pulse.execute(() -> send(client, "people", new Answers.PeopleDto(names)));
        }
    }

    /**
     * Sends an event, or ends a stream that nothing can be sent on any more: one whose writer was interrupted half way, for instance by a design that was superseded,
     * refuses all that follows. Whoever publishes has no part in that: an edit would fail half done. The page asks for its stream again.
     */
    static void send(SseClient client, String event, Object what) {
        try {
            client.sendEvent(event, what);
        } catch (RuntimeException broken) {
            LOG.warn("A stream of events broke at \"{}\" and is ended; its page asks for it again", event, broken);
            client.close();
        }
    }

    private void jobEvents(SseClient client) {
        Job job = projectRoutes.job(client.ctx());
        Consumer<Job.Status> l = s -> {
            send(client, "job", Answers.JobDto.of(s));
            if (s.ended()) {
                client.close();
            }
        };
        client.keepAlive();
        client.onClose(() -> {
            jobStreams.remove(client);
            job.unfollow(l);
        });
        jobStreams.add(client);
        job.follow(l);
    }

    private void projectEvents(SseClient client) {
        String id = client.ctx().pathParam("id");
        Workspace w = projects.open(id);
        Consumer<Workspace.State> l = s -> send(client, "state", Answers.StateDto.of(w, s));
        Runnable leaves =
                projects.present().enters(w.id(), People.following(client.ctx()), names -> tell(client, names));
        streams.put(client, id);
        Runnable out = client::close; // the page asks anew and follows what is in memory then
        client.keepAlive();
        client.onClose(() -> {
            streams.remove(client);
            leaves.run();
            w.unfollow(l);
            w.offPutOut(out);
        });
        w.onPutOut(out);
        w.follow(l);
    }

    private static void errors(JavalinConfig cfg) {
        cfg.routes.exception(
                NoSuchElementException.class,
                (e, c) -> fail(
                        c,
                        Problem.of(
                                404,
                                "not-found",
                                e.getMessage(),
                                "Go back and choose again; it may have been deleted.")));
        cfg.routes.exception(
                Jobs.Refused.class,
                (e, c) -> fail(c, Problem.of(422, "refused", "This cannot be done.", e.findings())));
        cfg.routes.exception(
                Clash.class,
                (e, c) -> fail(c, Problem.of(409, "clash", "Somebody else changed the same meanwhile.", e.findings())));
        cfg.routes.exception(
                Busy.class,
                (e, c) -> fail(
                        c,
                        Problem.of(
                                503,
                                "busy",
                                "Too many changes of this project are under way.",
                                "Nothing was changed. Wait a moment and try again.")));
        cfg.routes.exception(
                Refusal.class, (e, c) -> fail(c, Problem.of(e.status(), e.type(), e.getMessage(), e.mend())));
        cfg.routes.exception(BadRequest.class, (e, c) -> fail(c, e.problem()));
        cfg.routes.exception(
                io.javalin.http.HttpResponseException.class,
                (e, c) -> fail(
                        c,
                        e.getStatus() == 413
                                ? Problem.of(
                                        413,
                                        "too-large",
                                        "The file is larger than " + (ModelReader.LARGEST >> 20) + " MB.",
                                        "Split the building, or leave out station forces.")
                                : Problem.of(
                                        e.getStatus(),
                                        "http",
                                        e.getMessage(),
                                        "See /api/openapi.json for what there is.")));
        cfg.routes.exception(Exception.class, (e, c) -> {
            boolean database = Database.isOutage(e);
            LOG.error("{} {}", c.method(), c.path(), e);
            fail(
                    c,
                    Database.isFull(e)
                            ? Problem.of(
                                    507,
                                    "disk",
                                    "The disk of the database is full.",
                                    "Nothing stored was lost. Make room on it and try again.")
                            : database
                                    ? Problem.of(
                                            503,
                                            "database",
                                            "The database does not answer.",
                                            "Nothing stored was lost. Wait a moment and try again.")
                                    : Problem.of(
                                            500,
                                            "server",
                                            "Something went wrong inside Kolonne; it is in the log under request "
                                                    + RequestWatch.id(c) + ".",
                                            "Try again; nothing stored was changed."));
        });
        cfg.routes.error(404, c -> {
            if (c.result() == null || c.result().isEmpty()) {
                fail(
                        c,
                        Problem.of(
                                404, "not-found", "There is nothing at " + c.path() + ".", "Go back to the projects."));
            }
        });
    }

    private static void fail(Context c, Problem p) {
        c.status(p.status()).json(p).contentType("application/problem+json");
    }
}
