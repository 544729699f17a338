package kolonne.core.column;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kolonne.core.beam.BeamLines;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.GridNames;
import kolonne.core.model.Joint;
import kolonne.core.model.Member;
import kolonne.core.model.Role;
import kolonne.core.model.Storey;

/** Finds the column stacks of a building: columns that stand on one another. */
public final class ColumnStacks {
    private final BuildingIndex index;

    private ColumnStacks(BuildingIndex index) {
        this.index = index;
    }

    /** All stacks, in plan order. Every column member is one lift. */
    public static List<ColumnStack> find(BuildingIndex index) {
        return new ColumnStacks(index).all();
    }

    private List<ColumnStack> all() {
        Set<String> used = new HashSet<>();
        List<List<Member>> chains = new ArrayList<>();
        for (Member m : index.building().members()) {
            if (m.role() == Role.COLUMN && !used.contains(m.id())) {
                List<Member> chain = chain(m);
                chain.forEach(c -> used.add(c.id()));
                chains.add(chain);
            }
        }
        chains.sort(Comparator.comparingDouble((List<Member> c) -> Math.rint(lower(c.get(0)).x()))
            .thenComparingDouble(c -> lower(c.get(0)).y()).thenComparingDouble(c -> lower(c.get(0)).z())
            .thenComparing(c -> c.get(0).id()));
        Map<String, Integer> counts = new HashMap<>();
        List<ColumnStack> out = new ArrayList<>();
        for (List<Member> chain : chains) {
            String place = GridNames.of(index, lower(chain.get(0)).id());
            int n = counts.merge(place, 1, Integer::sum);
            out.add(stack(chain, "C-" + place + (n > 1 ? "." + n : "")));
        }
        return out;
    }

    private List<Member> chain(Member seed) {
        List<Member> out = new ArrayList<>(List.of(seed));
        for (Member m = next(upper(seed), seed); m != null && !out.contains(m); m = next(upper(m), m)) {
            out.add(m);
        }
        for (Member m = below(lower(seed), seed); m != null && !out.contains(m); m = below(lower(m), m)) {
            out.add(0, m);
        }
        return out;
    }

    private Member next(Joint at, Member m) {
        return columns(at, m).filter(o -> lower(o).id().equals(at.id())).findFirst().orElse(null);
    }

    private Member below(Joint at, Member m) {
        return columns(at, m).filter(o -> upper(o).id().equals(at.id())).findFirst().orElse(null);
    }

    private java.util.stream.Stream<Member> columns(Joint at, Member m) {
        return index.membersAt(at.id()).stream().filter(o -> o != m && o.role() == Role.COLUMN);
    }

    private Joint lower(Member m) {
        Joint a = index.joint(m.start());
        Joint b = index.joint(m.end());
        return a.z() <= b.z() ? a : b;
    }

    private Joint upper(Member m) {
        return lower(m).id().equals(m.start()) ? index.joint(m.end()) : index.joint(m.start());
    }

    private ColumnStack stack(List<Member> chain, String mark) {
        List<ColumnStack.Lift> lifts = new ArrayList<>();
        for (Member m : chain) {
            Joint low = lower(m);
            Joint high = upper(m);
            Storey storey = BeamLines.storeyAt(index, high.z());
            double rigid = m.rigidStart() + m.rigidEnd();
            double length = index.length(m);
            double clear = rigid > 0 ? length - rigid : length - halfBeam(high) - halfBeam(low);
            boolean planted = lifts.isEmpty() && index.building().supports().stream()
                .noneMatch(s -> s.joint().equals(low.id()));
            lifts.add(new ColumnStack.Lift(lifts.size(), m.id(), index.memberNumber(m.id()),
                storey == null ? "" : storey.name(), low.z(), high.z(), Math.max(clear, 0.5 * length),
                index.sectionOf(m), index.materialOf(m), planted));
        }
        return new ColumnStack(chain.get(0).id(), mark, lifts);
    }

    /** Half the depth of the shallowest beam at a joint; joints lie at the beams' centres [mm]. */
    private double halfBeam(Joint j) {
        return index.membersAt(j.id()).stream().filter(m -> m.role() == Role.BEAM)
            .mapToDouble(m -> index.sectionOf(m).shape().depth() / 2).min().orElse(0);
    }
}
