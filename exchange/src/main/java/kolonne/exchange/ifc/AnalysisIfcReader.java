package kolonne.exchange.ifc;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import kolonne.core.code.registry.Codes;
import kolonne.core.finding.Finding;
import kolonne.core.model.AnalysisOptions;
import kolonne.core.model.Building;
import kolonne.core.model.Combination;
import kolonne.core.model.Diaphragm;
import kolonne.core.model.GridLine;
import kolonne.core.model.Joint;
import kolonne.core.model.LocalAxes;
import kolonne.core.model.Material;
import kolonne.core.model.Member;
import kolonne.core.model.Point;
import kolonne.core.model.Release;
import kolonne.core.model.Role;
import kolonne.core.model.Section;
import kolonne.core.model.SlabPanel;
import kolonne.core.model.Spring;
import kolonne.core.model.StiffnessFactors;
import kolonne.core.model.Storey;
import kolonne.core.model.Support;
import kolonne.core.shape.Shape;
import kolonne.core.space.Frame;
import kolonne.core.space.Point3;

/** Reads the structural analysis view of an IFC 4 file. What the file does not say or what is not read is told; nothing is guessed without a word. */
public final class AnalysisIfcReader {
    /** Points that are nearer are one [mm]. */
    private static final double SAME = 1;
    /** Reinforced concrete where the file gives no density [N/mm3]. */
    private static final double WEIGHT = 25e-6;

    private static final List<String> LEFT_OUT = List.of(
            "IFCSTRUCTURALCURVECONNECTION",
            "IFCSTRUCTURALSURFACECONNECTION",
            "IFCRELCONNECTSWITHECCENTRICITY",
            "IFCSTRUCTURALCURVEMEMBERVARYING",
            "IFCSTRUCTURALSURFACEMEMBERVARYING",
            "IFCSTRUCTURALRESULTGROUP");

    private final IfcReading in;
    private final List<Joint> joints = new ArrayList<>();
    private final Map<List<Long>, List<Joint>> byPlace = new HashMap<>();
    private final Map<Integer, String> jointIds = new HashMap<>();
    private final Map<Integer, String> memberIds = new LinkedHashMap<>();
    private final Map<Integer, String> panelIds = new LinkedHashMap<>();
    private final Set<String> taken = new HashSet<>();
    private final Map<Integer, Material> materials = new LinkedHashMap<>();
    private final Map<Integer, Section> sections = new LinkedHashMap<>();
    private final Map<Integer, StepFile.Instance> materialOf = new HashMap<>();
    private final Map<Integer, Map<String, Object>> materialProperties = new HashMap<>();
    /** Profiles and materials that cannot be read; they are told already. */
    private final Set<Integer> useless = new HashSet<>();

    private AnalysisIfcReader(IfcReading in) {
        this.in = in;
    }

    /** Whether the bytes begin as an exchange file does. */
    public static boolean looksLike(byte[] bytes) {
        String start = new String(bytes, 0, Math.min(bytes.length, 200), java.nio.charset.StandardCharsets.ISO_8859_1);
        return start.replaceFirst("^\u00EF\u00BB\u00BF", "").stripLeading().startsWith("ISO-10303-21");
    }

    /** @return the building as far as it can be read; null if there is none */
    public static Building read(byte[] bytes, Consumer<Finding> findings) {
        StepFile file;
        try {
            file = StepFile.read(bytes);
        } catch (StepFile.Bad e) {
            findings.accept(Finding.fails(
                    "ifc.damaged",
                    "line " + e.line(),
                    "The file cannot be read as IFC. " + e.getMessage(),
                    "Export it again, whole."));
            return null;
        }
        IfcReading in = new IfcReading(file, findings);
        if (!file.schema().startsWith("IFC4")) {
            in.fails(
                    "ifc.schema",
                    null,
                    "The file is of schema " + (file.schema().isEmpty() ? "unknown" : file.schema()) + ".",
                    "Export it as IFC4.");
            return null;
        }
        if (file.all("IFCSTRUCTURALCURVEMEMBER").isEmpty()) {
            in.fails(
                    "ifc.no-analysis",
                    null,
                    "The file has no analysis model; it shows "
                            + file.all("IFCBEAM").size() + " beams and "
                            + file.all("IFCCOLUMN").size() + " columns as they are built.",
                    "Export the structural analysis view: members, joints, supports, load cases.");
            return null;
        }
        if (file.all("IFCUNITASSIGNMENT").isEmpty()) {
            in.fails("ifc.units", null, "The file does not say its units.", "Export it with units.");
            return null;
        }
        return new AnalysisIfcReader(in).building();
    }

