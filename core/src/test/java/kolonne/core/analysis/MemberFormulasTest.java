package kolonne.core.analysis;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import kolonne.core.model.AnalysisOptions;
import kolonne.core.model.Combination;
import kolonne.core.model.Diaphragm;
import kolonne.core.model.Direction;
import kolonne.core.model.JointLoad;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Release;
import kolonne.core.model.Settlement;
import kolonne.core.model.Spring;
import kolonne.core.model.StiffnessFactors;
import kolonne.core.model.Support;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Every load shape, connection and support against formulas. R: W. C. Young, R. G. Budynas, Roark's Formulas for Stress and
 * Strain, 7th ed., table 8.1 (beams), 8.10 (axially loaded). T: S. Timoshenko, J. Gere, Theory of Elastic Stability, 2nd ed.,
 * ch. 1. G: J. Gere, S. Timoshenko, Mechanics of Materials, 4th ed., app. G and sec. 9.10 (shear deflection). Where no table
 * has the case the formula is derived beside it. Solutions are exact but for P-Delta; 1e-6 is the solver's rounding.
 */
class MemberFormulasTest {
    private static final double L = 6000;
    private static final double W = 20;
    private static final double P = 50_000;
    private static final double C = 6e7;
    private static final double E = ModelBuilder.E;
    private static final double G = E / 2.4;
    private static final double B = 300;
    private static final double H = 600;
    private static final double I = B * H * H * H / 12;
    private static final double IZ = H * B * B * B / 12;
    private static final double AS = B * H / 1.2;
    private static final double J = kolonne.core.shape.Shape.rectangleJ(B, H);

    record Case(String name, ModelBuilder model, ToDoubleFunction<Analysis> value, double expected, double tolerance) {
        @Override
        public String toString() {
            return name;
        }
    }

    private static final List<Case> CASES = new ArrayList<>();

    @ParameterizedTest(name = "{0}")
    @MethodSource("cases")
    void matchesTheFormula(Case c) {
        Analysis a = c.model.solve();
        assertEquals(
                c.expected,
                c.value.applyAsDouble(a),
                c.tolerance * (c.expected == 0 ? 1 : Math.abs(c.expected)),
                c.name);
        assertEquals(0, a.residual(0), 1e-9, "equilibrium of every joint");
    }

    static Stream<Case> cases() {
        CASES.clear();
        builtIn();
        pinned();
        axialAndTorsion();
        connections();
        supports();
        shearDeformation();
        secondOrder();
        return CASES.stream();
    }

    private static void of(String name, ModelBuilder m, ToDoubleFunction<Analysis> v, double expected) {
        CASES.add(new Case(name, m, v, expected, 1e-6));
    }

    private static ModelBuilder bar() {
        return new ModelBuilder().joint("A", 0, 0, 0).joint("B", L, 0, 0).beam("m", "A", "B");
    }

    private static ModelBuilder bar(Release a, Release b) {
        return new ModelBuilder().joint("A", 0, 0, 0).joint("B", L, 0, 0).beam("m", "A", "B", a, b, 0, 0);
    }

    private static ModelBuilder load(
            ModelBuilder b, MemberLoad.Kind kind, Direction d, double from, double to, double w1, double w2) {
        b.memberLoads.add(new MemberLoad("P", "m", kind, d, from, to, w1, w2));
        return b;
    }

    private static ModelBuilder fixed(ModelBuilder b) {
        return b.fixed("A").fixed("B");
    }

    private static ToDoubleFunction<Analysis> start(int component) {
        return a -> a.force(0, 0, 0, component);
    }

    private static ToDoubleFunction<Analysis> end(int component) {
        return a -> a.force(0, 0, a.stationCount(0) - 1, component);
    }

    private static ToDoubleFunction<Analysis> moves(int joint, int direction) {
        return a -> a.displacement(0, joint, direction);
    }

