package kolonne.core.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.shape.Shape;

/** Small models for tests: one material, E = 30 000 MPa, one load case P of kind live without self-weight. */
public final class ModelBuilder {
    public static final double E = 30_000;
    public final List<Storey> storeys = new ArrayList<>();
    public final List<Joint> joints = new ArrayList<>();
    public final List<Section> sections = new ArrayList<>();
    public final List<Member> members = new ArrayList<>();
    public final List<Support> supports = new ArrayList<>();
    public final List<Diaphragm> diaphragms = new ArrayList<>();
    public final List<SlabPanel> panels = new ArrayList<>();
    public final List<LoadCase> cases = new ArrayList<>(List.of(new LoadCase("P", "load", CaseKind.LIVE, 0)));
    public final List<MemberLoad> memberLoads = new ArrayList<>();
    public final List<AreaLoad> areaLoads = new ArrayList<>();
    public final List<JointLoad> jointLoads = new ArrayList<>();
    public final List<Combination> combinations = new ArrayList<>();
    public final List<StationForces> stationForces = new ArrayList<>();
    public final List<Spring> springs = new ArrayList<>();
    public final List<Settlement> settlements = new ArrayList<>();
    public AnalysisOptions options = AnalysisOptions.STANDARD;
    public double fc = 30;

    public ModelBuilder section(String id, double b, double h) {
        sections.add(new Section(id, new Shape.Rectangle(b, h)));
        return this;
    }

    public ModelBuilder joint(String id, double x, double y, double z) {
        joints.add(new Joint(id, x, y, z));
        return this;
    }

    public ModelBuilder beam(String id, String a, String b) {
        return beam(id, a, b, Release.NONE, Release.NONE, 0, 0);
    }

    public ModelBuilder beam(String id, String a, String b, String section) {
        members.add(new Member(
                id, Role.BEAM, a, b, section, "C", 0, Release.NONE, Release.NONE, 0, 0, StiffnessFactors.GROSS));
        return this;
    }

    public ModelBuilder beam(String id, String a, String b, Release ra, Release rb, double rigidA, double rigidB) {
        members.add(new Member(id, Role.BEAM, a, b, "S", "C", 0, ra, rb, rigidA, rigidB, StiffnessFactors.GROSS));
        return this;
    }

    public ModelBuilder column(String id, String a, String b) {
        members.add(new Member(
                id, Role.COLUMN, a, b, "S", "C", 0, Release.NONE, Release.NONE, 0, 0, StiffnessFactors.GROSS));
        return this;
    }

    public ModelBuilder fixed(String joint) {
        supports.add(Support.fixed(joint));
        return this;
    }

    /** Held against translation and twist, free to bend. */
    public ModelBuilder pinned(String joint) {
        supports.add(new Support(joint, true, true, true, true, false, true));
        return this;
    }

    public ModelBuilder spread(String member, double from, double to, double w1, double w2) {
        memberLoads.add(
                new MemberLoad("P", member, MemberLoad.Kind.DISTRIBUTED, Direction.GLOBAL_Z, from, to, -w1, -w2));
        return this;
    }

    public ModelBuilder point(String member, double at, double p) {
        memberLoads.add(new MemberLoad("P", member, MemberLoad.Kind.POINT, Direction.GLOBAL_Z, at, at, -p, 0));
        return this;
    }

    public ModelBuilder couple(String member, double at, double m) {
        memberLoads.add(new MemberLoad("P", member, MemberLoad.Kind.MOMENT, Direction.GLOBAL_Y, at, at, m, 0));
        return this;
    }

    public ModelBuilder push(String joint, double fx, double fy, double fz) {
        jointLoads.add(new JointLoad("P", joint, fx, fy, fz, 0, 0, 0));
        return this;
    }

    public ModelBuilder combine(String name, Map<String, Double> terms) {
        combinations.add(new Combination(
                name,
                name,
                Purpose.STRENGTH,
                terms.entrySet().stream()
                        .map(t -> new Combination.Term(t.getKey(), t.getValue()))
                        .toList()));
        return this;
    }

    public Building building() {
        if (sections.isEmpty()) {
            section("S", 300, 600);
        }
        if (combinations.isEmpty()) {
            combine("1.0P", Map.of("P", 1.0));
        }
        return new Building(
                "test",
                "SI",
                options,
                storeys,
                List.of(),
                joints,
                List.of(new Material("C", fc, E, 0.2, 25e-6)),
                sections,
                members,
                supports,
                springs,
                diaphragms,
                panels,
                cases,
                memberLoads,
                areaLoads,
                jointLoads,
                settlements,
                combinations,
                stationForces);
    }

    public Analysis solve() {
        return FrameAnalysis.solve(new BuildingIndex(building()));
    }

    /** Beam m between A and B on pins, so long; 300 × 600 where no section S follows. */
    public static ModelBuilder span(double length) {
        return new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("B", length, 0, 0)
                .beam("m", "A", "B")
                .pinned("A")
                .pinned("B");
    }

    /** Beams m1 and m2, 300 × 600, between A, B and E on pins, so long. */
    public static ModelBuilder twoSpans(double first, double second) {
        return new ModelBuilder()
                .section("S", 300, 600)
                .joint("A", 0, 0, 0)
                .joint("B", first, 0, 0)
                .joint("E", first + second, 0, 0)
                .beam("m1", "A", "B")
                .beam("m2", "B", "E")
                .pinned("A")
                .pinned("B")
                .pinned("E");
    }

    /** A portal of one bay, 300 × 300, 6 m wide and 5 m high, hinged at its feet: p on each column, and 20 kN along X at its head in a case W if pushed; combination PW. */
    public static ModelBuilder portal(double p, CaseKind kind, boolean pushed) {
        ModelBuilder b = new ModelBuilder()
                .section("S", 300, 300)
                .joint("A", 0, 0, 0)
                .joint("B", 0, 0, 5000)
                .joint("C", 6000, 0, 0)
                .joint("D", 6000, 0, 5000)
                .column("c1", "A", "B")
                .column("c2", "C", "D")
                .beam("b", "B", "D");
        for (String foot : List.of("A", "C")) {
            b.supports.add(new Support(foot, true, true, true, false, false, true));
        }
        for (String head : List.of("B", "D")) {
            b.supports.add(new Support(head, false, true, false, true, false, true));
            b.push(head, 0, 0, -p);
        }
        b.storeys.add(new Storey("G", "Ground", 0));
        b.storeys.add(new Storey("L1", "L1", 5000));
        b.cases.add(new LoadCase("W", "push", kind, 0));
        if (pushed) {
            b.jointLoads.add(new JointLoad("W", "B", 20e3, 0, 0, 0, 0, 0));
        }
        b.combinations.add(new Combination(
                "PW",
                "P + W",
                Purpose.STRENGTH,
                List.of(new Combination.Term("P", 1.0), new Combination.Term("W", 1.0))));
        return b;
    }
}
