package kolonne.server.project;

import java.nio.charset.StandardCharsets;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import kolonne.core.design.HandSet;
import kolonne.core.mark.Marked;
import kolonne.core.mark.Marks;
import kolonne.core.model.Building;
import kolonne.core.model.ModelEdit;
import kolonne.exchange.model.EditFile;
import kolonne.server.store.CommandRow;

/**
 * What a change is about, to tell whether two people's changes stand in each other's way: those that touch nothing in common give the same whoever
 * comes first.
 *
 * @param everything whether it stands in the way of any other
 * @param what       members, sections, panels and marks, each by a word of its kind and its id
 */
record Touches(boolean everything, Set<String> what) {
    static final Touches NOTHING = new Touches(false, Set.of());
    private static final Touches EVERYTHING = new Touches(true, Set.of());
    private static final String MEMBER = "member ";

    Touches {
        what = Set.copyOf(what);
    }

    boolean apart(Touches o) {
        return !everything && !o.everything && Collections.disjoint(what, o.what);
    }

    /** @param marks lines and stacks as they are now; @param building the model in force */
    static Touches of(CommandRow c, CommandLog log, Marks marks, Building building) {
        return switch (c.kind()) {
            case EditHistory.HAND -> of(log.cages(c), marks);
            case EditHistory.EDIT -> of(c, building);
            case EditHistory.MARK -> marked(log.effects(c).lines());
            // cages, edits and marks are the same by any basis
            case EditHistory.BASIS -> NOTHING;
            default -> EVERYTHING;
        };
    }

    private static Touches of(HandSet cages, Marks marks) {
        Set<String> out = new HashSet<>();
        cages.lifts().keySet().forEach(m -> out.add(MEMBER + m));
        for (String line : cages.lines().keySet()) {
            Marked m = marks.all().get(line);
            if (m == null) {
                return EVERYTHING; // the line is another by now
            }
            m.members().forEach(id -> out.add(MEMBER + id));
        }
        return new Touches(false, out);
    }

    private static Touches of(CommandRow c, Building building) {
        EditFile.Read read = EditFile.read(c.body().getBytes(StandardCharsets.UTF_8), building);
        if (!read.sound()) {
            return EVERYTHING; // what it was about is no longer there
        }
        Set<String> out = new HashSet<>();
        for (ModelEdit e : read.edits()) {
            if (!add(e, building, out)) {
                return EVERYTHING;
            }
        }
        return new Touches(false, out);
    }

    /** False for an edit that is about all members. */
    private static boolean add(ModelEdit edit, Building building, Set<String> out) {
        if (edit instanceof ModelEdit.SetSection e) {
            e.members().forEach(m -> out.add(MEMBER + m));
            out.add("section " + e.section());
        } else if (edit instanceof ModelEdit.SetMaterial e) {
            e.members().forEach(m -> out.add(MEMBER + m));
        } else if (edit instanceof ModelEdit.SetStiffness e) {
            e.members().forEach(m -> out.add(MEMBER + m));
        } else if (edit instanceof ModelEdit.SetReleases e) {
            e.members().forEach(m -> out.add(MEMBER + m));
        } else if (edit instanceof ModelEdit.SetMemberLoads e) {
            out.add(MEMBER + e.member());
        } else if (edit instanceof ModelEdit.SetAreaLoad e) {
            out.add("panel " + e.panel());
        } else if (edit instanceof ModelEdit.PutSection e) {
            String id = e.section().id();
            out.add("section " + id);
            building.members().stream().filter(m -> m.section().equals(id)).forEach(m -> out.add(MEMBER + m.id()));
        } else {
            return false;
        }
        return true;
    }

    private static Touches marked(List<Marked> lines) {
        Set<String> out = new HashSet<>();
        lines.forEach(m -> out.add("mark " + m.id()));
        return new Touches(false, out);
    }
}