    private static void builtIn() {
        double a = 2000;
        double b = L - a;
        of(
                "built in, uniform: M = −wL²/12 (R 2d)",
                fixed(bar()).spread("m", 0, L, W, W),
                start(Analysis.MY),
                -W * L * L / 12);
        of(
                "built in, triangle rising to the right: MA = −wL²/30 (R 2d)",
                fixed(bar()).spread("m", 0, L, 0, W),
                start(Analysis.MY),
                -W * L * L / 30);
        of(
                "built in, triangle rising to the right: MB = −wL²/20",
                fixed(bar()).spread("m", 0, L, 0, W),
                end(Analysis.MY),
                -W * L * L / 20);
        of(
                "built in, triangle falling to the right: MB = −wL²/30",
                fixed(bar()).spread("m", 0, L, W, 0),
                end(Analysis.MY),
                -W * L * L / 30);
        of(
                "built in, point at a: MA = −Pab²/L² (R 1d)",
                fixed(bar()).point("m", a, P),
                start(Analysis.MY),
                -P * a * b * b / L / L);
        of(
                "built in, point at a: MB = −Pa²b/L²",
                fixed(bar()).point("m", a, P),
                end(Analysis.MY),
                -P * a * a * b / L / L);
        of(
                "built in, point at a: RA = Pb²(3a + b)/L³",
                fixed(bar()).point("m", a, P),
                start(Analysis.VZ),
                P * b * b * (3 * a + b) / L / L / L);
        of(
                "built in, uniform on the left half: MA = −11wL²/192 (G)",
                fixed(bar()).spread("m", 0, L / 2, W, W),
                start(Analysis.MY),
                -11 * W * L * L / 192);
        of(
                "built in, uniform on the left half: MB = −5wL²/192 (G)",
                fixed(bar()).spread("m", 0, L / 2, W, W),
                end(Analysis.MY),
                -5 * W * L * L / 192);
        // integral of the point load's formula from a to L
        of(
                "built in, uniform from a to the end: MA = −∫w x(L − x)²/L² dx",
                fixed(bar()).spread("m", a, L, W, W),
                start(Analysis.MY),
                -W / (L * L) * (primitive(L) - primitive(a)));
        of(
                "built in, couple at a: jump in MY equals the couple (R 3d)",
                fixed(bar()).couple("m", a, C),
                x -> jump(x, Analysis.MY),
                C);
        of(
                "built in, couple at a: V = −6Cab/L³ (R 3d)",
                fixed(bar()).couple("m", a, C),
                start(Analysis.VZ),
                -6 * C * a * b / L / L / L);
        of(
                "built in, couple at L/4: MA = Cb(2a − b)/L² (R 3d)",
                fixed(bar()).couple("m", L / 4, C),
                x -> Math.abs(x.force(0, 0, 0, Analysis.MY)),
                Math.abs(C * 0.75 * (0.5 - 0.75)));
        of(
                "built in, distributed couple c: no shear but V = −c (R 3d integrated)",
                load(fixed(bar()), MemberLoad.Kind.DISTRIBUTED_MOMENT, Direction.GLOBAL_Y, 0, L, 4000, 4000),
                start(Analysis.VZ),
                -4000);
        of(
                "built in, uniform sideways: Mz = −wL²/12",
                load(fixed(bar()), MemberLoad.Kind.DISTRIBUTED, Direction.GLOBAL_Y, 0, L, -W, -W),
                start(Analysis.MZ),
                -W * L * L / 12);
        of(
                "built in, point sideways along local y: Mz = −PL/8",
                load(fixed(bar()), MemberLoad.Kind.POINT, Direction.LOCAL_Y, L / 2, L / 2, -P, 0),
                start(Analysis.MZ),
                -P * L / 8);
        of(
                "built in, trapezium 10 to 30: MA = −(wL²/12 + ΔwL²/30)",
                fixed(bar()).spread("m", 0, L, 10, 30),
                start(Analysis.MY),
                -(10 * L * L / 12 + 20 * L * L / 30));
        ModelBuilder slope = new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("B", 4800, 0, 3600)
                .beam("m", "A", "B")
                .fixed("A")
                .fixed("B");
        of(
                "built in, sloping, load on the plan: M = −w(L cos)²/12",
                load(slope, MemberLoad.Kind.DISTRIBUTED, Direction.PROJECTED_Z, 0, L, -W, -W),
                start(Analysis.MY),
                -W * 4800 * 4800 / 12);
        ModelBuilder along = new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("B", 4800, 0, 3600)
                .beam("m", "A", "B")
                .fixed("A")
                .fixed("B");
        of(
                "built in, sloping, load on the slope: M = −wL·L cos/12",
                load(along, MemberLoad.Kind.DISTRIBUTED, Direction.GLOBAL_Z, 0, L, -W, -W),
                start(Analysis.MY),
                -W * L * 4800 / 12);
        ModelBuilder local = new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("B", 4800, 0, 3600)
                .beam("m", "A", "B")
                .fixed("A")
                .fixed("B");
        of(
                "built in, sloping, load square to the axis: M = −wL²/12",
                load(local, MemberLoad.Kind.DISTRIBUTED, Direction.LOCAL_Z, 0, L, -W, -W),
                start(Analysis.MY),
                -W * L * L / 12);
        of(
                "built in, two points at the thirds: M = −2PL/9",
                fixed(bar()).point("m", L / 3, P).point("m", 2 * L / 3, P),
                start(Analysis.MY),
                -2 * P * L / 9);
    }

