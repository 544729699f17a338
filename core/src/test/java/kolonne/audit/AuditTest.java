package kolonne.audit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import kolonne.core.Sweep;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.Varied;
import kolonne.core.basis.part.Ductility;
import kolonne.core.basis.part.EffectiveLengths;
import kolonne.core.basis.part.Frame;
import kolonne.core.basis.part.Sway;
import kolonne.core.code.Bar;
import kolonne.core.column.cage.BarLayout;
import kolonne.core.column.cage.HandLift;
import kolonne.core.column.cage.RectangleBars;
import kolonne.core.column.cage.RingBars;
import kolonne.core.column.cage.TieSpacing;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.demand.Sidesway;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.design.Decisions;
import kolonne.core.design.DesignedDemo;
import kolonne.core.design.HandSet;
import kolonne.core.design.RandomFrame;
import kolonne.core.model.AnalysisOptions;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Combination;
import kolonne.core.model.Role;
import kolonne.core.model.StiffnessFactors;
import kolonne.core.shape.Shape;
import kolonne.core.type.Curve;
import kolonne.core.type.CurveMaker;
import kolonne.core.type.Types;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Every designed member read again from its drawing by somebody who does not know the designer: satisfied by both or failing in both. Fibres and
 * interpolation leave 2 %; members within that of the limit may go either way. Differences are printed.
 */
class AuditTest {
    private static final List<String> CODES = List.of("aci-318m-19", "aci-318-19", "en-1992-1-1");

    private static Basis basis(int code) {
        return Basis.standard(CODES.get(code));
    }

    /** Of members that let a frame sway. */
    private static final StiffnessFactors SOFT = new StiffnessFactors(1, 0.05, 0.05, 0.05, 0.05, 0.05);