    private Building building() {
        for (StepFile.Instance r : in.file.all("IFCRELASSOCIATESMATERIAL")) {
            for (Object o : IfcReading.list(r, 4)) {
                if (o instanceof StepFile.Ref of) {
                    materialOf.put(of.number(), in.to(r, 5));
                }
            }
        }
        for (StepFile.Instance p : in.file.all("IFCMATERIALPROPERTIES")) {
            if (IfcReading.value(p, 3) instanceof StepFile.Ref of) {
                materialProperties
                        .computeIfAbsent(of.number(), k -> new HashMap<>())
                        .putAll(in.properties(IfcReading.list(p, 2, IfcReading.MOST_PROPERTIES)));
            }
        }
        connections();
        List<Member> members = members();
        List<SlabPanel> panels = panels();
        AnalysisIfcLoadsReader loads = new AnalysisIfcLoadsReader(in, jointIds, memberIds, panelIds, lengths(members));
        loads.read();
        for (String entity : LEFT_OUT) {
            int n = in.file.all(entity).size();
            if (n > 0) {
                in.note("ifc.left-out", in.file.all(entity).get(0), n + " of " + entity + " are left out.", "");
            }
        }
        StepFile.Instance project =
                in.file.all("IFCPROJECT").stream().findFirst().orElse(null);
        StepFile.Instance house =
                in.file.all("IFCBUILDING").stream().findFirst().orElse(null);
        String name =
                Optional.of(IfcReading.text(house, 2)).filter(s -> !s.isEmpty()).orElse(IfcReading.text(project, 2));
        return new Building(
                name.isEmpty() ? "Untitled building" : name,
                in.feet() ? "US" : "SI",
                options(),
                storeys(),
                grid(),
                joints,
                List.copyOf(materials.values()),
                List.copyOf(sections.values()),
                members,
                supports(),
                springs(),
                diaphragms(),
                panels,
                loads.cases(),
                loads.memberLoads(),
                loads.areaLoads(),
                loads.jointLoads(),
                loads.settlements(),
                loads.combinations(),
                List.of());
    }

    private Map<String, Double> lengths(List<Member> members) {
        Map<String, Joint> byId = new HashMap<>();
        joints.forEach(j -> byId.put(j.id(), j));
        Map<String, Double> out = new HashMap<>();
        members.forEach(m -> out.put(m.id(), byId.get(m.start()).distanceTo(byId.get(m.end()))));
        return out;
    }

    /** A name that nothing else of its kind has. */
    private String id(String kind, StepFile.Instance i) {
        String name = IfcReading.text(i, 2);
        String wanted = name.isEmpty() ? "#" + i.number() : name;
        if (taken.add(kind + wanted)) {
            return wanted;
        }
        String other = wanted + " #" + i.number();
        in.noteOnce(
                "ifc.names",
                i,
                "Several " + kind + "s are named alike, the first of them " + wanted
                        + "; they have their number behind it.",
                "Name them apart.");
        taken.add(kind + other);
        return other;
    }

    // ---- joints ----------------------------------------------------------------------------------------------------

    private void connections() {
        for (StepFile.Instance c : in.file.all("IFCSTRUCTURALPOINTCONNECTION")) {
            StepFile.Instance vertex = in.topology(c, 6);
            Point3 p = vertex == null ? null : in.point(in.to(vertex, 0));
            if (p == null) {
                in.fails("ifc.joint", c, "The joint has no point.", "Export it with its vertex.");
                continue;
            }
            Point3 at = in.placement(in.to(c, 5)).global(p);
            Joint known = at(at);
            if (known != null) {
                jointIds.put(c.number(), known.id());
                in.noteOnce(
                        "ifc.joints-at-one-place", c, "Several joints lie at one place; they are taken as one.", "");
                continue;
            }
            jointIds.put(c.number(), add(id("joint", c), at).id());
        }
    }

