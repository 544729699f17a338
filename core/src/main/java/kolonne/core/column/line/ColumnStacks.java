package kolonne.core.column.line;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.mark.Marked;
import kolonne.core.mark.Marks;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Joint;
import kolonne.core.model.LocalAxes;
import kolonne.core.model.Member;
import kolonne.core.model.Role;
import kolonne.core.model.Storey;

/** Finds the column stacks of a building: columns that stand on one another. */
public final class ColumnStacks {
    /** Cosine of the greatest angle between axes of members whose moments are compared with their signs. */
    private static final double ALIGNED = 0.999;

    /** Most of a lift that lies inside beams deeper than it is high. */
    private static final double JOINT = 0.45;

    private final BuildingIndex index;
    private final Restraints restraints;
    private final EndStiffness ends;

    private ColumnStacks(BuildingIndex index) {
        this.index = index;
        this.restraints = new Restraints(index);
        this.ends = new EndStiffness(index);
    }

    /** All stacks, in plan order. Every column member is one lift. */
    public static List<ColumnStack> find(BuildingIndex index) {
        return find(index, Marks.NONE);
    }

    /** The same with the marks of a project. */
    public static List<ColumnStack> find(BuildingIndex index, Marks marks) {
        return new ColumnStacks(index).all(marks);
    }

    private List<ColumnStack> all(Marks marks) {
        List<List<Member>> found = ColumnChains.found(index);
        List<Marked> known =
                List.copyOf(marks.follow(ColumnChains.of(index)).marks().all().values());
        List<ColumnStack> out = new ArrayList<>();
        for (int i = 0; i < found.size(); i++) {
            out.add(stack(found.get(i), known.get(i)));
        }
        return out;
    }

    private ColumnStack stack(List<Member> chain, Marked known) {
        List<ColumnStack.Lift> lifts = new ArrayList<>();
        for (Member m : chain) {
            Joint low = index.lower(m);
            Joint high = index.upper(m);
            Storey storey = index.storeyAt(high.z());
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
                    Math.min(deepest(low) / 2, JOINT * length),
                    Math.min(deepest(high) / 2, JOINT * length),
                    lifts.size() == chain.size() - 1,
                    index.sectionOf(m),
                    index.materialOf(m),
                    planted,
                    unbraced(chain, lifts.size(), 2),
                    unbraced(chain, lifts.size(), 1)));
        }
        return new ColumnStack(known.id(), known.mark(), lifts);
    }

    /** The members between two restraints around a lift, against moving along its local axis y (1) or z (2). */
    private ColumnStack.Unbraced unbraced(List<Member> chain, int lift, int axis) {
        double[] axisOfLift = axes(chain.get(lift))[axis];
        double size = Math.hypot(axisOfLift[0], axisOfLift[1]);
        double ux = size > 0 ? axisOfLift[0] / size : 0;
        double uy = size > 0 ? axisOfLift[1] / size : 0;
        int first = lift;
        while (first > 0 && !restraints.holds(index.lower(chain.get(first)), ux, uy)) {
            first--;
        }
        int last = lift;
        while (last < chain.size() - 1 && !restraints.holds(index.upper(chain.get(last)), ux, uy)) {
            last++;
        }
        boolean headFree = !restraints.holds(index.upper(chain.get(last)), ux, uy);
        boolean footFree = first == 0
                && !restraints.holds(index.lower(chain.get(0)), ux, uy)
                && !restraints.stands(index.lower(chain.get(0)));
        List<Member> between = chain.subList(first, last + 1);
        List<ColumnStack.Part> parts = new ArrayList<>();
        double length = 0;
        for (Member m : between) {
            double[] other = axes(m)[axis];
            double cosine = other[0] * axisOfLift[0] + other[1] * axisOfLift[1] + other[2] * axisOfLift[2];
            parts.add(new ColumnStack.Part(
                    index.memberNumber(m.id()),
                    index.lower(m).id().equals(m.start()),
                    Math.abs(cosine) < ALIGNED ? 0 : cosine > 0 ? 1 : -1));
            length += index.length(m);
        }
        double clear = length
                - inJoint(chain.get(first), index.lower(chain.get(first)), ux, uy)
                - inJoint(chain.get(last), index.upper(chain.get(last)), ux, uy);
        return new ColumnStack.Unbraced(
                parts,
                Math.max(clear, 0.5 * length),
                headFree || footFree,
                ux,
                uy,
                ends.at(index.lower(chain.get(first)), chain.get(first), between, ux, uy),
                ends.at(index.upper(chain.get(last)), chain.get(last), between, ux, uy));
    }

    private double[][] axes(Member m) {
        return LocalAxes.of(index.joint(m.start()), index.joint(m.end()), m.angle());
    }

    /** What of a member lies inside a joint at its end [mm]. */
    private double inJoint(Member m, Joint at, double ux, double uy) {
        double rigid = m.start().equals(at.id()) ? m.rigidStart() : m.rigidEnd();
        return rigid > 0 ? rigid : restraints.halfBeam(at, ux, uy);
    }

    /** Depth of the deepest beam at a joint [mm]. */
    private double deepest(Joint j) {
        return index.membersAt(j.id()).stream()
                .filter(m -> m.role() == Role.BEAM)
                .mapToDouble(m -> index.sectionOf(m).shape().depth())
                .max()
                .orElse(0);
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
