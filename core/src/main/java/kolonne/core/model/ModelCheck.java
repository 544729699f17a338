package kolonne.core.model;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import kolonne.core.finding.Finding;

/**
 * The health of a model: duplicate ids, references to what is not there, impossible sizes, members without support.
 * Everything wrong is reported at once; a {@code fails} finding means that the model cannot be analysed.
 */
public final class ModelCheck {
    /** Above these a load is more likely in a wrong unit than meant [N/mm2], [N/mm]. */
    private static final double ABSURD_PRESSURE = 0.1;

    private static final double ABSURD_LINE_LOAD = 2000;

    /** Of a slab panel, and of each of its openings. */
    private static final int MOST_CORNERS = 200;
    /** Most loads on a member, of all cases. */
    private static final int MOST_LOADS = 2000;

    private static final int MOST_HOLES = 50;

    /** Told where the model can be analysed but not designed. */
    public static final String NO_STRENGTH = "combination.no-strength";

    private final Building b;
    private final List<Finding> out = new ArrayList<>();
    private Map<String, Set<String>> unread;
    private Set<String> joints;
    private Set<String> members;
    private Set<String> cases;

    private ModelCheck(Building b) {
        this.b = b;
    }

    /** All findings about the model, in the order of the file. */
    public static List<Finding> run(Building b) {
        return run(b, Map.of());
    }

    /** @param unread by table name, ids of entries that could not be read and were told already: references to them are no faults of their own */
    public static List<Finding> run(Building b, Map<String, Set<String>> unread) {
        ModelCheck c = new ModelCheck(b);
        c.unread = unread;
        NumberCheck.run(b, c.out::add);
        c.ids();
        c.members();
        c.sizes();
        c.counts();
        c.options();
        c.supportsAndPlates();
        c.loads();
        c.combinations();
        if (unread.isEmpty() && analysable(c.out)) {
            ConnectionCheck.run(b, c.out::add);
            OverlapCheck.run(b, c.out::add);
            c.out.addAll(GeometryCheck.run(b));
        }
        return List.copyOf(c.out);
    }

    /** Whether nothing found stands against an analysis; a model without combinations for strength can be analysed but not designed. */
    public static boolean analysable(List<Finding> findings) {
        return findings.stream()
                .noneMatch(f -> f.severity() == kolonne.core.finding.Severity.FAILS
                        && !f.code().equals(NO_STRENGTH));
    }

    private void ids() {
        unique("storeys", b.storeys(), Storey::id);
        joints = referable("joints", unique("joints", b.joints(), Joint::id));
        unique("materials", b.materials(), Material::id);
        unique("sections", b.sections(), Section::id);
        members = referable("members", unique("members", b.members(), Member::id));
        unique("slab panels", b.panels(), SlabPanel::id);
        cases = referable("loadCases", unique("load cases", b.loadCases(), LoadCase::id));
        unique("combinations", b.combinations(), Combination::id);
        unique("supports", b.supports(), Support::joint);
        extent();
        if (b.members().isEmpty()) {
            fail("model.empty", "members", "The model has no members.", "Add at least one beam or column.");
        }
        if (b.supports().isEmpty() && b.springs().isEmpty() && !b.hasImportedForces()) {
            fail(
                    "support.missing",
                    "supports",
                    "The model has no supports.",
                    "Add a support at the foot of the columns.");
        }
    }

    private void extent() {
        double most = 0;
        for (java.util.function.ToDoubleFunction<Joint> of :
                List.<java.util.function.ToDoubleFunction<Joint>>of(Joint::x, Joint::y, Joint::z)) {
            double low = b.joints().stream().mapToDouble(of).min().orElse(0);
            double high = b.joints().stream().mapToDouble(of).max().orElse(0);
            most = Math.max(most, high - low);
        }
        // coordinates beyond bounds are told by themselves
        if (most > NumberCheck.EXTENT && most <= 2 * NumberCheck.COORDINATE) {
            fail(
                    "model.extent",
                    "joints",
                    String.format(
                            java.util.Locale.ROOT,
                            "The joints lie up to %.3g km apart; at most %.0f km are analysed.",
                            most / 1e6,
                            NumberCheck.EXTENT / 1e6),
                    "Look for a joint with a slip in its coordinates, or check the length unit of the file.");
        }
    }

