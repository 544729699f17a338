package kolonne.core.analysis;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.CaseKind;
import kolonne.core.model.Combination;
import kolonne.core.model.Joint;
import kolonne.core.model.LoadCase;
import kolonne.core.model.Member;
import kolonne.core.model.Pattern;
import kolonne.core.model.Role;
import kolonne.core.model.StraightOn;

/**
 * Arrangements of live load (ACI 318-19 6.4.2, 6.4.3; EN 1992-1-1 5.1.3). Every live load case gets seven besides "all spans":
 * odd spans, even spans, and adjacent pairs with alternate spans beyond them. The pairs at every fifth support share a case
 * (loaded, loaded, empty, loaded, empty, and again), so that seven stay seven however long a line is; what lies five spans
 * away changes a support moment by less than a thousandth. Spans are counted along each line of collinear beams that are connected in bending;
 * a span ends at a column, a support, or a crossing beam at least as deep. Combinations without wind or earthquake that
 * contain the case are repeated with each arrangement in its place.
 */
public final class PatternLive {
    private static final int PAIRS = 5;
    private static final String[] SUFFIX = {"odd", "even", "pairs 1", "pairs 2", "pairs 3", "pairs 4", "pairs 5"};

    private final BuildingIndex index;
    private final List<Set<String>> members = new ArrayList<>();

    private PatternLive(BuildingIndex index) {
        this.index = index;
        for (int p = 0; p < SUFFIX.length; p++) {
            members.add(new HashSet<>());
        }
    }

    /** The building with its arrangements as load cases and combinations; the same index if the model asks for none. */
    public static BuildingIndex expanded(BuildingIndex index) {
        Building b = index.building();
        boolean asked = b.options().patternLive()
                && !b.hasImportedForces()
                && b.loadCases().stream().noneMatch(LoadCase::generated);
        if (!asked) {
            return index;
        }
        PatternLive p = new PatternLive(index);
        p.walk();
        return new BuildingIndex(p.building());
    }

    private Building building() {
        Building b = index.building();
        List<LoadCase> cases = new ArrayList<>(b.loadCases());
        List<Combination> combinations = new ArrayList<>(b.combinations());
        Set<String> taken = new HashSet<>();
        b.loadCases().forEach(c -> taken.add(c.id()));
        Set<String> names = new HashSet<>();
        b.combinations().forEach(c -> names.add(c.id()));
        Map<String, CaseKind> kinds = new HashMap<>();
        b.loadCases().forEach(c -> kinds.put(c.id(), c.kind()));
        for (int p = 0; p < SUFFIX.length; p++) {
            Map<String, String> instead = new HashMap<>();
            for (LoadCase c : b.loadCases()) {
                if (c.kind() == CaseKind.LIVE) {
                    String id = unique(c.id() + " " + SUFFIX[p], taken);
                    cases.add(new LoadCase(
                            id, c.name() + ", " + SUFFIX[p], c.kind(), 0, new Pattern(c.id(), members.get(p)), null));
                    instead.put(c.id(), id);
                }
            }
            for (Combination c : b.combinations()) {
                boolean live = c.terms().stream().anyMatch(t -> instead.containsKey(t.loadCase()));
                boolean lateral =
                        c.terms().stream().anyMatch(t -> kinds.get(t.loadCase()).isLateral());
                if (live && !lateral) {
                    combinations.add(new Combination(
                            unique(c.id() + " " + SUFFIX[p], names),
                            c.name() + " (" + SUFFIX[p] + ")",
                            c.purpose(),
                            c.terms().stream()
                                    .map(t -> new Combination.Term(
                                            instead.getOrDefault(t.loadCase(), t.loadCase()), t.factor()))
                                    .toList()));
                }
            }
        }
        return b.withLoads(cases, b.memberLoads(), b.areaLoads(), combinations);
    }

    static String unique(String id, Set<String> taken) {
        String s = id;
        for (int i = 2; !taken.add(s); i++) {
            s = id + " " + i;
        }
        return s;
    }

    private void walk() {
        Set<String> used = new HashSet<>();
        for (Member m : index.building().members()) {
            if (m.role() == Role.COLUMN) {
                members.forEach(s -> s.add(m.id())); // loads on columns stand in every arrangement
            } else if (used.add(m.id())) {
                List<Member> line = line(m);
                line.forEach(q -> used.add(q.id()));
                number(line);
            }
        }
    }

    /** The line of beams through {@code seed}, from its first end to its last. */
    private List<Member> line(Member seed) {
        List<Member> out = new ArrayList<>(List.of(seed));
        extend(out, seed, seed.end(), false);
        extend(out, seed, seed.start(), true);
        Joint a = index.joint(freeEnd(out, true));
        Joint b = index.joint(freeEnd(out, false));
        if (a.x() > b.x() + 1 || Math.abs(a.x() - b.x()) <= 1 && a.y() > b.y()) {
            java.util.Collections.reverse(out);
        }
        return out;
    }

    private String freeEnd(List<Member> line, boolean first) {
        Member m = line.get(first ? 0 : line.size() - 1);
        if (line.size() == 1) {
            return first ? m.start() : m.end();
        }
        Member next = line.get(first ? 1 : line.size() - 2);
        boolean startMeets = m.start().equals(next.start()) || m.start().equals(next.end());
        return startMeets ? m.end() : m.start();
    }

    private void extend(List<Member> line, Member from, String joint, boolean atFront) {
        Member at = from;
        String j = joint;
        Member next = StraightOn.beam(index, at, j, o -> true);
        while (next != null && !line.contains(next)) {
            line.add(atFront ? 0 : line.size(), next);
            at = next;
            j = index.otherEnd(next, j);
            next = StraightOn.beam(index, at, j, o -> true);
        }
    }

    private void number(List<Member> line) {
        int span = 0;
        for (int i = 0; i < line.size(); i++) {
            if (i > 0 && ends(line.get(i - 1), line.get(i))) {
                span++;
            }
            String id = line.get(i).id();
            members.get(span % 2).add(id);
            for (int p = 0; p < PAIRS; p++) {
                int place = Math.floorMod(span - p, PAIRS);
                if (place == 0 || place == 1 || place == 3) {
                    members.get(2 + p).add(id);
                }
            }
        }
    }

    private boolean ends(Member a, Member b) {
        String joint = a.start().equals(b.start()) || a.start().equals(b.end()) ? a.start() : a.end();
        double depth = Math.max(depth(a), depth(b));
        return index.membersAt(joint).stream()
                        .anyMatch(o -> o.role() == Role.COLUMN || o != a && o != b && depth(o) >= depth)
                || index.building().supports().stream().anyMatch(s -> s.joint().equals(joint) && s.uz());
    }

    private double depth(Member m) {
        return index.sectionOf(m).shape().depth();
    }
}
