package kolonne.server.project;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.AnalysisFailed;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.CarriedCages;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.BeamLines;
import kolonne.core.column.cage.CarriedLifts;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.column.line.ColumnStacks;
import kolonne.core.design.BuildingMarks;
import kolonne.core.design.HandSet;
import kolonne.core.design.LocalBases;
import kolonne.core.finding.Finding;
import kolonne.core.finding.Severity;
import kolonne.core.mark.MarkChange;
import kolonne.core.mark.Marked;
import kolonne.core.mark.Marks;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.ModelCheck;
import kolonne.core.model.ModelEdit;
import kolonne.core.revision.CaseTotals;
import kolonne.core.type.MemberType;
import kolonne.core.type.Types;
import kolonne.core.type.Unlike;
import kolonne.exchange.edit.BasisPatch;
import kolonne.exchange.edit.Effects;
import kolonne.exchange.hand.HandFile;
import kolonne.exchange.model.EditFile;
import kolonne.exchange.model.EditWriter;
import kolonne.exchange.model.ModelReader;
import kolonne.exchange.type.TypesFile;
import kolonne.server.jobs.Jobs;
import kolonne.server.store.CommandRow;
import kolonne.server.store.ProjectRow;
import kolonne.server.store.ProjectStore;

/**
 * Changes of a project, each one entry of its history: worked out and checked first, then stored, then designed. What a change of the model does to lines,
 * stacks and what was set by hand is stored with it.
 */
public final class Changes {
    /** How often a change of the basis is put on top of a newer version. */
    private static final int TRIES = 5;
    /** So many lines and stacks are designed at once; more are left to a job that tells how far it is. */
    private static final int FEW = 60;

    /** Changes that are taken on top of what others did since, where that is about something else. */
    private static final Set<String> REBASED = Set.of(EditHistory.HAND, EditHistory.EDIT, EditHistory.MARK);

    private final Projects projects;
    private final ProjectStore store;

    Changes(Projects projects, ProjectStore store) {
        this.projects = projects;
        this.store = store;
    }

    /** What a project's first command brings with it: the marks of the model. */
    static String first(Marks marks) {
        return new Effects(List.copyOf(marks.all().values()), Set.of(), HandSet.NONE, List.of()).write();
    }

    /** Types after a change. @param summary the sentence of the history */
    public record TypesChanged(Types types, String summary) {}

    /**
     * Changes the types.
     *
     * @param change from those in force; {@link Jobs.Refused} where it cannot be
     * @return empty if the project has moved past {@code version}
     */
    public Optional<ProjectRow> types(String id, int version, Function<Types, TypesChanged> change, Author by) {
        Workspace w = ready(id);
        return w.inTurn(() -> {
            TypesChanged now = change.apply(history(w, commands(w)).types());
            String body = new EditHistory.Told(now.summary(), TypesFile.write(now.types())).write();
            return changed(w, version, by, new Change(EditHistory.TYPES, body, now.summary()), Effects.NONE);
        });
    }

    /** A change that is not stored yet. @param summary the sentence of the history */
    private record Change(String kind, String body, String summary) {}

    /**
     * Changes the model: the changed model is checked and analysed first.
     *
     * @return empty if the project has moved on while it was stored
     * @throws Clash if others changed the same since {@code version}
     * @throws Jobs.Refused if the edits cannot be read, or the changed model is not sound or cannot move
     */
    public Optional<ProjectRow> edit(String id, int version, byte[] body, Author by) {
        Workspace w = ready(id);
        String summary = String.join(
                "; ", edits(w, body).stream().map(ModelEdit::summary).toList());
        return changed(w, version, by, new Change(EditHistory.EDIT, new String(body, StandardCharsets.UTF_8), summary));
    }

    private static List<ModelEdit> edits(Workspace w, byte[] body) {
        EditFile.Read read = EditFile.read(body, w.building());
        if (!read.sound()) {
            throw new Jobs.Refused(read.findings());
        }
        return read.edits();
    }