    private Joint add(String id, Point3 at) {
        Joint j = new Joint(id, at.x(), at.y(), at.z());
        joints.add(j);
        byPlace.computeIfAbsent(cell(at, 0, 0, 0), k -> new ArrayList<>(1)).add(j);
        return j;
    }

    private static List<Long> cell(Point3 p, int dx, int dy, int dz) {
        return List.of(Math.round(p.x() / SAME) + dx, Math.round(p.y() / SAME) + dy, Math.round(p.z() / SAME) + dz);
    }

    private Joint at(Point3 p) {
        for (int k = 0; k < 27; k++) {
            for (Joint j : byPlace.getOrDefault(cell(p, k % 3 - 1, k / 3 % 3 - 1, k / 9 - 1), List.of())) {
                if (new Point3(j.x(), j.y(), j.z()).minus(p).length() < SAME) {
                    return j;
                }
            }
        }
        return null;
    }

    private Joint orAdded(Point3 p, StepFile.Instance by) {
        Joint j = at(p);
        if (j != null) {
            return j;
        }
        in.noteOnce(
                "ifc.joint-added", by, "Ends or corners without a joint have got one.", "Connect them in the file.");
        String id = "J" + (joints.size() + 1);
        while (!taken.add("joint" + id)) {
            id += "+";
        }
        return add(id, p);
    }

    private List<Support> supports() {
        List<Support> out = new ArrayList<>();
        conditions((joint, c) -> {
            boolean[] h = new boolean[6];
            boolean any = false;
            for (int i = 0; i < 6; i++) {
                h[i] = IfcReading.isTrue(IfcReading.value(c, i + 1));
                any |= h[i];
            }
            if (any) {
                out.add(new Support(joint, h[0], h[1], h[2], h[3], h[4], h[5]));
            }
        });
        return out;
    }

    private List<Spring> springs() {
        List<Spring> out = new ArrayList<>();
        conditions((joint, c) -> {
            double[] k = new double[6];
            boolean any = false;
            for (int i = 0; i < 6; i++) {
                k[i] = stiffness(c, i);
                any |= k[i] > 0;
            }
            if (any) {
                out.add(new Spring(joint, k[0], k[1], k[2], k[3], k[4], k[5]));
            }
        });
        return out;
    }

    /** Stiffness of a condition, 0 where it is yes or no [N/mm, Nmm/rad]. */
    private double stiffness(StepFile.Instance c, int i) {
        return IfcReading.number(c, i + 1).orElse(0.0) * (i < 3 ? in.stiffness() : in.rotationalStiffness());
    }

    private interface Condition {
        void of(String joint, StepFile.Instance condition);
    }

    private void conditions(Condition use) {
        for (StepFile.Instance c : in.file.all("IFCSTRUCTURALPOINTCONNECTION")) {
            StepFile.Instance condition = in.to(c, 7);
            String joint = jointIds.get(c.number());
            if (joint != null && condition != null && condition.entity().startsWith("IFCBOUNDARYNODECONDITION")) {
                if (in.to(c, 8) != null) {
                    in.noteOnce(
                            "ifc.support-axes",
                            c,
                            "Supports with axes of their own are read along the global ones.",
                            "Look at the supports.");
                }
                use.of(joint, condition);
            }
        }
    }

    // ---- members ---------------------------------------------------------------------------------------------------

