package kolonne.server.project;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import kolonne.core.basis.Basis;
import kolonne.core.design.Decisions;
import kolonne.core.design.HandSet;
import kolonne.core.mark.Marked;
import kolonne.core.mark.Marks;
import kolonne.core.model.Building;
import kolonne.core.model.ModelEdit;
import kolonne.core.model.Role;
import kolonne.core.type.Types;
import kolonne.exchange.basis.BasisFile;
import kolonne.exchange.edit.BasisPatch;
import kolonne.exchange.edit.Effects;
import kolonne.exchange.hand.HandFile;
import kolonne.exchange.model.EditFile;
import kolonne.server.store.CommandRow;

/**
 * What was done to a project and is in force, as one history: changes of the model, newer models, the basis, cages set on beam lines, marks and types, less those undone, plus
 * those redone. A change after an undo forgets what could be redone.
 */
public final class EditHistory {
    static final String EDIT = "edit-model";
    static final String HAND = "hand-set";
    static final String BASIS = "change-basis";
    static final String MARK = "set-mark";
    static final String TYPES = "set-types";
    /** A newer model of the same building takes the place of the one before, with those own changes that go on to it. */
    static final String REVISION = "revise-model";

    /** Of a newer model: the patch that keeps local settings with their members. */
    static final String REVISED_BASIS = "basis";

    static final String UNDO = "undo-edit";
    static final String REDO = "redo-edit";
    /** The whole basis: what a project begins with, and what older servers stored. It is not undone. */
    static final String WHOLE_BASIS = "set-basis";

    private static final Set<String> KINDS = Set.of(EDIT, HAND, BASIS, MARK, TYPES, REVISION, UNDO, REDO, WHOLE_BASIS);

    /** Whether a history may hold changes of a kind. */
    static boolean knows(String kind) {
        return KINDS.contains(kind);
    }

    private static final JsonMapper JSON = new JsonMapper();

    private final Deque<CommandRow> done = new ArrayDeque<>();
    private final Deque<CommandRow> undone = new ArrayDeque<>();
    private final List<CommandRow> all = new ArrayList<>();
    private CommandRow wholeBasis;
    private Marks first = Marks.NONE;
    private int modelVersion = 1;

    private final CommandLog log;

    /** @param commands oldest first; later ones than {@code upTo} are left out. @param log that keeps what was parsed */
    EditHistory(List<CommandRow> commands, int upTo, CommandLog log) {
        this.log = log;
        for (CommandRow c : commands) {
            if (c.version() <= upTo) {
                take(c);
            }
        }
    }

    private void take(CommandRow c) {
        CommandRow moved = c;
        switch (c.kind()) {
            case WHOLE_BASIS -> {
                wholeBasis = c;
                first = first.with(log.effects(c).lines(), Set.of());
            }
            case UNDO -> {
                moved = done.removeLast();
                undone.addLast(moved);
                all.add(c);
            }
            case REDO -> {
                moved = undone.removeLast();
                done.addLast(moved);
                all.add(c);
            }
            default -> {
                done.addLast(c);
                undone.clear();
                all.add(c);
            }
        }
        modelVersion = changesModel(moved) ? c.version() : modelVersion;
    }

    private static boolean changesModel(CommandRow c) {
        return c.kind().equals(EDIT) || c.kind().equals(REVISION);
    }

    /** Version of the project at which the model file in force was taken; 1 where it is the one that the project began with. */
    int fileVersion() {
        return revision().map(CommandRow::version).orElse(1);
    }

    private Optional<CommandRow> revision() {
        return done.stream().filter(c -> c.kind().equals(REVISION)).reduce((a, b) -> b);
    }

    /** In which units the model file in force is shown; empty where it says so itself. */
    Optional<String> fileUnits() {
        return revision().map(c -> Told.read(c.body()).fields().path("units").asText());
    }

    /** Version of the project at which the model last changed. */
    int modelVersion() {
        return modelVersion;
    }

    private List<CommandRow> inForce(String kind) {
        return done.stream().filter(c -> c.kind().equals(kind)).toList();
    }

    /** What people have set by hand. */
    HandSet hand() {
        HandSet out = HandSet.NONE;
        for (CommandRow c : done) {
            if (c.kind().equals(HAND)) {
                out = out.with(log.cages(c));
            }
            HandSet follows = log.effects(c).cages();
            out = follows.isEmpty() ? out : out.with(follows);
        }
        return out;
    }

