package kolonne.core.revision;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;
import kolonne.core.model.AnalysisOptions;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.LoadCase;
import kolonne.core.model.Material;
import kolonne.core.model.Member;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.ModelEdit;
import kolonne.core.model.Release;
import kolonne.core.model.Section;
import kolonne.core.model.StiffnessFactors;
import kolonne.core.shape.Shape;

/**
 * What people changed on a model in the application, carried to a newer model of the same building. A change goes on where the newer model still says what
 * the older one said; where it says something else, the newer model counts and the change is told as lost.
 */
public final class OwnChanges {
    /** Loads that differ by rounding are one. */
    private static final double ROUNDING = 1e-6;

    /** What becomes of an own change. */
    public enum Fate {
        KEPT("kept"),
        THERE("the newer model has it"),
        LOST("left out");

        private final String words;

        Fate(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /**
     * An own change, or several that are alike.
     *
     * @param what    for instance {@code section 300x600}
     * @param reason  why it is left out; empty otherwise
     * @param members ids in the older model; empty where no member is meant
     */
    public record Own(Fate fate, String what, String reason, List<String> members) {
        public Own {
            members = List.copyOf(members);
        }
    }

    /** @param kept the changes to make on the newer model; @param told every own change with its fate, those left out first */
    public record Carried(List<ModelEdit> kept, List<Own> told) {
        public Carried {
            kept = List.copyOf(kept);
            told = List.copyOf(told);
        }
    }

    private record Key(Fate fate, String what, String reason) {}

    private final BuildingIndex file;
    private final BuildingIndex edited;
    private final BuildingIndex newer;
    private final MemberMatching matching;
    private final Map<String, List<String>> successors;
    private final Map<String, String> predecessors = new HashMap<>();
    private final Map<Key, List<String>> told = new LinkedHashMap<>();
    /** Changes of one kind to one value, for all members that have it. */
    private final Map<Object, List<String>> gathered = new LinkedHashMap<>();

    private final Map<Object, Function<List<String>, ModelEdit>> makers = new LinkedHashMap<>();
    private final List<ModelEdit> sections = new ArrayList<>();
    private final List<ModelEdit> single = new ArrayList<>();
    private final Map<String, Shape> shapes = new LinkedHashMap<>();

    private OwnChanges(Building file, BuildingIndex edited, BuildingIndex newer, MemberMatching matching) {
        this.file = new BuildingIndex(file);
        this.edited = edited;
        this.newer = newer;
        this.matching = matching;
        successors = matching.successors();
        matching.pairs().forEach((a, b) -> predecessors.put(b, a));
        newer.building().sections().forEach(s -> shapes.put(s.id(), s.shape()));
    }

    /**
     * @param file     the older model as its file had it
     * @param edited   with what people changed since
     * @param newer    the newer model as its file has it
     * @param matching of the edited model's members with the newer one's
     */
    public static Carried carry(Building file, BuildingIndex edited, BuildingIndex newer, MemberMatching matching) {
        OwnChanges c = new OwnChanges(file, edited, newer, matching);
        c.members();
        c.memberLoads();
        c.panels();
        c.options();
        c.forces();
        List<ModelEdit> kept = new ArrayList<>(c.sections);
        c.gathered.forEach((k, ids) -> kept.add(c.makers.get(k).apply(ids)));
        kept.addAll(c.single);
        return new Carried(
                kept,
                c.told.entrySet().stream()
                        .map(e -> new Own(
                                e.getKey().fate(), e.getKey().what(), e.getKey().reason(), e.getValue()))
                        .sorted(Comparator.comparing((Own o) -> o.fate() != Fate.LOST))
                        .toList());
    }

    private void tell(Fate fate, String what, String reason, String member) {
        List<String> of = told.computeIfAbsent(new Key(fate, what, reason), k -> new ArrayList<>());
        if (!member.isEmpty()) {
            of.add(member);
        }
    }

    // ---- members -------------------------------------------------------------------------------------------------

    private void members() {
        boolean us = newer.building().unitSystem().equals("US");
        for (Member m : edited.building().members()) {
            Member was = file.member(m.id());
            merge(m, (b, q) -> b.sectionOf(q).shape(), was, s -> "section " + s.label(us), (s, ids) -> {
                String id = sectionOf(s, m.section());
                keep(List.of("section", id), ids, all -> new ModelEdit.SetSection(all, id));
                return "";
            });
            merge(
                    m,
                    (b, q) -> concrete(b.materialOf(q)),
                    was,
                    c -> "concrete " + m.material(),
                    (c, ids) -> newer.building().materials().stream()
                            .filter(k -> concrete(k).equals(c))
                            .findFirst()
                            .map(k -> {
                                keep(List.of("material", k.id()), ids, all -> new ModelEdit.SetMaterial(all, k.id()));
                                return "";
                            })
                            .orElse("the newer model has no such concrete"));
            merge(m, (b, q) -> Factors.of(q), was, f -> "stiffness factors", (f, ids) -> {
                keep(List.of("stiffness", f), ids, all -> new ModelEdit.SetStiffness(all, f.own()));
                return "";
            });
            merge(m, this::ends, was, e -> "end releases", (e, ids) -> {
                if (ids.size() > 1 || !matching.pairs().containsKey(m.id())) {
                    return "the member is divided or joined";
                }
                boolean reversed = reversed(edited, m, newer, newer.member(ids.get(0)));
                Release start = reversed ? e.end() : e.start();
                Release end = reversed ? e.start() : e.end();
                keep(List.of("releases", start, end), ids, all -> new ModelEdit.SetReleases(all, start, end));
                return "";
            });
        }
    }

    /** A member's own factors, so that none is a value as well. */
    private record Factors(StiffnessFactors own) {
        static Factors of(Member m) {
            return new Factors(m.stiffness());
        }
    }

    /** Releases seen from the end at which a member of the older model starts. */
    private record Ends(Release start, Release end) {}

    private Ends ends(BuildingIndex b, Member m) {
        String from = b == newer ? predecessors.get(m.id()) : null;
        boolean turned = from != null && reversed(edited, edited.member(from), newer, m);
        return turned ? new Ends(m.endRelease(), m.startRelease()) : new Ends(m.startRelease(), m.endRelease());
    }

    private static List<Double> concrete(Material m) {
        return List.of(m.fc(), m.E(), m.poisson(), m.weight());
    }

    /** @param keep makes the change on newer members; a reason where it cannot */
    private <T> void merge(
            Member m,
            BiFunction<BuildingIndex, Member, T> of,
            Member was,
            Function<T, String> words,
            BiFunction<T, List<String>, String> keep) {
        T base = of.apply(file, was);
        T mine = of.apply(edited, m);
        if (mine.equals(base)) {
            return;
        }
        List<String> ids = successors.getOrDefault(m.id(), List.of());
        if (ids.isEmpty()) {
            tell(Fate.LOST, words.apply(mine), "the member is gone", m.id());
            return;
        }
        List<T> theirs =
                ids.stream().map(id -> of.apply(newer, newer.member(id))).toList();
        if (theirs.stream().allMatch(mine::equals)) {
            tell(Fate.THERE, words.apply(mine), "", m.id());
        } else if (theirs.stream().allMatch(base::equals)) {
            String cannot = keep.apply(mine, ids);
            tell(cannot.isEmpty() ? Fate.KEPT : Fate.LOST, words.apply(mine), cannot, m.id());
        } else {
            tell(Fate.LOST, words.apply(mine), "the newer model changes it to " + words.apply(theirs.get(0)), m.id());
        }
    }

    private void keep(Object key, List<String> ids, Function<List<String>, ModelEdit> make) {
        List<String> all = gathered.computeIfAbsent(key, k -> new ArrayList<>());
        ids.stream().filter(id -> !all.contains(id)).forEach(all::add);
        makers.put(key, make);
    }

    /** The newer model's section of a shape; one that it lacks is added under a name that it does not use. */
    private String sectionOf(Shape shape, String wished) {
        if (shape.equals(shapes.get(wished))) {
            return wished;
        }
        for (Map.Entry<String, Shape> e : shapes.entrySet()) {
            if (e.getValue().equals(shape)) {
                return e.getKey();
            }
        }
        String id = wished;
        for (int n = 2; shapes.containsKey(id); n++) {
            id = wished + "~" + n;
        }
        shapes.put(id, shape);
        sections.add(new ModelEdit.PutSection(new Section(id, shape)));
        return id;
    }

    /** Whether a member of a newer model starts where that of the older one ends. */
    static boolean reversed(BuildingIndex older, Member x, BuildingIndex newer, Member y) {
        double[] a = MemberMatching.start(older, x);
        return Places.distance(a, MemberMatching.start(newer, y)) > Places.distance(a, MemberMatching.end(newer, y));
    }

    // ---- loads ---------------------------------------------------------------------------------------------------

    private void memberLoads() {
        Map<List<String>, List<MemberLoad>> base = loads(file);
        Map<List<String>, List<MemberLoad>> mine = loads(edited);
        Map<List<String>, List<MemberLoad>> theirs = loads(newer);
        Set<List<String>> places = new LinkedHashSet<>(base.keySet());
        places.addAll(mine.keySet());
        for (List<String> place : places) {
            List<MemberLoad> was = base.getOrDefault(place, List.of());
            List<MemberLoad> now = mine.getOrDefault(place, List.of());
            if (!was.equals(now)) {
                load(place.get(0), place.get(1), was, now, theirs);
            }
        }
    }

    private static Map<List<String>, List<MemberLoad>> loads(BuildingIndex b) {
        Map<List<String>, List<MemberLoad>> out = new LinkedHashMap<>();
        b.building()
                .memberLoads()
                .forEach(l -> out.computeIfAbsent(List.of(l.member(), l.loadCase()), k -> new ArrayList<>())
                        .add(l));
        return out;
    }

    private void load(
            String member,
            String loadCase,
            List<MemberLoad> was,
            List<MemberLoad> now,
            Map<List<String>, List<MemberLoad>> theirs) {
        String what = "loads in " + loadCase;
        String into = matching.pairs().get(member);
        if (into == null) {
            boolean gone = successors.getOrDefault(member, List.of()).isEmpty();
            tell(Fate.LOST, what, gone ? "the member is gone" : "the member is divided or joined", member);
            return;
        }
        if (!has(loadCase)) {
            tell(Fate.LOST, what, "the newer model has no such load case", member);
            return;
        }
        Member x = edited.member(member);
        Member y = newer.member(into);
        List<MemberLoad> then = theirs.getOrDefault(List.of(into, loadCase), List.of());
        if (sameLoads(edited, x, now, newer, y, then)) {
            tell(Fate.THERE, what, "", member);
        } else if (!sameLoads(edited, x, was, newer, y, then)) {
            tell(Fate.LOST, what, "the newer model changes them", member);
        } else if (Math.abs(edited.length(x) - newer.length(y)) > Places.NEAR) {
            tell(Fate.LOST, what, "the member has another length", member);
        } else if (reversed(edited, x, newer, y)
                && now.stream().anyMatch(l -> l.direction().isLocal())) {
            tell(Fate.LOST, what, "the member runs the other way and they act in its own directions", member);
        } else {
            boolean turned = reversed(edited, x, newer, y);
            List<MemberLoad> moved = now.stream()
                    .map(l -> turned ? turned(l, into, newer.length(y)) : on(l, into))
                    .toList();
            single.add(new ModelEdit.SetMemberLoads(into, loadCase, moved));
            tell(Fate.KEPT, what, "", member);
        }
    }

    private boolean has(String loadCase) {
        return newer.building().loadCases().stream().map(LoadCase::id).anyMatch(loadCase::equals);
    }

    private static MemberLoad on(MemberLoad l, String member) {
        return new MemberLoad(l.loadCase(), member, l.kind(), l.direction(), l.from(), l.to(), l.w1(), l.w2());
    }

    /** The same load on a member that starts at the other end. */
    private static MemberLoad turned(MemberLoad l, String member, double length) {
        return l.kind().spread()
                ? new MemberLoad(
                        l.loadCase(),
                        member,
                        l.kind(),
                        l.direction(),
                        length - l.to(),
                        length - l.from(),
                        l.w2(),
                        l.w1())
                : new MemberLoad(
                        l.loadCase(),
                        member,
                        l.kind(),
                        l.direction(),
                        length - l.from(),
                        length - l.from(),
                        l.w1(),
                        l.w2());
    }

    /** Whether loads act alike on a member of either model, whatever their order and whichever way it runs. */
    static boolean sameLoads(
            BuildingIndex older, Member x, List<MemberLoad> one, BuildingIndex newer, Member y, List<MemberLoad> two) {
        if (one.size() != two.size()) {
            return false;
        }
        boolean turned = reversed(older, x, newer, y);
        double a = older.length(x);
        double b = newer.length(y);
        List<MemberLoad> rest = new ArrayList<>(two);
        for (MemberLoad l : one) {
            MemberLoad there = turned ? turned(l, y.id(), a) : l;
            MemberLoad found = turned && l.direction().isLocal()
                    ? null
                    : rest.stream()
                            .filter(r -> alike(there, a, r, b))
                            .findFirst()
                            .orElse(null);
            if (found == null) {
                return false;
            }
            rest.remove(found);
        }
        return true;
    }

    private static boolean alike(MemberLoad l, double length, MemberLoad r, double other) {
        return l.kind() == r.kind()
                && l.direction() == r.direction()
                && place(l.from(), length, r.from(), other)
                && (!l.kind().spread() || place(l.to(), length, r.to(), other))
                && near(l.w1(), r.w1())
                && (!l.kind().spread() || near(l.w2(), r.w2()));
    }

    /** Places are the same from the start, or both at the end. */
    private static boolean place(double a, double length, double b, double other) {
        boolean atEnds = Math.abs(a - length) <= Places.NEAR && Math.abs(b - other) <= Places.NEAR;
        return Math.abs(a - b) <= Places.NEAR || atEnds;
    }

    private static boolean near(double a, double b) {
        return Math.abs(a - b) <= ROUNDING * Math.max(Math.abs(a), Math.abs(b));
    }

    private void panels() {
        Map<String, String> pairs = LoadComparison.panels(edited, newer);
        Map<String, Map<String, Double>> base = LoadComparison.pressures(file);
        Map<String, Map<String, Double>> mine = LoadComparison.pressures(edited);
        Map<String, Map<String, Double>> theirs = LoadComparison.pressures(newer);
        Set<String> panels = new LinkedHashSet<>(base.keySet());
        panels.addAll(mine.keySet());
        for (String p : panels) {
            Map<String, Double> was = base.getOrDefault(p, Map.of());
            Map<String, Double> now = mine.getOrDefault(p, Map.of());
            Set<String> cases = new LinkedHashSet<>(was.keySet());
            cases.addAll(now.keySet());
            for (String c : cases) {
                double b = was.getOrDefault(c, 0.0);
                double m = now.getOrDefault(c, 0.0);
                if (b != m) {
                    String q = pairs.get(p);
                    panel(
                            p,
                            q,
                            c,
                            b,
                            m,
                            q == null ? 0 : theirs.getOrDefault(q, Map.of()).getOrDefault(c, 0.0));
                }
            }
        }
    }

    private void panel(String older, String into, String loadCase, double base, double mine, double theirs) {
        String what = "load of panel " + older + " in " + loadCase;
        if (into == null) {
            tell(Fate.LOST, what, "the panel is gone", "");
        } else if (!has(loadCase)) {
            tell(Fate.LOST, what, "the newer model has no such load case", "");
        } else if (near(theirs, mine)) {
            tell(Fate.THERE, what, "", "");
        } else if (!near(theirs, base)) {
            tell(Fate.LOST, what, "the newer model changes it", "");
        } else {
            single.add(new ModelEdit.SetAreaLoad(into, loadCase, mine));
            tell(Fate.KEPT, what, "", "");
        }
    }

    // ---- the whole model -----------------------------------------------------------------------------------------

    private void options() {
        AnalysisOptions base = file.building().options();
        AnalysisOptions mine = edited.building().options();
        AnalysisOptions theirs = newer.building().options();
        AnalysisOptions out = new AnalysisOptions(
                option("shear deformation", base, mine, theirs, AnalysisOptions::shearDeformation),
                option("stiffness factors of beams", base, mine, theirs, AnalysisOptions::beams),
                option("stiffness factors of columns", base, mine, theirs, AnalysisOptions::columns),
                option("rigid ends", base, mine, theirs, AnalysisOptions::rigidEnds),
                mine.pDelta().stream().allMatch(t -> has(t.loadCase()))
                        ? option("P-Delta", base, mine, theirs, AnalysisOptions::pDelta)
                        : theirs.pDelta(),
                option("arrangements of live load", base, mine, theirs, AnalysisOptions::patternLive),
                option("inclination of the frame", base, mine, theirs, AnalysisOptions::inclination));
        if (!mine.pDelta().equals(base.pDelta()) && !mine.pDelta().stream().allMatch(t -> has(t.loadCase()))) {
            tell(Fate.LOST, "P-Delta", "the newer model lacks a load case of it", "");
        }
        if (!out.equals(theirs)) {
            single.add(new ModelEdit.SetOptions(out));
        }
    }

    private <T> T option(
            String what,
            AnalysisOptions base,
            AnalysisOptions mine,
            AnalysisOptions theirs,
            Function<AnalysisOptions, T> of) {
        T b = of.apply(base);
        T m = of.apply(mine);
        T t = of.apply(theirs);
        if (Objects.equals(b, m)) {
            return t;
        }
        if (Objects.equals(m, t)) {
            tell(Fate.THERE, what, "", "");
            return t;
        }
        boolean kept = Objects.equals(b, t);
        tell(kept ? Fate.KEPT : Fate.LOST, what, kept ? "" : "the newer model changes it", "");
        return kept ? m : t;
    }

    private void forces() {
        if (file.building().stationForces().equals(edited.building().stationForces())) {
            return;
        }
        boolean own = edited.building().stationForces().isEmpty();
        tell(
                Fate.LOST,
                own ? "forces by Kolonne’s own analysis" : "forces solved elsewhere",
                own
                        ? newer.building().hasImportedForces()
                                ? "the newer model brings forces with it"
                                : "the newer model has none that could be passed over"
                        : "they belong to the older model: import those of the newer one",
                "");
    }
}
