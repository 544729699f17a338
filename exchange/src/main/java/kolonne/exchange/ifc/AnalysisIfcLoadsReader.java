package kolonne.exchange.ifc;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import kolonne.core.model.AreaLoad;
import kolonne.core.model.CaseKind;
import kolonne.core.model.Combination;
import kolonne.core.model.Direction;
import kolonne.core.model.JointLoad;
import kolonne.core.model.LoadCase;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.Purpose;
import kolonne.core.model.Settlement;

/** Load cases, loads and combinations of the analysis view. */
final class AnalysisIfcLoadsReader {
    private static final List<String> CURVE = List.of("IFCSTRUCTURALCURVEACTION", "IFCSTRUCTURALLINEARACTION");
    private static final List<String> SURFACE = List.of("IFCSTRUCTURALSURFACEACTION", "IFCSTRUCTURALPLANARACTION");

    private final IfcReading in;
    private final Map<Integer, String> joints;
    private final Map<Integer, String> members;
    private final Map<Integer, String> panels;
    private final Map<String, Double> lengths;
    private final Map<Integer, String> caseIds = new LinkedHashMap<>();
    private final Set<String> taken = new HashSet<>();
    private final Map<Integer, Integer> caseOfAction = new HashMap<>();
    private final Map<Integer, Integer> itemOfAction = new HashMap<>();
    private final List<LoadCase> cases = new ArrayList<>();
    private final List<MemberLoad> memberLoads = new ArrayList<>();
    private final List<AreaLoad> areaLoads = new ArrayList<>();
    private final List<JointLoad> jointLoads = new ArrayList<>();
    private final List<Settlement> settlements = new ArrayList<>();
    private final List<Combination> combinations = new ArrayList<>();

    /** @param joints ids by the numbers of their instances; so members and panels; @param lengths of members [mm] */
    AnalysisIfcLoadsReader(
            IfcReading in,
            Map<Integer, String> joints,
            Map<Integer, String> members,
            Map<Integer, String> panels,
            Map<String, Double> lengths) {
        this.in = in;
        this.joints = joints;
        this.members = members;
        this.panels = panels;
        this.lengths = lengths;
    }

    List<LoadCase> cases() {
        return cases;
    }

    List<MemberLoad> memberLoads() {
        return memberLoads;
    }

    List<AreaLoad> areaLoads() {
        return areaLoads;
    }

    List<JointLoad> jointLoads() {
        return jointLoads;
    }

    List<Settlement> settlements() {
        return settlements;
    }

    List<Combination> combinations() {
        return combinations;
    }

    void read() {
        List<StepFile.Instance> all = new ArrayList<>(in.file.all("IFCSTRUCTURALLOADCASE"));
        in.file.all("IFCSTRUCTURALLOADGROUP").stream()
                .filter(g -> !IfcReading.word(g, 5).equals("LOAD_COMBINATION"))
                .forEach(all::add);
        all.forEach(c -> caseIds.put(c.number(), id("case", c)));
        relations();
        all.stream().filter(c -> caseIds.containsKey(c.number())).forEach(this::loadCase);
        CURVE.forEach(e -> in.file.all(e).forEach(this::onMember));
        SURFACE.forEach(e -> in.file.all(e).forEach(this::onPanel));
        in.file.all("IFCSTRUCTURALPOINTACTION").forEach(this::onJoint);
        Map<Integer, List<StepFile.Instance>> terms = new HashMap<>();
        for (StepFile.Instance r : in.file.all("IFCRELASSIGNSTOGROUPBYFACTOR")) {
            if (IfcReading.value(r, 6) instanceof StepFile.Ref to) {
                terms.computeIfAbsent(to.number(), k -> new ArrayList<>()).add(r);
            }
        }
        in.file.all("IFCSTRUCTURALLOADGROUP").stream()
                .filter(g -> IfcReading.word(g, 5).equals("LOAD_COMBINATION"))
                .forEach(g -> combination(g, terms.getOrDefault(g.number(), List.of())));
    }