    /**
     * Puts a newer model in the place of the one in force.
     *
     * @param keepOwn whether own changes of the model go on to the newer one where it does not say otherwise
     * @return empty if the project has moved past {@code version}
     * @throws Jobs.Refused if the newer model with the own changes is not sound or cannot move
     */
    public Optional<ProjectRow> revise(String id, int version, RevisedModel newer, boolean keepOwn, Author by) {
        Workspace w = ready(id);
        return w.inTurn(() -> {
            if (projects.find(id).version() != version) {
                return Optional.empty();
            }
            RevisedModel.Compared c = newer.against(w, keepOwn);
            String summary = newer.summary(c);
            ObjectNode fields = EditWriter.write(c.kept(), newer.read().building())
                    .put("file", newer.fileName())
                    .put("units", newer.read().building().unitSystem());
            Basis basis = history(w, commands(w)).basis();
            fields.set(
                    EditHistory.REVISED_BASIS,
                    BasisPatch.between(basis, basis.with(c.settings(basis).now())));
            Change change = new Change(EditHistory.REVISION, new EditHistory.Told(summary, fields).write(), summary);
            w.keepFile(version + 1, newer.read());
            return changed(w, version, by, change, null, new Revision(newer, c));
        });
    }

    /** What adopting a newer model would do. @param effects on lines, stacks, types and what is set by hand, in sentences */
    public record Previewed(RevisedModel.Compared compared, List<CaseTotals.Total> totals, List<String> effects) {}

    /** What adopting a newer model would do; nothing is stored. @throws Jobs.Refused if the newer model with the own changes cannot be analysed */
    public Previewed preview(String id, RevisedModel newer, boolean keepOwn) {
        Workspace w = ready(id);
        synchronized (w) {
            RevisedModel.Compared c = newer.against(w, keepOwn);
            sound(w, c.newer().building());
            Analysis a = solved(null, c.newer().building());
            Effects e = effects(w, history(w, commands(w)), a.index(), a, c);
            return new Previewed(c, CaseTotals.of(w.solved((doing, done, total) -> {}), a), e.told());
        }
    }

    /** What edits of the model would do to lines, stacks and what is set by hand, in sentences; nothing is stored. */
    public List<String> preview(String id, byte[] body) {
        Workspace w = ready(id);
        List<ModelEdit> edits = edits(w, body);
        synchronized (w) {
            Building b = ModelEdit.apply(w.building(), edits);
            sound(w, b);
            try {
                return effects(w, history(w, commands(w)), new BuildingIndex(b), null, null)
                        .told();
            } catch (AnalysisFailed e) {
                throw new Jobs.Refused(e.findings());
            }
        }
    }

    /** Takes the newest change back, or puts it in force again; empty if the project has moved past {@code version}. */
    public Optional<ProjectRow> undo(String id, int version, boolean again, Author by) {
        Workspace w = ready(id);
        EditHistory h = history(w, commands(w));
        if (again ? !h.canRedo() : !h.canUndo()) {
            throw new Jobs.Refused(List.of(Finding.fails(
                    "edit.none",
                    "history",
                    again ? "There is nothing to redo." : "There is nothing to undo.",
                    "Look at the history on the Model page.")));
        }
        return changed(w, version, by, new Change(again ? EditHistory.REDO : EditHistory.UNDO, "{}", ""));
    }

    /**
     * Sets lines and lifts by hand; what is empty there is released.
     *
     * @return empty if the project has moved on while it was stored. @throws Clash if others changed the same since {@code version}
     */
    public Optional<ProjectRow> handSet(String id, int version, HandSet cages, String summary, Author by) {
        return changed(ready(id), version, by, new Change(EditHistory.HAND, HandFile.write(cages, summary), summary));
    }