    /** Types in force; an id that was ever given, also to what was undone, is not given again. */
    Types types() {
        Types out = Types.NONE;
        for (CommandRow c : inForce(TYPES)) {
            out = log.types(c);
        }
        for (CommandRow c : all) {
            out = c.kind().equals(TYPES) ? out.knowing(log.types(c).given()) : out;
        }
        return out;
    }

    /** What people have decided beside the basis. */
    Decisions decisions() {
        return new Decisions(marks(), hand(), types());
    }

    /** Marks of lines and stacks as stored; nothing that was ever given is given again. */
    Marks marks() {
        Marks out = first;
        for (CommandRow c : done) {
            Effects e = log.effects(c);
            out = e.lines().isEmpty() && e.gone().isEmpty() ? out : out.with(e.lines(), e.gone());
        }
        for (CommandRow c : all) {
            Effects e = log.effects(c);
            out = e.lines().isEmpty() ? out : out.knowing(Marks.NONE.with(e.lines(), Set.of()));
        }
        return out;
    }

    /** Marks of the lines and stacks that have the members of one that had this mark before; empty if none ever had it. */
    List<String> whatBecame(String mark) {
        Set<String> members = new HashSet<>();
        List<Marked> ever = new ArrayList<>(first.all().values());
        all.forEach(c -> ever.addAll(log.effects(c).lines()));
        ever.stream().filter(m -> m.mark().equals(mark)).forEach(m -> members.addAll(m.members()));
        return marks().all().values().stream()
                .filter(m -> m.members().stream().anyMatch(members::contains))
                .map(Marked::mark)
                .toList();
    }

    /** The basis in force. @throws IllegalStateException if what is stored cannot be read */
    Basis basis() {
        Basis out = whole();
        for (CommandRow c : basisChanges()) {
            out = BasisPatch.stored(patch(c), out);
        }
        return out;
    }

    /** Changes of the basis, by people and by newer models whose members are called otherwise. */
    private List<CommandRow> basisChanges() {
        return done.stream()
                .filter(c -> c.kind().equals(BASIS) || c.kind().equals(REVISION) && !patch(c).isEmpty())
                .toList();
    }

    private static JsonNode patch(CommandRow c) {
        JsonNode fields = Told.read(c.body()).fields();
        return c.kind().equals(BASIS) ? fields : fields.path(REVISED_BASIS);
    }

    private Basis whole() {
        BasisFile.Read read = BasisFile.stored(wholeBasis.body().getBytes(StandardCharsets.UTF_8));
        if (read.basis() == null) {
            throw new IllegalStateException(
                    "the stored basis of " + wholeBasis.projectId() + " cannot be read: " + read.findings());
        }
        return read.basis();
    }

    /** The changes of the basis in force, to tell whether it is another. */
    List<Integer> basisVersions() {
        return versions(basisChanges());
    }

    /** Ids of lines and stacks whose cage by hand, whose mark or whose type is another. */
    Set<String> linesOtherThan(EditHistory before) {
        HandSet hand = hand();
        HandSet handBefore = before.hand();
        Marks marks = marks();
        Set<String> out = new HashSet<>(hand.otherLines(handBefore));
        Set<String> lifts = hand.otherLifts(handBefore);
        marks.all().values().stream()
                .filter(m -> m.role() == Role.COLUMN && m.members().stream().anyMatch(lifts::contains))
                .forEach(m -> out.add(m.id()));
        marks.changedFrom(before.marks()).forEach(m -> out.add(m.id()));
        Types types = types();
        Types typesBefore = before.types();
        boolean all = typesBefore.tolerance() != types.tolerance();
        joined(typesBefore, types, all).forEach(out::add);
        joined(types, typesBefore, all).forEach(out::add);
        return out;
    }

    /** Members of types that another state has otherwise. @param all whether it holds for every type */
    private static Stream<String> joined(Types of, Types other, boolean all) {
        return of.all().values().stream()
                .filter(t -> all || !t.sharesAs(other.all().get(t.id())))
                .flatMap(t -> t.members().stream());
    }

    /** Whether the same model is designed on the same basis as at another time. */
    boolean sameGround(EditHistory o) {
        return fileVersion() == o.fileVersion()
                && wholeBasis.version() == o.wholeBasis.version()
                && versions(modelChanges()).equals(versions(o.modelChanges()))
                && basisVersions().equals(o.basisVersions());
    }

    private static List<Integer> versions(List<CommandRow> commands) {
        return commands.stream().map(CommandRow::version).toList();
    }

    boolean canUndo() {
        return !done.isEmpty();
    }

    boolean canRedo() {
        return !undone.isEmpty();
    }

