package kolonne.core.revision;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import kolonne.core.basis.local.LocalScope;
import kolonne.core.basis.local.LocalSettings;

/**
 * Local settings on a newer model: they go on with the members that they were made for, whatever these are called now. An id that they named and that is gone
 * is never kept, since the newer model may have given it to another member.
 *
 * @param now  those that are left, in their order
 * @param told what was lost and why, in sentences
 */
public record CarriedSettings(List<LocalSettings> now, List<String> told) {
    /** Members named in a sentence. */
    private static final int NAMED = 5;

    public CarriedSettings {
        now = List.copyOf(now);
        told = List.copyOf(told);
    }

    /** @param successors newer members by the older one that they come from, none for one that is gone; @param storeys of the newer model */
    public static CarriedSettings carry(
            List<LocalSettings> all, Map<String, List<String>> successors, Set<String> storeys) {
        List<LocalSettings> now = new ArrayList<>();
        List<String> told = new ArrayList<>();
        for (LocalSettings s : all) {
            LocalScope w = s.scope();
            String who = "local settings “" + s.name() + "” ";
            Set<String> members = new LinkedHashSet<>();
            w.members().forEach(m -> members.addAll(successors.getOrDefault(m, List.of())));
            if (members.isEmpty() && w.storeys().isEmpty()) {
                told.add(who + "end: none of their members is in the newer model");
                continue;
            }
            Set<String> gone = new TreeSet<>(w.members());
            gone.removeAll(successors.keySet());
            if (!gone.isEmpty()) {
                told.add(who + "lose " + named(gone) + ", no longer in the model");
            }
            Set<String> unknown = new TreeSet<>(w.storeys());
            unknown.removeAll(storeys);
            if (!unknown.isEmpty()) {
                told.add(who + (unknown.size() == 1 ? "are for storey " : "are for the storeys ") + named(unknown)
                        + ", which the newer model does not have");
            }
            now.add(new LocalSettings(s.name(), new LocalScope(w.role(), w.storeys(), members), s.values()));
        }
        return new CarriedSettings(now, told);
    }

    private static String named(Set<String> ids) {
        String first = ids.stream().limit(NAMED).collect(Collectors.joining(", "));
        return ids.size() > NAMED ? first + " and " + (ids.size() - NAMED) + " more" : first;
    }
}
