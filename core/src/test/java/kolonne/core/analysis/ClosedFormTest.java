package kolonne.core.analysis;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import kolonne.core.model.AreaLoad;
import kolonne.core.model.CaseKind;
import kolonne.core.model.Diaphragm;
import kolonne.core.model.Direction;
import kolonne.core.model.LoadCase;
import kolonne.core.model.Member;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Release;
import kolonne.core.model.Role;
import kolonne.core.model.SlabPanel;
import kolonne.core.model.StiffnessFactors;
import kolonne.core.model.Support;
import kolonne.core.shape.Shape;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Frames with a known answer. Formulas: W. C. Young, R. G. Budynas, Roark's Formulas for Stress and Strain, 7th ed.,
 * table 8.1 (beams) and table 10.1 (torsion); A. Kleinlogel, Rigid Frame Formulas (portal frame). The solution is exact for
 * these, so 1e-6 relative is the rounding of the solver.
 */
class ClosedFormTest {
    private static final double E = ModelBuilder.E;
    private static final double L = 6000;
    private static final double W = 20;
    private static final double P = 50_000;
    private static final double I = 300 * 600.0 * 600 * 600 / 12;

    record Case(String name, Analysis a, ToDoubleFunction<Analysis> value, double expected) {
        @Override
        public String toString() {
            return name;
        }
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("cases")
    void matchesTheFormula(Case c) {
        double scale = Math.max(Math.abs(c.expected), 1e-9);
        assertEquals(c.expected, c.value.applyAsDouble(c.a), 1e-6 * scale, c.name);
        assertEquals(0, c.a.residual(0), 1e-9, "equilibrium of every joint");
    }

    private static Case of(String name, ModelBuilder b, ToDoubleFunction<Analysis> v, double expected) {
        return new Case(name, b.solve(), v, expected);
    }

    /** A beam in two halves with joints A, M, B. */
    private static ModelBuilder halves() {
        return new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("M", L / 2, 0, 0)
                .joint("B", L, 0, 0)
                .beam("m1", "A", "M")
                .beam("m2", "M", "B");
    }

    private static ModelBuilder one() {
        return new ModelBuilder().joint("A", 0, 0, 0).joint("B", L, 0, 0).beam("m", "A", "B");
    }

    private static ModelBuilder bothSpread(ModelBuilder b) {
        return b.spread("m1", 0, L / 2, W, W).spread("m2", 0, L / 2, W, W);
    }

    /** The station nearest to a tenth part of a member; the last for −1. */
    static int tenth(Analysis a, int member, int tenth) {
        int n = a.stationCount(member);
        double x = a.stationX(member, 0)
                + (a.stationX(member, n - 1) - a.stationX(member, 0)) * (tenth < 0 ? 10 : tenth) / 10;
        int best = 0;
        for (int s = 1; s < n; s++) {
            best = Math.abs(a.stationX(member, s) - x) < Math.abs(a.stationX(member, best) - x) ? s : best;
        }
        return best;
    }

    private static ToDoubleFunction<Analysis> moment(int member, int station) {
        return a -> a.force(member, 0, tenth(a, member, station), Analysis.MY);
    }

    private static ToDoubleFunction<Analysis> shear(int member, int station) {
        return a -> a.force(member, 0, tenth(a, member, station), Analysis.VZ);
    }

    private static ToDoubleFunction<Analysis> sag(int joint) {
        return a -> -a.displacement(0, joint, 2);
    }

    static Stream<Case> cases() {
        return Stream.of(simple(), fixed(), cantilever(), continuous(), frames(), space(), panels())
                .flatMap(List::stream);
    }

    private static List<Case> simple() {
        double a = 2000;
        double b = L - a;
        return List.of(
                of(
                        "simple, uniform: moment w L² / 8",
                        bothSpread(halves().pinned("A").pinned("B")),
                        moment(0, -1),
                        W * L * L / 8),
                of(
                        "simple, uniform: sag 5 w L⁴ / 384 EI",
                        bothSpread(halves().pinned("A").pinned("B")),
                        sag(1),
                        5 * W * L * L * L * L / (384 * E * I)),
                of(
                        "simple, uniform: reaction w L / 2",
                        bothSpread(halves().pinned("A").pinned("B")),
                        x -> x.reaction(0, 0, 2),
                        W * L / 2),
                of(
                        "simple, point in the middle: sag P L³ / 48 EI",
                        halves().pinned("A").pinned("B").push("M", 0, 0, -P),
                        sag(1),
                        P * L * L * L / (48 * E * I)),
                of(
                        "simple, point at a: moment P a b / L at its station",
                        one().pinned("A").pinned("B").point("m", a, P),
                        x -> maxMoment(x),
                        P * a * b / L - P * a / L * 0.01),
                of(
                        "simple, point at a: shear either side differs by P",
                        one().pinned("A").pinned("B").point("m", a, P),
                        x -> jump(x),
                        P),
                of(
                        "simple, triangle to the right: left reaction w L / 6",
                        one().pinned("A").pinned("B").spread("m", 0, L, 0, W),
                        shear(0, 0),
                        W * L / 6),
                of(
                        "simple, uniform over the left half: right reaction w L / 8",
                        one().pinned("A").pinned("B").spread("m", 0, L / 2, W, W),
                        shear(0, -1),
                        -W * L / 8),
                of(
                        "simple, couple at the left third: reaction M / L",
                        one().pinned("A").pinned("B").couple("m", L / 3, 6e7),
                        shear(0, 0),
                        -6e7 / L));
    }