    private static double primitive(double x) {
        return L * L * x * x / 2 - 2 * L * x * x * x / 3 + x * x * x * x / 4;
    }

    private static double jump(Analysis a, int component) {
        double most = 0;
        for (int s = 0; s + 1 < a.stationCount(0); s++) {
            if (a.stationX(0, s + 1) - a.stationX(0, s) < 0.1) {
                double v = a.force(0, 0, s, Analysis.VZ) * (a.stationX(0, s + 1) - a.stationX(0, s));
                most = Math.max(most, Math.abs(a.force(0, 0, s + 1, component) - a.force(0, 0, s, component) - v));
            }
        }
        return most;
    }

    private static void pinned() {
        of(
                "cantilever, uniform: tip −wL⁴/8EI (R 2a)",
                bar().fixed("A").spread("m", 0, L, W, W),
                moves(1, 2),
                -W * Math.pow(L, 4) / 8 / E / I);
        of(
                "cantilever, triangle falling to the tip: tip −wL⁴/30EI (G 1-8)",
                bar().fixed("A").spread("m", 0, L, W, 0),
                moves(1, 2),
                -W * Math.pow(L, 4) / 30 / E / I);
        of(
                "cantilever, point at a: tip −Pa²(3L − a)/6EI (G 1-5)",
                bar().fixed("A").point("m", 2000, P),
                moves(1, 2),
                -P * 4e6 * (3 * L - 2000) / 6 / E / I);
        of(
                "cantilever, couple at the tip: slope CL/EI (G 1-6)",
                withCouple(bar().fixed("A")),
                moves(1, 4),
                C * L / E / I);
        of(
                "cantilever, sideways point at the tip: PL³/3EIz",
                bar().fixed("A").push("B", 0, P, 0),
                moves(1, 1),
                P * L * L * L / 3 / E / IZ);
        of(
                "simple, uniform: end slope wL³/24EI (G 2-1)",
                bar().pinned("A").pinned("B").spread("m", 0, L, W, W),
                moves(0, 4),
                W * L * L * L / 24 / E / I);
        of(
                "simple, triangle: zero shear at L/√3, M = wL²/9√3 (G 2-11)",
                bar().pinned("A").pinned("B").spread("m", 0, L, 0, W),
                a -> largest(a, Analysis.MY),
                W * L * L / 9 / Math.sqrt(3));
        of(
                "simple, uniform on the left 0.4 L: M at zero shear R²/2w",
                bar().pinned("A").pinned("B").spread("m", 0, 0.4 * L, W, W),
                a -> largest(a, Analysis.MY),
                Math.pow(W * 0.4 * L * 0.8, 2) / 2 / W);
    }

