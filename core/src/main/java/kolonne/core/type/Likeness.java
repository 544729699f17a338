package kolonne.core.type;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import kolonne.core.basis.Basis;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.shape.Shape;

/**
 * What members must have in common to share a cage: the basis that they answer to, sections, concrete and kinds of support in order; and the lengths that may differ within a tolerance.
 *
 * @param alike   equal for members that may share
 * @param lengths clear spans, or heights of lifts [mm]
 */
public record Likeness(Object alike, List<Double> lengths) {
    public Likeness {
        lengths = List.copyOf(lengths);
    }

    private record Part(Shape shape, double fc, boolean planted) {}

    private record Whole(Basis basis, List<Part> parts, List<BeamLine.SupportKind> supports) {}

    public static Likeness of(BeamDesign d) {
        return of(d.line(), d.basis());
    }

    static Likeness of(BeamLine l, Basis basis) {
        return new Likeness(
                new Whole(
                        basis,
                        l.spans().stream()
                                .map(s -> new Part(
                                        s.section().shape(), s.material().fc(), false))
                                .toList(),
                        l.supports().stream().map(BeamLine.Support::kind).toList()),
                l.spans().stream().map(BeamLine.Span::clear).toList());
    }

    public static Likeness of(ColumnDesign d) {
        return of(d.stack(), d.basis());
    }

    static Likeness of(ColumnStack c, Basis basis) {
        return new Likeness(
                new Whole(
                        basis,
                        c.lifts().stream()
                                .map(l -> new Part(
                                        l.section().shape(), l.material().fc(), l.planted()))
                                .toList(),
                        List.of()),
                c.lifts().stream().map(l -> l.top() - l.base()).toList());
    }

    /** Whether two may share a cage. @param tolerance of lengths [mm] */
    public boolean shares(Likeness o, double tolerance) {
        if (!alike.equals(o.alike)) {
            return false;
        }
        for (int i = 0; i < lengths.size(); i++) {
            if (Math.abs(lengths.get(i) - o.lengths.get(i)) > tolerance + 1e-6) {
                return false;
            }
        }
        return true;
    }

    /** The most members of which no two differ more than they may, in their order. @param tolerance of lengths [mm] */
    static <M> List<M> mostAlike(List<M> members, Function<M, Likeness> of, double tolerance) {
        List<Likeness> likeness = members.stream().map(of).toList();
        List<Integer> most = List.of();
        for (int first = 0; first < members.size() && most.size() < members.size() - first; first++) {
            List<Integer> with = new ArrayList<>(List.of(first));
            for (int m = 0; m < members.size(); m++) {
                Likeness l = likeness.get(m);
                if (m != first && with.stream().allMatch(o -> likeness.get(o).shares(l, tolerance))) {
                    with.add(m);
                }
            }
            most = with.size() > most.size() ? with : most;
        }
        return most.stream().sorted().map(members::get).toList();
    }
}
