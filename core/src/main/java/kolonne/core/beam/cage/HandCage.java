package kolonne.core.beam.cage;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import kolonne.core.beam.line.TypedDemand;
import kolonne.core.code.Bar;

/**
 * What a person has set on a beam line. Kolonne never alters it, only checks it; parts that are not set stay Kolonne's choice.
 * Distances along the line [mm].
 *
 * @param faces    longitudinal bars of a face, all of them
 * @param stirrups zones by number of span
 * @param sides    side bars by number of span; none on a face where {@code perFace} is 0
 * @param demands  stretches whose demand is typed
 * @param torsion  why the line's torsion is there, in place of what re-analysis finds
 */
public record HandCage(
        Map<BeamCage.Face, List<Bars>> faces,
        Map<Integer, List<Stirrups>> stirrups,
        Map<Integer, Sides> sides,
        List<TypedDemand> demands,
        TorsionKind torsion) {
    public static final HandCage NONE = new HandCage(Map.of(), Map.of(), Map.of(), List.of());

    /** Why torsion is there: as re-analysis finds, or as a person says. */
    public enum TorsionKind {
        AS_FOUND,
        EQUILIBRIUM,
        COMPATIBILITY
    }

    public HandCage(
            Map<BeamCage.Face, List<Bars>> faces,
            Map<Integer, List<Stirrups>> stirrups,
            Map<Integer, Sides> sides,
            List<TypedDemand> demands) {
        this(faces, stirrups, sides, demands, TorsionKind.AS_FOUND);
    }

    public HandCage {
        Map<BeamCage.Face, List<Bars>> f = new TreeMap<>();
        faces.forEach((k, v) -> f.put(k, List.copyOf(v)));
        faces = java.util.Collections.unmodifiableMap(f);
        Map<Integer, List<Stirrups>> z = new TreeMap<>();
        stirrups.forEach((k, v) -> z.put(k, List.copyOf(v)));
        stirrups = java.util.Collections.unmodifiableMap(z);
        sides = java.util.Collections.unmodifiableMap(new TreeMap<>(sides));
        demands = List.copyOf(demands);
    }

    /** Bars of one size in one layer, singly or in pairs; hooks count only at the ends of the line. */
    public record Bars(
            int layer, int count, Bar bar, double from, double to, boolean hookFrom, boolean hookTo, boolean pairs) {
        public Bars(int layer, int count, Bar bar, double from, double to, boolean hookFrom, boolean hookTo) {
            this(layer, count, bar, from, to, hookFrom, hookTo, false);
        }
    }

    /** A zone; it ends where the next begins, the last at the face of the support. */
    public record Stirrups(double from, Bar bar, int legs, double spacing) {}

    /** Side bars of a span. */
    public record Sides(Bar bar, int perFace) {}

    public boolean isEmpty() {
        return equals(NONE);
    }

    /** The same with another reason for the torsion. */
    public HandCage with(TorsionKind kind) {
        return new HandCage(faces, stirrups, sides, demands, kind);
    }

    /** A whole cage as if set by hand, to copy it to a line of the same geometry. */
    public static HandCage of(BeamCage cage) {
        Map<BeamCage.Face, List<Bars>> faces = new TreeMap<>();
        for (BeamCage.Face f : BeamCage.Face.values()) {
            faces.put(
                    f,
                    cage.groups().stream()
                            .filter(g -> g.face() == f)
                            .map(HandCage::bars)
                            .toList());
        }
        Map<Integer, List<Stirrups>> stirrups = new TreeMap<>();
        Map<Integer, Sides> sides = new TreeMap<>();
        for (BeamCage.Zone z : cage.zones()) {
            stirrups.computeIfAbsent(z.span(), k -> new java.util.ArrayList<>())
                    .add(new Stirrups(z.from(), z.bar(), z.legs(), z.spacing()));
        }
        cage.sideBars().forEach(s -> sides.put(s.span(), new Sides(s.bar(), s.perFace())));
        return new HandCage(faces, stirrups, sides, List.of());
    }

    private static Bars bars(BeamCage.Group g) {
        return new Bars(g.layer(), g.count(), g.bar(), g.from(), g.to(), g.hookFrom(), g.hookTo(), g.pairs());
    }
}
