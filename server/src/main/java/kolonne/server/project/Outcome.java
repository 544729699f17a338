package kolonne.server.project;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What became of lines and stacks from one design to the next.
 *
 * @param from   version of the project that the older design belongs to
 * @param mended those that failed and are satisfied, worst first
 * @param broken those that were satisfied, or not there, and fail, worst first
 */
public record Outcome(int from, int to, List<Change> mended, List<Change> broken) {
    /** @param before utilisation, 0 for a line that was not there. @param check that governs now */
    public record Change(String mark, double before, double after, String check) {}

    static final Outcome NONE = new Outcome(0, 0, List.of(), List.of());

    public Outcome {
        mended = List.copyOf(mended);
        broken = List.copyOf(broken);
    }

    /** Compares two designs line by line; a line is known by its id whatever its mark. */
    static Outcome of(Workspace.Published old, Workspace.Published now) {
        Map<String, ResultRow> before = new HashMap<>();
        old.rows().forEach(r -> before.put(r.id(), r));
        List<Change> mended = new ArrayList<>();
        List<Change> broken = new ArrayList<>();
        for (ResultRow r : now.rows()) {
            ResultRow was = before.get(r.id());
            Change c = new Change(r.mark(), was == null ? 0 : was.utilisation(), r.utilisation(), r.check());
            if (was != null && !was.satisfied() && r.satisfied()) {
                mended.add(c);
            } else if ((was == null || was.satisfied()) && !r.satisfied()) {
                broken.add(c);
            }
        }
        mended.sort(Comparator.comparingDouble(Change::before).reversed());
        broken.sort(Comparator.comparingDouble(Change::after).reversed());
        return new Outcome(old.version(), now.version(), mended, broken);
    }
}