    private static double maxMoment(Analysis a) {
        double m = 0;
        for (int s = 0; s < a.stationCount(0); s++) {
            m = Math.max(m, a.force(0, 0, s, Analysis.MY));
        }
        return m;
    }

    private static double jump(Analysis a) {
        double worst = 0;
        for (int s = 0; s + 1 < a.stationCount(0); s++) {
            worst = Math.max(worst, a.force(0, 0, s, Analysis.VZ) - a.force(0, 0, s + 1, Analysis.VZ));
        }
        return worst;
    }

    private static List<Case> fixed() {
        double a = 2000;
        double b = L - a;
        return List.of(
                of(
                        "fixed, uniform: end moment −w L² / 12",
                        one().fixed("A").fixed("B").spread("m", 0, L, W, W),
                        moment(0, 0),
                        -W * L * L / 12),
                of(
                        "fixed, uniform: middle w L² / 24",
                        one().fixed("A").fixed("B").spread("m", 0, L, W, W),
                        moment(0, 5),
                        W * L * L / 24),
                of(
                        "fixed, uniform: sag w L⁴ / 384 EI",
                        bothSpread(halves().fixed("A").fixed("B")),
                        sag(1),
                        W * L * L * L * L / (384 * E * I)),
                of(
                        "fixed, point at a: left moment −P a b² / L²",
                        one().fixed("A").fixed("B").point("m", a, P),
                        moment(0, 0),
                        -P * a * b * b / (L * L)),
                of(
                        "fixed, triangle to the right: right moment −w L² / 20",
                        one().fixed("A").fixed("B").spread("m", 0, L, 0, W),
                        moment(0, -1),
                        -W * L * L / 20),
                of(
                        "fixed, triangle to the right: left moment −w L² / 30",
                        one().fixed("A").fixed("B").spread("m", 0, L, 0, W),
                        moment(0, 0),
                        -W * L * L / 30),
                of(
                        "fixed, uniform over the left half: left moment −11 w L² / 192",
                        one().fixed("A").fixed("B").spread("m", 0, L / 2, W, W),
                        moment(0, 0),
                        -11 * W * L * L / 192),
                of(
                        "propped, uniform: fixed end −w L² / 8",
                        one().fixed("A").pinned("B").spread("m", 0, L, W, W),
                        moment(0, 0),
                        -W * L * L / 8),
                of(
                        "propped by a release instead of a support",
                        new ModelBuilder()
                                .joint("A", 0, 0, 0)
                                .joint("B", L, 0, 0)
                                .beam("m", "A", "B", Release.NONE, Release.PIN, 0, 0)
                                .fixed("A")
                                .fixed("B")
                                .spread("m", 0, L, W, W),
                        moment(0, 0),
                        -W * L * L / 8),
                of(
                        "propped, point in the middle: prop 5 P / 16",
                        one().fixed("A").pinned("B").point("m", L / 2, P),
                        x -> x.reaction(0, 1, 2),
                        5 * P / 16));
    }

    private static List<Case> cantilever() {
        return List.of(
                of(
                        "cantilever, point at the tip: sag P L³ / 3 EI",
                        one().fixed("A").push("B", 0, 0, -P),
                        sag(1),
                        P * L * L * L / (3 * E * I)),
                of(
                        "cantilever, uniform: tip w L⁴ / 8 EI",
                        one().fixed("A").spread("m", 0, L, W, W),
                        sag(1),
                        W * L * L * L * L / (8 * E * I)),
                of(
                        "cantilever, triangle heavy at the root: tip w L⁴ / 30 EI",
                        one().fixed("A").spread("m", 0, L, W, 0),
                        sag(1),
                        W * L * L * L * L / (30 * E * I)),
                of(
                        "cantilever with a rigid root c: tip P (L − c)³ / 3 EI",
                        new ModelBuilder()
                                .joint("A", 0, 0, 0)
                                .joint("B", L, 0, 0)
                                .beam("m", "A", "B", Release.NONE, Release.NONE, 1000, 0)
                                .fixed("A")
                                .push("B", 0, 0, -P),
                        sag(1),
                        P * 5000.0 * 5000 * 5000 / (3 * E * I)),
                of(
                        "load on the rigid root reaches the support",
                        new ModelBuilder()
                                .joint("A", 0, 0, 0)
                                .joint("B", L, 0, 0)
                                .beam("m", "A", "B", Release.NONE, Release.NONE, 1000, 0)
                                .fixed("A")
                                .spread("m", 0, L, W, W),
                        x -> x.reaction(0, 0, 4),
                        -W * L * L / 2),
                of("half the stiffness, twice the sag", factor(0.5), sag(1), 2 * P * L * L * L / (3 * E * I)));
    }

