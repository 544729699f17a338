package kolonne.exchange.model;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import kolonne.core.code.registry.Codes;
import kolonne.core.finding.Finding;
import kolonne.core.model.AnalysisOptions;
import kolonne.core.model.AreaLoad;
import kolonne.core.model.Building;
import kolonne.core.model.CaseKind;
import kolonne.core.model.Combination;
import kolonne.core.model.Diaphragm;
import kolonne.core.model.Direction;
import kolonne.core.model.GridLine;
import kolonne.core.model.Joint;
import kolonne.core.model.JointLoad;
import kolonne.core.model.LoadCase;
import kolonne.core.model.Material;
import kolonne.core.model.Member;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.Point;
import kolonne.core.model.Purpose;
import kolonne.core.model.Release;
import kolonne.core.model.Role;
import kolonne.core.model.Section;
import kolonne.core.model.Settlement;
import kolonne.core.model.SlabPanel;
import kolonne.core.model.Spring;
import kolonne.core.model.StationForces;
import kolonne.core.model.StiffnessFactors;
import kolonne.core.model.Storey;
import kolonne.core.model.Support;
import kolonne.core.shape.Shape;

/** Makes a building in core units from the rows of all tables; rows that are not sound are reported and left out. */
final class ModelAssembler {
    private static final List<String> ACTIONS = List.of("n", "vy", "vz", "t", "my", "mz");
    private static final List<String> DISPLACEMENTS = List.of("ux", "uy", "uz", "rx", "ry", "rz");
    /** Reinforced concrete where a file gives no unit weight [N/mm3]. */
    private static final double WEIGHT = 25e-6;

    /** Stiffest connection that is read; above it, it is rigid [kN/m, kNm/rad or kip/ft, kip ft/rad]. */
    private static final double STIFFEST = 1e12;

    private static final List<String> FACTORS =
            List.of("factorArea", "factorShearY", "factorShearZ", "factorIy", "factorIz", "factorTorsion");

    /** Floors by how they hold their joints together. */
    enum PlateKind {
        RIGID,
        FLEXIBLE
    }

    /** Answers to a yes-or-no field. */
    enum Answer {
        NO,
        YES
    }

    /** Shapes by their word in files. */
    enum ShapeWord {
        RECTANGLE,
        TEE,
        ELL,
        INVERTED_TEE,
        CIRCLE
    }

    /** Spans of a slab panel. */
    enum PanelSpan {
        TWO_WAY,
        ONE_WAY
    }

    private final Map<String, List<Row>> tables;
    private final ModelUnits u;
    private final List<Finding> findings;
    /** Lengths of members by id [mm], where a load may run to the end. */
    private final Map<String, Double> lengths = new HashMap<>();
    /** By table, ids of rows that were left out. */
    private final Map<String, Set<String>> unread = new HashMap<>();

    ModelAssembler(Map<String, List<Row>> tables, ModelUnits units, List<Finding> findings) {
        this.tables = tables;
        this.u = units;
        this.findings = findings;
    }

    /** The same for loads on members of a building that is there already. */
    ModelAssembler(Map<String, List<Row>> tables, ModelUnits units, List<Finding> findings, Building of) {
        this(tables, units, findings);
        lengths(of.joints(), of.members());
    }

    private void lengths(List<Joint> joints, List<Member> members) {
        Map<String, Joint> byId = new HashMap<>();
        joints.forEach(j -> byId.put(j.id(), j));
        for (Member m : members) {
            Joint a = byId.get(m.start());
            Joint b = byId.get(m.end());
            if (a != null && b != null) {
                lengths.put(m.id(), Math.hypot(Math.hypot(b.x() - a.x(), b.y() - a.y()), b.z() - a.z()));
            }
        }
    }

