package kolonne.core.revision;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import kolonne.core.explain.Quantity;
import kolonne.core.model.AreaLoad;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Joint;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.SlabPanel;

/** Loads, slabs, supports and joints of two models, each where it acts: a panel or a joint is the same where it lies at the same place. */
final class LoadComparison {
    /** A kN/m² [N/mm2]. */
    private static final double KPA = 1e-3;
    /** A pound on a square foot [N/mm2]. */
    private static final double PSF = 0.0000478802589804;

    private final BuildingIndex older;
    private final BuildingIndex newer;
    private final MemberMatching matching;
    private final ModelComparison.Differences told;
    private final boolean us;

    LoadComparison(
            BuildingIndex older,
            BuildingIndex newer,
            MemberMatching matching,
            ModelComparison.Differences told,
            boolean us) {
        this.older = older;
        this.newer = newer;
        this.matching = matching;
        this.told = told;
        this.us = us;
    }

    void run() {
        memberLoads();
        panels();
        joints();
    }

    // ---- members -------------------------------------------------------------------------------------------------

    private static Map<String, Map<String, List<MemberLoad>>> byMember(BuildingIndex b) {
        Map<String, Map<String, List<MemberLoad>>> out = new HashMap<>();
        for (MemberLoad l : b.building().memberLoads()) {
            out.computeIfAbsent(l.member(), k -> new TreeMap<>())
                    .computeIfAbsent(l.loadCase(), k -> new ArrayList<>())
                    .add(l);
        }
        return out;
    }

    private void memberLoads() {
        Map<String, Map<String, List<MemberLoad>>> was = byMember(older);
        Map<String, Map<String, List<MemberLoad>>> now = byMember(newer);
        matching.pairs().forEach((x, y) -> {
            Map<String, List<MemberLoad>> p = was.getOrDefault(x, Map.of());
            Map<String, List<MemberLoad>> q = now.getOrDefault(y, Map.of());
            Set<String> cases = new LinkedHashSet<>(p.keySet());
            cases.addAll(q.keySet());
            for (String c : cases) {
                List<MemberLoad> one = p.getOrDefault(c, List.of());
                List<MemberLoad> two = q.getOrDefault(c, List.of());
                if (!OwnChanges.sameLoads(older, older.member(x), one, newer, newer.member(y), two)) {
                    told.add(Difference.Kind.RELOADED, "loads in " + c, words(one), words(two), y);
                }
            }
        });
    }

    private String words(List<MemberLoad> loads) {
        return loads.isEmpty() ? "none" : loads.stream().map(this::words).collect(Collectors.joining(", "));
    }

    private String words(MemberLoad l) {
        String along = switch (l.kind()) {
            case DISTRIBUTED -> Quantity.FORCE.digits(l.w1() * (us ? 304.8 : 1000), us) + (us ? " kip/ft" : " kN/m");
            case POINT -> Quantity.FORCE.text(l.w1(), us);
            case MOMENT -> Quantity.MOMENT.text(l.w1(), us);
            case DISTRIBUTED_MOMENT ->
                Quantity.MOMENT.digits(l.w1() * (us ? 304.8 : 1000), us) + (us ? " kip·ft/ft" : " kNm/m");
        };
        boolean level = !l.kind().spread() || l.w1() == l.w2();
        return along + (level ? "" : " varying") + " "
                + l.direction().name().toLowerCase(java.util.Locale.ROOT).replace('_', ' ');
    }

    // ---- slabs ---------------------------------------------------------------------------------------------------

    /** The middle of a panel's corners. */
    private static double[] middle(BuildingIndex b, SlabPanel p) {
        double[] out = new double[3];
        for (String j : p.joints()) {
            Joint q = b.joint(j);
            out[0] += q.x() / p.joints().size();
            out[1] += q.y() / p.joints().size();
            out[2] += q.z() / p.joints().size();
        }
        return out;
    }

    static Map<String, Map<String, Double>> pressures(BuildingIndex b) {
        Map<String, Map<String, Double>> out = new HashMap<>();
        for (AreaLoad l : b.building().areaLoads()) {
            out.computeIfAbsent(l.panel(), k -> new TreeMap<>()).merge(l.loadCase(), l.pressure(), Double::sum);
        }
        return out;
    }

    /** Panels that lie at the same place, older to newer id; of several there, the one of the same id. */
    static Map<String, String> panels(BuildingIndex older, BuildingIndex newer) {
        Places<SlabPanel> there = new Places<>();
        newer.building().panels().forEach(p -> there.put(middle(newer, p), p));
        Set<String> taken = new LinkedHashSet<>();
        Map<String, String> out = new LinkedHashMap<>();
        for (SlabPanel p : older.building().panels()) {
            there.at(middle(older, p)).stream()
                    .filter(n -> !taken.contains(n.id()))
                    .min(Comparator.comparing((SlabPanel n) -> !n.id().equals(p.id())))
                    .ifPresent(n -> {
                        taken.add(n.id());
                        out.put(p.id(), n.id());
                    });
        }
        return out;
    }

