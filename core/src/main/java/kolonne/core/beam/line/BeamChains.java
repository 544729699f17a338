package kolonne.core.beam.line;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import kolonne.core.mark.Chain;
import kolonne.core.mark.PlanOrder;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Joint;
import kolonne.core.model.Member;
import kolonne.core.model.Role;
import kolonne.core.model.Storey;
import kolonne.core.model.StraightOn;
import kolonne.core.shape.Shape;

/** Which members run on into one another, and so make one beam line: collinear, connected in bending and of like size. */
public final class BeamChains {
    /** Greatest ratio of depths, or of web widths, over which bars still run through from one section to the next. */
    private static final double ALIKE = 1.5;

    private final BuildingIndex index;

    private BeamChains(BuildingIndex index) {
        this.index = index;
    }

    /** A member of a chain; reversed if it runs against the line. */
    record Step(Member member, boolean reversed) {
        String from() {
            return reversed ? member.end() : member.start();
        }

        String to() {
            return reversed ? member.start() : member.end();
        }
    }

    /** A chain with the storey that it lies in. @param level short name of the storey, or its height */
    record Found(List<Step> steps, String level, String storey) {
        Chain chain(BuildingIndex index) {
            return new Chain(
                    Role.BEAM,
                    level + "-B",
                    steps.stream().map(s -> s.member().id()).toList(),
                    steps.stream().map(s -> index.length(s.member())).toList());
        }
    }

    /** The chains of a model, by storey from the ground, then in plan. */
    public static List<Chain> of(BuildingIndex index) {
        return found(index).stream().map(f -> f.chain(index)).toList();
    }

    static List<Found> found(BuildingIndex index) {
        return new BeamChains(index).all();
    }

    private List<Found> all() {
        Set<String> used = new HashSet<>();
        List<List<Step>> chains = new ArrayList<>();
        for (Member m : index.building().members()) {
            if (m.role() == Role.BEAM && !used.contains(m.id())) {
                List<Step> chain = chain(m);
                chain.forEach(s -> used.add(s.member().id()));
                chains.add(chain);
            }
        }
        chains.sort(Comparator.comparingDouble((List<Step> c) -> PlanOrder.row(first(c).z()))
                .thenComparingDouble(c -> -PlanOrder.row(first(c).y()))
                .thenComparingDouble(c -> PlanOrder.row(first(c).x()))
                .thenComparing(c -> c.get(0).member().id()));
        return chains.stream().map(this::found).toList();
    }

    private Found found(List<Step> chain) {
        double z = first(chain).z();
        Storey storey = index.storeyAt(z);
        String level = storey == null ? "Z" + PlanOrder.level(z) / 10.0 : storey.id();
        return new Found(chain, level, storey == null ? level : storey.name());
    }

    private Joint first(List<Step> chain) {
        return index.joint(chain.get(0).from());
    }

    private List<Step> chain(Member seed) {
        Joint i = index.joint(seed.start());
        Joint j = index.joint(seed.end());
        double dx = j.x() - i.x();
        double dy = j.y() - i.y();
        boolean reversed = Math.abs(dx) >= Math.abs(dy) ? dx < 0 : dy < 0;
        List<Step> out = new ArrayList<>();
        out.add(new Step(seed, reversed));
        for (Step next = after(out.get(0)); next != null && !contains(out, next); next = after(next)) {
            out.add(next);
        }
        for (Step back = before(out.get(0)); back != null && !contains(out, back); back = before(back)) {
            out.add(0, back);
        }
        return out;
    }

    private static boolean contains(List<Step> chain, Step s) {
        return chain.stream().anyMatch(c -> c.member() == s.member());
    }

    private Step after(Step s) {
        Member next = continuing(s.member(), s.to());
        return next == null ? null : new Step(next, !next.start().equals(s.to()));
    }

    private Step before(Step s) {
        Member previous = continuing(s.member(), s.from());
        return previous == null ? null : new Step(previous, !previous.end().equals(s.from()));
    }

    private Member continuing(Member m, String joint) {
        return StraightOn.beam(index, m, joint, o -> alike(m, o));
    }

    /** Whether one cage can run through both sections. */
    private boolean alike(Member a, Member b) {
        Shape s = index.sectionOf(a).shape();
        Shape t = index.sectionOf(b).shape();
        return ratio(s.depth(), t.depth()) <= ALIKE && ratio(s.webWidth(), t.webWidth()) <= ALIKE;
    }

    private static double ratio(double a, double b) {
        return Math.max(a, b) / Math.min(a, b);
    }
}