    // ---- cases -----------------------------------------------------------------------------------------------------

    private void loadCase(StepFile.Instance c) {
        String id = caseIds.get(c.number());
        List<Object> weight = IfcReading.list(c, 10);
        double down = weight.size() == 3 && weight.get(2) instanceof Double z ? -z : 0;
        boolean aside = weight.size() == 3
                && (!Double.valueOf(0).equals(weight.get(0))
                        || !Double.valueOf(0).equals(weight.get(1)));
        if (aside) {
            in.note("ifc.self-weight", c, "Self-weight to the side is left out.", "Give it as loads.");
        }
        String name = IfcReading.text(c, 3);
        cases.add(new LoadCase(id, name.isEmpty() ? id : name, kind(c), down));
    }

    /** Its name; with its number behind it where another has the name. */
    private String id(String kind, StepFile.Instance i) {
        String id = IfcReading.text(i, 2).isEmpty() ? "#" + i.number() : IfcReading.text(i, 2);
        return taken.add(kind + " " + id) ? id : id + " #" + i.number();
    }

    private CaseKind kind(StepFile.Instance c) {
        String said = IfcReading.text(c, 4).toUpperCase(Locale.ROOT);
        for (CaseKind k : CaseKind.values()) {
            if (k.name().equals(said)) {
                return k;
            }
        }
        CaseKind k = switch (IfcReading.word(c, 7)) {
            case "DEAD_LOAD_G" -> CaseKind.DEAD;
            case "COMPLETION_G1" -> CaseKind.SUPERIMPOSED;
            case "LIVE_LOAD_Q" -> CaseKind.LIVE;
            case "SNOW_S" -> CaseKind.SNOW;
            case "WIND_W" -> CaseKind.WIND;
            case "EARTHQUAKE_E" -> CaseKind.SEISMIC;
            default -> CaseKind.OTHER;
        };
        if (k == CaseKind.OTHER) {
            in.note(
                    "ifc.case-kind",
                    c,
                    "The file does not say what kind of load case " + caseIds.get(c.number())
                            + " is; it is taken as other.",
                    "Change its kind on the page *Loads*, or export it with its action source.");
        }
        return k;
    }

    private void relations() {
        Map<Integer, Integer> parents = new HashMap<>();
        for (StepFile.Instance r : in.file.all("IFCRELASSIGNSTOGROUP")) {
            if (IfcReading.value(r, 6) instanceof StepFile.Ref group) {
                for (Object o : IfcReading.list(r, 4)) {
                    if (o instanceof StepFile.Ref of && caseIds.containsKey(group.number())) {
                        (caseIds.containsKey(of.number()) ? parents : caseOfAction).put(of.number(), group.number());
                    }
                }
            }
        }
        caseOfAction.replaceAll((action, group) -> {
            int top = group;
            for (int k = 0; k < 10 && parents.containsKey(top); k++) {
                top = parents.get(top);
            }
            return top;
        });
        // groups of loads within a case are no cases
        parents.keySet().forEach(caseIds::remove);
        for (StepFile.Instance r : in.file.all("IFCRELCONNECTSSTRUCTURALACTIVITY")) {
            if (IfcReading.value(r, 4) instanceof StepFile.Ref item
                    && IfcReading.value(r, 5) instanceof StepFile.Ref action) {
                itemOfAction.put(action.number(), item.number());
            }
        }
    }

    /** The id of an action's case; null where it has none, which is told. */
    private String caseOf(StepFile.Instance action, Map<Integer, String> on) {
        Integer group = caseOfAction.get(action.number());
        String item = on.get(itemOfAction.get(action.number()));
        if (group == null || item == null) {
            in.note(
                    "ifc.load",
                    action,
                    "The load belongs to no load case, or acts on nothing that is read; it is left out.",
                    "Look whether it is needed.");
            return null;
        }
        return caseIds.get(group);
    }

    // ---- loads -----------------------------------------------------------------------------------------------------

