package kolonne.server.project;

import java.util.List;
import java.util.NoSuchElementException;
import kolonne.core.finding.Finding;
import kolonne.server.jobs.Jobs;
import kolonne.server.store.KeptKind;
import kolonne.server.store.KeptRow;
import kolonne.server.store.ProjectStore;

/** What is kept under names for all projects, of one kind. */
final class Shelf {
    /** Of a kind. */
    private static final int MOST = 200;
    /** Letters of a name. */
    private static final int NAME_MOST = 80;
    /** Letters of one as its file has it: what a backup is read back with. */
    private static final int BODY_MOST = 100_000;

    private final ProjectStore store;
    private final KeptKind kind;

    Shelf(ProjectStore store, KeptKind kind) {
        this.store = store;
        this.kind = kind;
    }

    /** By name. */
    List<KeptRow> all() {
        return store.kept(kind);
    }

    /**
     * The name as it is kept by.
     *
     * @throws Jobs.Refused if it is none, or if it would be one more than may be kept
     */
    String name(String given) {
        String n = given == null ? "" : given.strip();
        if (n.isEmpty() || n.length() > NAME_MOST) {
            throw refused("The name is empty or longer than " + NAME_MOST + " letters.", "Give a short name.");
        }
        List<KeptRow> now = all();
        if (now.size() >= MOST && now.stream().noneMatch(r -> r.name().equals(n))) {
            throw refused(
                    MOST + " of them are kept already.",
                    "Forget one that is not used any more, or keep this one under the name of another.");
        }
        return n;
    }

    /** In place of what has the name. @param name as {@link #name} gave it */
    void put(String name, String body, Author by) {
        if (body.length() > BODY_MOST) {
            throw refused(
                    "It holds " + body.length() + " letters; " + BODY_MOST + " are kept.",
                    "Leave out what is not needed, such as sets of forces.");
        }
        store.by(by.by()).putKept(kind, name, body);
    }

    /** @throws NoSuchElementException if none has this name */
    void forget(String name, Author by) {
        if (!store.by(by.by()).deleteKept(kind, name)) {
            throw new NoSuchElementException("No " + kind.word() + " is kept as “" + name + "”.");
        }
    }

    private Jobs.Refused refused(String what, String mend) {
        return new Jobs.Refused(List.of(Finding.fails(kind.word() + ".kept", "what is kept", what, mend)));
    }
}