    private static ModelBuilder withCouple(ModelBuilder b) {
        b.jointLoads.add(new JointLoad("P", "B", 0, 0, 0, 0, C, 0));
        return b;
    }

    private static double largest(Analysis a, int component) {
        double most = 0;
        for (int s = 0; s < a.stationCount(0); s++) {
            most = Math.max(most, a.force(0, 0, s, component));
        }
        return most;
    }

    private static void axialAndTorsion() {
        of(
                "hung bar, axial spread q: N at the top qL",
                load(bar().fixed("A"), MemberLoad.Kind.DISTRIBUTED, Direction.LOCAL_X, 0, L, W, W),
                start(Analysis.N),
                W * L);
        of(
                "hung bar, axial spread q: tip qL²/2EA",
                load(bar().fixed("A"), MemberLoad.Kind.DISTRIBUTED, Direction.LOCAL_X, 0, L, W, W),
                moves(1, 0),
                W * L * L / 2 / E / B / H);
        of(
                "held at both ends, axial point at a: N = Pb/L",
                load(fixed(bar()), MemberLoad.Kind.POINT, Direction.GLOBAL_X, 2000, 2000, P, 0),
                start(Analysis.N),
                P * 4000 / L);
        of(
                "shaft, torque at the tip: twist TL/GJ (R table 10.1)",
                torque(bar().fixed("A")),
                moves(1, 3),
                C * L / G / J);
        of(
                "shaft held at both ends, torque at a: T = Cb/L",
                load(fixed(bar()), MemberLoad.Kind.MOMENT, Direction.LOCAL_X, 2000, 2000, C, 0),
                start(Analysis.T),
                C * 4000 / L);
        of(
                "shaft held at both ends, torque spread t: T = tL/2",
                load(fixed(bar()), MemberLoad.Kind.DISTRIBUTED_MOMENT, Direction.LOCAL_X, 0, L, 5000, 5000),
                start(Analysis.T),
                5000 * L / 2);
        of(
                "shaft, torque spread t: twist tL²/2GJ",
                load(bar().fixed("A"), MemberLoad.Kind.DISTRIBUTED_MOMENT, Direction.GLOBAL_X, 0, L, 5000, 5000),
                moves(1, 3),
                5000 * L * L / 2 / G / J);
    }

    private static ModelBuilder torque(ModelBuilder b) {
        b.jointLoads.add(new JointLoad("P", "B", 0, 0, 0, C, 0, 0));
        return b;
    }

