package kolonne.core.mark;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import kolonne.core.model.Role;

/**
 * The lines and stacks of a project with their marks. A line keeps its identity as long as it has most of its members; where lines join, the
 * larger part's stays, and where one splits, its larger part keeps it. A mark that was given is not given to another line again.
 *
 * @param all   by id, in the order found
 * @param ids   ever given, also to what is gone or was undone
 * @param marks ever given
 */
public record Marks(Map<String, Marked> all, Set<String> ids, Set<String> marks) {
    /** No line is known yet. */
    public static final Marks NONE = new Marks(Map.of(), Set.of(), Set.of());

    /** What a mark may be, in words. */
    public static final String RULE =
            "A mark has 1 to 40 letters, digits, spaces and . _ + - ( ), and begins with a letter or a digit.";

    /** Marks that people give: letters, digits and the signs of drawing offices; nothing that an address or a query would take for its own. */
    private static final String ALLOWED = "[\\p{L}\\p{N}][\\p{L}\\p{N} ._+\\-()]{0,38}[\\p{L}\\p{N})]|[\\p{L}\\p{N}]";

    public Marks {
        all = java.util.Collections.unmodifiableMap(new LinkedHashMap<>(all));
        ids = Set.copyOf(ids);
        marks = Set.copyOf(marks);
    }

    /** Marks after the model changed. @param changes of lines known before; none where nothing was known */
    public record Followed(Marks marks, List<MarkChange> changes) {}

    /** The line or stack of a mark. */
    public Optional<Marked> byMark(String mark) {
        return all.values().stream().filter(m -> m.mark().equals(mark)).findFirst();
    }

    /** The mark of a line or stack, or {@code own} where it is not among these. */
    public String markOf(String id, String own) {
        Marked m = all.get(id);
        return m == null ? own : m.mark();
    }

    /** These, and what others were ever given is not given again. */
    public Marks knowing(Marks others) {
        return given(all, others.ids, others.marks);
    }

    private Marks given(Map<String, Marked> now, Set<String> moreIds, Set<String> moreMarks) {
        Set<String> i = new HashSet<>(ids);
        i.addAll(moreIds);
        Set<String> m = new HashSet<>(marks);
        m.addAll(moreMarks);
        return new Marks(now, i, m);
    }

    private Marks now(Map<String, Marked> now) {
        Set<String> names = new HashSet<>();
        now.values().forEach(m -> names.add(m.mark()));
        return given(now, now.keySet(), names);
    }

    /** These with some lines as they are now, and without those that are gone. */
    public Marks with(List<Marked> changed, Set<String> gone) {
        Map<String, Marked> out = new LinkedHashMap<>(all);
        gone.forEach(out::remove);
        changed.forEach(m -> out.put(m.id(), m));
        return now(out);
    }

    /** Those of these lines that another state does not have, or has otherwise. */
    public List<Marked> changedFrom(Marks other) {
        return all.values().stream()
                .filter(m -> !m.equals(other.all.get(m.id())))
                .toList();
    }

    /** Ids of another state's lines that are no more. */
    public Set<String> goneFrom(Marks other) {
        Set<String> out = new LinkedHashSet<>(other.all.keySet());
        out.removeAll(all.keySet());
        return out;
    }

    /** Whether this may be a mark. */
    public static boolean allowed(String mark) {
        return mark.matches(ALLOWED);
    }

    /** Why a person cannot give a line this mark; empty if that can be. */
    public Optional<String> refused(String id, String mark) {
        if (!allowed(mark)) {
            return Optional.of(RULE);
        }
        return all.values().stream()
                .filter(m -> !m.id().equals(id) && m.mark().equalsIgnoreCase(mark))
                .findFirst()
                .map(m -> m.mark() + " is the mark of another " + (m.role() == Role.BEAM ? "beam line." : "column."));
    }

    /** The same lines in a model that has other members. @param into the newer members that each older one is in; one that is not among them is gone */
    public Marks of(Map<String, List<String>> into) {
        Map<String, Marked> out = new LinkedHashMap<>();
        all.forEach((id, m) -> out.put(
                id,
                new Marked(
                        id,
                        m.role(),
                        m.mark(),
                        m.members().stream()
                                .flatMap(q -> into.getOrDefault(q, List.of()).stream())
                                .distinct()
                                .toList())));
        return new Marks(out, ids, marks);
    }

