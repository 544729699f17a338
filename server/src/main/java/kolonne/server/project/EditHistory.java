package kolonne.server.project;

import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.beam.cage.HandCage;
import kolonne.core.model.Building;
import kolonne.core.model.ModelEdit;
import kolonne.exchange.hand.HandFile;
import kolonne.exchange.model.EditFile;
import kolonne.server.store.CommandRow;

/**
 * What was done by hand and is in force: edits of the model and cages set on beam lines, less those undone, plus those redone. An
 * edit after an undo forgets what could be redone.
 */
public final class EditHistory {
    static final String EDIT = "edit-model";
    static final String HAND = "hand-set";
    static final String UNDO = "undo-edit";
    static final String REDO = "redo-edit";
    static final List<String> KINDS = List.of(EDIT, HAND, UNDO, REDO);

    private final Deque<CommandRow> done = new ArrayDeque<>();
    private final Deque<CommandRow> undone = new ArrayDeque<>();
    private final List<CommandRow> all = new ArrayList<>();
    private int modelVersion = 1;

    private final CommandLog log;

    /** @param commands of the four kinds, oldest first; later ones than {@code upTo} are left out. @param log that keeps the cages read */
    EditHistory(List<CommandRow> commands, int upTo, CommandLog log) {
        this.log = log;
        for (CommandRow c : commands) {
            if (c.version() <= upTo) {
                take(c);
            }
        }
    }

    private void take(CommandRow c) {
        all.add(c);
        CommandRow moved = c;
        switch (c.kind()) {
            case EDIT, HAND -> {
                done.addLast(c);
                undone.clear();
            }
            case UNDO -> {
                moved = done.removeLast();
                undone.addLast(moved);
            }
            default -> {
                moved = undone.removeLast();
                done.addLast(moved);
            }
        }
        modelVersion = moved.kind().equals(EDIT) ? c.version() : modelVersion;
    }

    /** Version of the project at which the model last changed. */
    int modelVersion() {
        return modelVersion;
    }

    private List<CommandRow> modelEdits() {
        return done.stream().filter(c -> c.kind().equals(EDIT)).toList();
    }

    /** Cages that people have set, by id of the beam line. */
    Map<String, HandCage> hand() {
        Map<String, HandCage> out = new LinkedHashMap<>();
        for (CommandRow c : done) {
            if (c.kind().equals(HAND)) {
                out.putAll(log.cages(c));
            }
        }
        out.values().removeIf(HandCage::isEmpty);
        return out;
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
        for (CommandRow c : modelEdits()) {
            b = ModelEdit.apply(b, edits(c, b));
        }
        return b;
    }

    private static List<ModelEdit> edits(CommandRow c, Building b) {
        return EditFile.read(c.body().getBytes(StandardCharsets.UTF_8), b).edits();
    }

    /** Whether stiffness or loads were changed after forces solved elsewhere were taken. */
    boolean forcesStale(Building file) {
        boolean imported = file.hasImportedForces();
        boolean stale = false;
        Building b = file;
        for (CommandRow c : modelEdits()) {
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

    /** Something that was done by hand. @param inForce whether it counts now */
    public record Entry(int version, String summary, LocalDateTime at, boolean inForce) {}

    /** All that was done, oldest first. */
    List<Entry> entries(Building file) {
        List<Entry> out = new ArrayList<>();
        for (CommandRow c : all) {
            String summary = switch (c.kind()) {
                case EDIT ->
                    String.join(
                            "; ",
                            edits(c, file).stream().map(ModelEdit::summary).toList());
                case HAND -> HandFile.summary(c.body());
                case UNDO -> "undo";
                default -> "redo";
            };
            out.add(new Entry(
                    c.version(),
                    summary,
                    c.madeAt(),
                    !c.kind().equals(EDIT) && !c.kind().equals(HAND) || done.contains(c)));
        }
        return out;
    }
}