    Building assemble(String name) {
        unknownFields();
        List<Joint> joints = rows(
                "joints",
                r -> new Joint(
                        r.id("id"),
                        r.number("x") * u.length(),
                        r.number("y") * u.length(),
                        r.number("z") * u.length()));
        List<Member> members = rows("members", this::member);
        lengths(joints, members);
        return new Building(
                name,
                u.name(),
                options(),
                rows(
                        "storeys",
                        r -> new Storey(r.id("id"), r.text("name", r.text("id")), r.number("elevation") * u.length())),
                rows(
                        "gridLines",
                        r -> new GridLine(
                                r.id("id"),
                                r.number("x1") * u.length(),
                                r.number("y1") * u.length(),
                                r.number("x2") * u.length(),
                                r.number("y2") * u.length())),
                joints,
                rows("materials", this::material),
                rows("sections", r -> new Section(r.id("id"), shape(r))),
                members,
                rows("supports", this::support),
                rows("springs", this::spring),
                rows(
                        "diaphragms",
                        r -> new Diaphragm(
                                r.id("id"),
                                r.list("joints"),
                                r.word("kind", PlateKind.class, PlateKind.RIGID) == PlateKind.RIGID)),
                rows("panels", this::panel),
                rows("loadCases", this::loadCase),
                rows("memberLoads", this::memberLoad),
                rows("areaLoads", r -> new AreaLoad(r.id("case"), r.id("panel"), r.number("pressure") * u.pressure())),
                rows(
                        "jointLoads",
                        r -> new JointLoad(
                                r.id("case"),
                                r.id("joint"),
                                r.number("fx", 0) * u.force(),
                                r.number("fy", 0) * u.force(),
                                r.number("fz", 0) * u.force(),
                                r.number("mx", 0) * u.moment(),
                                r.number("my", 0) * u.moment(),
                                r.number("mz", 0) * u.moment())),
                rows("settlements", this::settlement),
                rows("combinations", this::combination),
                rows("stationForces", this::stationForces));
    }

    private AnalysisOptions options() {
        Map<Role, StiffnessFactors> roles = new EnumMap<>(Role.class);
        rows("roleStiffness", r -> roles.put(r.word("role", Role.class, null), factors(r)));
        List<AnalysisOptions> rows = new ArrayList<>();
        rows(
                "analysis",
                r -> rows.add(new AnalysisOptions(
                        r.word("shearDeformation", Answer.class, Answer.NO) == Answer.YES,
                        roles.getOrDefault(Role.BEAM, StiffnessFactors.GROSS),
                        roles.getOrDefault(Role.COLUMN, StiffnessFactors.GROSS),
                        r.number("rigidEnds", 0),
                        r.has("pDelta") ? terms(r, "pDelta") : List.of(),
                        r.word("patternLive", Answer.class, Answer.NO) == Answer.YES,
                        r.number("inclination", 0))));
        if (rows.size() > 1) {
            findings.add(Finding.fails(
                    "analysis.rows",
                    "analysis",
                    "There are " + rows.size() + " sets of analysis options.",
                    "Keep one."));
        }
        return rows.isEmpty()
                ? new AnalysisOptions(
                        false,
                        roles.getOrDefault(Role.BEAM, StiffnessFactors.GROSS),
                        roles.getOrDefault(Role.COLUMN, StiffnessFactors.GROSS),
                        0,
                        List.of(),
                        false)
                : rows.get(0);
    }

    private static StiffnessFactors factors(RowReader r) {
        return new StiffnessFactors(
                r.number("factorArea", 1),
                r.number("factorShearY", 1),
                r.number("factorShearZ", 1),
                r.number("factorIy", 1),
                r.number("factorIz", 1),
                r.number("factorTorsion", 1));
    }

    private static List<Combination.Term> terms(RowReader r, String field) {
        List<Combination.Term> out = new ArrayList<>();
        r.map(field).forEach((c, f) -> out.add(new Combination.Term(c, f)));
        return out;
    }

    private LoadCase loadCase(RowReader r) {
        if (r.has("kind") && "temperature".equals(r.text("kind"))) {
            r.fail(
                    "out-of-scope",
                    "kind",
                    "Temperature is not analysed.",
                    "Delete the case and its terms in combinations, or import station forces solved elsewhere.");
        }
        return new LoadCase(
                r.id("id"),
                r.text("name", r.text("id")),
                r.sound() ? r.word("kind", CaseKind.class, null) : CaseKind.OTHER,
                r.number("selfWeight", 0));
    }

    private <T> List<T> rows(String table, Function<RowReader, T> make) {
        List<T> out = new ArrayList<>();
        for (Row row : tables.getOrDefault(table, List.of())) {
            RowReader r = new RowReader(row, findings::add);
            T t = make.apply(r);
            if (r.sound()) {
                out.add(t);
            } else if (row.text("id") != null) {
                unread.computeIfAbsent(table, k -> new HashSet<>()).add(row.text("id"));
            }
        }
        return out;
    }

    /** By table, ids of rows that could not be read; they are told already. */
    Map<String, Set<String>> unread() {
        return unread;
    }