    /** Gives a line or stack another mark; empty if the project has moved on meanwhile. @throws Clash if others gave it one since {@code version} */
    public Optional<ProjectRow> mark(String id, int version, String mark, String other, Author by) {
        Workspace w = ready(id);
        return w.inTurn(() -> {
            Marks marks = history(w, commands(w)).marks();
            Marked m = marks.byMark(mark)
                    .orElseThrow(() -> new NoSuchElementException("There is no line or stack " + mark + "."));
            marks.refused(m.id(), other).ifPresent(why -> {
                throw new Jobs.Refused(List.of(Finding.fails(
                        "mark", "mark " + mark, why, "Give it a mark that no other line or column has.")));
            });
            if (history(w, commands(w)).types().byMark(other).isPresent()) {
                throw new Jobs.Refused(List.of(Finding.fails(
                        "mark",
                        "mark " + mark,
                        other + " is the mark of a type.",
                        "Give it a mark that no type has.")));
            }
            String summary = mark + " is " + other + " now";
            Effects e = new Effects(
                    List.of(new Marked(m.id(), m.role(), other, m.members())), Set.of(), HandSet.NONE, List.of());
            return changed(
                    w,
                    version,
                    by,
                    new Change(EditHistory.MARK, new EditHistory.Told(summary, null).write(), summary),
                    e);
        });
    }

    /**
     * Changes single fields of the basis, on top of what it is now.
     *
     * @param seen version of the project on which the patch was made
     * @throws Clash        if somebody changed the same fields since
     * @throws Jobs.Refused if what comes out cannot be designed to
     */
    public ProjectRow basis(String id, int seen, byte[] patch, Author by) {
        Workspace w = ready(id);
        return w.inTurn(() -> basisInTurn(w, seen, patch, by));
    }

    private ProjectRow basisInTurn(Workspace w, int seen, byte[] patch, Author by) {
        for (int i = 0; i < TRIES; i++) {
            Optional<ProjectRow> row = basisOnce(w, seen, patch, by);
            if (row.isPresent()) {
                return row.get();
            }
        }
        throw new Jobs.Refused(List.of(Finding.fails(
                "basis.busy", "basis", "Others change the project all the time.", "Try again in a moment.")));
    }

    private Optional<ProjectRow> basisOnce(Workspace w, int seen, byte[] patch, Author by) {
        ProjectRow row = projects.find(w.id());
        List<CommandRow> commands = commands(w);
        Basis now = history(w, commands).basis();
        BasisPatch.Read read = BasisPatch.read(patch, now);
        if (read.patch() == null) {
            throw new Jobs.Refused(read.findings());
        }
        Basis was = history(w, seenBy(w, commands, seen, by)).basis();
        List<Finding> clashes = BasisPatch.clashes(was, now, read.patch());
        if (!clashes.isEmpty()) {
            throw new Clash(clashes);
        }
        if (read.basis() == null) {
            throw new Jobs.Refused(read.findings());
        }
        if (read.basis().equals(now)) {
            return Optional.of(row);
        }
        String summary = BasisPatch.words(now, read.basis());
        return changed(
                w,
                row.version(),
                by,
                new Change(EditHistory.BASIS, new EditHistory.Told(summary, read.patch()).write(), summary),
                Effects.NONE);
    }

    /** What a window has seen: all up to a version, and the changes of the basis that it made since itself. */
    private static List<CommandRow> seenBy(Workspace w, List<CommandRow> commands, int seen, Author by) {
        return commands.stream()
                .filter(c ->
                        c.version() <= seen || c.kind().equals(EditHistory.BASIS) && w.madeBy(by.window(), c.version()))
                .toList();
    }

    // ---- how a change is worked out ------------------------------------------------------------------------------

    private List<CommandRow> commands(Workspace w) {
        return projects.log(w.id()).rows(store);
    }

    private EditHistory history(Workspace w, List<CommandRow> commands) {
        return new EditHistory(commands, Integer.MAX_VALUE, projects.log(w.id()));
    }

    private Optional<ProjectRow> changed(Workspace w, int version, Author by, Change c) {
        return changed(w, version, by, c, null, null);
    }

    private Optional<ProjectRow> changed(Workspace w, int version, Author by, Change c, Effects known) {
        return changed(w, version, by, c, known, null);
    }