    private void panels() {
        Map<String, String> pairs = panels(older, newer);
        Map<String, Map<String, Double>> was = pressures(older);
        Map<String, Map<String, Double>> now = pressures(newer);
        pairs.forEach((p, q) ->
                panel(older.panel(p), newer.panel(q), was.getOrDefault(p, Map.of()), now.getOrDefault(q, Map.of())));
        counted(
                Difference.Kind.SLABS,
                "panels",
                older.building().panels().size() - pairs.size(),
                newer.building().panels().size() - pairs.size());
    }

    private void counted(Difference.Kind kind, String what, int gone, int fresh) {
        if (gone + fresh > 0) {
            told.add(
                    kind,
                    what,
                    gone == 0 ? "" : gone + " that are gone",
                    fresh == 0 ? "" : fresh + " new ones",
                    List.of());
        }
    }

    private void panel(SlabPanel p, SlabPanel q, Map<String, Double> was, Map<String, Double> now) {
        if (p.thickness() != q.thickness()) {
            told.add(
                    Difference.Kind.SLABS,
                    "thickness",
                    Quantity.LENGTH.text(p.thickness(), us),
                    Quantity.LENGTH.text(q.thickness(), us),
                    q.id());
        }
        if (p.weight() != q.weight()
                || p.oneWay() != q.oneWay()
                || p.spanAngle() != q.spanAngle()
                || !p.holes().equals(q.holes())) {
            told.add(Difference.Kind.SLABS, "weight, span or openings", "", "", q.id());
        }
        Set<String> cases = new LinkedHashSet<>(was.keySet());
        cases.addAll(now.keySet());
        for (String c : cases) {
            double a = was.getOrDefault(c, 0.0);
            double b = now.getOrDefault(c, 0.0);
            if (a != b) {
                told.add(Difference.Kind.SLABS, "load in " + c, pressure(a), pressure(b), q.id());
            }
        }
    }

    private String pressure(double p) {
        return String.format(Locale.ROOT, us ? "%.1f psf" : "%.2f kN/m²", p / (us ? PSF : KPA));
    }

    // ---- joints --------------------------------------------------------------------------------------------------

    /** What acts on a joint besides members, as one value that can be compared. */
    private static Map<String, List<Object>> onJoints(BuildingIndex b) {
        Map<String, List<Object>> out = new LinkedHashMap<>();
        b.building().supports().forEach(s -> {
            boolean[] held = new boolean[6];
            for (int i = 0; i < 6; i++) {
                held[i] = s.holds(i);
            }
            of(out, s.joint()).add("held " + Arrays.toString(held));
        });
        b.building()
                .springs()
                .forEach(
                        s -> of(out, s.joint()).add(List.of("spring", s.ux(), s.uy(), s.uz(), s.rx(), s.ry(), s.rz())));
        b.building()
                .jointLoads()
                .forEach(l ->
                        of(out, l.joint()).add(List.of(l.loadCase(), l.fx(), l.fy(), l.fz(), l.mx(), l.my(), l.mz())));
        b.building()
                .settlements()
                .forEach(l -> of(out, l.joint())
                        .add(List.of("settles in " + l.loadCase(), l.ux(), l.uy(), l.uz(), l.rx(), l.ry(), l.rz())));
        return out;
    }

    private static List<Object> of(Map<String, List<Object>> all, String joint) {
        return all.computeIfAbsent(joint, k -> new ArrayList<>());
    }

    private void joints() {
        Places<String> there = new Places<>();
        newer.building().joints().forEach(j -> there.put(new double[] {j.x(), j.y(), j.z()}, j.id()));
        Map<String, List<Object>> was = onJoints(older);
        Map<String, List<Object>> now = new LinkedHashMap<>(onJoints(newer));
        int other = 0;
        int gone = 0;
        for (Map.Entry<String, List<Object>> e : was.entrySet()) {
            Joint j = older.joint(e.getKey());
            List<String> at = there.at(new double[] {j.x(), j.y(), j.z()});
            List<Object> then = at.isEmpty() ? null : now.remove(at.get(0));
            gone += then == null ? 1 : 0;
            other += then != null && !Objects.equals(sorted(e.getValue()), sorted(then)) ? 1 : 0;
        }
        counted(Difference.Kind.JOINTS, "joints that are held, loaded or settle", gone, now.size());
        if (other > 0) {
            told.add(
                    Difference.Kind.JOINTS,
                    "held, loaded or settling otherwise",
                    "",
                    other == 1 ? "1 joint" : other + " joints",
                    List.of());
        }
        diaphragms();
    }

    private static List<String> sorted(List<Object> all) {
        return all.stream().map(Object::toString).sorted().toList();
    }

    private void diaphragms() {
        if (!floors(older).equals(floors(newer))) {
            told.add(Difference.Kind.JOINTS, "diaphragms", "", "", List.of());
        }
    }

    /** Rigid floors by level and number of joints: ids of joints say nothing. */
    private static List<String> floors(BuildingIndex b) {
        return b.building().diaphragms().stream()
                .map(d -> d.rigid() + " " + d.joints().size() + " "
                        + Math.rint(b.joint(d.joints().get(0)).z() / Places.NEAR))
                .sorted()
                .toList();
    }
}