    private static ModelBuilder factor(double iy) {
        ModelBuilder b = one().fixed("A").push("B", 0, 0, -P);
        b.members.set(
                0,
                new Member("m", Role.BEAM, "A", "B", "S", "C", 0, null, null, 0, 0, new StiffnessFactors(1, iy, 1, 1)));
        return b;
    }

    private static List<Case> continuous() {
        ModelBuilder two = new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("B", L, 0, 0)
                .joint("C", 2 * L, 0, 0)
                .beam("m1", "A", "B")
                .beam("m2", "B", "C")
                .pinned("A")
                .pinned("B")
                .pinned("C")
                .spread("m1", 0, L, W, W)
                .spread("m2", 0, L, W, W);
        ModelBuilder three = new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("B", L, 0, 0)
                .joint("C", 2 * L, 0, 0)
                .joint("D", 3 * L, 0, 0)
                .beam("m1", "A", "B")
                .beam("m2", "B", "C")
                .beam("m3", "C", "D")
                .pinned("A")
                .pinned("B")
                .pinned("C")
                .pinned("D")
                .spread("m1", 0, L, W, W)
                .spread("m2", 0, L, W, W)
                .spread("m3", 0, L, W, W);
        ModelBuilder against = new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("B", L, 0, 0)
                .joint("C", 2 * L, 0, 0)
                .beam("m1", "A", "B")
                .beam("m2", "C", "B")
                .pinned("A")
                .pinned("B")
                .pinned("C")
                .spread("m1", 0, L, W, W)
                .spread("m2", 0, L, W, W);
        return List.of(
                of("two spans, uniform: −w L² / 8 over the support", two, moment(0, -1), -W * L * L / 8),
                of("two spans, a member turned round: the same", against, moment(1, -1), -W * L * L / 8),
                of("three spans, uniform: −w L² / 10", three, moment(1, 0), -W * L * L / 10),
                of("three spans, uniform: middle span 0.025 w L²", three, moment(1, 5), 0.025 * W * L * L));
    }

    private static List<Case> frames() {
        double h = 4000;
        ModelBuilder portal = new ModelBuilder()
                .section("S", 400, 400)
                .joint("A", 0, 0, 0)
                .joint("B", 0, 0, h)
                .joint("C", L, 0, h)
                .joint("D", L, 0, 0)
                .column("c1", "A", "B")
                .beam("b", "B", "C")
                .column("c2", "D", "C")
                .fixed("A")
                .fixed("D")
                .push("B", P, 0, 0);
        // Kleinlogel, frame with fixed feet, horizontal load at the eaves; axially stiff: factor the area up
        portal.members.replaceAll(m -> new Member(
                m.id(),
                m.role(),
                m.start(),
                m.end(),
                "S",
                "C",
                0,
                null,
                null,
                0,
                0,
                new StiffnessFactors(1e6, 1, 1, 1)));
        double k = h / L; // stiffness of the beam over that of a column, one section for both
        double foot = P * h / 2 * (3 * k + 1) / (6 * k + 1);
        double axial = P / (300 * 600.0) / E * L;
        ModelBuilder bar = one().fixed("A").push("B", P, 0, 0);
        ModelBuilder shaft = one().fixed("A");
        shaft.memberLoads.add(new MemberLoad("P", "m", MemberLoad.Kind.MOMENT, Direction.GLOBAL_X, L, L, 4e7, 0));
        double gj = E / 2.4 * Shape.rectangleJ(300, 600);
        return List.of(
                of(
                        "portal, push at the eaves: foot moment",
                        portal,
                        x -> Math.abs(x.force(0, 0, 0, Analysis.MZ) + x.force(0, 0, 0, Analysis.MY)),
                        foot),
                of("bar in tension: N L / EA", bar, x -> x.displacement(0, 1, 0), axial),
                of("bar in tension: N positive", bar, x -> x.force(0, 0, 3, Analysis.N), P),
                of("shaft: twist T L / GJ", shaft, x -> x.displacement(0, 1, 3), 4e7 * L / gj),
                of("shaft: torque positive on the positive face", shaft, x -> x.force(0, 0, 3, Analysis.T), 4e7));
    }