    private void onMember(StepFile.Instance action) {
        String of = caseOf(action, members);
        StepFile.Instance load = in.to(action, 7);
        if (of == null || load == null) {
            return;
        }
        String member = members.get(itemOfAction.get(action.number()));
        String kind = IfcReading.word(action, 11);
        boolean discrete = kind.equals("DISCRETE");
        List<StepFile.Instance> values = new ArrayList<>();
        List<Double> places = new ArrayList<>();
        if (load.entity().equals("IFCSTRUCTURALLOADCONFIGURATION")) {
            IfcReading.list(load, 1, IfcReading.MOST_CORNERS).forEach(v -> values.add(in.instance(v)));
            for (Object p : IfcReading.list(load, 2, IfcReading.MOST_CORNERS)) {
                places.add(
                        p instanceof List<?> l && !l.isEmpty() && l.get(0) instanceof Double x
                                ? x * in.length()
                                : null);
            }
        } else {
            values.addAll(List.of(load, load));
            places.addAll(List.of(0.0, lengths.get(member)));
        }
        boolean ends = values.size() == 1 || values.size() == 2 && places.isEmpty();
        if (!discrete && ends && !values.contains(null)) {
            // one value, or one at either end
            values.add(values.get(0));
            places.clear();
            places.addAll(List.of(0.0, lengths.get(member)));
            if (values.size() == 3) {
                values.remove(2);
            }
        }
        boolean known = List.of("CONST", "LINEAR", "POLYGONAL", "DISCRETE", "").contains(kind);
        boolean whole = values.size() == places.size()
                && !values.contains(null)
                && !places.contains(null)
                && values.stream().allMatch(v -> v.entity().equals(values.get(0).entity()));
        String entity = whole && !values.isEmpty() ? values.get(0).entity() : "";
        boolean linear = entity.equals("IFCSTRUCTURALLOADLINEARFORCE");
        boolean single = entity.startsWith("IFCSTRUCTURALLOADSINGLEFORCE");
        if (!known || !(linear && !discrete && values.size() >= 2 || single && discrete)) {
            in.fails(
                    "ifc.load",
                    action,
                    "The load on " + member + " is of a kind that is not read (" + load.entity() + " " + kind + ").",
                    "Give it as forces along the member, constant or straight between places, or at points.");
            return;
        }
        for (int c = 0; c < 6; c++) {
            double unit = linear ? c < 3 ? in.lineForce() : in.lineMoment() : c < 3 ? in.force() : in.moment();
            for (int i = 0; i + (linear ? 1 : 0) < values.size(); i++) {
                double w1 = IfcReading.number(values.get(i), c + 1).orElse(0.0) * unit;
                double w2 = linear ? IfcReading.number(values.get(i + 1), c + 1).orElse(0.0) * unit : 0;
                if (w1 != 0 || w2 != 0) {
                    memberLoads.add(new MemberLoad(
                            of,
                            member,
                            kind(linear, c >= 3),
                            direction(action, c % 3),
                            places.get(i),
                            linear ? places.get(i + 1) : places.get(i),
                            w1,
                            linear ? w2 : 0));
                }
            }
        }
    }

    private static MemberLoad.Kind kind(boolean spread, boolean moment) {
        if (spread) {
            return moment ? MemberLoad.Kind.DISTRIBUTED_MOMENT : MemberLoad.Kind.DISTRIBUTED;
        }
        return moment ? MemberLoad.Kind.MOMENT : MemberLoad.Kind.POINT;
    }

    private static Direction direction(StepFile.Instance action, int axis) {
        int group = IfcReading.word(action, 8).equals("LOCAL_COORDS")
                ? 1
                : IfcReading.word(action, 10).equals("PROJECTED_LENGTH") ? 2 : 0;
        return Direction.values()[3 * group + axis];
    }

