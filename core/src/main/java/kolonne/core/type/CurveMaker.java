package kolonne.core.type;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Function;
import kolonne.core.basis.Basis;
import kolonne.core.beam.check.BeamContext;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.column.check.ColumnContext;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.model.Role;

/** Makes the curve of types against steel of a building's beams or columns. */
public final class CurveMaker {
    /** Told how many of how many members have found their types; may be called from several threads. */
    public interface Progress {
        Progress NONE = (done, total) -> {};

        /** @throws java.util.concurrent.CancellationException to stop */
        void at(int done, int total);
    }

    private CurveMaker() {}

    /** @param own designs of lines by themselves; @param contexts by their bases; @param tolerance within which spans count as alike [mm] */
    public static Curve beams(
            List<BeamDesign> own, Function<Basis, BeamContext> contexts, double tolerance, Progress progress) {
        List<BeamLine> lines = own.stream().map(BeamDesign::line).toList();
        return curve(Role.BEAM, lines, new BeamSharing(own, contexts), tolerance, progress);
    }

    /** @param own designs of stacks by themselves; @param contexts by their bases; @param tolerance within which lifts count as alike [mm] */
    public static Curve columns(
            List<ColumnDesign> own, Function<Basis, ColumnContext> contexts, double tolerance, Progress progress) {
        List<ColumnStack> stacks = own.stream().map(ColumnDesign::stack).toList();
        return curve(Role.COLUMN, stacks, new ColumnSharing(own, contexts), tolerance, progress);
    }

    static <M, D> Curve curve(Role role, List<M> members, Sharing<M, D> sharing, double tolerance, Progress progress) {
        Steel own = Steel.NONE;
        List<List<M>> alone = new ArrayList<>();
        Map<Likeness, List<M>> alike = new LinkedHashMap<>();
        for (M m : members) {
            own = own.plus(sharing.steel(sharing.own(m)));
            // what fails or is set by hand has a cage of its own
            if (sharing.setByHand(m) || !sharing.satisfied(sharing.own(m))) {
                alone.add(List.of(m));
            } else {
                alike.computeIfAbsent(sharing.likeness(m).butLengths(), k -> new ArrayList<>())
                        .add(m);
            }
        }
        List<List<M>> all = new ArrayList<>(families(alike));
        all.addAll(alone);
        AtomicInteger done = new AtomicInteger();
        List<List<Curve.Node>> families = all.parallelStream()
                .map(family -> new Merging<>(sharing, tolerance, n -> progress.at(done.addAndGet(n), members.size()))
                        .run(family))
                .toList();
        return joined(role, members.size(), own, families);
    }

    /** Members that may share: those built alike, and with the most of those that go on longer those that end sooner. */
    private static <M> Collection<List<M>> families(Map<Likeness, List<M>> alike) {
        Map<Likeness, List<M>> out = new LinkedHashMap<>();
        Map<Likeness, Likeness> longer = new LinkedHashMap<>();
        for (Likeness l : alike.keySet()) {
            alike.keySet().stream()
                    .filter(o -> o.parts().size() > l.parts().size() && o.builtAs(l))
                    .max(Comparator.comparingInt(o -> alike.get(o).size()))
                    .ifPresentOrElse(o -> longer.put(l, o), () -> out.put(l, new ArrayList<>(alike.get(l))));
        }
        longer.forEach((l, o) -> {
            Likeness longest = o;
            while (longer.containsKey(longest)) {
                longest = longer.get(longest);
            }
            out.get(longest).addAll(alike.get(l));
        });
        return out.values();
    }

    /** One curve of all families: each time the merge that costs least of those that are next in their family. */
    private static Curve joined(Role role, int members, Steel own, List<List<Curve.Node>> families) {
        List<Curve.Node> nodes = new ArrayList<>();
        List<Integer> merges = new ArrayList<>();
        int[] next = new int[families.size()];
        for (int f = 0; f < next.length; f++) {
            int offset = nodes.size();
            for (Curve.Node n : families.get(f)) {
                nodes.add(n.after(offset));
            }
            next[f] = offset
                    + (int) families.get(f).stream().filter(Curve.Node::first).count();
        }
        Curve all = new Curve(role, members, own, nodes, merges);
        int[] end = new int[next.length];
        int sum = 0;
        for (int f = 0; f < end.length; f++) {
            sum += families.get(f).size();
            end[f] = sum;
        }
        while (true) {
            int best = -1;
            for (int f = 0; f < next.length; f++) {
                boolean less = next[f] < end[f]
                        && (best < 0 || all.extra(nodes.get(next[f])) < all.extra(nodes.get(next[best])));
                best = less ? f : best;
            }
            if (best < 0) {
                return new Curve(role, members, own, nodes, merges);
            }
            merges.add(next[best]++);
        }
    }
}