    private List<Member> members() {
        Map<Integer, Map<String, Object>> own = in.sets(AnalysisIfc.MEMBER_SET);
        Map<Integer, List<StepFile.Instance>> connected = new HashMap<>();
        for (StepFile.Instance r : in.file.all("IFCRELCONNECTSSTRUCTURALMEMBER")) {
            if (IfcReading.value(r, 4) instanceof StepFile.Ref m) {
                connected.computeIfAbsent(m.number(), k -> new ArrayList<>(2)).add(r);
            }
        }
        List<Member> out = new ArrayList<>();
        for (StepFile.Instance m : in.file.all("IFCSTRUCTURALCURVEMEMBER")) {
            Member read =
                    member(m, own.getOrDefault(m.number(), Map.of()), connected.getOrDefault(m.number(), List.of()));
            if (read != null) {
                out.add(read);
                memberIds.put(m.number(), read.id());
            }
        }
        return out;
    }

    private Member member(StepFile.Instance m, Map<String, Object> own, List<StepFile.Instance> connected) {
        StepFile.Instance edge = in.topology(m, 6);
        Point3 a = end(edge, 0);
        Point3 b = end(edge, 1);
        if (a == null || b == null || a.minus(b).length() < SAME) {
            in.fails("ifc.member", m, "The member has no edge between two points.", "Export it with its edge.");
            return null;
        }
        if (edge.entity().equals("IFCEDGECURVE") && !straight(in.to(edge, 2))) {
            in.fails("ifc.curved", m, "The member is curved.", "Draw it as straight pieces.");
            return null;
        }
        Frame at = in.placement(in.to(m, 5));
        Joint start = orAdded(at.global(a), m);
        Joint end = orAdded(at.global(b), m);
        Section section = section(m);
        Material material = material(m);
        if (section == null || material == null) {
            return null;
        }
        if (role(m, start, end) == Role.COLUMN && section.shape() instanceof Shape.Ell) {
            in.noteOnce(
                    "ifc.ell",
                    m,
                    "Ells of columns are read with the flange on the right of the web, seen from above: one the other way round becomes its mirror image.",
                    "Look at such columns in plan, and turn them by a right angle with their legs exchanged.");
        }
        Release[] releases = releases(connected, start, end);
        boolean factors = IfcReading.number(own, "FactorArea").isPresent();
        return new Member(
                id("member", m),
                role(m, start, end),
                start.id(),
                end.id(),
                section.id(),
                material.id(),
                angle(m, at, start, end),
                releases[0],
                releases[1],
                1000 * IfcReading.number(own, "RigidStart").orElse(0.0),
                1000 * IfcReading.number(own, "RigidEnd").orElse(0.0),
                factors ? factors(own, "") : null);
    }

    private static boolean straight(StepFile.Instance curve) {
        return curve == null
                || curve.entity().equals("IFCLINE")
                || curve.entity().equals("IFCPOLYLINE");
    }

    private Point3 end(StepFile.Instance edge, int n) {
        StepFile.Instance vertex = edge == null ? null : in.to(edge, n);
        return vertex == null ? null : in.point(in.to(vertex, 0));
    }

    /** As it says, else by its slope. */
    private static Role role(StepFile.Instance m, Joint a, Joint b) {
        String said = IfcReading.text(m, 4).toUpperCase(Locale.ROOT);
        if (said.equals("BEAM") || said.equals("COLUMN")) {
            return Role.valueOf(said);
        }
        return Math.abs(b.z() - a.z()) > Math.hypot(b.x() - a.x(), b.y() - a.y()) ? Role.COLUMN : Role.BEAM;
    }

    /** From where the local z axis would be to where it is [rad]. */
    private double angle(StepFile.Instance m, Frame at, Joint a, Joint b) {
        Point3 z = in.direction(in.to(m, 8));
        if (z == null) {
            return 0;
        }
        Point3 d = at.global(z).minus(at.at());
        double[][] axes = LocalAxes.of(a, b, 0);
        double alongY = d.dot(new Point3(axes[1][0], axes[1][1], axes[1][2]));
        double alongZ = d.dot(new Point3(axes[2][0], axes[2][1], axes[2][2]));
        double angle = Math.hypot(alongY, alongZ) < 1e-6 ? 0 : Math.atan2(-alongY, alongZ);
        return Math.abs(angle) < 1e-9 ? 0 : angle;
    }