    /** A newer model that is being adopted, and what it is against the one in force. */
    private record Revision(RevisedModel model, RevisedModel.Compared compared) {}

    /**
     * @param known    what the change brings with it; null where that is still to be worked out
     * @param revision null where the change adopts no newer model
     */
    private Optional<ProjectRow> changed(
            Workspace w, int version, Author by, Change c, Effects known, Revision revision) {
        return w.inTurn(() -> {
            Optional<ProjectRow> stored = changedOnce(w, version, by, c, known, revision);
            // another server may have stored a change in between, of which this one need not be in the way
            for (int i = 1; i < TRIES && stored.isEmpty() && REBASED.contains(c.kind()); i++) {
                stored = changedOnce(w, version, by, c, known, revision);
            }
            return stored;
        });
    }

    private Optional<ProjectRow> changedOnce(
            Workspace w, int version, Author by, Change c, Effects known, Revision revision) {
        int now = projects.find(w.id()).version();
        follow(w, now);
        if (now != version && (now < version || !REBASED.contains(c.kind()))) {
            return Optional.empty();
        }
        List<CommandRow> commands = new ArrayList<>(commands(w));
        EditHistory before = history(w, commands);
        CommandRow row = new CommandRow(w.id(), now + 1, c.kind(), c.body(), null, by.person(), null);
        CommandRow change = known == null ? row : with(row, known);
        if (now != version) {
            apart(w, change, commands, before.marks(), version, by);
        }
        commands.add(change);
        EditHistory after = history(w, commands);
        if (after.modelVersion() > now) {
            return modelChanged(w, before, after, row, c, by, revision);
        }
        Optional<ProjectRow> stored = store.by(by.by()).append(change);
        stored.ifPresent(r -> {
            tell(w, r, c, by, known == null ? List.of() : known.told());
            decided(w, before, after, r.version());
        });
        return stored;
    }

    /** Designs what the same model is decided otherwise: few lines at once, else all of it by a job. */
    private void decided(Workspace w, EditHistory before, EditHistory after, int version) {
        Set<String> lines = after.linesOtherThan(before);
        boolean quick = w.state().current() && w.published() != null && lines.size() <= FEW;
        if (quick && before.basisVersions().equals(after.basisVersions())) {
            w.changed(after.decisions(), lines, version);
        } else {
            projects.redesign(w, version);
        }
    }

    /** The workspace of a project as it is stored, whichever server stored it. */
    private Workspace ready(String id) {
        Workspace w = projects.model(id);
        follow(w, projects.find(id).version());
        return w;
    }

    /** Takes over in turn what another server stored, up to a version or further, and tells it. @throws Busy as changes do */
    void follow(Workspace w, int version) {
        if (w.state().version() >= version) {
            return;
        }
        w.inTurn(() -> {
            take(w, version);
            return null;
        });
    }

    /** The same unless a change is under way here, which follows as well; else the next look does. */
    void followIfFree(Workspace w, int version) {
        if (w.state().version() < version) {
            w.ifFree(() -> take(w, version));
        }
    }

    private void take(Workspace w, int version) {
        int seen = w.state().version();
        if (seen >= version) {
            return; // it was stored here, and is told by now
        }
        List<CommandRow> commands = commands(w);
        EditHistory before = new EditHistory(commands, seen, projects.log(w.id()));
        EditHistory after = history(w, commands);
        int now = Math.max(version, commands.get(commands.size() - 1).version());
        if (w.building() == null) {
            projects.redesign(w, now);
            return;
        }
        boolean model = after.modelVersion() != w.modelVersion();
        if (model) {
            ModelReader.Read file = projects.file(w, after);
            w.read(file, after.applied(file.building()), after.modelVersion(), after.forcesStale(file.building()));
        }
        tellOthers(w, seen);
        if (model) {
            projects.redesign(w, now);
        } else {
            decided(w, before, after, now);
        }
    }

    private void tellOthers(Workspace w, int seen) {
        for (EditHistory.Entry e : projects.edits(w.id())) {
            if (e.version() > seen) {
                w.last(new Workspace.Change(
                        e.version(), e.person(), store.window(w.id(), e.version()), e.summary(), e.effects()));
            }
        }
    }

