package kolonne.server.project;

import java.time.LocalDateTime;
import java.time.Period;
import java.time.ZoneOffset;
import java.util.List;
import java.util.NoSuchElementException;
import kolonne.server.store.DeletedRow;
import kolonne.server.store.ProjectRow;
import kolonne.server.store.ProjectStore;

/** Deleted projects rest a while, so that what was deleted by mistake comes back whole. */
public final class DeletedProjects {
    /** How long they rest. */
    private static final Period REST = Period.ofDays(30);

    private final ProjectStore store;

    DeletedProjects(ProjectStore store) {
        this.store = store;
    }

    /** Those that rest, the last deleted first; those whose time is over are removed for good. */
    public List<DeletedRow> list() {
        store.removeDeletedBefore(LocalDateTime.now(ZoneOffset.UTC).minus(REST));
        return store.deleted();
    }

    /** When a project will be removed for good (UTC). */
    public static LocalDateTime until(DeletedRow row) {
        return row.deletedAt().plus(REST);
    }

    /** @throws NoSuchElementException if no deleted project has the id */
    public ProjectRow bringBack(String id, Author by) {
        return store.by(by.by()).bringBack(id).orElseThrow(() -> none(id));
    }

    /** Removes one for good. @throws NoSuchElementException if no deleted project has the id */
    public void remove(String id, Author by) {
        if (!store.by(by.by()).remove(id)) {
            throw none(id);
        }
    }

    private static NoSuchElementException none(String id) {
        return new NoSuchElementException("There is no deleted project " + id + ".");
    }
}
