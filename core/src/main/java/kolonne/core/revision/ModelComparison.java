package kolonne.core.revision;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import kolonne.core.explain.Quantity;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Combination;
import kolonne.core.model.LoadCase;
import kolonne.core.model.Material;
import kolonne.core.model.Member;
import kolonne.core.model.Role;

/**
 * What differs between a model and a newer one of the same building.
 *
 * @param members     which member is which
 * @param differences in the order of {@link Difference.Kind}
 */
public record ModelComparison(MemberMatching members, List<Difference> differences) {
    public ModelComparison {
        differences = List.copyOf(differences);
    }

    public static ModelComparison of(BuildingIndex older, BuildingIndex newer) {
        Comparing c = new Comparing(older, newer);
        c.run();
        return new ModelComparison(c.matching, c.told.all());
    }

    /** Whether nothing that a design depends on differs. */
    public boolean same() {
        return differences.isEmpty();
    }

    private static final class Comparing {
        private final BuildingIndex older;
        private final BuildingIndex newer;
        private final Building a;
        private final Building b;
        private final boolean us;
        private final MemberMatching matching;
        private final Differences told = new Differences();

        Comparing(BuildingIndex older, BuildingIndex newer) {
            this.older = older;
            this.newer = newer;
            a = older.building();
            b = newer.building();
            us = b.unitSystem().equals("US");
            matching = MemberMatching.of(older, newer);
        }

        void run() {
            matching.fresh().forEach(id -> told.add(Difference.Kind.NEW, words(newer.member(id)), "", "", id));
            matching.gone().forEach(id -> told.add(Difference.Kind.GONE, words(older.member(id)), "", "", id));
            matching.moved()
                    .forEach((id, by) -> told.add(
                            Difference.Kind.MOVED,
                            "by " + Quantity.DISTANCE.text(Math.rint(by / 10) * 10, us),
                            "",
                            "",
                            matching.pairs().get(id)));
            matching.divided()
                    .forEach((id, parts) ->
                            told.add(Difference.Kind.DIVIDED, "member " + id, id, String.join(", ", parts), parts));
            matching.joined()
                    .forEach((id, parts) -> told.add(
                            Difference.Kind.JOINED, "member " + id, String.join(", ", parts), id, List.of(id)));
            renamed();
            matching.pairs().forEach((x, y) -> member(older.member(x), newer.member(y)));
            new LoadComparison(older, newer, matching, told, us).run();
            cases();
            combinations();
            frame();
        }

        private static String words(Member m) {
            return m.role() == Role.BEAM ? "beams" : "columns";
        }

        private void renamed() {
            List<Map.Entry<String, String>> others = matching.pairs().entrySet().stream()
                    .filter(e -> !e.getKey().equals(e.getValue()))
                    .toList();
            if (!others.isEmpty()) {
                Map.Entry<String, String> first = others.get(0);
                told.add(
                        Difference.Kind.RENAMED,
                        "known by their places",
                        first.getKey() + (others.size() > 1 ? ", …" : ""),
                        first.getValue() + (others.size() > 1 ? ", …" : ""),
                        others.stream().map(Map.Entry::getValue).toList());
            }
        }

        private void member(Member x, Member y) {
            if (!older.sectionOf(x).shape().equals(newer.sectionOf(y).shape())) {
                told.add(
                        Difference.Kind.RESIZED,
                        words(y),
                        older.sectionOf(x).shape().label(us),
                        newer.sectionOf(y).shape().label(us),
                        y.id());
            }
            Material was = older.materialOf(x);
            Material now = newer.materialOf(y);
            if (!alike(was, now)) {
                told.add(Difference.Kind.CONCRETE, words(y), concrete(was), concrete(now), y.id());
            }
            connected(x, y);
        }

        private static boolean alike(Material p, Material q) {
            return p.fc() == q.fc() && p.E() == q.E() && p.poisson() == q.poisson() && p.weight() == q.weight();
        }

        private String concrete(Material m) {
            return m.id() + " (" + Quantity.STRENGTH.text(m.fc(), us) + ", E " + Quantity.STRENGTH.text(m.E(), us)
                    + ")";
        }

        private void connected(Member x, Member y) {
            boolean reversed = OwnChanges.reversed(older, x, newer, y);
            boolean ends = reversed
                    ? x.startRelease().equals(y.endRelease()) && x.endRelease().equals(y.startRelease())
                    : x.startRelease().equals(y.startRelease())
                            && x.endRelease().equals(y.endRelease());
            if (!ends) {
                told.add(Difference.Kind.CONNECTED, "end releases", "", "", y.id());
            }
            boolean rigid = reversed
                    ? x.rigidStart() == y.rigidEnd() && x.rigidEnd() == y.rigidStart()
                    : x.rigidStart() == y.rigidStart() && x.rigidEnd() == y.rigidEnd();
            if (!rigid) {
                told.add(Difference.Kind.CONNECTED, "rigid ends", "", "", y.id());
            }
            if (!a.options().factorsOf(x).equals(b.options().factorsOf(y))) {
                told.add(Difference.Kind.CONNECTED, "stiffness factors", "", "", y.id());
            }
            if (x.angle() != y.angle()) {
                told.add(
                        Difference.Kind.CONNECTED,
                        "turned",
                        Quantity.ANGLE.text(x.angle(), us),
                        Quantity.ANGLE.text(y.angle(), us),
                        y.id());
            }
        }

