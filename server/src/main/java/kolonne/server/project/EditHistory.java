package kolonne.server.project;

import java.time.LocalDateTime;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import kolonne.core.model.Building;
import kolonne.core.model.ModelEdit;
import kolonne.exchange.model.EditFile;
import kolonne.server.store.CommandRow;

/**
 * The edits of a model that are in force: every edit-model command, less those undone, plus those redone. An edit after an
 * undo forgets what could be redone.
 */
public final class EditHistory {
    static final String EDIT = "edit-model";
    static final String UNDO = "undo-edit";
    static final String REDO = "redo-edit";
    static final List<String> KINDS = List.of(EDIT, UNDO, REDO);

    private final Deque<CommandRow> done = new ArrayDeque<>();
    private final Deque<CommandRow> undone = new ArrayDeque<>();
    private final List<CommandRow> all = new ArrayList<>();

    /** @param commands of the three kinds, oldest first; later ones than {@code upTo} are left out */
    EditHistory(List<CommandRow> commands, int upTo) {
        for (CommandRow c : commands) {
            if (c.version() <= upTo) {
                take(c);
            }
        }
    }

    private void take(CommandRow c) {
        all.add(c);
        switch (c.kind()) {
            case EDIT -> {
                done.addLast(c);
                undone.clear();
            }
            case UNDO -> undone.addLast(done.removeLast());
            default -> done.addLast(undone.removeLast());
        }
    }

    boolean canUndo() {
        return !done.isEmpty();
    }

    boolean canRedo() {
        return !undone.isEmpty();
    }

    /** The building of the file with the edits in force. */
    Building applied(Building file) {
        Building b = file;
        for (CommandRow c : done) {
            b = ModelEdit.apply(b, edits(c, b));
        }
        return b;
    }

    private static List<ModelEdit> edits(CommandRow c, Building b) {
        return EditFile.read(c.body().getBytes(java.nio.charset.StandardCharsets.UTF_8), b).edits();
    }

    /** Whether stiffness or loads were changed after forces solved elsewhere were taken. */
    boolean forcesStale(Building file) {
        boolean imported = file.hasImportedForces();
        boolean stale = false;
        Building b = file;
        for (CommandRow c : done) {
            for (ModelEdit e : edits(c, b)) {
                if (e instanceof ModelEdit.UseForces f) {
                    imported = !f.forces().isEmpty();
                    stale = false;
                } else {
                    stale |= imported;
                }
            }
            b = ModelEdit.apply(b, edits(c, b));
        }
        return stale;
    }

    /** Something that changed the model. @param inForce whether it counts now */
    public record Entry(int version, String summary, LocalDateTime at, boolean inForce) {}

    /** All that was done to the model, oldest first. */
    List<Entry> entries(Building file) {
        List<Entry> out = new ArrayList<>();
        for (CommandRow c : all) {
            String summary = switch (c.kind()) {
                case EDIT -> String.join("; ", edits(c, file).stream().map(ModelEdit::summary).toList());
                case UNDO -> "undo";
                default -> "redo";
            };
            out.add(new Entry(c.version(), summary, c.madeAt(), !c.kind().equals(EDIT) || done.contains(c)));
        }
        return out;
    }
}