    private Set<String> referable(String table, Set<String> ids) {
        ids.addAll(unread.getOrDefault(table, Set.of()));
        return ids;
    }

    private <T> Set<String> unique(String kind, List<T> list, Function<T, String> id) {
        Set<String> seen = new HashSet<>();
        for (T t : list) {
            String s = id.apply(t);
            if (!seen.add(s)) {
                fail(
                        "id.duplicate",
                        kind + " " + s,
                        "The id " + s + " is used more than once among the " + kind + ".",
                        "Give each its own id.");
            }
        }
        return seen;
    }

    private void members() {
        Set<String> sections = new HashSet<>(unread.getOrDefault("sections", Set.of()));
        b.sections().forEach(s -> sections.add(s.id()));
        Set<String> materials = new HashSet<>(unread.getOrDefault("materials", Set.of()));
        b.materials().forEach(m -> materials.add(m.id()));
        Map<String, Joint> at = new HashMap<>();
        b.joints().forEach(j -> at.put(j.id(), j));
        Map<String, String> pairs = new HashMap<>();
        for (Member m : b.members()) {
            String where = "member " + m.id();
            known(joints, m.start(), where, "start joint");
            known(joints, m.end(), where, "end joint");
            known(sections, m.section(), where, "section");
            known(materials, m.material(), where, "material");
            Joint i = at.get(m.start());
            Joint j = at.get(m.end());
            if (i != null && j != null) {
                lengthOf(m, i, j, pairs);
            }
        }
    }

    private void lengthOf(Member m, Joint i, Joint j, Map<String, String> pairs) {
        double length = i.distanceTo(j);
        String where = "member " + m.id();
        if (!(length >= 10)) {
            fail(
                    "member.zero-length",
                    where,
                    String.format(
                            java.util.Locale.ROOT,
                            "The member is %.1f mm long (joints %s and %s).",
                            length,
                            i.id(),
                            j.id()),
                    "Move one of its joints or delete the member.");
            return;
        }
        if (!(m.rigidStart() >= 0) || !(m.rigidEnd() >= 0) || !(m.rigidStart() + m.rigidEnd() <= 0.9 * length)) {
            fail(
                    "member.rigid-ends",
                    where,
                    String.format(
                            java.util.Locale.ROOT,
                            "The rigid ends of %.0f and %.0f mm leave less than a tenth of the %.0f mm between joints.",
                            m.rigidStart(),
                            m.rigidEnd(),
                            length),
                    "Shorten the rigid ends.");
        }
        String key = m.start().compareTo(m.end()) < 0 ? m.start() + "\0" + m.end() : m.end() + "\0" + m.start();
        String other = pairs.put(key, m.id());
        if (other != null) {
            fail(
                    "member.duplicate",
                    where,
                    "The member joins the same joints as member " + other + ".",
                    "Delete one of the two.");
        }
        // coordinates beyond bounds are told by themselves
        if (length > NumberCheck.LENGTH && length <= 2 * NumberCheck.COORDINATE) {
            fail(
                    "member.too-long",
                    where,
                    String.format(
                            java.util.Locale.ROOT,
                            "The member is %.3g m long; at most %.0f m are analysed.",
                            length / 1000,
                            NumberCheck.LENGTH / 1000),
                    "Check the coordinates and the length unit of the file.");
        } else if (length > 60_000 && length <= NumberCheck.LENGTH) {
            note(
                    "member.very-long",
                    where,
                    String.format(java.util.Locale.ROOT, "The member is %.1f m long.", length / 1000),
                    "Check the length unit of the file.");
        }
        if (!b.options().factorsOf(m).positive()) {
            fail(
                    "member.stiffness",
                    where,
                    "A stiffness factor is not above zero.",
                    "Use a small factor such as 0.01 to switch a stiffness off.");
        }
        if (m.role() == Role.COLUMN && Math.abs(j.z() - i.z()) < 0.5 * length) {
            fail(
                    "member.role",
                    where,
                    "The member is called a column but lies nearer to level than upright.",
                    "Change its role to beam, or its joints.");
        }
        if (m.role() == Role.BEAM && Math.abs(j.z() - i.z()) > 0.5 * length) {
            fail(
                    "member.role",
                    where,
                    "The member is called a beam but stands nearer to upright than level.",
                    "Change its role to column, or its joints.");
        }
        if (m.startRelease().frees(0) && m.endRelease().frees(0)
                || m.startRelease().frees(3) && m.endRelease().frees(3)) {
            fail(
                    "member.releases",
                    where,
                    "The member is released at both ends along or about its own axis.",
                    "Keep axial force and torsion connected at one end.");
        }
    }