    private void unknownFields() {
        tables.forEach((table, rows) -> {
            Set<String> told = new HashSet<>();
            for (Row row : rows) {
                for (String name : row.names()) {
                    if (!Tables.FIELDS.get(table).contains(name) && told.add(name)) {
                        findings.add(Finding.note(
                                "field.unknown",
                                row.place() + "." + name,
                                "The field " + name + " is not part of " + table + "; it is left out.",
                                "Correct its name, or delete it."));
                    }
                }
            }
        });
    }

    private Material material(RowReader r) {
        double fc = r.number("fc") * u.stress();
        double e = r.has("E")
                ? r.number("E") * u.stress()
                : Codes.usual(u.name().equals("US")).elasticModulus(fc);
        double weight = r.has("weight") ? r.number("weight") * u.weight() : WEIGHT;
        return new Material(r.id("id"), fc, e, r.number("poisson", 0.2), weight);
    }

    private Shape shape(RowReader r) {
        double mm = u.size();
        return switch (r.word("shape", ShapeWord.class, null)) {
            case RECTANGLE -> new Shape.Rectangle(positive(r, "b") * mm, positive(r, "h") * mm);
            case CIRCLE -> new Shape.Circle(positive(r, "d") * mm);
            case TEE -> flanged(r, "tee");
            case ELL -> flanged(r, "ell");
            case INVERTED_TEE -> flanged(r, "inverted-tee");
        };
    }

    private Shape flanged(RowReader r, String word) {
        flange(r);
        double mm = u.size();
        return Shape.flanged(
                word, positive(r, "bw") * mm, positive(r, "h") * mm, positive(r, "bf") * mm, positive(r, "hf") * mm);
    }

    private static double positive(RowReader r, String name) {
        double v = r.number(name);
        if (v <= 0) {
            r.fail("section.size", name, "The size " + name + " is " + v + ".", "Give a size above zero.");
        }
        return v;
    }

    private static void flange(RowReader r) {
        if (r.has("bw")
                && r.has("bf")
                && r.has("h")
                && r.has("hf")
                && (r.number("bf") < r.number("bw") || r.number("hf") >= r.number("h"))) {
            r.fail(
                    "section.flange",
                    "bf",
                    "The flange is narrower than the web or as deep as the section.",
                    "Give bf ≥ bw and hf < h.");
        }
    }

    private Member member(RowReader r) {
        return new Member(
                r.id("id"),
                r.word("role", Role.class, null),
                r.id("start"),
                r.id("end"),
                r.id("section"),
                r.id("material"),
                Math.toRadians(r.number("angle", 0)),
                release(r, "releaseStart"),
                release(r, "releaseEnd"),
                r.number("rigidStart", 0) * u.length(),
                r.number("rigidEnd", 0) * u.length(),
                FACTORS.stream().anyMatch(r::has) ? factors(r) : null);
    }

    /** Full releases by name ({@code my}), partial ones with the stiffness of the connection ({@code my=5000}). */
    private Release release(RowReader r, String name) {
        double[] k = new double[6];
        java.util.Arrays.fill(k, Release.RIGID);
        for (String word : r.list(name)) {
            String[] parts = word.split("=", 2);
            int i = ACTIONS.indexOf(parts[0].strip());
            Double v = parts.length == 1 ? Double.valueOf(0) : number(parts[1]);
            if (i < 0 || v == null || !(v >= 0 && v <= STIFFEST)) {
                r.fail(
                        "field.word",
                        name,
                        "The field " + name + " has the word " + word + ".",
                        "Use " + String.join(", ", ACTIONS)
                                + ", with =stiffness (at most 1e12) for a connection that gives way.");
            } else {
                k[i] = v * (i < 3 ? u.force() / u.length() : u.moment());
            }
        }
        return new Release(k[0], k[1], k[2], k[3], k[4], k[5]);
    }

    private static Double number(String s) {
        try {
            return Double.valueOf(s.strip());
        } catch (NumberFormatException e) {
            return null;
        }
    }

    private Spring spring(RowReader r) {
        double f = u.force() / u.length();
        return new Spring(
                r.id("joint"),
                r.number("ux", 0) * f,
                r.number("uy", 0) * f,
                r.number("uz", 0) * f,
                r.number("rx", 0) * u.moment(),
                r.number("ry", 0) * u.moment(),
                r.number("rz", 0) * u.moment());
    }