    /** Changes of the model file in force, oldest first; those of an older file that go on to it come first of all. */
    private List<CommandRow> modelChanges() {
        List<CommandRow> all = done.stream().filter(EditHistory::changesModel).toList();
        int last = revision().map(all::indexOf).orElse(0);
        return all.subList(last, all.size());
    }

    /** The first change of the model in force whose edits cannot be read; empty if all can. @param file of {@link #fileVersion} */
    Optional<Integer> unreadable(Building file) {
        Building b = file;
        for (CommandRow c : modelChanges()) {
            if (c.kind().equals(EDIT)
                    && !EditFile.read(c.body().getBytes(StandardCharsets.UTF_8), b)
                            .sound()) {
                return Optional.of(c.version());
            }
            b = ModelEdit.apply(b, edits(c, b));
        }
        return Optional.empty();
    }

    /** The building of the file of {@link #fileVersion} with the edits in force. */
    Building applied(Building file) {
        Building b = file;
        for (CommandRow c : modelChanges()) {
            b = ModelEdit.apply(b, edits(c, b));
        }
        return b;
    }

    private static List<ModelEdit> edits(CommandRow c, Building b) {
        String body = c.kind().equals(REVISION) ? Told.read(c.body()).fields().toString() : c.body();
        return EditFile.read(body.getBytes(StandardCharsets.UTF_8), b).edits();
    }

    /** Whether stiffness or loads were changed after forces solved elsewhere were taken. @param file of {@link #fileVersion} */
    boolean forcesStale(Building file) {
        boolean imported = file.hasImportedForces();
        boolean stale = false;
        Building b = file;
        for (CommandRow c : modelChanges()) {
            List<ModelEdit> edits = edits(c, b);
            for (ModelEdit e : edits) {
                if (e instanceof ModelEdit.UseForces f) {
                    imported = !f.forces().isEmpty();
                    stale = false;
                } else {
                    stale |= imported;
                }
            }
            b = ModelEdit.apply(b, edits);
        }
        return stale;
    }

    /**
     * Something that was done.
     *
     * @param kind    model, revision, basis, cage, mark, type, undo or redo
     * @param changesModel whether the model is another since
     * @param inForce whether it counts now
     * @param effects what it brought with it, in sentences
     */
    public record Entry(
            int version,
            String kind,
            String summary,
            String person,
            LocalDateTime at,
            boolean changesModel,
            boolean inForce,
            List<String> effects) {}

    /** All that was done, oldest first. */
    List<Entry> entries(Building file) {
        List<Entry> out = new ArrayList<>();
        Deque<CommandRow> before = new ArrayDeque<>();
        Deque<CommandRow> taken = new ArrayDeque<>();
        for (CommandRow c : all) {
            String word = word(c.kind());
            boolean moves = c.kind().equals(UNDO) || c.kind().equals(REDO);
            CommandRow of = switch (c.kind()) {
                case UNDO -> moved(before, taken);
                case REDO -> moved(taken, before);
                default -> {
                    before.addLast(c);
                    taken.clear();
                    yield c;
                }
            };
            String summary = (moves ? word + ": " : "") + summary(of, file);
            out.add(new Entry(
                    c.version(),
                    word,
                    summary,
                    c.person(),
                    c.madeAt(),
                    changesModel(of),
                    moves || done.contains(c),
                    log.effects(c).told()));
        }
        return out;
    }

    private static CommandRow moved(Deque<CommandRow> from, Deque<CommandRow> to) {
        CommandRow c = from.removeLast();
        to.addLast(c);
        return c;
    }

    private static String word(String kind) {
        return switch (kind) {
            case EDIT -> "model";
            case REVISION -> "revision";
            case HAND -> "cage";
            case BASIS -> "basis";
            case MARK -> "mark";
            case TYPES -> "type";
            case UNDO -> "undo";
            default -> "redo";
        };
    }

    private String summary(CommandRow c, Building file) {
        return switch (c.kind()) {
            case EDIT ->
                String.join(
                        "; ", edits(c, file).stream().map(ModelEdit::summary).toList());
            case HAND -> HandFile.summary(c.body());
            default -> Told.read(c.body()).summary();
        };
    }

    /** A change of the basis, of a mark or of types as it is stored. @param summary the sentence of the history */
    record Told(String summary, JsonNode fields) {
        String write() {
            return JSON.valueToTree(this).toString();
        }

        static Told read(String body) {
            try {
                return JSON.readValue(body, Told.class);
            } catch (JsonProcessingException e) {
                throw new IllegalStateException("a stored change cannot be read", e);
            }
        }
    }
}