    private void sizes() {
        for (Material m : b.materials()) {
            String where = "material " + m.id();
            if (!(m.fc() >= 10 && m.fc() <= 150)) {
                fail(
                        "material.strength",
                        where,
                        "f'c is " + m.fc() + " MPa, outside 10 to 150 MPa.",
                        "Check the strength and the unit of the file.");
            }
            if (!(m.E() >= 1000 && m.E() <= 100_000)) {
                fail(
                        "material.modulus",
                        where,
                        "E is " + m.E() + " MPa, outside 1 000 to 100 000 MPa.",
                        "Check the modulus and the unit of the file.");
            }
            if (!(m.poisson() >= 0 && m.poisson() < 0.5)) {
                fail(
                        "material.poisson",
                        where,
                        "Poisson's ratio is " + m.poisson() + ", outside 0 to 0.5.",
                        "Use 0.2.");
            }
            if (!(m.weight() >= 0 && m.weight() <= 40e-6)) {
                fail(
                        "material.weight",
                        where,
                        "The unit weight is " + m.weight() * 1e6 + " kN/m3, outside 0 to 40.",
                        "Check the unit of the file.");
            }
        }
        for (Section s : b.sections()) {
            double w = s.shape().width();
            double h = s.shape().depth();
            if (!(w >= 50 && w <= 10_000 && h >= 50 && h <= 10_000)) {
                fail(
                        "section.size",
                        "section " + s.id(),
                        "The section is " + s.shape().label() + " mm, outside 50 to 10 000 mm.",
                        "Check the size and the length unit of the file.");
            }
        }
    }

    /** Lists that every member or storey is compared with, far beyond any building. */
    private void counts() {
        most("storeys", b.storeys().size(), 500);
        most("gridLines", b.gridLines().size(), 2000);
        most("sections", b.sections().size(), 10_000);
        most("materials", b.materials().size(), 1000);
    }

    private void most(String list, int size, int most) {
        if (size > most) {
            fail(
                    "model.many",
                    list,
                    "The model has " + size + " of them; at most " + most + ".",
                    "Leave out those that nothing uses.");
        }
    }

    private void options() {
        AnalysisOptions o = b.options();
        if (!(o.rigidEnds() >= 0 && o.rigidEnds() <= 1)) {
            fail(
                    "options.rigid-ends",
                    "analysis options",
                    "The rigid part of the joints is " + o.rigidEnds() + ".",
                    "Give a factor from 0 to 1.");
        }
        if (!(o.inclination() >= 0 && o.inclination() <= AnalysisOptions.STEEPEST)) {
            fail(
                    "options.inclination",
                    "analysis options",
                    "The inclination of the frame is " + o.inclination() + ".",
                    "Give horizontal over vertical, from 0 to " + AnalysisOptions.STEEPEST + ", such as 0.0033.");
        }
        if (!o.beams().positive() || !o.columns().positive()) {
            fail(
                    "options.stiffness",
                    "analysis options",
                    "A stiffness factor of a role is not above zero.",
                    "Use a small factor such as 0.01 to switch a stiffness off.");
        }
        o.pDelta().forEach(t -> known(cases, t.loadCase(), "analysis options", "P-Delta load case"));
    }

