package kolonne.core.type;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import kolonne.core.mark.Marks;
import kolonne.core.model.Role;

/**
 * The types of a project. A member that is in none has a cage of its own. A type keeps its identity and its mark as long as it has members; where types are
 * made anew, a new one that has most of an old one's members is that one.
 *
 * @param all       by id, in the order made
 * @param tolerance within which lengths of members that share a cage may differ [mm]
 * @param given     how many ids were ever given; none is given again
 */
public record Types(Map<String, MemberType> all, double tolerance, int given) {
    public static final double STANDARD_TOLERANCE = 200;
    public static final double MOST_TOLERANCE = 2000;
    public static final Types NONE = new Types(Map.of(), STANDARD_TOLERANCE, 0);

    public Types {
        all = java.util.Collections.unmodifiableMap(new LinkedHashMap<>(all));
    }

    /** The type that a line or stack is in. */
    public Optional<MemberType> of(String member) {
        return all.values().stream().filter(t -> t.members().contains(member)).findFirst();
    }

    public Optional<MemberType> byMark(String mark) {
        return all.values().stream().filter(t -> t.mark().equals(mark)).findFirst();
    }

    /** These, and what others were ever given is not given again. */
    public Types knowing(int others) {
        return new Types(all, tolerance, Math.max(given, others));
    }

    public Types withTolerance(double mm) {
        return new Types(all, mm, given);
    }

    private Types with(Map<String, MemberType> now) {
        now.values().removeIf(t -> t.members().isEmpty() || t.members().size() == 1 && !t.locked());
        return new Types(now, tolerance, given);
    }

    /**
     * The types of a role made anew; locked ones stay as they are.
     *
     * @param groups members that shall share cages, in the order of their marks; a member by itself needs no type
     * @param taken  marks that lines and stacks have
     */
    public Types adopted(Role role, List<List<String>> groups, Set<String> taken) {
        Set<String> locked = new HashSet<>();
        Map<String, MemberType> now = new LinkedHashMap<>();
        List<MemberType> before = new ArrayList<>();
        for (MemberType t : all.values()) {
            if (t.role() != role || t.locked()) {
                now.put(t.id(), t);
                locked.addAll(t.role() == role ? t.members() : List.of());
            } else {
                before.add(t);
            }
        }
        List<List<String>> free = groups.stream()
                .map(g -> g.stream().filter(m -> !locked.contains(m)).toList())
                .filter(g -> g.size() > 1)
                .toList();
        MemberType[] kept = kept(free, before);
        Types out = new Types(now, tolerance, given);
        for (int i = 0; i < kept.length; i++) {
            out = kept[i] == null ? out.fresh(role, free.get(i), taken) : out.put(kept[i].with(free.get(i)));
        }
        return out;
    }

    private Types put(MemberType t) {
        Map<String, MemberType> now = new LinkedHashMap<>(all);
        now.put(t.id(), t);
        return new Types(now, tolerance, given);
    }

    private Types fresh(Role role, List<String> members, Set<String> taken) {
        int n = given;
        String mark;
        do {
            n++;
            mark = (role == Role.BEAM ? "TB" : "TC") + n;
        } while (taken.contains(mark) || byMark(mark).isPresent());
        return knowing(n).put(new MemberType("T" + n, role, mark, members, false));
    }

    /** Which old type each group is, by the members that they share, the most first. */
    private static MemberType[] kept(List<List<String>> groups, List<MemberType> before) {
        record Share(int group, int type, int members) {}
        Map<String, Integer> owner = new HashMap<>();
        for (int i = 0; i < before.size(); i++) {
            for (String m : before.get(i).members()) {
                owner.put(m, i);
            }
        }
        List<Share> shares = new ArrayList<>();
        for (int g = 0; g < groups.size(); g++) {
            Map<Integer, Integer> of = new LinkedHashMap<>();
            groups.get(g).stream().filter(owner::containsKey).forEach(m -> of.merge(owner.get(m), 1, Integer::sum));
            for (Map.Entry<Integer, Integer> e : of.entrySet()) {
                shares.add(new Share(g, e.getKey(), e.getValue()));
            }
        }
        shares.sort(java.util.Comparator.comparingInt((Share s) -> -s.members)
                .thenComparingInt(s -> s.type)
                .thenComparingInt(s -> s.group));
        MemberType[] out = new MemberType[groups.size()];
        Set<Integer> used = new HashSet<>();
        for (Share s : shares) {
            if (out[s.group] == null && used.add(s.type)) {
                out[s.group] = before.get(s.type);
            }
        }
        return out;
    }

    /** Members as one type: that of which most of them are, or a new one. What is left of other types stays. */
    public Types merged(Role role, Collection<String> members, Set<String> taken) {
        Set<String> these = new LinkedHashSet<>(members);
        MemberType most = null;
        int shared = 0;
        for (MemberType t : all.values()) {
            int n = (int) t.members().stream().filter(these::contains).count();
            if (n > shared) {
                most = t;
                shared = n;
            }
        }
        return most == null
                ? new Types(without(these, ""), tolerance, given)
                        .fresh(role, List.copyOf(these), taken)
                        .trimmed()
                : joined(most.id(), these);
    }

    /** Members that join a type and leave their own. */
    public Types joined(String id, Collection<String> members) {
        Set<String> these = new LinkedHashSet<>(members);
        Map<String, MemberType> now = without(these, id);
        Set<String> all = new LinkedHashSet<>(now.get(id).members());
        all.addAll(these);
        now.put(id, now.get(id).with(List.copyOf(all)));
        return with(now);
    }

    /** Members taken out of their types; each has a cage of its own then. */
    public Types apart(Collection<String> members) {
        return with(without(new HashSet<>(members), ""));
    }

    private Map<String, MemberType> without(Set<String> members, String but) {
        Map<String, MemberType> now = new LinkedHashMap<>();
        for (MemberType t : all.values()) {
            now.put(
                    t.id(),
                    t.id().equals(but)
                            ? t
                            : t.with(t.members().stream()
                                    .filter(m -> !members.contains(m))
                                    .toList()));
        }
        return now;
    }

    public Types locked(String id, boolean lock) {
        return put(all.get(id).locked(lock)).trimmed();
    }

    private Types trimmed() {
        return with(new LinkedHashMap<>(all));
    }

    /** Types under other marks. @param marks by id of the type */
    public Types renamed(Map<String, String> marks) {
        Map<String, MemberType> now = new LinkedHashMap<>(all);
        marks.forEach((id, mark) -> now.put(id, now.get(id).with(mark)));
        return new Types(now, tolerance, given);
    }

    /** Why types cannot have these marks; empty if they can. @param taken marks that lines and stacks have */
    public Optional<String> refused(Map<String, String> marks, Set<String> taken) {
        Set<String> used = new HashSet<>();
        all.values().stream()
                .filter(t -> !marks.containsKey(t.id()))
                .forEach(t -> used.add(t.mark().toLowerCase(java.util.Locale.ROOT)));
        taken.forEach(m -> used.add(m.toLowerCase(java.util.Locale.ROOT)));
        for (String mark : marks.values()) {
            if (!Marks.allowed(mark)) {
                return Optional.of("“" + mark + "”: " + Marks.RULE);
            }
            if (!used.add(mark.toLowerCase(java.util.Locale.ROOT))) {
                return Optional.of("“" + mark + "” would be the mark of two types, or is that of a line or a column.");
            }
        }
        return Optional.empty();
    }
}