    /** @throws Clash if others touched since a version what a change touches; a window's own changes are in its order */
    private void apart(Workspace w, CommandRow change, List<CommandRow> commands, Marks marks, int seen, Author by) {
        CommandLog log = projects.log(w.id());
        Touches own = Touches.of(change, log, marks, w.building());
        List<Finding> clashes = new ArrayList<>();
        for (CommandRow c : commands) {
            if (c.version() > seen
                    && !w.madeBy(by.window(), c.version())
                    && !own.apart(Touches.of(c, log, marks, w.building()))) {
                clashes.add(Finding.fails(
                        "change.clash",
                        "change " + c.version(),
                        (c.person().isEmpty() ? "Another window" : c.person()) + " made it meanwhile: "
                                + told(w, c.version()) + ".",
                        "Look at it, and make yours again if it is right."));
            }
        }
        if (!clashes.isEmpty()) {
            throw new Clash(clashes);
        }
    }

    private String told(Workspace w, int version) {
        return projects.edits(w.id()).stream()
                .filter(e -> e.version() == version)
                .map(EditHistory.Entry::summary)
                .findFirst()
                .orElse("a change");
    }

    private static CommandRow with(CommandRow c, Effects e) {
        return new CommandRow(c.projectId(), c.version(), c.kind(), c.body(), c.madeAt(), c.person(), e.write());
    }

    private Optional<ProjectRow> modelChanged(
            Workspace w,
            EditHistory before,
            EditHistory after,
            CommandRow row,
            Change c,
            Author by,
            Revision revision) {
        ModelReader.Read file = projects.file(w, after);
        Building b = after.applied(file.building());
        sound(w, b);
        boolean sameFile = before.fileVersion() == after.fileVersion();
        Analysis a = solved(sameFile ? w.kept(w.modelVersion()) : null, b);
        // what an undo or a redo does to lines was stored with the change that it moves
        boolean moves = row.kind().equals(EditHistory.UNDO) || row.kind().equals(EditHistory.REDO);
        Effects e =
                moves ? Effects.NONE : effects(w, before, a.index(), a, revision == null ? null : revision.compared());
        Optional<ProjectRow> stored = revision == null
                ? store.by(by.by()).append(with(row, e))
                : store.by(by.by())
                        .revise(
                                with(row, e),
                                revision.model().fileName(),
                                revision.model().bytes());
        stored.ifPresent(r -> {
            w.edited(file, b, r.version(), a, after.forcesStale(file.building()));
            tell(w, r, c, by, e.told());
            projects.redesign(w, r.version());
        });
        return stored;
    }

    private static Analysis solved(Analysis before, Building b) {
        try {
            return FrameAnalysis.resolve(before, new BuildingIndex(b));
        } catch (AnalysisFailed e) {
            throw new Jobs.Refused(e.findings());
        }
    }

    /** A stored model may fail a check that is newer than it: an edit is refused for what it breaks, not for what was there. */
    private static void sound(Workspace w, Building b) {
        List<Finding> fails = new ArrayList<>(fails(b));
        fails.removeAll(fails(w.building()));
        if (!fails.isEmpty()) {
            throw new Jobs.Refused(fails);
        }
    }

    private static List<Finding> fails(Building b) {
        return ModelCheck.run(b).stream()
                .filter(f -> f.severity() == Severity.FAILS)
                .toList();
    }