    private static void connections() {
        Release hinge = Release.of(false, false, false, false, true, false);
        Release turns = Release.of(false, false, false, false, false, true);
        Release slides = Release.of(false, false, true, false, false, false);
        Release stretches = Release.of(true, false, false, false, false, false);
        Release twists = Release.of(false, false, false, true, false, false);
        of(
                "hinge at the end, uniform: MA = −wL²/8 (R 2c)",
                fixed(bar(Release.NONE, hinge)).spread("m", 0, L, W, W),
                start(Analysis.MY),
                -W * L * L / 8);
        of(
                "hinge at the end, uniform: RB = 3wL/8",
                fixed(bar(Release.NONE, hinge)).spread("m", 0, L, W, W),
                end(Analysis.VZ),
                -3 * W * L / 8);
        of(
                "hinge at the start, point in the middle: MB = −3PL/16 (R 1c)",
                fixed(bar(hinge, Release.NONE)).point("m", L / 2, P),
                end(Analysis.MY),
                -3 * P * L / 16);
        of(
                "hinge at the end, triangle rising to it: MA = −7wL²/120 (R 2c)",
                fixed(bar(Release.NONE, hinge)).spread("m", 0, L, 0, W),
                start(Analysis.MY),
                -7 * W * L * L / 120);
        of(
                "hinge at the end, couple at it: none carried over",
                coupleAt(fixed(bar(Release.NONE, hinge))),
                start(Analysis.MY),
                0);
        of(
                "hinges at both ends, uniform: M = wL²/8",
                fixed(bar(hinge, hinge)).spread("m", 0, L, W, W),
                a -> largest(a, Analysis.MY),
                W * L * L / 8);
        of(
                "hinge about z at the end, sideways uniform: Mz = −wL²/8",
                load(fixed(bar(Release.NONE, turns)), MemberLoad.Kind.DISTRIBUTED, Direction.LOCAL_Y, 0, L, -W, -W),
                start(Analysis.MZ),
                -W * L * L / 8);
        of(
                "slide at the end, uniform: MA = −wL²/3 (R 2b)",
                fixed(bar(Release.NONE, slides)).spread("m", 0, L, W, W),
                start(Analysis.MY),
                -W * L * L / 3);
        of(
                "slide at the end, uniform: no shear there",
                fixed(bar(Release.NONE, slides)).spread("m", 0, L, W, W),
                end(Analysis.VZ),
                0);
        of(
                "axial release: all of the pull goes to the other end",
                load(fixed(bar(Release.NONE, stretches)), MemberLoad.Kind.POINT, Direction.LOCAL_X, L / 2, L / 2, P, 0),
                start(Analysis.N),
                P);
        of(
                "torsional release: all of the torque goes to the other end",
                load(fixed(bar(Release.NONE, twists)), MemberLoad.Kind.MOMENT, Direction.LOCAL_X, L / 2, L / 2, C, 0),
                start(Analysis.T),
                C);
        // both ends on springs k: rotation (wL²/12) / (k + 2EI/L), moment k times that
        double k = 2e10;
        Release semi = new Release(Release.RIGID, Release.RIGID, Release.RIGID, Release.RIGID, k, Release.RIGID);
        of(
                "semi-rigid at both ends, uniform: M = −wL²/12 · k/(k + 2EI/L)",
                fixed(bar(semi, semi)).spread("m", 0, L, W, W),
                start(Analysis.MY),
                -W * L * L / 12 * k / (k + 2 * E * I / L));
        of(
                "semi-rigid at one end: MB = −wL²/8 · k/(k + 3EI/L)",
                fixed(bar(hinge, semi)).spread("m", 0, L, W, W),
                end(Analysis.MY),
                -W * L * L / 8 * k / (k + 3 * E * I / L));
        // axial spring in series with the bar
        double ka = 1e5;
        Release soft = new Release(ka, Release.RIGID, Release.RIGID, Release.RIGID, Release.RIGID, Release.RIGID);
        of(
                "soft axial connection: pull P stretches P(L/EA + 1/k)",
                bar(soft, Release.NONE).fixed("A").push("B", P, 0, 0),
                moves(1, 0),
                P * (L / E / B / H + 1 / ka));
        // cantilever on a rotation spring: PL³/3EI + PL²/k
        of(
                "cantilever on a soft connection: tip P L³/3EI + P L²/k",
                bar(semi, Release.NONE).fixed("A").push("B", 0, 0, -P),
                moves(1, 2),
                -P * L * L * L / 3 / E / I - P * L * L / k);
    }

    private static ModelBuilder coupleAt(ModelBuilder b) {
        b.supports.clear();
        b.fixed("A");
        b.supports.add(new Support("B", true, true, true, true, false, true));
        b.springs.add(new Spring("B", 0, 0, 0, 0, 1e9, 0));
        b.jointLoads.add(new JointLoad("P", "B", 0, 0, 0, 0, C, 0));
        return b;
    }

