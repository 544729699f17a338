package kolonne.core.beam.line;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.Function;
import kolonne.core.basis.Basis;
import kolonne.core.model.Material;
import kolonne.core.model.Member;
import kolonne.core.model.Section;
import kolonne.core.shape.Shape;

/**
 * Beam spans that run on through supports, designed as one continuous beam.
 *
 * @param id       never changes; that of the member it began with when it was found first
 * @param mark     label on schedules
 * @param storey   name of its storey
 * @param spans    in order along the line
 * @param supports one more than spans; a free end is a support of kind FREE
 * @param stations points of check in order along the line
 * @param length   between the outermost joints [mm]
 */
public record BeamLine(
        String id,
        String mark,
        String storey,
        List<Span> spans,
        List<Support> supports,
        List<Station> stations,
        double length) {
    /** How far inside a free end its section is shown, past the bars' cover [mm]. */
    private static final double FREE_END = 150;
    /** Bars run this far into a support of the model that has no column; a note says that its room is not known [mm]. */
    static final double INTO_HELD = 1000;
    /** A place so near to a face lies at it [mm]. */
    private static final double AT_FACE = 1;

    public BeamLine {
        spans = List.copyOf(spans);
        supports = List.copyOf(supports);
        stations = List.copyOf(stations);
    }

    /** What holds a line at a joint; HELD is a support of the model without a column. */
    public enum SupportKind {
        COLUMN,
        BEAM,
        HELD,
        FREE
    }

    /**
     * @param x      along the line [mm]
     * @param depth  dimension of the supporting column along the line, or width of the supporting beam, at a free end of the
     *               beam across it [mm]; 0 if there is none
     * @param across width of the supporting column square to the line [mm]; 0 if there is none
     * @param label  grid label or joint id
     */
    public record Support(String joint, double x, SupportKind kind, double depth, double across, String label) {}

    /**
     * @param from     centre of the left support [mm]
     * @param to       centre of the right support [mm]
     * @param faceFrom face of the left support [mm]
     * @param faceTo   face of the right support [mm]
     * @param section  of the model; where members differ, the shallowest
     * @param shape    that it is designed with: the section's, or with the effective flange of the slab
     */
    public record Span(
            int number,
            double from,
            double to,
            double faceFrom,
            double faceTo,
            List<Member> members,
            Section section,
            Shape shape,
            Material material) {
        public Span {
            members = List.copyOf(members);
        }

        public double clear() {
            return faceTo - faceFrom;
        }

        /** Between the faces [mm]. */
        public double middle() {
            return (faceFrom + faceTo) / 2;
        }

        /** Moments under f'c bw h² / 10 000 are left out: rounding of the analysis, not a demand [Nmm]. */
        public double negligibleMoment() {
            return 1e-4 * material.fc() * shape.webWidth() * shape.depth() * shape.depth();
        }

        /** The same designed with another shape. */
        Span with(Shape designed) {
            return new Span(number, from, to, faceFrom, faceTo, members, section, designed, material);
        }

        /** The same with other members in it. */
        Span with(List<Member> other) {
            return new Span(number, from, to, faceFrom, faceTo, other, section, shape, material);
        }

        /** The same with another section of the model; a flange of the slab stays as wide as it is. */
        Span with(Section other) {
            boolean slab = !shape.equals(section.shape())
                    && shape.flangeDepth() < other.shape().depth();
            Shape designed = slab
                    ? ((Shape.Flanged) shape)
                            .withWeb(other.shape().webWidth(), other.shape().depth())
                    : other.shape();
            return new Span(number, from, to, faceFrom, faceTo, members, other, designed, material);
        }
    }

    /**
     * A point where forces are known.
     *
     * @param number       in the line
     * @param x            along the line [mm]
     * @param memberNumber in the building
     * @param station      of that member
     * @param reversed     whether the member runs against the line
     */
    public record Station(int number, double x, int span, int memberNumber, int station, boolean reversed) {}

    /** The span at a place, over a support the one before it. */
    public Span spanAt(double x) {
        return spans.stream().filter(s -> x <= s.to()).findFirst().orElse(spans.get(spans.size() - 1));
    }

    /** Where sections of a span are shown: at its left face, in the middle, at its right face; just inside a free end [mm]. */
    public double[] cutPlaces(Span s) {
        double inside = Math.min(FREE_END, s.clear() / 4);
        double left = supports.get(s.number()).kind() == SupportKind.FREE ? s.faceFrom() + inside : s.faceFrom();
        double right = supports.get(s.number() + 1).kind() == SupportKind.FREE ? s.faceTo() - inside : s.faceTo();
        return new double[] {left, s.middle(), right};
    }

    /** The same line with each member replaced by others that fill its place. @param into those, in order from a member's start */
    public BeamLine withMembers(Function<Member, List<Member>> into) {
        List<Span> out = new ArrayList<>();
        String at = supports.get(0).joint();
        for (Span s : spans) {
            List<Member> now = new ArrayList<>();
            for (Member m : s.members()) {
                List<Member> parts = new ArrayList<>(into.apply(m));
                boolean against = m.end().equals(at);
                if (against) {
                    Collections.reverse(parts);
                }
                now.addAll(parts);
                at = against ? m.start() : m.end();
            }
            out.add(s.with(now));
        }
        return new BeamLine(id, mark, storey, out, supports, stations, length);
    }

    /** The same line with another section in every span of one shape; its supports stay where they are. */
    public BeamLine with(Shape was, Shape shape) {
        return with(spans.stream()
                .map(s -> s.section().shape().equals(was) && !shape.equals(was)
                        ? s.with(new Section(shape.label(), shape))
                        : s)
                .toList());
    }

    /** The same line with its spans in another form. */
    BeamLine with(List<Span> other) {
        return new BeamLine(id, mark, storey, other, supports, stations, length);
    }

    /** The same line under another mark. */
    public BeamLine with(String other) {
        return new BeamLine(id, other, storey, spans, supports, stations, length);
    }

    /** Where the longest bars of the line may begin [mm]. */
    public double firstBar(Basis basis) {
        return supports.get(0).x() - reachInto(supports.get(0), basis);
    }

    /** Where they may end [mm]. */
    public double lastBar(Basis basis) {
        Support s = supports.get(supports.size() - 1);
        return s.x() + reachInto(s, basis);
    }

    /** From the face of an end support to where bars end behind it; negative at a free end, before which they stop [mm]. */
    public double endRoom(Basis basis, boolean left) {
        return left
                ? spans.get(0).faceFrom() - firstBar(basis)
                : lastBar(basis) - spans.get(spans.size() - 1).faceTo();
    }

    /** The nearest place where bars of the line may lie: at a free end they stop short by the cover. */
    public double within(Basis basis, double x) {
        return Math.max(firstBar(basis), Math.min(lastBar(basis), x));
    }

    /** How far past a support's centre bars may lie, cover inside its far face; negative before a free end [mm]. */
    private static double reachInto(Support s, Basis basis) {
        return switch (s.kind()) {
            case FREE -> -basis.beamCover();
            case HELD -> INTO_HELD;
            default ->
                Math.max(
                        0,
                        s.depth() / 2
                                - basis.columnCover()
                                - basis.smallestStirrup().diameter());
        };
    }

    /**
     * Whether a place lies within a beam across a free end. What twists that beam bends the line's tip; the line must carry it from that beam's
     * face on, where its own bars have begun; where forces are not known at that face, all along.
     */
    boolean withinTip(double x) {
        return withinTip(supports.get(0), x) || withinTip(supports.get(supports.size() - 1), x);
    }

    private boolean withinTip(Support s, double x) {
        double face = s.depth() / 2;
        return s.kind() == SupportKind.FREE
                && Math.abs(x - s.x()) < face - AT_FACE
                && stations.stream().anyMatch(q -> Math.abs(Math.abs(q.x() - s.x()) - face) < AT_FACE);
    }

    /** Whether one end of the span is free. */
    public boolean cantilever(int span) {
        return supports.get(span).kind() == SupportKind.FREE
                || supports.get(span + 1).kind() == SupportKind.FREE;
    }
}