    /** The identity and mark of every chain of a model. */
    public Followed follow(List<Chain> chains) {
        List<Marked> before = List.copyOf(all.values());
        Map<String, Integer> owner = new HashMap<>();
        for (int i = 0; i < before.size(); i++) {
            for (String m : before.get(i).members()) {
                owner.put(m, i);
            }
        }
        Marked[] kept = matched(chains, before, shares(chains, before, owner));
        Numbers numbers = new Numbers(chains);
        Map<String, Marked> out = new LinkedHashMap<>();
        for (int k = 0; k < kept.length; k++) {
            Chain c = chains.get(k);
            Marked m = kept[k] != null
                    ? new Marked(kept[k].id(), c.role(), kept[k].mark(), c.members())
                    : numbers.fresh(c);
            out.put(m.id(), m);
        }
        return new Followed(now(out), before.isEmpty() ? List.of() : changes(before, List.copyOf(out.values()), owner));
    }

    /** How much of a known line lies in a chain [mm]. */
    private record Share(int chain, int line, double length) {}

    private static List<Share> shares(List<Chain> chains, List<Marked> before, Map<String, Integer> owner) {
        List<Share> out = new ArrayList<>();
        for (int k = 0; k < chains.size(); k++) {
            Chain c = chains.get(k);
            Map<Integer, Double> of = new LinkedHashMap<>();
            for (int i = 0; i < c.members().size(); i++) {
                Integer line = owner.get(c.members().get(i));
                if (line != null && before.get(line).role() == c.role()) {
                    of.merge(line, c.lengths().get(i), Double::sum);
                }
            }
            for (Map.Entry<Integer, Double> e : of.entrySet()) {
                out.add(new Share(k, e.getKey(), e.getValue()));
            }
        }
        // equal parts: the one that is known longer, then the one that comes first
        out.sort(Comparator.comparingDouble((Share s) -> -Math.rint(s.length()))
                .thenComparingInt(Share::line)
                .thenComparingInt(Share::chain));
        return out;
    }

    private static Marked[] matched(List<Chain> chains, List<Marked> before, List<Share> shares) {
        Marked[] kept = new Marked[chains.size()];
        boolean[] used = new boolean[before.size()];
        for (Share s : shares) {
            if (kept[s.chain()] == null && !used[s.line()]) {
                kept[s.chain()] = before.get(s.line());
                used[s.line()] = true;
            }
        }
        return kept;
    }

    private static List<MarkChange> changes(List<Marked> before, List<Marked> now, Map<String, Integer> owner) {
        List<MarkChange> out = new ArrayList<>();
        Map<Integer, Set<String>> into = new LinkedHashMap<>();
        for (Marked m : now) {
            Set<Integer> from = new TreeSet<>();
            for (String member : m.members()) {
                Integer line = owner.get(member);
                if (line != null) {
                    from.add(line);
                    into.computeIfAbsent(line, q -> new LinkedHashSet<>()).add(m.mark());
                }
            }
            if (from.size() > 1) {
                List<String> names =
                        from.stream().map(i -> before.get(i).mark()).toList();
                out.add(new MarkChange(MarkChange.Kind.JOINED, names, List.of(m.mark())));
            } else if (from.isEmpty()) {
                out.add(new MarkChange(MarkChange.Kind.NEW, List.of(), List.of(m.mark())));
            }
        }
        for (int i = 0; i < before.size(); i++) {
            List<String> mark = List.of(before.get(i).mark());
            List<String> parts = List.copyOf(into.getOrDefault(i, Set.of()));
            if (parts.isEmpty()) {
                out.add(new MarkChange(MarkChange.Kind.GONE, mark, List.of()));
            } else if (parts.size() > 1) {
                out.add(new MarkChange(MarkChange.Kind.SPLIT, mark, parts));
            }
        }
        return out;
    }

    /** Gives ids and marks that nothing has or had. */
    private final class Numbers {
        private final Map<String, Integer> last = new HashMap<>();
        private final Set<String> takenMarks = new HashSet<>(marks);
        private final Set<String> takenIds = new HashSet<>(ids);

        Numbers(List<Chain> chains) {
            Map<String, Chain> stems = new HashMap<>();
            chains.forEach(c -> stems.putIfAbsent(c.stem(), c));
            for (Chain c : stems.values()) {
                int most = marks.stream().mapToInt(c::number).max().orElse(0);
                last.put(c.stem(), most);
            }
        }

        Marked fresh(Chain c) {
            String mark;
            do {
                mark = c.mark(last.merge(c.stem(), 1, Integer::sum));
            } while (!takenMarks.add(mark));
            String id = c.members().get(0);
            for (int n = 2; !takenIds.add(id); n++) {
                id = c.members().get(0) + "~" + n;
            }
            return new Marked(id, c.role(), mark, c.members());
        }
    }
}