        private void cases() {
            Map<String, LoadCase> was = byId(a.loadCases(), LoadCase::id);
            Map<String, LoadCase> now = byId(b.loadCases(), LoadCase::id);
            now.values().forEach(c -> {
                LoadCase o = was.get(c.id());
                if (o == null) {
                    told.add(Difference.Kind.CASES, c.id(), "", words(c), List.of());
                } else if (o.kind() != c.kind() || o.selfWeight() != c.selfWeight()) {
                    told.add(Difference.Kind.CASES, c.id(), words(o), words(c), List.of());
                }
            });
            was.values().stream()
                    .filter(c -> !now.containsKey(c.id()))
                    .forEach(c -> told.add(Difference.Kind.CASES, c.id(), words(c), "", List.of()));
        }

        private static String words(LoadCase c) {
            return c.kind().name().toLowerCase(java.util.Locale.ROOT).replace('_', ' ')
                    + (c.selfWeight() == 0
                            ? ""
                            : ", self-weight × " + Quantity.UTILISATION.digits(c.selfWeight(), false));
        }

        private void combinations() {
            Map<String, Combination> was = byId(a.combinations(), Combination::id);
            Map<String, Combination> now = byId(b.combinations(), Combination::id);
            now.values().forEach(c -> {
                Combination o = was.get(c.id());
                if (o == null) {
                    told.add(Difference.Kind.COMBINATIONS, c.id(), "", words(c), List.of());
                } else if (o.purpose() != c.purpose() || !o.terms().equals(c.terms())) {
                    told.add(Difference.Kind.COMBINATIONS, c.id(), words(o), words(c), List.of());
                }
            });
            was.values().stream()
                    .filter(c -> !now.containsKey(c.id()))
                    .forEach(c -> told.add(Difference.Kind.COMBINATIONS, c.id(), words(c), "", List.of()));
        }

        private static String words(Combination c) {
            return c.terms().stream()
                    .map(t -> Quantity.UTILISATION.digits(t.factor(), false) + " " + t.loadCase())
                    .reduce((p, q) -> p + " + " + q)
                    .orElse("nothing");
        }

        private void frame() {
            named(
                    "storey",
                    byId(a.storeys(), s -> s.name()),
                    byId(b.storeys(), s -> s.name()),
                    s -> Quantity.DISTANCE.text(s.elevation(), us));
            named(
                    "grid line",
                    byId(a.gridLines(), g -> g.id()),
                    byId(b.gridLines(), g -> g.id()),
                    g -> "(" + Quantity.DISTANCE.digits(g.x1(), us) + ", " + Quantity.DISTANCE.digits(g.y1(), us)
                            + ") to (" + Quantity.DISTANCE.digits(g.x2(), us) + ", "
                            + Quantity.DISTANCE.digits(g.y2(), us) + ")");
            if (!a.options().equals(b.options())) {
                told.add(Difference.Kind.FRAME, "analysis options", "", "", List.of());
            }
            if (a.hasImportedForces() != b.hasImportedForces()) {
                told.add(
                        Difference.Kind.FRAME,
                        "forces",
                        a.hasImportedForces() ? "solved elsewhere" : "by Kolonne’s own analysis",
                        b.hasImportedForces() ? "solved elsewhere" : "by Kolonne’s own analysis",
                        List.of());
            } else if (!a.stationForces().equals(b.stationForces())) {
                told.add(Difference.Kind.FRAME, "forces solved elsewhere", "", "", List.of());
            }
        }

        private <T> void named(String what, Map<String, T> was, Map<String, T> now, Function<T, String> words) {
            now.forEach((id, t) -> {
                String before = was.containsKey(id) ? words.apply(was.get(id)) : "";
                String after = words.apply(t);
                if (!Objects.equals(before, after)) {
                    told.add(Difference.Kind.FRAME, what + " " + id, before, after, List.of());
                }
            });
            was.forEach((id, t) -> {
                if (!now.containsKey(id)) {
                    told.add(Difference.Kind.FRAME, what + " " + id, words.apply(t), "", List.of());
                }
            });
        }
    }

    static <T> Map<String, T> byId(List<T> all, Function<T, String> id) {
        Map<String, T> out = new LinkedHashMap<>();
        all.forEach(t -> out.put(id.apply(t), t));
        return out;
    }

    /** Gathers differences; what differs alike becomes one. */
    static final class Differences {
        private record Key(Difference.Kind kind, String what, String was, String now) {}

        private final Map<Key, List<String>> found = new LinkedHashMap<>();

        void add(Difference.Kind kind, String what, String was, String now, String member) {
            add(kind, what, was, now, List.of(member));
        }

        void add(Difference.Kind kind, String what, String was, String now, List<String> members) {
            found.computeIfAbsent(new Key(kind, what, was, now), k -> new ArrayList<>())
                    .addAll(members);
        }

        List<Difference> all() {
            return found.entrySet().stream()
                    .map(e -> new Difference(
                            e.getKey().kind(),
                            e.getKey().what(),
                            e.getKey().was(),
                            e.getKey().now(),
                            e.getValue()))
                    .sorted(Comparator.comparing(Difference::kind))
                    .toList();
        }
    }
}