    private Settlement settlement(RowReader r) {
        return new Settlement(
                r.id("case"),
                r.id("joint"),
                r.number("ux", 0) * u.size(),
                r.number("uy", 0) * u.size(),
                r.number("uz", 0) * u.size(),
                r.number("rx", 0),
                r.number("ry", 0),
                r.number("rz", 0));
    }

    private Support support(RowReader r) {
        List<String> l = words(r, "held", DISPLACEMENTS);
        return new Support(
                r.id("joint"),
                l.contains("ux"),
                l.contains("uy"),
                l.contains("uz"),
                l.contains("rx"),
                l.contains("ry"),
                l.contains("rz"));
    }

    private static List<String> words(RowReader r, String name, List<String> allowed) {
        List<String> l = r.list(name);
        for (String s : l) {
            if (!allowed.contains(s)) {
                r.fail(
                        "field.word",
                        name,
                        "The field " + name + " has the word " + s + ".",
                        "Use " + String.join(", ", allowed) + ".");
            }
        }
        return l;
    }

    private SlabPanel panel(RowReader r) {
        double weight = r.has("weight") ? r.number("weight") * u.weight() : WEIGHT;
        return new SlabPanel(
                r.id("id"),
                r.list("joints"),
                positive(r, "thickness") * u.size(),
                weight,
                r.word("span", PanelSpan.class, PanelSpan.TWO_WAY) == PanelSpan.ONE_WAY,
                Math.toRadians(r.number("angle", 0)),
                holes(r));
    }

    /** Openings, each a text of coordinates "x1 y1 x2 y2 x3 y3 …". */
    private List<List<Point>> holes(RowReader r) {
        List<List<Point>> out = new ArrayList<>();
        for (String text : r.list("holes")) {
            List<Double> v = java.util.Arrays.stream(text.strip().split("[\\s,]+"))
                    .map(ModelAssembler::number)
                    .toList();
            if (v.contains(null) || v.size() < 6 || v.size() % 2 != 0) {
                r.fail(
                        "panel.hole",
                        "holes",
                        "The opening \"" + text + "\" is not a list of at least three corners.",
                        "Write its corners as x1 y1 x2 y2 x3 y3.");
                continue;
            }
            List<Point> corners = new ArrayList<>();
            for (int i = 0; i < v.size(); i += 2) {
                corners.add(new Point(v.get(i) * u.length(), v.get(i + 1) * u.length()));
            }
            out.add(corners);
        }
        return out;
    }

    private MemberLoad memberLoad(RowReader r) {
        if (r.has("kind") && "temperature".equals(r.text("kind"))) {
            r.fail(
                    "out-of-scope",
                    "kind",
                    "Temperature is not analysed.",
                    "Delete the load, or import station forces solved elsewhere.");
            return null;
        }
        MemberLoad.Kind kind = r.word("kind", MemberLoad.Kind.class, MemberLoad.Kind.DISTRIBUTED);
        double unit = switch (kind) {
            case DISTRIBUTED -> u.lineLoad();
            case POINT -> u.force();
            case MOMENT -> u.moment();
            case DISTRIBUTED_MOMENT -> u.force();
        };
        double value = r.number("value") * unit;
        boolean distributed = kind.spread();
        double from = distributed ? r.number("from", 0) : r.number("from");
        String member = r.id("member");
        // a member that there is not is told of by itself
        double end = lengths.containsKey(member) ? lengths.get(member) / u.length() : from;
        double to = distributed ? r.number("to", end) : from;
        double valueTo = distributed && r.has("valueTo") ? r.number("valueTo") * unit : value;
        return new MemberLoad(
                r.id("case"),
                member,
                kind,
                r.word("direction", Direction.class, Direction.GLOBAL_Z),
                from * u.length(),
                to * u.length(),
                value,
                distributed ? valueTo : 0);
    }

    private Combination combination(RowReader r) {
        return new Combination(
                r.id("id"), r.text("name", r.text("id")), r.word("purpose", Purpose.class, null), terms(r, "terms"));
    }

    private StationForces stationForces(RowReader r) {
        return new StationForces(
                r.id("member"),
                r.id("case"),
                r.number("x") * u.length(),
                r.number("n", 0) * u.force(),
                r.number("vy", 0) * u.force(),
                r.number("vz", 0) * u.force(),
                r.number("t", 0) * u.moment(),
                r.number("my", 0) * u.moment(),
                r.number("mz", 0) * u.moment());
    }
}
