package kolonne.core.beam.cage;

import java.util.Comparator;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.BeamTorsion;
import kolonne.core.code.Bar;

/** The whole reinforcement of a beam line. Distances along the line [mm]. */
public record BeamCage(List<Group> groups, List<Zone> zones, List<SideBars> sideBars) {
    public BeamCage {
        groups = List.copyOf(groups);
        zones = List.copyOf(zones);
        sideBars = List.copyOf(sideBars);
    }

    /** What a cage is made of. */
    public sealed interface Part permits Group, Zone, SideBars, Spacers {}

    public enum Face {
        TOP,
        BOTTOM;

        /** The face in tension under a moment. */
        public static Face tension(boolean sagging) {
            return sagging ? BOTTOM : TOP;
        }

        public String word() {
            return this == TOP ? "top" : "bottom";
        }
    }

    /**
     * Bars of one size in one layer of a face.
     *
     * @param offset    from the face to the bars' centre [mm]
     * @param hookFrom  whether the bars end in a standard hook at {@code from}
     * @param hookTo    whether the bars end in a standard hook at {@code to}
     * @param through   whether the bars run the whole length of the line
     * @param pairs     whether two bars each touch, one above the other; offset is then to where they touch
     */
    public record Group(
            Face face,
            int layer,
            int count,
            Bar bar,
            double offset,
            double from,
            double to,
            boolean hookFrom,
            boolean hookTo,
            boolean through,
            boolean pairs)
            implements Part {
        /** For rounding at an end [mm]. */
        private static final double END = 1e-6;

        /** Bars that do not touch. */
        public Group(
                Face face,
                int layer,
                int count,
                Bar bar,
                double offset,
                double from,
                double to,
                boolean hookFrom,
                boolean hookTo,
                boolean through) {
            this(face, layer, count, bar, offset, from, to, hookFrom, hookTo, through, false);
        }

        /** Whether the bars are at {@code x}, their ends included. */
        public boolean covers(double x) {
            return x >= from - END && x <= to + END;
        }

        /** The same from and to other places; hooks stay where the end stays. */
        public Group between(int number, double start, double end) {
            return new Group(
                    face,
                    layer,
                    number,
                    bar,
                    offset,
                    start,
                    end,
                    hookFrom && start == from,
                    hookTo && end == to,
                    through && start == from && end == to,
                    pairs);
        }

        /** The same at another distance from the face. */
        Group at(double distance) {
            return new Group(face, layer, count, bar, distance, from, to, hookFrom, hookTo, through, pairs);
        }

        /** The same nearer to the face. */
        public Group out(double by) {
            return at(offset - by);
        }

        /** Bars side by side. */
        int beside() {
            return pairs ? (count + 1) / 2 : count;
        }

        /** Height of a bar or of a pair [mm]. */
        double height() {
            return (pairs ? 2 : 1) * bar.diameter();
        }

        /** Diameter that distances go by: of one bar as large as the pair. */
        public double spacingDiameter() {
            return (pairs ? Math.sqrt(2) : 1) * bar.diameter();
        }

        public double area() {
            return count * bar.area();
        }
    }

    /** Stirrups of one size and spacing; {@link StirrupPlaces} tells where each stands. */
    public record Zone(int span, double from, double to, Bar bar, int legs, double spacing) implements Part {
        /** Area of legs per length [mm2/mm]. */
        public double avs() {
            return legs * bar.area() / spacing;
        }
    }

    /**
     * Bars across the beam between two layers of a face. They follow from the layers and carry nothing.
     *
     * @param layer  that lies on them, from 2
     * @param level  from the face to their middle [mm]
     * @param length of each [mm]
     * @param places along the line [mm]
     */
    public record Spacers(int span, Face face, int layer, Bar bar, double level, double length, List<Double> places)
            implements Part {
        public Spacers {
            places = List.copyOf(places);
        }

        /** How far the nearest of them is from a place [mm]. */
        double from(double x) {
            return places.stream().mapToDouble(p -> Math.abs(p - x)).min().orElse(Double.POSITIVE_INFINITY);
        }
    }

    /** Bars along both side faces of a web. @param perFace bars on each side; hooks as in a group */
    public record SideBars(int span, Bar bar, int perFace, double from, double to, boolean hookFrom, boolean hookTo)
            implements Part {
        /** Height of level {@code k}, from 0, above the soffit: evenly between the covers of a web [mm]. */
        public double level(int k, double depth, double cover) {
            return cover + (depth - 2 * cover) * (k + 1) / (perFace + 1);
        }

        /** Area of one level, a bar on either side [mm2]. */
        public double levelArea() {
            return 2 * bar.area();
        }
    }

    /** The largest bar of the first layers of some groups within a span; the largest of the basis where there is none. */
    public static Bar largest(List<Group> groups, BeamLine.Span span, Basis basis) {
        return groups.stream()
                .filter(g -> g.layer() == 1 && g.from() < span.to() && g.to() > span.from())
                .map(Group::bar)
                .max(Comparator.comparingDouble(Bar::diameter))
                .orElse(BeamTorsion.largest(basis));
    }

    /** Number of stirrups of a zone of this cage. */
    public int count(Zone z) {
        return StirrupPlaces.count(zones, z);
    }

    /** The zone at {@code x} in a span, the next where two meet; null if there is none. */
    public Zone zoneAt(int span, double x) {
        Zone last = null;
        for (Zone z : zones) {
            if (z.span() == span) {
                if (x <= z.to() + 1e-6) {
                    return z;
                }
                last = z;
            }
        }
        return last;
    }
}