    private Release[] releases(List<StepFile.Instance> connected, Joint start, Joint end) {
        Release[] out = {Release.NONE, Release.NONE};
        for (StepFile.Instance r : connected) {
            StepFile.Instance c = in.to(r, 6);
            String joint = IfcReading.value(r, 5) instanceof StepFile.Ref to ? jointIds.get(to.number()) : null;
            if (c == null || joint == null || !c.entity().startsWith("IFCBOUNDARYNODECONDITION")) {
                continue;
            }
            double[] k = new double[6];
            for (int i = 0; i < 6; i++) {
                Object v = IfcReading.plain(IfcReading.value(c, i + 1));
                k[i] = v instanceof Double ? stiffness(c, i) : v == null || IfcReading.isTrue(v) ? Release.RIGID : 0;
            }
            Release read = new Release(k[0], k[1], k[2], k[3], k[4], k[5]);
            if (joint.equals(start.id())) {
                out[0] = read;
            } else if (joint.equals(end.id())) {
                out[1] = read;
            }
        }
        return out;
    }

    private static StiffnessFactors factors(Map<String, Object> set, String of) {
        String[] names = {"Area", "ShearY", "ShearZ", "Iy", "Iz", "Torsion"};
        double[] v = new double[names.length];
        for (int i = 0; i < v.length; i++) {
            v[i] = IfcReading.number(set, of + "Factor" + names[i]).orElse(1.0);
        }
        return new StiffnessFactors(v[0], v[1], v[2], v[3], v[4], v[5]);
    }

    // ---- sections and materials ------------------------------------------------------------------------------------

    /** The profile of a member with its material: {@code IfcMaterialProfile}. */
    private StepFile.Instance profile(StepFile.Instance m) {
        StepFile.Instance of = materialOf.get(m.number());
        if (of != null && of.entity().startsWith("IFCMATERIALPROFILESETUSAGE")) {
            of = in.to(of, 0);
        }
        if (of != null && of.entity().equals("IFCMATERIALPROFILESET")) {
            List<Object> all = IfcReading.list(of, 2, 1);
            of = all.isEmpty() ? null : in.instance(all.get(0));
        }
        return of != null && of.entity().startsWith("IFCMATERIALPROFILE") ? of : null;
    }

    private Section section(StepFile.Instance m) {
        StepFile.Instance p = in.to(profile(m), 3);
        if (p == null) {
            in.fails("ifc.section", m, "The member has no profile.", "Export it with its section and material.");
            return null;
        }
        Section known = sections.get(p.number());
        if (known == null && !useless.contains(p.number())) {
            Shape shape = new IfcProfiles(in).shape(p);
            if (shape == null) {
                useless.add(p.number());
                in.fails(
                        "ifc.section",
                        p,
                        "The profile " + IfcReading.text(p, 1) + " is none that is designed; member "
                                + IfcReading.text(m, 2) + " and others with it are left out.",
                        "Use a rectangle, a circle, a tee, an ell with its flange on top or an inverted tee.");
                return null;
            }
            String name = IfcReading.text(p, 1);
            known = new Section(unique("section", name.isEmpty() ? shape.label() : name, p), shape);
            sections.put(p.number(), known);
        }
        return known;
    }

    private String unique(String kind, String name, StepFile.Instance i) {
        return taken.add(kind + name) ? name : name + " #" + i.number();
    }

    private Material material(StepFile.Instance m) {
        StepFile.Instance p = profile(m);
        StepFile.Instance of = p == null ? materialOf.get(m.number()) : in.to(p, 2);
        if (of == null || !of.entity().equals("IFCMATERIAL")) {
            in.fails("ifc.material", m, "The member has no material.", "Export it with its concrete.");
            return null;
        }
        Material known = materials.get(of.number());
        if (known == null && !useless.contains(of.number())) {
            known = concrete(of);
            if (known == null) {
                useless.add(of.number());
            } else {
                materials.put(of.number(), known);
            }
        }
        return known;
    }