    private static void supports() {
        double k = 5000;
        ModelBuilder propped = bar().fixed("A").spread("m", 0, L, W, W);
        propped.springs.add(new Spring("B", 0, 0, k, 0, 0, 0));
        double push = W * Math.pow(L, 4) / 8 / E / I / (L * L * L / 3 / E / I + 1 / k);
        of(
                "cantilever with its tip on a spring: R = (wL⁴/8EI)/(L³/3EI + 1/k)",
                propped,
                a -> a.reaction(0, 1, 2),
                push);
        ModelBuilder turning = bar().spread("m", 0, L, W, W);
        turning.supports.add(new Support("A", true, true, true, true, false, true));
        turning.springs.add(new Spring("A", 0, 0, 0, 0, 3e10, 0));
        turning.fixed("B");
        // far end fixed: rotation (wL²/12)/(k + 4EI/L)
        of(
                "base on a rotation spring, uniform: M = −wL²/12 · k/(k + 4EI/L)",
                turning,
                start(Analysis.MY),
                -W * L * L / 12 * 3e10 / (3e10 + 4 * E * I / L));
        of(
                "built in, end settles δ: M = 6EIδ/L² (G 10)",
                settles(fixed(bar()), -10),
                start(Analysis.MY),
                -6 * E * I * 10 / L / L);
        of(
                "built in, end settles δ: V = −12EIδ/L³",
                settles(fixed(bar()), -10),
                end(Analysis.VZ),
                12 * E * I * 10 / L / L / L);
        of(
                "hinge at the start, end settles δ: MB = 3EIδ/L²",
                settles(fixed(bar(Release.PIN, Release.NONE)), -10),
                end(Analysis.MY),
                3 * E * I * 10 / L / L);
        of("settling support reads its displacement", settles(fixed(bar()), -10), moves(1, 2), -10);
        ModelBuilder rotated = fixed(bar());
        rotated.settlements.add(new Settlement("P", "A", 0, 0, 0, 0, 0.002, 0));
        of(
                "built in, start turned by θ: |MA| = 4EIθ/L",
                rotated,
                a -> Math.abs(a.force(0, 0, 0, Analysis.MY)),
                4 * E * I * 0.002 / L);
        ModelBuilder floating = bar().fixed("A");
        floating.springs.add(new Spring("B", 0, 0, k, 0, 0, 0));
        floating.settlements.add(new Settlement("P", "B", 0, 0, -10, 0, 0, 0));
        double pull = 10 / (L * L * L / 3 / E / I + 1 / k);
        of("tip on a spring whose ground settles δ: R = δ/(L³/3EI + 1/k)", floating, start(Analysis.VZ), pull);
        ModelBuilder two = new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("B", 0, 0, L)
                .joint("C", 4000, 0, 0)
                .joint("D", 4000, 0, L)
                .column("m", "A", "B")
                .column("n", "C", "D")
                .fixed("A")
                .fixed("C")
                .push("B", P, 0, 0);
        two.diaphragms.add(new Diaphragm("F", List.of("B", "D")));
        // the width of an upright member lies along X: it bends about local z
        of(
                "two cantilever columns tied by a rigid floor share a push: PL³/6EIz",
                two,
                moves(3, 0),
                P * L * L * L / 6 / E / IZ);
        ModelBuilder loose = new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("B", 0, 0, L)
                .joint("C", 4000, 0, 0)
                .joint("D", 4000, 0, L)
                .column("m", "A", "B")
                .column("n", "C", "D")
                .fixed("A")
                .fixed("C")
                .push("B", P, 0, 0);
        loose.diaphragms.add(new Diaphragm("F", List.of("B", "D"), false));
        of("the same under a flexible floor: the other column stays", loose, moves(3, 0), 0);
    }

    private static ModelBuilder settles(ModelBuilder b, double by) {
        b.settlements.add(new Settlement("P", "B", 0, 0, by, 0, 0, 0));
        return b;
    }

    private static ModelBuilder shears(ModelBuilder b) {
        b.options = new AnalysisOptions(true, StiffnessFactors.GROSS, StiffnessFactors.GROSS, 0, List.of(), false);
        return b;
    }

