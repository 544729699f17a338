package kolonne.core.revision;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Joint;
import kolonne.core.model.Member;

/**
 * Which member of a model is which in a newer one: known by its place and by its id. Programs number their members anew, and then the place says more;
 * storeys become higher, and then the id does. The one that finds more of the building is asked first, the other for what is left. An id counts only
 * for members that lie no further apart than they are long; where ids are asked first, they count wherever their members lie.
 *
 * @param pairs   older to newer id, one to one, in the older order
 * @param moved   by older id of a pair, how far an end moved [mm]; only those that did
 * @param divided older id to the several newer ones that lie along it, in order from its start
 * @param joined  newer id to the several older ones that it lies along, in order from its start
 * @param gone    older ids that are in no newer member
 * @param fresh   newer ids that no older member is in
 */
public record MemberMatching(
        Map<String, String> pairs,
        Map<String, Double> moved,
        Map<String, List<String>> divided,
        Map<String, List<String>> joined,
        List<String> gone,
        List<String> fresh) {

    /** The newer members that an older one is in, by older id; none of those that are gone. */
    public Map<String, List<String>> successors() {
        Map<String, List<String>> out = new LinkedHashMap<>();
        pairs.forEach((a, b) -> out.put(a, List.of(b)));
        out.putAll(divided);
        joined.forEach((b, all) -> all.forEach(a -> out.put(a, List.of(b))));
        return out;
    }

    /** Part of the older model's members that are found again, 0 to 1. */
    public double found() {
        int known = pairs.size()
                + divided.size()
                + joined.values().stream().mapToInt(List::size).sum();
        int all = known + gone.size();
        return all == 0 ? 1 : (double) known / all;
    }

    public static MemberMatching of(BuildingIndex older, BuildingIndex newer) {
        return new Search(older, newer).run();
    }

    /** The steps of the search, each on what the steps before it left. */
    private static final class Search {
        private final BuildingIndex older;
        private final BuildingIndex newer;
        private final Map<String, String> pairs = new LinkedHashMap<>();
        private final Map<String, Double> moved = new LinkedHashMap<>();
        private final Set<String> left = new LinkedHashSet<>();
        private final Set<String> fresh = new LinkedHashSet<>();

        Search(BuildingIndex older, BuildingIndex newer) {
            this.older = older;
            this.newer = newer;
            older.building().members().forEach(m -> left.add(m.id()));
            newer.building().members().forEach(m -> fresh.add(m.id()));
        }

        MemberMatching run() {
            Map<Member, Member> places = byPlace();
            Map<Member, Member> ids = byId(false);
            if (places.size() >= ids.size()) {
                pair(places);
                pair(ids);
            } else {
                pair(byId(true));
                pair(places);
            }
            Map<String, List<String>> divided = along(older, left, newer, fresh);
            Map<String, List<String>> joined = along(newer, fresh, older, left);
            return new MemberMatching(inOrder(), moved, divided, joined, List.copyOf(left), List.copyOf(fresh));
        }

        private Map<String, String> inOrder() {
            Map<String, String> out = new LinkedHashMap<>();
            for (Member m : older.building().members()) {
                if (pairs.containsKey(m.id())) {
                    out.put(m.id(), pairs.get(m.id()));
                }
            }
            return out;
        }

        /** Members at the same place; of several there, the one of the same id. */
        private Map<Member, Member> byPlace() {
            Places<Member> there = new Places<>();
            newer.building().members().forEach(m -> there.put(middle(newer, m), m));
            Map<Member, Member> out = new LinkedHashMap<>();
            for (Member m : older.building().members()) {
                there.at(middle(older, m)).stream()
                        .filter(n -> n.role() == m.role() && distance(m, n) <= Places.NEAR)
                        .min(Comparator.comparing((Member n) -> !n.id().equals(m.id())))
                        .ifPresent(n -> out.put(m, n));
            }
            return out;
        }

        /** @param anywhere whether also those that lie further apart than they are long */
        private Map<Member, Member> byId(boolean anywhere) {
            Map<Member, Member> out = new LinkedHashMap<>();
            for (Member m : older.building().members()) {
                Member n = newer.member(m.id());
                if (n != null && n.role() == m.role() && (anywhere || distance(m, n) <= older.length(m))) {
                    out.put(m, n);
                }
            }
            return out;
        }

        private void pair(Map<Member, Member> found) {
            found.forEach((a, b) -> {
                if (left.contains(a.id()) && fresh.contains(b.id())) {
                    pairs.put(a.id(), b.id());
                    left.remove(a.id());
                    fresh.remove(b.id());
                    double by = distance(a, b);
                    if (by > Places.NEAR) {
                        moved.put(a.id(), by);
                    }
                }
            });
        }

        /** How far apart the ends of two members are, whichever way they run [mm]. */
        private double distance(Member a, Member b) {
            double[] a0 = start(older, a);
            double[] a1 = end(older, a);
            double[] b0 = start(newer, b);
            double[] b1 = end(newer, b);
            double along = Math.max(Places.distance(a0, b0), Places.distance(a1, b1));
            double against = Math.max(Places.distance(a0, b1), Places.distance(a1, b0));
            return Math.min(along, against);
        }
    }

    private static double[] place(Joint j) {
        return new double[] {j.x(), j.y(), j.z()};
    }

    static double[] start(BuildingIndex b, Member m) {
        return place(b.joint(m.start()));
    }

    static double[] end(BuildingIndex b, Member m) {
        return place(b.joint(m.end()));
    }

    private static double[] middle(BuildingIndex b, Member m) {
        double[] a = start(b, m);
        double[] z = end(b, m);
        return new double[] {(a[0] + z[0]) / 2, (a[1] + z[1]) / 2, (a[2] + z[2]) / 2};
    }

    /** A member on another's line. @param from where it begins along it, {@code to} where it ends [mm] */
    private record Part(String id, double from, double to) {}

    /** Members of one model that members of the other fill from end to end; both are taken off the lists of those that are still to be found. */
    private static Map<String, List<String>> along(
            BuildingIndex whole, Set<String> wholes, BuildingIndex part, Set<String> parts) {
        Map<String, List<String>> out = new LinkedHashMap<>();
        List<Member> byX = parts.stream()
                .map(part::member)
                .sorted(Comparator.comparingDouble(m -> middle(part, m)[0]))
                .toList();
        double[] xs = byX.stream().mapToDouble(m -> middle(part, m)[0]).toArray();
        for (String id : List.copyOf(wholes)) {
            Member w = whole.member(id);
            List<Part> on = new ArrayList<>();
            double least = Math.min(start(whole, w)[0], end(whole, w)[0]) - Places.NEAR;
            double most = Math.max(start(whole, w)[0], end(whole, w)[0]) + Places.NEAR;
            int i = java.util.Arrays.binarySearch(xs, least);
            i = i < 0 ? -i - 1 : i;
            while (i > 0 && xs[i - 1] >= least) {
                i--;
            }
            for (; i < xs.length && xs[i] <= most; i++) {
                Member m = byX.get(i);
                if (m.role() == w.role() && parts.contains(m.id())) {
                    Part p = part(whole, w, part, m);
                    if (p != null) {
                        on.add(p);
                    }
                }
            }
            on.sort(Comparator.comparingDouble(Part::from));
            if (on.size() > 1 && fills(on, whole.length(w))) {
                out.put(id, on.stream().map(Part::id).toList());
                wholes.remove(id);
                on.forEach(p -> parts.remove(p.id()));
            }
        }
        return out;
    }

    /** Where a member lies on another's line; null if it does not. */
    private static Part part(BuildingIndex whole, Member w, BuildingIndex part, Member m) {
        double[] a = start(whole, w);
        double[] z = end(whole, w);
        double length = Places.distance(a, z);
        double s = alongLine(a, z, length, start(part, m));
        double t = alongLine(a, z, length, end(part, m));
        boolean on = s >= -Places.NEAR && s <= length + Places.NEAR && t >= -Places.NEAR && t <= length + Places.NEAR;
        return on ? new Part(m.id(), Math.min(s, t), Math.max(s, t)) : null;
    }

    /** How far along a line a point is; NaN if it is not on it [mm]. */
    private static double alongLine(double[] a, double[] z, double length, double[] p) {
        double s = 0;
        for (int i = 0; i < 3; i++) {
            s += (p[i] - a[i]) * (z[i] - a[i]) / length;
        }
        double[] foot = new double[3];
        for (int i = 0; i < 3; i++) {
            foot[i] = a[i] + (z[i] - a[i]) * s / length;
        }
        return Places.distance(foot, p) <= Places.NEAR ? s : Double.NaN;
    }

    private static boolean fills(List<Part> on, double length) {
        double at = 0;
        for (Part p : on) {
            if (Math.abs(p.from() - at) > 2 * Places.NEAR) {
                return false;
            }
            at = p.to();
        }
        return Math.abs(at - length) <= 2 * Places.NEAR;
    }
}
