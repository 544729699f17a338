package kolonne.core.column.line;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kolonne.core.analysis.LocalAxes;
import kolonne.core.beam.line.BeamLines;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.GridNames;
import kolonne.core.model.Joint;
import kolonne.core.model.Member;
import kolonne.core.model.Role;
import kolonne.core.model.Storey;

/** Finds the column stacks of a building: columns that stand on one another. */
public final class ColumnStacks {
    /** Cosine of the greatest angle between axes of members whose moments are compared with their signs. */
    private static final double ALIGNED = 0.999;

    private final BuildingIndex index;
    private final Restraints restraints;

    private ColumnStacks(BuildingIndex index) {
        this.index = index;
        this.restraints = new Restraints(index);
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
        chains.sort(Comparator.comparingDouble(
                        (List<Member> c) -> Math.rint(lower(c.get(0)).x()))
                .thenComparingDouble(c -> lower(c.get(0)).y())
                .thenComparingDouble(c -> lower(c.get(0)).z())
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
        return columns(at, m)
                .filter(o -> lower(o).id().equals(at.id()))
                .findFirst()
                .orElse(null);
    }

    private Member below(Joint at, Member m) {
        return columns(at, m)
                .filter(o -> upper(o).id().equals(at.id()))
                .findFirst()
                .orElse(null);
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
            boolean planted = lifts.isEmpty()
                    && index.building().supports().stream()
                            .noneMatch(s -> s.joint().equals(low.id()));
            lifts.add(new ColumnStack.Lift(
                    lifts.size(),
                    m.id(),
                    index.memberNumber(m.id()),
                    storey == null ? "" : storey.name(),
                    low.z(),
                    high.z(),
                    Math.max(clear, 0.5 * length),
                    index.sectionOf(m),
                    index.materialOf(m),
                    planted,
                    unbraced(chain, lifts.size(), 2),
                    unbraced(chain, lifts.size(), 1)));
        }
        return new ColumnStack(chain.get(0).id(), mark, lifts);
    }

    /** The members between two restraints around a lift, against moving along its local axis y (1) or z (2). */
    private ColumnStack.Unbraced unbraced(List<Member> chain, int lift, int axis) {
        double[] axisOfLift = axes(chain.get(lift))[axis];
        double size = Math.hypot(axisOfLift[0], axisOfLift[1]);
        double ux = size > 0 ? axisOfLift[0] / size : 0;
        double uy = size > 0 ? axisOfLift[1] / size : 0;
        int first = lift;
        while (first > 0 && !restraints.holds(lower(chain.get(first)), ux, uy)) {
            first--;
        }
        int last = lift;
        while (last < chain.size() - 1 && !restraints.holds(upper(chain.get(last)), ux, uy)) {
            last++;
        }
        boolean headFree = !restraints.holds(upper(chain.get(last)), ux, uy);
        boolean footFree =
                first == 0 && !restraints.holds(lower(chain.get(0)), ux, uy) && !restraints.stands(lower(chain.get(0)));
        List<ColumnStack.Part> parts = new ArrayList<>();
        double length = 0;
        for (Member m : chain.subList(first, last + 1)) {
            double[] other = axes(m)[axis];
            double cosine = other[0] * axisOfLift[0] + other[1] * axisOfLift[1] + other[2] * axisOfLift[2];
            parts.add(new ColumnStack.Part(
                    index.memberNumber(m.id()),
                    lower(m).id().equals(m.start()),
                    Math.abs(cosine) < ALIGNED ? 0 : cosine > 0 ? 1 : -1));
            length += index.length(m);
        }
        double clear = length
                - inJoint(chain.get(first), lower(chain.get(first)), ux, uy)
                - inJoint(chain.get(last), upper(chain.get(last)), ux, uy);
        return new ColumnStack.Unbraced(parts, Math.max(clear, 0.5 * length), headFree || footFree, ux, uy);
    }

    private double[][] axes(Member m) {
        return LocalAxes.of(index.joint(m.start()), index.joint(m.end()), m.angle());
    }

    /** What of a member lies inside a joint at its end [mm]. */
    private double inJoint(Member m, Joint at, double ux, double uy) {
        double rigid = m.start().equals(at.id()) ? m.rigidStart() : m.rigidEnd();
        return rigid > 0 ? rigid : restraints.halfBeam(at, ux, uy);
    }

    /** Half the depth of the shallowest beam at a joint; joints lie at the beams' centres [mm]. */
    private double halfBeam(Joint j) {
        return index.membersAt(j.id()).stream()
                .filter(m -> m.role() == Role.BEAM)
                .mapToDouble(m -> index.sectionOf(m).shape().depth() / 2)
                .min()
                .orElse(0);
    }
}