    private Material concrete(StepFile.Instance of) {
        Map<String, Object> all = materialProperties.getOrDefault(of.number(), Map.of());
        String name = IfcReading.text(of, 0);
        Optional<Double> fc = IfcReading.number(all, "CompressiveStrength");
        if (fc.isEmpty()) {
            in.fails(
                    "ifc.strength",
                    of,
                    "The material " + name + " has no compressive strength.",
                    "Export it with CompressiveStrength in Pset_MaterialConcrete.");
            return null;
        }
        double strength = fc.get() * in.stress();
        double e = IfcReading.number(all, "YoungModulus")
                .map(v -> v * in.modulus())
                .orElseGet(() -> Codes.usual(in.feet()).elasticModulus(strength));
        double weight = IfcReading.number(all, "MassDensity")
                // to a millionth of a kN/m3
                .map(v -> Math.rint(v * in.density() * IfcSections.G * 1e3) / 1e12)
                .orElse(WEIGHT);
        return new Material(
                unique("material", name.isEmpty() ? "concrete" : name, of),
                strength,
                e,
                IfcReading.number(all, "PoissonRatio").orElse(0.2),
                weight);
    }

    // ---- the rest --------------------------------------------------------------------------------------------------

    private List<SlabPanel> panels() {
        Map<Integer, Map<String, Object>> own = in.sets(AnalysisIfc.PANEL_SET);
        List<SlabPanel> out = new ArrayList<>();
        for (StepFile.Instance s : in.file.all("IFCSTRUCTURALSURFACEMEMBER")) {
            List<List<Point3>> loops = loops(in.topology(s, 6), in.placement(in.to(s, 5)));
            double thickness = IfcReading.number(s, 8).orElse(0.0) * in.length();
            if (loops.isEmpty() || thickness <= 0) {
                in.note("ifc.panel", s, "The surface has no outline of corners or no thickness; it is left out.", "");
                continue;
            }
            Map<String, Object> set = own.getOrDefault(s.number(), Map.of());
            if (!set.containsKey("UnitWeight")) {
                in.noteOnce("ifc.panel-weight", s, "Slabs are taken with 25 kN/m³, spanning both ways.", "");
            }
            List<String> corners = new ArrayList<>();
            loops.get(0).forEach(p -> corners.add(orAdded(p, s).id()));
            String id = id("panel", s);
            panelIds.put(s.number(), id);
            out.add(new SlabPanel(
                    id,
                    corners,
                    thickness,
                    IfcReading.number(set, "UnitWeight").map(v -> v / 1e9).orElse(WEIGHT),
                    IfcReading.isTrue(set.get("OneWay")),
                    Math.toRadians(IfcReading.number(set, "SpanAngleDegrees").orElse(0.0)),
                    loops.subList(1, loops.size()).stream()
                            .map(l ->
                                    l.stream().map(p -> new Point(p.x(), p.y())).toList())
                            .toList()));
        }
        return out;
    }

    /** Corners of a face: the outer loop first. */
    private List<List<Point3>> loops(StepFile.Instance face, Frame at) {
        List<List<Point3>> out = new ArrayList<>();
        for (Object o : IfcReading.list(face, 0, IfcReading.MOST_PROPERTIES)) {
            StepFile.Instance bound = in.instance(o);
            List<Point3> corners = corners(in.to(bound, 0));
            if (corners.size() < 3) {
                return List.of();
            }
            List<Point3> there = corners.stream().map(at::global).toList();
            out.add(bound.entity().equals("IFCFACEOUTERBOUND") ? 0 : out.size(), there);
        }
        return out;
    }

    private List<Point3> corners(StepFile.Instance loop) {
        List<Point3> out = new ArrayList<>();
        if (loop != null && loop.entity().equals("IFCPOLYLOOP")) {
            IfcReading.list(loop, 0, IfcReading.MOST_CORNERS).forEach(p -> out.add(in.point(in.instance(p))));
        } else if (loop != null && loop.entity().equals("IFCEDGELOOP")) {
            for (Object o : IfcReading.list(loop, 0, IfcReading.MOST_CORNERS)) {
                StepFile.Instance oriented = in.instance(o);
                boolean forwards =
                        oriented == null || !IfcReading.word(oriented, 3).equals("F");
                out.add(end(in.to(oriented, 2), forwards ? 0 : 1));
            }
        }
        return out.contains(null) ? List.of() : out;
    }