    private static List<Case> space() {
        ModelBuilder flat = one().fixed("A").push("B", 0, 0, -P);
        flat.members.set(
                0,
                new Member("m", Role.BEAM, "A", "B", "S", "C", Math.PI / 2, null, null, 0, 0, StiffnessFactors.GROSS));
        double weak = 600 * 300.0 * 300 * 300 / 12;
        ModelBuilder alongY = new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("B", 0, L, 0)
                .beam("m", "A", "B")
                .fixed("A")
                .push("B", 0, 0, -P);
        ModelBuilder slope = new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("B", 4800, 0, 3600)
                .beam("m", "A", "B")
                .fixed("A")
                .fixed("B");
        slope.memberLoads.add(
                new MemberLoad("P", "m", MemberLoad.Kind.DISTRIBUTED, Direction.PROJECTED_Z, 0, L, -W, -W));
        // two cantilever columns of stiffness ratio 2, tied by a diaphragm, pushed in the centre of stiffness
        ModelBuilder tied = new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("B", 0, 0, 3000)
                .joint("C", L, 0, 0)
                .joint("D", L, 0, 3000)
                .column("c1", "A", "B")
                .column("c2", "C", "D")
                .fixed("A")
                .fixed("C")
                .push("B", 0, P, 0)
                .push("D", 0, P, 0);
        tied.diaphragms.add(new Diaphragm("D", List.of("B", "D")));
        ModelBuilder own = one().pinned("A").pinned("B");
        own.cases.set(0, new LoadCase("P", "own weight", CaseKind.DEAD, 1));
        ModelBuilder roller = one();
        roller.supports.add(new Support("A", true, true, true, true, false, true));
        roller.supports.add(new Support("B", false, true, true, false, false, false));
        roller.push("B", P, 0, 0);
        return List.of(
                of("turned by 90°: bends about the weak axis", flat, sag(1), P * L * L * L / (3 * E * weak)),
                of("along Y: the same as along X", alongY, sag(1), P * L * L * L / (3 * E * I)),
                of(
                        "slope, load on plan: vertical reaction w times plan length / 2",
                        slope,
                        x -> x.reaction(0, 0, 2),
                        W * 4800 / 2),
                of("diaphragm: both columns take the same push", tied, x -> x.reaction(0, 0, 1), -P),
                of(
                        "own weight of a simple beam: reaction g L / 2",
                        own,
                        x -> x.reaction(0, 0, 2),
                        25e-6 * 300 * 600 * L / 2),
                of("roller: the pinned end takes the thrust", roller, x -> x.reaction(0, 0, 0), -P));
    }

    /** A square panel on four simple edge beams, and a rectangle one way and two ways. */
    private static List<Case> panels() {
        return List.of(
                of(
                        "square panel, two-way: edge moment q a³ / 24",
                        slab(L, L, false, 0),
                        moment(0, 5),
                        5e-3 * L * L * L / 24),
                of(
                        "rectangle, two-way: the short edge takes q a² / 4",
                        slab(L, 9000, false, 0),
                        shear(0, 0),
                        5e-3 * L * L / 4 / 2),
                of(
                        "rectangle, one way along Y: the edge along X takes q b / 2",
                        slab(L, 9000, true, Math.PI / 2),
                        shear(0, 0),
                        5e-3 * 9000 / 2 * L / 2),
                of(
                        "rectangle, one way along Y: the edges along Y take nothing",
                        slab(L, 9000, true, Math.PI / 2),
                        shear(1, 0),
                        0),
                of(
                        "skew one-way strip keeps the whole load",
                        slab(L, 9000, true, 0.6),
                        a -> {
                            double sum = 0;
                            for (int j = 0; j < 4; j++) {
                                sum += a.reaction(0, j, 2);
                            }
                            return sum;
                        },
                        5e-3 * L * 9000));
    }

    private static ModelBuilder slab(double a, double b, boolean oneWay, double angle) {
        ModelBuilder m = new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("B", a, 0, 0)
                .joint("C", a, b, 0)
                .joint("D", 0, b, 0);
        String[][] sides = {{"A", "B"}, {"B", "C"}, {"D", "C"}, {"A", "D"}};
        for (String[] s : sides) {
            m.beam("e" + s[0] + s[1], s[0], s[1], Release.PIN, Release.PIN, 0, 0);
        }
        for (String j : List.of("A", "B", "C", "D")) {
            m.fixed(j);
        }
        m.panels.add(new SlabPanel("S", List.of("A", "B", "C", "D"), 150, 0, oneWay, angle));
        m.areaLoads.add(new AreaLoad("P", "S", 5e-3));
        return m;
    }
}
