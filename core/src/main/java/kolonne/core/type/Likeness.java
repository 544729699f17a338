package kolonne.core.type;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;
import java.util.stream.IntStream;
import kolonne.core.basis.Basis;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.shape.Shape;

/**
 * What members must have in common to share a cage: the basis that they answer to, and sections, concrete and supports in order; and the lengths that may differ within a tolerance. A stack
 * that ends lower than another shares the lifts that it has: those of both, from the foot.
 *
 * @param common  equal for members that may share
 * @param parts   spans or lifts in order; equal for members that may share as far as both have them
 * @param lengths of the parts: clear spans, or heights of lifts [mm]
 */
public record Likeness(Object common, List<Object> parts, List<Double> lengths) {
    public Likeness {
        parts = List.copyOf(parts);
        lengths = List.copyOf(lengths);
    }

    private record Span(Shape shape, double fc) {}

    private record Lift(Shape shape, double fc, boolean planted) {}

    /** Lines with the same supports have as many spans. */
    private record OfLines(Basis basis, List<BeamLine.SupportKind> supports) {}

    public static Likeness of(BeamDesign d) {
        return of(d.line(), d.basis());
    }

    static Likeness of(BeamLine l, Basis basis) {
        return new Likeness(
                new OfLines(
                        basis, l.supports().stream().map(BeamLine.Support::kind).toList()),
                l.spans().stream()
                        .<Object>map(
                                s -> new Span(s.section().shape(), s.material().fc()))
                        .toList(),
                l.spans().stream().map(BeamLine.Span::clear).toList());
    }

    public static Likeness of(ColumnDesign d) {
        return of(d.stack(), d.basis());
    }

    static Likeness of(ColumnStack c, Basis basis) {
        return new Likeness(
                basis,
                c.lifts().stream()
                        .<Object>map(
                                l -> new Lift(l.section().shape(), l.material().fc(), l.planted()))
                        .toList(),
                c.lifts().stream().map(l -> l.top() - l.base()).toList());
    }

    /** Without its lengths: equal for those that are built alike. */
    Likeness butLengths() {
        return new Likeness(common, parts, List.of());
    }

    /** Whether two may share a cage. @param tolerance of lengths [mm] */
    public boolean shares(Likeness o, double tolerance) {
        if (!builtAs(o)) {
            return false;
        }
        for (int i = 0; i < Math.min(lengths.size(), o.lengths.size()); i++) {
            if (Math.abs(lengths.get(i) - o.lengths.get(i)) > tolerance + 1e-6) {
                return false;
            }
        }
        return true;
    }

    /** Whether two share from end to end. @param tolerance of lengths [mm] */
    public boolean sharesWhole(Likeness o, double tolerance) {
        return parts.size() == o.parts.size() && shares(o, tolerance);
    }

    /** Whether two are alike but for their lengths, as far as both go. */
    public boolean builtAs(Likeness o) {
        int both = Math.min(parts.size(), o.parts.size());
        return common.equals(o.common) && parts.subList(0, both).equals(o.parts.subList(0, both));
    }

    /** The most members of which no two differ more than they may, in their order. @param tolerance of lengths [mm] */
    static <M> List<M> mostAlike(List<M> members, Function<M, Likeness> of, double tolerance) {
        List<Likeness> likeness = members.stream().map(of).toList();
        // the longest first: what ends sooner is alike to several that are not alike
        List<Integer> order = IntStream.range(0, members.size())
                .boxed()
                .sorted(Comparator.comparingInt(m -> -likeness.get(m).parts.size()))
                .toList();
        List<Integer> most = List.of();
        for (int first = 0; first < order.size() && most.size() < order.size() - first; first++) {
            List<Integer> with = new ArrayList<>(List.of(order.get(first)));
            for (int m : order) {
                Likeness l = likeness.get(m);
                if (m != order.get(first)
                        && with.stream().allMatch(o -> likeness.get(o).shares(l, tolerance))) {
                    with.add(m);
                }
            }
            most = with.size() > most.size() ? with : most;
        }
        return most.stream().sorted().map(members::get).toList();
    }
}