    /**
     * What a changed model does to lines, stacks, types and what is set by hand.
     *
     * @param solved   its analysis, null if it is still to be made
     * @param compared a newer model with the one in force; null where the model is the same with edits
     */
    private Effects effects(
            Workspace w, EditHistory before, BuildingIndex index, Analysis solved, RevisedModel.Compared compared) {
        Marks was = before.marks();
        Marks.Followed now = BuildingMarks.follow(
                compared == null ? was : was.of(compared.matching().successors()), index);
        Set<String> told = new LinkedHashSet<>();
        now.changes().stream().map(MarkChange::words).forEach(told::add);
        HandSet hand = before.hand();
        HandSet cages = HandSet.NONE;
        Set<String> gone = now.marks().goneFrom(was);
        Set<String> ofTypes = new LinkedHashSet<>(typesThatLose(before.types(), gone, was));
        if (!hand.isEmpty() || !before.types().all().isEmpty()) {
            Analysis then = solved == null ? FrameAnalysis.resolve(w.kept(w.modelVersion()), index) : solved;
            Analysis beforeIt = w.solved((doing, done, total) -> {});
            Members older = Members.of(beforeIt, was);
            Members newer = Members.of(then, now.marks());
            CarriedCages.Carried carried = CarriedCages.carry(
                    hand.lines(),
                    compared == null
                            ? new CarriedCages.Lines(older.lines(), index::length)
                            : compared.lines(older.lines()),
                    new CarriedCages.Lines(newer.lines(), index::length));
            told.addAll(carried.told());
            CarriedLifts.Carried lifts = CarriedLifts.carry(
                    hand.lifts(),
                    m -> compared == null ? m : compared.matching().pairs().get(m),
                    older.stacks(),
                    newer.stacks());
            told.addAll(lifts.told());
            cages = new HandSet(carried.now(), lifts.now());
            if (compared != null) {
                told.addAll(compared.toBeChecked(now.marks(), hand, cages, beforeIt, then));
            }
            Basis basis = before.basis();
            Basis after = compared == null
                    ? basis
                    : basis.with(compared.settings(basis).now());
            Map<String, List<String>> unlike = newer.unlike(before.types(), after);
            older.unlike(before.types(), basis)
                    .forEach((type, known) ->
                            unlike.getOrDefault(type, new ArrayList<>()).removeAll(known));
            ofTypes.addAll(typesUnlike(before.types(), unlike, now.marks()));
        }
        if (compared != null) {
            told.addAll(compared.settings(before.basis()).told());
        }
        told.addAll(ofTypes);
        return new Effects(now.marks().changedFrom(was), gone, cages, List.copyOf(told));
    }

    /** Lines and stacks of a model. */
    private record Members(List<BeamLine> lines, List<ColumnStack> stacks) {
        static Members of(Analysis a, Marks marks) {
            return new Members(BeamLines.find(a, marks), ColumnStacks.find(a.index(), marks));
        }

        Map<String, List<String>> unlike(Types types, Basis basis) {
            LocalBases local = new LocalBases(basis);
            return Unlike.of(types, lines, local::of, stacks, local::of);
        }
    }

    private static List<String> typesUnlike(Types types, Map<String, List<String>> unlike, Marks now) {
        return unlike.entrySet().stream()
                .filter(e -> !e.getValue().isEmpty())
                .map(e -> String.join(
                                ", ",
                                e.getValue().stream()
                                        .map(id -> now.markOf(id, id))
                                        .toList())
                        + (e.getValue().size() == 1 ? " gets a cage of its own" : " get cages of their own")
                        + ", unlike the rest of type "
                        + types.all().get(e.getKey()).mark()
                        + " in sections, supports, lengths or local settings")
                .toList();
    }

    private static List<String> typesThatLose(Types types, Set<String> gone, Marks was) {
        List<String> out = new ArrayList<>();
        for (MemberType t : types.all().values()) {
            List<String> lost = t.members().stream()
                    .filter(gone::contains)
                    .map(id -> was.markOf(id, id))
                    .toList();
            if (!lost.isEmpty()) {
                out.add("type " + t.mark() + " loses " + String.join(", ", lost));
            }
        }
        return out;
    }

    private void tell(Workspace w, ProjectRow r, Change c, Author by, List<String> effects) {
        List<EditHistory.Entry> entries = projects.edits(w.id());
        String summary = c.summary().isEmpty() ? entries.get(entries.size() - 1).summary() : c.summary();
        w.last(new Workspace.Change(r.version(), by.person(), by.window(), summary, effects));
    }
}