    private AnalysisOptions options() {
        Map<String, Object> set = new LinkedHashMap<>();
        in.sets(AnalysisIfc.ANALYSIS_SET).values().forEach(set::putAll);
        List<Combination.Term> pDelta = new ArrayList<>();
        set.keySet().stream()
                .filter(k -> k.startsWith("PDelta "))
                .sorted()
                .forEach(k -> IfcReading.number(set, k)
                        .ifPresent(v -> pDelta.add(new Combination.Term(k.substring("PDelta ".length()), v))));
        return new AnalysisOptions(
                IfcReading.isTrue(set.get("ShearDeformation")),
                factors(set, "Beam"),
                factors(set, "Column"),
                IfcReading.number(set, "RigidEnds").orElse(0.0),
                pDelta,
                IfcReading.isTrue(set.get("PatternLive")),
                IfcReading.number(set, "Inclination").orElse(0.0));
    }

    private List<Storey> storeys() {
        List<Storey> out = new ArrayList<>();
        for (StepFile.Instance s : in.file.all("IFCBUILDINGSTOREY")) {
            String id = id("storey", s);
            String name = IfcReading.text(s, 7);
            out.add(new Storey(
                    id,
                    name.isEmpty() ? id : name,
                    IfcReading.number(s, 9)
                            .map(v -> v * in.length())
                            .orElse(in.placement(in.to(s, 5)).at().z())));
        }
        return out;
    }

    private List<GridLine> grid() {
        List<GridLine> out = new ArrayList<>();
        for (StepFile.Instance g : in.file.all("IFCGRID").stream()
                .limit(IfcReading.MOST_PROPERTIES)
                .toList()) {
            Frame at = in.placement(in.to(g, 5));
            for (int axes = 7; axes <= 9; axes++) {
                for (Object o : IfcReading.list(g, axes, IfcReading.MOST_CORNERS)) {
                    StepFile.Instance axis = in.instance(o);
                    List<Object> ends = IfcReading.list(in.to(axis, 1), 0, IfcReading.MOST_PROPERTIES);
                    Point3 a = ends.size() < 2 ? null : in.point(in.instance(ends.get(0)));
                    Point3 b = ends.size() < 2 ? null : in.point(in.instance(ends.get(ends.size() - 1)));
                    if (a == null || b == null) {
                        in.noteOnce(
                                "ifc.grid",
                                g,
                                "Lines of the grid that are not straight between points are left out.",
                                "");
                    } else {
                        Point3 p = at.global(a);
                        Point3 q = at.global(b);
                        out.add(new GridLine(
                                unique("grid line", IfcReading.text(axis, 0), axis), p.x(), p.y(), q.x(), q.y()));
                    }
                }
            }
        }
        return out;
    }

    private List<Diaphragm> diaphragms() {
        Map<Integer, List<String>> of = new HashMap<>();
        for (StepFile.Instance r : in.file.all("IFCRELASSIGNSTOGROUP")) {
            StepFile.Instance group = in.to(r, 6);
            if (group != null && group.entity().equals("IFCGROUP")) {
                for (Object o : IfcReading.list(r, 4)) {
                    String joint = o instanceof StepFile.Ref j ? jointIds.get(j.number()) : null;
                    if (joint != null) {
                        of.computeIfAbsent(group.number(), k -> new ArrayList<>())
                                .add(joint);
                    }
                }
            }
        }
        List<Diaphragm> out = new ArrayList<>();
        for (StepFile.Instance g : in.file.all("IFCGROUP")) {
            String kind = IfcReading.text(g, 4);
            if (of.containsKey(g.number()) && (kind.equals(AnalysisIfc.RIGID) || kind.equals(AnalysisIfc.FLEXIBLE))) {
                out.add(new Diaphragm(id("diaphragm", g), of.get(g.number()), kind.equals(AnalysisIfc.RIGID)));
            }
        }
        return out;
    }
}