    private static BuildingDesign design(Building b, Basis basis) {
        return BuildingDesigner.design(
                FrameAnalysis.solve(new BuildingIndex(b)), basis, BuildingDesigner.Progress.NONE);
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2})
    void theDemoByEveryCode(int code) {
        List<String> differences = new ArrayList<>();
        // a smaller building of the same features; the whole one in the long run
        boolean whole = Sweep.of(0, 1) == 1;
        DemoOptions some = code == 0 ? DesignedDemo.MIDDLE : DesignedDemo.SMALL;
        BuildingDesign d = DesignedDemo.by(whole ? DemoOptions.VELDHAVEN : some, basis(code));
        int read = Audit.read(d, differences);
        assertTrue(read > (whole ? 400 : code == 0 ? 150 : 70), read + " members");
        Audit.told("the demo, " + CODES.get(code), read, differences);
    }

    /** Every column round and inside a spiral: volume, pitch and the strength that comes with it. */
    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2})
    void roundColumnsInSpiralsByEveryCode(int code) {
        BuildingDesign d = DesignedDemo.spirals(basis(code));
        List<String> differences = java.util.Collections.synchronizedList(new ArrayList<>());
        int read = Audit.columns(d, differences);
        Audit.told("round columns in spirals, " + CODES.get(code), read, differences);
        assertTrue(read > 20, read + " lifts");
        long good = d.columns().stream().filter(c -> c.satisfied()).count();
        assertTrue(good > 0.6 * d.columns().size(), good + " of " + d.columns().size() + " stacks are satisfied");
    }

    /** Cages at random, most of them bad: kept to the letter, and judged alike by both. */
    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2})
    void columnsSetByHandByEveryCode(int code) {
        BuildingDesign own = DesignedDemo.by(DesignedDemo.SMALL, basis(code));
        Random random = new Random(41 + code);
        Map<String, HandLift> set = new HashMap<>();
        Set<String> stacks = new HashSet<>();
        for (ColumnDesign c : own.columns()) {
            c.stack().lifts().stream().filter(l -> random.nextInt(3) > 0).forEach(l -> {
                set.put(l.member(), byHand(l.section().shape() instanceof Shape.Circle, own.basis(), random));
                stacks.add(c.stack().id());
            });
        }
        BuildingDesign d = own.with(HandSet.ofLifts(set), stacks);
        List<String> differences = java.util.Collections.synchronizedList(new ArrayList<>());
        int read = Audit.columns(d, differences);
        Audit.told("columns set by hand, " + CODES.get(code), read, differences);
        for (ColumnDesign c : d.columns()) {
            for (ColumnDesign.LiftDesign l : c.lifts()) {
                HandLift h = set.getOrDefault(l.lift().member(), HandLift.NONE);
                assertEquals(h, l.hand());
                if (h.bars() != null) {
                    assertEquals(
                            h.bars().unheld(),
                            l.cage().layout().unheld(),
                            c.stack().mark());
                }
                if (h.ties() != null) {
                    assertEquals(h.ties().bar(), l.cage().tie(), c.stack().mark());
                    assertEquals(h.ties().spacing(), l.cage().ties(), c.stack().mark());
                }
            }
        }
        long failing = d.columns().stream().filter(c -> !c.satisfied()).count();
        assertTrue(failing > d.columns().size() / 4 && failing < d.columns().size(), failing + " columns fail");
    }

    /** Columns that a person takes as longer along X and shorter along Y than they are. */
    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2})
    void columnsOfOtherEffectiveLengthsByEveryCode(int code) {
        BuildingDesign usual = DesignedDemo.by(DesignedDemo.SMALL, basis(code));
        BuildingDesign d = DesignedDemo.by(DesignedDemo.SMALL, longer(basis(code)));
        List<String> differences = java.util.Collections.synchronizedList(new ArrayList<>());
        int read = Audit.columns(d, differences);
        Audit.told("columns of other effective lengths, " + CODES.get(code), read, differences);
        assertTrue(
                d.steel(Role.COLUMN).kg() > usual.steel(Role.COLUMN).kg(),
                d.steel(Role.COLUMN) + " against " + usual.steel(Role.COLUMN));
    }

    private static Basis longer(Basis basis) {
        Frame f = basis.frame();
        return basis.with(new Frame(f.swayX(), f.swayY(), 0, f.ductility(), EffectiveLengths.GIVEN, 1.9, 0.7));
    }

    /** By EN's other way of second order, where they are long. */
    @Test
    void columnsByNominalStiffness() {
        Basis curvature = longer(basis(2));
        BuildingDesign d = DesignedDemo.by(DesignedDemo.SMALL, Varied.national(curvature, Map.of("secondOrder", 2.0)));
        List<String> differences = java.util.Collections.synchronizedList(new ArrayList<>());
        Audit.told("columns by nominal stiffness", Audit.columns(d, differences), differences);
        assertNotEquals(
                d.steel(Role.COLUMN).kg(),
                DesignedDemo.by(DesignedDemo.SMALL, curvature)
                        .steel(Role.COLUMN)
                        .kg());
    }

    /** And where the stiffness of what meets at their ends says how long they are. */
    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2})
    void columnsOfLengthsFromTheirEndsByEveryCode(int code) {
        Basis basis = basis(code);
        List<String> differences = java.util.Collections.synchronizedList(new ArrayList<>());
        int read = 0;
        for (int i = 0; i < Sweep.of(2, 4); i++) {
            Building building =
                    i == 0 ? DemoBuilding.generate(DesignedDemo.SMALL) : new RandomFrame(2300 + i).building(code == 1);
            // braced, where lengths are shorter than they are clear, and swaying, where they are not
            Sway sway = i % 2 == 0 ? Sway.BRACED : Sway.FROM_MODEL;
            Frame frame = new Frame(sway, sway, 0, Ductility.NONE, EffectiveLengths.FROM_ENDS, 1, 1);
            read += Audit.columns(design(building, basis.with(frame)), differences);
        }
        Audit.told("columns of lengths from their ends, " + CODES.get(code), read, differences);
    }

    /** A frame out of plumb: its forces stand in every combination, and second order magnifies them. */
    @ParameterizedTest
    @ValueSource(ints = {0, 2})
    void aFrameOutOfPlumb(int code) {
        Building plumb = DemoBuilding.generate(DesignedDemo.SMALL);
        AnalysisOptions o = plumb.options();
        Building building = plumb.withOptions(new AnalysisOptions(
                o.shearDeformation(), o.beams(), o.columns(), o.rigidEnds(), o.pDelta(), false, 0.012));
        BuildingDesign d = design(building, basis(code));
        List<String> differences = new ArrayList<>();
        Audit.told("a frame out of plumb, " + CODES.get(code), Audit.read(d, differences), differences);
        // of beams the cheapest cage may have less steel where more is asked of it, for fewer sizes or changes
        BuildingDesign upright = DesignedDemo.by(DesignedDemo.SMALL, basis(code));
        assertTrue(d.steel(Role.COLUMN).kg() > upright.steel(Role.COLUMN).kg());
    }

    /** Forces of a frame in equilibrium where it has moved under a part of its loads: second order of the rest alone is added. */
    @ParameterizedTest
    @ValueSource(ints = {0, 2})
    void aFrameInItsDeformedShape(int code) {
        List<String> differences = java.util.Collections.synchronizedList(new ArrayList<>());
        int read = 0;
        int swaying = 0;
        for (int i = 0; i < Sweep.of(3, 50); i++) {
            Building straight = new RandomFrame(2300 + i).building(false);
            AnalysisOptions o = straight.options();
            List<Combination.Term> terms = straight.loadCases().stream()
                    .filter(c -> !c.kind().isLateral())
                    .map(c -> new Combination.Term(c.id(), 0.5))
                    .toList();
            Building moved = straight.withOptions(
                    new AnalysisOptions(o.shearDeformation(), SOFT, SOFT, o.rigidEnds(), terms, o.patternLive()));
            BuildingDesign d = design(moved, basis(code));
            read += Audit.read(d, differences);
            Sidesway sway = Sidesway.of(d.analysis(), basis(code));
            List<Double> levels =
                    moved.storeys().stream().map(s -> s.elevation()).sorted().toList();
            Forces forces = new Forces(d.analysis(), Drawn.basis(basis(code)));
            for (int s = 0; s + 1 < levels.size(); s++) {
                for (int axis = 0; axis < 2; axis++) {
                    double m = sway.magnifier(levels.get(s), levels.get(s + 1), axis == 0);
                    double again = forces.magnifier(levels.get(s), levels.get(s + 1), 1 - axis, axis);
                    assertEquals(again, m, 1e-3 * again, "storey " + s + " of frame " + i);
                    swaying += m > 1 && !Double.isInfinite(m) ? 1 : 0;
                }
            }
        }
        Audit.told("frames in their deformed shape, " + CODES.get(code), read, differences);
        assertTrue(swaying > 1, swaying + " storeys sway on");
    }

    private static HandLift byHand(boolean round, Basis basis, Random random) {
        List<Bar> sizes = basis.columnBarList();
        Bar bar = sizes.get(random.nextInt(sizes.size()));
        Bar face = sizes.get(random.nextInt(sizes.size()));
        BarLayout bars = round
                ? new RingBars(3 + random.nextInt(14), bar, random.nextBoolean())
                : new RectangleBars(2 + random.nextInt(5), 2 + random.nextInt(5), bar, face, List.of(), List.of());
        List<Bar> ties = basis.stirrupList();
        double middle = round ? 10 * (3 + random.nextInt(20)) : 25 * (3 + random.nextInt(12));
        double end = random.nextBoolean() ? middle : middle / 2;
        double reach = end < middle ? 300 + 50 * random.nextInt(12) : 0;
        HandLift.Ties t = new HandLift.Ties(
                ties.get(random.nextInt(ties.size())), new TieSpacing(end, end, middle, reach, reach));
        return switch (random.nextInt(3)) {
            case 0 -> new HandLift(bars, null);
            case 1 -> new HandLift(null, t);
            default -> new HandLift(bars, t);
        };
    }

    @Test
    void generatedBuildingsByEveryCode() {
        int frames = Sweep.of(4, 150);
        List<String> differences = java.util.Collections.synchronizedList(new ArrayList<>());
        int read = IntStream.range(0, 3 * frames)
                .parallel()
                .map(i -> {
                    List<String> own = new ArrayList<>();
                    int members =
                            Audit.read(design(new RandomFrame(1000 + i / 3).building(i % 3 == 1), basis(i % 3)), own);
                    own.forEach(d -> differences.add("frame " + i / 3 + " " + CODES.get(i % 3) + " " + d));
                    return members;
                })
                .sum();
        Audit.told(frames + " frames by three codes", read, differences);
    }

    /** Members with the common cage of their type, where there are few types. */
    @Test
    void aBuildingWhoseMembersShareCages() {
        BuildingDesign alone = design(DemoBuilding.generate(new DemoOptions(9, 3, 3, 2, true)), basis(0));
        Curve beams = CurveMaker.beams(alone.beams(), alone.contexts()::beams, 200, CurveMaker.Progress.NONE);
        Curve columns = CurveMaker.columns(alone.columns(), alone.contexts()::columns, 200, CurveMaker.Progress.NONE);
        Types types =
                Types.NONE.adopted(Role.BEAM, fewest(beams), Set.of()).adopted(Role.COLUMN, fewest(columns), Set.of());
        BuildingDesign d = alone.with(Decisions.typed(types), Set.of());
        long shared = d.typed().stream().mapToLong(t -> t.members().size()).sum();
        assertTrue(shared > 15, shared + " members share cages");
        assertTrue(d.quantities().steel() > alone.quantities().steel());
        List<String> differences = new ArrayList<>();
        Audit.told("members that share cages", Audit.read(d, differences), differences);
    }

    private static List<List<String>> fewest(Curve c) {
        List<Curve.Point> points = c.points();
        return c.types(points.get(points.size() - 1).types()).stream()
                .map(Curve.Node::members)
                .toList();
    }
}