    private void supportsAndPlates() {
        b.supports().forEach(s -> known(joints, s.joint(), "support at " + s.joint(), "joint"));
        springs();
        Map<String, String> plateOf = new HashMap<>();
        for (Diaphragm d : b.diaphragms()) {
            for (String j : d.joints()) {
                known(joints, j, "diaphragm " + d.id(), "joint");
                String other = plateOf.put(j, d.id());
                if (other != null) {
                    fail(
                            "diaphragm.shared-joint",
                            "diaphragm " + d.id(),
                            "Joint " + j + " already belongs to diaphragm " + other + ".",
                            "Take it out of one of the two.");
                }
            }
        }
        for (SlabPanel p : b.panels()) {
            p.joints().forEach(j -> known(joints, j, "slab panel " + p.id(), "joint"));
            if (p.joints().size() < 3) {
                fail(
                        "panel.corners",
                        "slab panel " + p.id(),
                        "The panel has " + p.joints().size() + " joints.",
                        "List at least three corners in order.");
            }
            int most = Math.max(
                    p.joints().size(),
                    p.holes().stream().mapToInt(List::size).max().orElse(0));
            if (most > MOST_CORNERS || p.holes().size() > MOST_HOLES) {
                fail(
                        "panel.corners",
                        "slab panel " + p.id(),
                        most > MOST_CORNERS
                                ? "The panel or one of its openings has " + most + " corners; at most " + MOST_CORNERS
                                        + " are read."
                                : "The panel has " + p.holes().size() + " openings; at most " + MOST_HOLES
                                        + " are read.",
                        "Cut it into several panels.");
            }
        }
    }

    private void springs() {
        Map<String, boolean[]> held = new HashMap<>();
        for (Support s : b.supports()) {
            boolean[] h = held.computeIfAbsent(s.joint(), k -> new boolean[6]);
            for (int i = 0; i < 6; i++) {
                h[i] |= s.holds(i);
            }
        }
        unique("springs", b.springs(), Spring::joint);
        for (Spring s : b.springs()) {
            String where = "spring at " + s.joint();
            known(joints, s.joint(), where, "joint");
            boolean[] h = held.computeIfAbsent(s.joint(), k -> new boolean[6]);
            for (int i = 0; i < 6; i++) {
                if (!(s.at(i) >= 0) || s.at(i) > 0 && h[i]) {
                    fail(
                            "spring.stiffness",
                            where,
                            "A spring is below zero, or acts where the joint is held already.",
                            "Give stiffnesses of zero or more, and none in held directions.");
                    break;
                }
            }
            for (int i = 0; i < 6; i++) {
                h[i] |= s.at(i) > 0;
            }
        }
        for (Settlement s : b.settlements()) {
            String where = "settlement of " + s.joint() + " in " + s.loadCase();
            known(joints, s.joint(), where, "joint");
            known(cases, s.loadCase(), where, "load case");
            for (int i = 0; i < 6; i++) {
                if (s.at(i) != 0 && !held.getOrDefault(s.joint(), new boolean[6])[i]) {
                    fail(
                            "settlement.free",
                            where,
                            "The joint is given a displacement in a direction in which nothing holds it.",
                            "Hold the joint there, or delete that component.");
                    break;
                }
            }
        }
    }

    /** Forces along a member take the square of its loads. */
    private void many() {
        Map<String, Integer> loads = new LinkedHashMap<>();
        b.memberLoads().forEach(l -> loads.merge(l.member(), 1, Integer::sum));
        loads.forEach((member, n) -> {
            if (n > MOST_LOADS) {
                fail(
                        "load.many",
                        "member " + member,
                        "The member has " + n + " loads; at most " + MOST_LOADS + ".",
                        "Bring distributed loads in their place.");
            }
        });
    }

