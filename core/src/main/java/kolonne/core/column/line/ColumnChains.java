package kolonne.core.column.line;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import kolonne.core.mark.Chain;
import kolonne.core.mark.PlanOrder;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.GridNames;
import kolonne.core.model.Joint;
import kolonne.core.model.Member;
import kolonne.core.model.Role;

/** Which columns stand on one another, and so make one stack. */
public final class ColumnChains {
    private final BuildingIndex index;

    private ColumnChains(BuildingIndex index) {
        this.index = index;
    }

    /** The stacks of a model, in plan order, each from its foot. */
    public static List<Chain> of(BuildingIndex index) {
        return found(index).stream()
                .map(c -> new Chain(
                        Role.COLUMN,
                        "C-" + GridNames.of(index, index.lower(c.get(0)).id()),
                        c.stream().map(Member::id).toList(),
                        c.stream().map(index::length).toList()))
                .toList();
    }

    static List<List<Member>> found(BuildingIndex index) {
        return new ColumnChains(index).all();
    }

    private List<List<Member>> all() {
        Set<String> used = new HashSet<>();
        List<List<Member>> chains = new ArrayList<>();
        for (Member m : index.building().members()) {
            if (m.role() == Role.COLUMN && !used.contains(m.id())) {
                List<Member> chain = chain(m);
                chain.forEach(c -> used.add(c.id()));
                chains.add(chain);
            }
        }
        chains.sort(Comparator.comparingDouble(
                        (List<Member> c) -> PlanOrder.row(index.lower(c.get(0)).x()))
                .thenComparingDouble(c -> PlanOrder.row(index.lower(c.get(0)).y()))
                .thenComparingDouble(c -> PlanOrder.row(index.lower(c.get(0)).z()))
                .thenComparing(c -> c.get(0).id()));
        return chains;
    }

    private List<Member> chain(Member seed) {
        List<Member> out = new ArrayList<>(List.of(seed));
        for (Member m = next(index.upper(seed), seed); m != null && !out.contains(m); m = next(index.upper(m), m)) {
            out.add(m);
        }
        for (Member m = below(index.lower(seed), seed); m != null && !out.contains(m); m = below(index.lower(m), m)) {
            out.add(0, m);
        }
        return out;
    }

    private Member next(Joint at, Member m) {
        return columns(at, m)
                .filter(o -> index.lower(o).id().equals(at.id()))
                .findFirst()
                .orElse(null);
    }

    private Member below(Joint at, Member m) {
        return columns(at, m)
                .filter(o -> index.upper(o).id().equals(at.id()))
                .findFirst()
                .orElse(null);
    }

    private Stream<Member> columns(Joint at, Member m) {
        return index.membersAt(at.id()).stream().filter(o -> o != m && o.role() == Role.COLUMN);
    }
}