    private void onPanel(StepFile.Instance action) {
        String of = caseOf(action, panels);
        StepFile.Instance load = in.to(action, 7);
        if (of == null || load == null) {
            return;
        }
        double x = IfcReading.number(load, 1).orElse(0.0);
        double y = IfcReading.number(load, 2).orElse(0.0);
        double down = -IfcReading.number(load, 3).orElse(0.0);
        boolean global = !IfcReading.word(action, 8).equals("LOCAL_COORDS");
        if (!load.entity().equals("IFCSTRUCTURALLOADPLANARFORCE") || x != 0 || y != 0 || !global) {
            in.fails(
                    "ifc.load",
                    action,
                    "The load on a slab is none that acts evenly and straight down.",
                    "Give it as an even planar force along global Z.");
            return;
        }
        areaLoads.add(new AreaLoad(of, panels.get(itemOfAction.get(action.number())), down * in.pressure()));
    }

    private void onJoint(StepFile.Instance action) {
        String of = caseOf(action, joints);
        StepFile.Instance load = in.to(action, 7);
        if (of == null || load == null) {
            return;
        }
        String joint = joints.get(itemOfAction.get(action.number()));
        boolean moves = load.entity().startsWith("IFCSTRUCTURALLOADSINGLEDISPLACEMENT");
        if (!moves && !load.entity().startsWith("IFCSTRUCTURALLOADSINGLEFORCE")
                || IfcReading.word(action, 8).equals("LOCAL_COORDS")) {
            in.fails(
                    "ifc.load",
                    action,
                    "The load at " + joint + " is of a kind that is not read (" + load.entity() + ").",
                    "Give it as forces, moments or displacements along the global axes.");
            return;
        }
        double[] v = new double[6];
        for (int i = 0; i < 6; i++) {
            double unit = moves ? i < 3 ? in.length() : 1 : i < 3 ? in.force() : in.moment();
            v[i] = IfcReading.number(load, i + 1).orElse(0.0) * unit;
        }
        if (moves) {
            settlements.add(new Settlement(of, joint, v[0], v[1], v[2], v[3], v[4], v[5]));
        } else {
            jointLoads.add(new JointLoad(of, joint, v[0], v[1], v[2], v[3], v[4], v[5]));
        }
    }

    // ---- combinations ----------------------------------------------------------------------------------------------

    private void combination(StepFile.Instance g, List<StepFile.Instance> by) {
        List<Combination.Term> terms = new ArrayList<>();
        double all = IfcReading.number(g, 8).orElse(1.0);
        for (StepFile.Instance r : by) {
            double factor = IfcReading.number(r, 7).orElse(1.0) * all;
            for (Object o : IfcReading.list(r, 4)) {
                String id = o instanceof StepFile.Ref c ? caseIds.get(c.number()) : null;
                if (id != null) {
                    terms.add(new Combination.Term(id, factor));
                }
            }
        }
        String id = id("combination", g);
        if (terms.isEmpty()) {
            in.note("ifc.combination", g, "The combination " + id + " has no load cases; it is left out.", "");
            return;
        }
        String name = IfcReading.text(g, 3);
        combinations.add(new Combination(id, name.isEmpty() ? id : name, purpose(g, id + " " + name), terms));
    }

    private Purpose purpose(StepFile.Instance g, String words) {
        String said = IfcReading.text(g, 9).toUpperCase(Locale.ROOT);
        for (Purpose p : Purpose.values()) {
            if (p.name().equals(said)) {
                return p;
            }
        }
        String all = (said + " " + words).toUpperCase(Locale.ROOT);
        if (all.contains("QUASI")) {
            return Purpose.SERVICE_QUASI_PERMANENT;
        }
        if (all.matches(".*\\b(SLS|SERVICE\\w*|CHARACTERISTIC)\\b.*")) {
            return Purpose.SERVICE_CHARACTERISTIC;
        }
        if (!all.matches(".*\\b(ULS|ULTIMATE|STRENGTH)\\b.*")) {
            in.noteOnce(
                    "ifc.combination-purpose",
                    g,
                    "Combinations that do not say what they are for are taken for strength.",
                    "Name those for service so: SLS, characteristic, quasi-permanent.");
        }
        return Purpose.STRENGTH;
    }
}