    private static void shearDeformation() {
        double phi = 12 * E * I / (G * AS * L * L);
        of(
                "shear: cantilever tip PL³/3EI + PL/GAs (G 9.10)",
                shears(bar().fixed("A").push("B", 0, 0, -P)),
                moves(1, 2),
                -P * L * L * L / 3 / E / I - P * L / G / AS);
        of(
                "shear: cantilever, uniform: wL⁴/8EI + wL²/2GAs",
                shears(bar().fixed("A").spread("m", 0, L, W, W)),
                moves(1, 2),
                -W * Math.pow(L, 4) / 8 / E / I - W * L * L / 2 / G / AS);
        of(
                "shear: built in, uniform: moment unchanged",
                shears(fixed(bar()).spread("m", 0, L, W, W)),
                start(Analysis.MY),
                -W * L * L / 12);
        of(
                "shear: built in, end settles: V = 12EIδ/L³(1 + φ)",
                shears(settles(fixed(bar()), -10)),
                end(Analysis.VZ),
                12 * E * I * 10 / L / L / L / (1 + phi));
        of(
                "shear: propped by a hinge, uniform: RB = (wL⁴/8EI + wL²/2GAs)/(L³/3EI + L/GAs)",
                shears(fixed(bar(Release.NONE, Release.PIN)).spread("m", 0, L, W, W)),
                end(Analysis.VZ),
                -(W * Math.pow(L, 4) / 8 / E / I + W * L * L / 2 / G / AS) / (L * L * L / 3 / E / I + L / G / AS));
        ModelBuilder half = shears(fixed(bar()).spread("m", 0, L, W, W));
        half.members.set(0, half.members.get(0).withStiffness(new StiffnessFactors(1, 1, 0.5, 1, 1, 1)));
        half.settlements.add(new Settlement("P", "B", 0, 0, -10, 0, 0, 0));
        of(
                "shear: half the shear area doubles φ",
                half,
                end(Analysis.VZ),
                -W * L / 2 + 12 * E * I * 10 / L / L / L / (1 + 2 * phi));
    }

    private static void secondOrder() {
        double euler = Math.PI * Math.PI * E * IZ / (4 * L * L);
        for (double part : new double[] {0.1, 0.3, 0.6}) {
            ModelBuilder b = new ModelBuilder();
            int n = 4;
            b.joint("J0", 0, 0, 0).fixed("J0");
            for (int i = 1; i <= n; i++) {
                b.joint("J" + i, 0, 0, L * i / n).column("c" + i, "J" + (i - 1), "J" + i);
            }
            double p = part * euler;
            b.push("J" + n, 1000, 0, -p);
            b.options = new AnalysisOptions(
                    false,
                    StiffnessFactors.GROSS,
                    StiffnessFactors.GROSS,
                    0,
                    List.of(new Combination.Term("P", 1)),
                    false);
            double u = L * Math.sqrt(p / E / IZ);
            // T eq. 1.36: δ = H (tan u − u) / (P k); the cubic's geometric stiffness with four pieces is good to 1e-4
            CASES.add(new Case(
                    "P-Delta: cantilever column at " + part + " of its critical load (T)",
                    b,
                    moves(n, 0),
                    1000 * (Math.tan(u) - u) / (p * u / L),
                    1e-4));
            CASES.add(new Case(
                    "P-Delta: its base moment H tan u / k (T), at " + part,
                    b,
                    a -> Math.abs(a.force(0, 0, 0, Analysis.MZ)),
                    1000 * Math.tan(u) / (u / L),
                    1e-4));
        }
        ModelBuilder tie = bar().pinned("A").spread("m", 0, L, W, W);
        tie.supports.add(new Support("B", false, true, true, true, false, true));
        tie.push("B", 2e6, 0, 0);
        tie.options = new AnalysisOptions(
                false, StiffnessFactors.GROSS, StiffnessFactors.GROSS, 0, List.of(new Combination.Term("P", 1)), false);
        double u = L / 2 * Math.sqrt(2e6 / E / I);
        // T eq. 1.52: M = wL²/8 · 2 (1 − 1/cosh u)/u²; one cubic for the whole bar: 1 %
        CASES.add(new Case(
                "P-Delta: a pull eases the moment in the middle (T)",
                tie,
                a -> largest(a, Analysis.MY),
                W * L * L / 8 * 2 * (1 - 1 / Math.cosh(u)) / u / u,
                0.01));
    }
}
