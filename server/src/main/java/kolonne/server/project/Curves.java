package kolonne.server.project;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import kolonne.core.design.BuildingDesign;
import kolonne.core.finding.Finding;
import kolonne.core.model.Role;
import kolonne.core.type.Curve;
import kolonne.core.type.CurveMaker;
import kolonne.server.jobs.Job;
import kolonne.server.jobs.Jobs;
import kolonne.server.kept.Build;
import kolonne.server.store.Brought;
import kolonne.server.store.By;
import kolonne.server.store.Upload;
import kolonne.server.store.UploadStore;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Curves of types of the newest model, basis and cages by hand: made once, for whichever server is asked for them. */
public final class Curves {
    private static final Logger LOG = LoggerFactory.getLogger(Curves.class);
    private static final JsonMapper JSON = new JsonMapper();
    private static final String KIND = "curve";
    private static final String MAKING = "types";
    /** Nothing is brought but the question. */
    private static final byte[] ASKED = {'?'};

    private final Projects projects;
    private final Jobs jobs;
    private final UploadStore store;

    Curves(Projects projects, Jobs jobs, UploadStore store) {
        this.projects = projects;
        this.jobs = jobs;
        this.store = store;
        jobs.does(MAKING, this::made);
    }

    private Workspace.CurveKey key(String id, Role role) {
        EditHistory h = projects.history(id);
        return new Workspace.CurveKey(
                role, h.modelVersion(), h.basisVersions(), h.hand(), h.types().tolerance());
    }

    /** The same name on every server: of all that the curve depends on. */
    private static String name(String project, Workspace.CurveKey key) {
        return UUID.nameUUIDFromBytes((project + Build.id() + key).getBytes(StandardCharsets.UTF_8))
                .toString();
    }

    /** Empty if it is still to be made. */
    public Optional<Curve> find(String id, Role role) {
        Workspace w = projects.open(id);
        Workspace.CurveKey key = key(id, role);
        return Optional.ofNullable(w.curve(key)).or(() -> {
            Optional<Curve> made = store.find(name(id, key), KIND).flatMap(Curves::read);
            made.ifPresent(c -> w.keep(key, c));
            return made;
        });
    }

    /** Starts making it. The design must be current. */
    public Job make(String id, Role role) {
        current(projects.open(id));
        return jobs.start(MAKING, id, Brought.of(id, role.name(), "", By.NOBODY, 0), ASKED);
    }

    private static Workspace.Published current(Workspace w) {
        Workspace.Published p = w.published();
        if (p == null || !w.state().current()) {
            throw new Jobs.Refused(List.of(Finding.fails(
                    "types.not-current",
                    "project",
                    "The building is being designed; types are made of the finished design.",
                    "Wait until all is current and try again.")));
        }
        return p;
    }

    private String made(Job job, Brought what, byte[] asked) {
        String id = what.projectId();
        Role role = Role.valueOf(what.name());
        Workspace w = projects.open(id);
        projects.awaited(w, job);
        Workspace.Published p = current(w);
        Workspace.CurveKey key = key(id, role);
        job.at("looking at every member by itself", 0, 0);
        BuildingDesign alone = p.design().alone();
        CurveMaker.Progress progress = (done, total) -> job.at("merging types", done, total);
        Curve c = role == Role.BEAM
                ? CurveMaker.beams(alone.beams(), alone.contexts()::beams, key.tolerance(), progress)
                : CurveMaker.columns(alone.columns(), alone.contexts()::columns, key.tolerance(), progress);
        w.keep(key, c);
        share(id, key, c);
        return role.name().toLowerCase(Locale.ROOT);
    }

    /** A database that does not take it keeps nobody from it here. */
    private void share(String id, Workspace.CurveKey key, Curve c) {
        String name = name(id, key);
        try {
            store.drop(name);
            store.keep(name, KIND, new Upload(id, KIND, JSON.writeValueAsBytes(c)));
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        } catch (RuntimeException e) {
            LOG.warn("the curve {} is not kept for other servers: {}", name, e.toString());
        }
    }

    private static Optional<Curve> read(Upload u) {
        try {
            return Optional.of(JSON.readValue(u.content(), Curve.class));
        } catch (IOException e) {
            LOG.warn("a curve that is kept cannot be read: {}", e.toString());
            return Optional.empty();
        }
    }
}
