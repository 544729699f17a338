package kolonne.server.project;

import java.util.List;
import java.util.Map;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import kolonne.server.store.Ids;
import kolonne.server.store.PresenceStore;
import kolonne.server.store.ProjectStore;
import kolonne.server.store.VersionRow;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Several servers may work on one database: what another stored is looked for, and taken over into the projects that are held in memory; who has a project open
 * there is told here, and the other way round.
 */
final class OtherServers {
    private static final Logger LOG = LoggerFactory.getLogger(OtherServers.class);
    /** Between two looks [ms]. */
    private static final int EVERY = 250;
    /** After which windows are told again though they stayed the same [ms]. */
    private static final int RENEW = 3000;

    private final Projects projects;
    private final ProjectStore store;
    private final PresenceStore presence;
    private final String server = Ids.random();
    private final ScheduledExecutorService clock = Executors.newSingleThreadScheduledExecutor(r -> {
        Thread t = new Thread(r, "other servers");
        t.setDaemon(true);
        return t;
    });
    private boolean away;
    private List<PresenceStore.Here> told = List.of();
    private long toldAt;

    OtherServers(Projects projects, ProjectStore store, PresenceStore presence) {
        this.projects = projects;
        this.store = store;
        this.presence = presence;
    }

    void start() {
        clock.scheduleWithFixedDelay(this::look, EVERY, EVERY, TimeUnit.MILLISECONDS);
    }

    private void look() {
        try {
            Map<String, Workspace> held = projects.inMemory().stream().collect(Collectors.toMap(Workspace::id, w -> w));
            Map<String, Integer> versions = store.versions(held.keySet()).stream()
                    .collect(Collectors.toMap(VersionRow::id, VersionRow::version));
            held.forEach((id, w) -> look(w, versions.get(id)));
            meet();
            away = false;
        } catch (RuntimeException e) {
            // told once: whoever asks for something is told as well
            if (!away) {
                LOG.warn("what other servers do cannot be followed: {}", e.toString());
            }
            away = true;
        }
    }

    private void meet() {
        List<PresenceStore.Here> here = projects.present().here();
        long now = System.nanoTime();
        boolean renew = now - toldAt > TimeUnit.MILLISECONDS.toNanos(RENEW);
        if (!here.equals(told) || renew && !here.isEmpty()) {
            presence.put(server, here);
            told = here;
            toldAt = now;
        }
        projects.present().elsewhere(presence.elsewhere(server));
    }

    /** @param stored null where it was deleted */
    private void look(Workspace w, Integer stored) {
        if (stored == null) {
            projects.gone(w);
        } else {
            projects.changes().followIfFree(w, stored);
        }
    }
}