    private void loads() {
        Set<String> panels = new HashSet<>(unread.getOrDefault("panels", Set.of()));
        b.panels().forEach(p -> panels.add(p.id()));
        Set<String> loaded = new HashSet<>();
        Map<String, Member> byId = new HashMap<>();
        b.members().forEach(m -> byId.put(m.id(), m));
        Map<String, Joint> at = new HashMap<>();
        b.joints().forEach(j -> at.put(j.id(), j));
        many();
        for (MemberLoad l : b.memberLoads()) {
            String where = "member load on " + l.member() + " in " + l.loadCase();
            known(cases, l.loadCase(), where, "load case");
            known(members, l.member(), where, "member");
            loaded.add(l.loadCase());
            Member m = byId.get(l.member());
            Joint i = m == null ? null : at.get(m.start());
            Joint j = m == null ? null : at.get(m.end());
            if (i != null && j != null) {
                placeOf(l, where, i.distanceTo(j));
            }
        }
        for (AreaLoad l : b.areaLoads()) {
            String where = "area load on " + l.panel() + " in " + l.loadCase();
            known(cases, l.loadCase(), where, "load case");
            known(panels, l.panel(), where, "slab panel");
            loaded.add(l.loadCase());
            if (Math.abs(l.pressure()) > ABSURD_PRESSURE) {
                note(
                        "load.absurd",
                        where,
                        String.format(java.util.Locale.ROOT, "The pressure is %.0f kN/m2.", l.pressure() * 1000),
                        "Check the load and the unit of the file.");
            }
        }
        for (JointLoad l : b.jointLoads()) {
            String where = "joint load on " + l.joint() + " in " + l.loadCase();
            known(cases, l.loadCase(), where, "load case");
            known(joints, l.joint(), where, "joint");
            loaded.add(l.loadCase());
        }
        b.settlements().forEach(s -> loaded.add(s.loadCase()));
        for (StationForces s : b.stationForces()) {
            known(members, s.member(), "station forces of " + s.member(), "member");
            known(cases, s.loadCase(), "station forces of " + s.member(), "load case");
            loaded.add(s.loadCase());
        }
        for (LoadCase c : b.loadCases()) {
            if (c.selfWeight() == 0 && !loaded.contains(c.id())) {
                note(
                        "case.empty",
                        "load case " + c.id(),
                        "The load case has no loads.",
                        "Add its loads or delete the case.");
            }
        }
    }

    private void placeOf(MemberLoad l, String where, double length) {
        double tolerance = MemberLoad.PAST_END;
        if (l.kind() == MemberLoad.Kind.DISTRIBUTED
                && Math.max(Math.abs(l.w1()), Math.abs(l.w2())) > ABSURD_LINE_LOAD) {
            note(
                    "load.absurd",
                    where,
                    String.format(
                            java.util.Locale.ROOT,
                            "The line load is %.0f kN/m.",
                            Math.max(Math.abs(l.w1()), Math.abs(l.w2()))),
                    "Check the load and the unit of the file.");
        }
        boolean single = !l.kind().spread();
        if (!(l.from() >= -tolerance)
                || !(l.from() <= length + tolerance)
                || !single && (!(l.on(length).to() > l.on(length).from()) || !(l.to() <= length + tolerance))) {
            fail(
                    "load.place",
                    where,
                    String.format(
                            java.util.Locale.ROOT,
                            "The load runs from %.0f to %.0f mm but the member is %.0f mm long.",
                            l.from(),
                            l.to(),
                            length),
                    "Place the load within the member.");
        }
    }

    private void combinations() {
        Set<String> combined = new HashSet<>();
        b.combinations().forEach(c -> c.terms().forEach(t -> combined.add(t.loadCase())));
        for (LoadCase c : b.loadCases()) {
            if (!combined.contains(c.id()) && !b.combinations().isEmpty()) {
                note(
                        "case.unused",
                        "load case " + c.id(),
                        "No combination contains the load case.",
                        "Add it to combinations, or delete it.");
            }
        }
        for (Combination c : b.combinations()) {
            String where = "combination " + c.id();
            if (c.terms().isEmpty()) {
                fail(
                        "combination.empty",
                        where,
                        "The combination has no load cases.",
                        "Add terms or delete the combination.");
            }
            c.terms().forEach(t -> known(cases, t.loadCase(), where, "load case"));
        }
        if (b.combinations().stream().noneMatch(c -> c.purpose() == Purpose.STRENGTH)) {
            fail(
                    NO_STRENGTH,
                    "combinations",
                    "No combination is meant for strength: the model can be analysed, not designed.",
                    "Give at least one combination the purpose strength.");
        }
    }

    private void known(Set<String> ids, String id, String where, String kind) {
        if (!ids.contains(id)) {
            fail(
                    "reference.missing",
                    where,
                    "The " + kind + " " + id + " is not in the model.",
                    "Add it or correct the reference.");
        }
    }

    private void fail(String code, String where, String what, String mend) {
        out.add(Finding.fails(code, where, what, mend));
    }

    private void note(String code, String where, String what, String mend) {
        out.add(Finding.note(code, where, what, mend));
    }
}
