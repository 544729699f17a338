package kolonne.core.column.cage;

import static kolonne.core.column.TwoLifts.narrowing;
import static kolonne.core.column.TwoLifts.stack;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Bars;
import kolonne.core.basis.part.ColumnSplices;
import kolonne.core.basis.part.Ductility;
import kolonne.core.basis.part.Frame;
import kolonne.core.basis.part.Practice;
import kolonne.core.basis.part.Sway;
import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import kolonne.core.column.TwoLifts;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.column.line.ColumnStacks;
import kolonne.core.detail.BarItem;
import kolonne.core.detail.ColumnBars;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.LocalAxes;
import kolonne.core.model.Member;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Section;
import kolonne.core.section.PlacedBar;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Bars of two lifts of 3.6 m between beams 600 deep, f'c 30, fy 420, cover 40, ties T10, by hand. */
class VerticalBarsTest {
    private static final Basis ACI = Basis.standard(false);
    private static final Basis EN = Basis.standard("en-1992-1-1");
    private static final Bar T10 = BarCatalogue.METRIC.find("T10");
    private static final Bar T20 = BarCatalogue.METRIC.find("T20");
    private static final Bar T25 = BarCatalogue.METRIC.find("T25");
    /** Class B of ACI 318-19 25.5.2.1: 1.3 × 420 / (1.7 √30) × 20. */
    private static final double LAP = 1172.8;
    /** Where the floor over the first lift ends. */
    private static final double FLOOR = 3900;

    private static ColumnCage.LiftCage four(Bar bar) {
        return bars(2, 2, bar);
    }

    private static ColumnCage.LiftCage bars(int alongX, int alongY, Bar bar) {
        return new ColumnCage.LiftCage(new RectangleBars(alongX, alongY, bar, bar, List.of(), List.of()), T10, 150);
    }

    private static List<VerticalBars.Standing> of(
            double lower,
            double upper,
            ColumnCage.LiftCage a,
            ColumnCage.LiftCage b,
            VerticalBars.Use use,
            Basis basis) {
        return VerticalBars.of(stack(lower, upper), 0, new ColumnCage(List.of(a, b)), basis).stream()
                .filter(s -> s.use() == use)
                .toList();
    }

    private static VerticalBars.Standing right(List<VerticalBars.Standing> all) {
        return all.stream().filter(s -> s.x() > 0 && s.y() > 0).findFirst().orElseThrow();
    }

    @Test
    void barsAreLedWithinThoseAbove() {
        List<VerticalBars.Standing> all = of(500, 500, four(T20), four(T20), VerticalBars.Use.ON, ACI);
        assertEquals(4, all.size());
        VerticalBars.Standing s = right(all);
        assertEquals(190, s.x(), 1e-9, "250 - 40 - 10 - 10");
        assertEquals(0, s.from(), 1e-9, "from the foundation");
        assertEquals(20, s.crank().aside(), 1e-9, "by its diameter");
        assertEquals(-20 / Math.sqrt(2), s.crank().dx(), 1e-9, "towards the middle");
        assertEquals(FLOOR - 240, s.crank().from(), 1e-9, "1 in 12, where 1 in 6 would do (10.7.4.1)");
        assertEquals(FLOOR, s.crank().to(), 1e-9);
        assertTrue(s.to() >= FLOOR + LAP && s.to() < FLOOR + LAP + 50, "over its lap, on the module: " + s.to());
        assertEquals(0, (3660 + Math.sqrt(240 * 240 + 400) + s.to() - FLOOR) % 50, 1e-6);
    }

    /** By the basis bars lap at every second floor: from the foundation to the cover under the roof, 2 × 3600 + 300 − 40, and none begins in the second lift. */
    @Test
    void barsPassThroughAFloorInOnePiece() {
        ColumnCage cage = new ColumnCage(List.of(four(T20), four(T20)));
        Basis second = ACI.with(ACI.practice().with(1, 2, ColumnSplices.LAPS, true));
        List<VerticalBars.Standing> listed = VerticalBars.of(stack(500, 500), 0, cage, second);
        List<VerticalBars.Standing> own =
                listed.stream().filter(VerticalBars.Standing::own).toList();
        assertEquals(4, own.size());
        assertEquals(8, listed.size(), "with their starter bars");
        assertEquals(190, right(own).x(), 1e-9);
        assertEquals(0, right(own).from(), 1e-9);
        assertEquals(7460, right(own).to(), 1e-9);
        assertNull(right(own).crank());
        assertTrue(VerticalBars.of(stack(500, 500), 1, cage, second).isEmpty());
        List<VerticalBars.Standing> head = VerticalBars.in(stack(500, 500), 1, cage, second);
        assertEquals(4, head.size());
        assertEquals(-3600, right(head).from(), 1e-9);
        assertEquals(3860, right(head).to(), 1e-9);
        assertTrue(VerticalBars.in(stack(500, 500), 0, cage, second).stream().noneMatch(VerticalBars.Standing::own));
    }

    /**
     * They lap where they cannot pass: other bars, another section, ties of another size, or a bar too long to be delivered: 7380 mm, a bend of
     * 110 along its axis and 240 of hook.
     */
    @Test
    void barsThatCannotPassLap() {
        Basis second = ACI.with(ACI.practice().with(1, 2, ColumnSplices.LAPS, true));
        ColumnCage.LiftCage same = four(T20);
        ColumnCage.LiftCage tied = new ColumnCage.LiftCage(same.layout(), BarCatalogue.METRIC.find("T12"), 150);
        assertEquals(BarRuns.End.BARS, why(stack(500, 500), four(T25), second));
        assertEquals(BarRuns.End.SECTION, why(stack(500, 450), same, second));
        assertEquals(BarRuns.End.TIES, why(stack(500, 500), tied, second));
        assertEquals(BarRuns.End.DUE, why(stack(500, 500), same, ACI));
        assertNull(why(stack(500, 500), same, delivered(second, 7735)));
        Basis shorter = delivered(second, 7725);
        assertEquals(BarRuns.End.LENGTH, why(stack(500, 500), same, shorter));
        ColumnCage cage = new ColumnCage(List.of(same, same));
        assertEquals(
                VerticalBars.in(stack(500, 500), 0, same, same, shorter),
                VerticalBars.of(stack(500, 500), 0, cage, shorter),
                "as if they lapped at every floor");
    }

    private static Basis delivered(Basis b, double length) {
        Bars a = b.bars();
        return b.with(new Bars(
                a.beams(), a.columns(), a.stirrups(), a.layersMost(), a.practicalCap(), a.preference(), length));
    }

    private static BarRuns.End why(ColumnStack stack, ColumnCage.LiftCage lower, Basis basis) {
        return BarRuns.of(stack, new ColumnCage(List.of(lower, four(T20))), basis)
                .why(1);
    }

    @Test
    void theLapIsOfTheConcreteAndTheBarsAbove() {
        // 25.5.2.2: ld of T25 is 420 / (1.7 √30) × 25 = 1127.6, under the lap of T20
        VerticalBars.Standing s = right(of(500, 500, four(T25), four(T20), VerticalBars.Use.ON, ACI));
        assertTrue(s.to() >= FLOOR + LAP && s.to() < FLOOR + LAP + 50, "to " + s.to());
        assertEquals(22.5 - 2.5 * Math.sqrt(2), s.crank().aside(), 1e-6, "half of each; T25 stands 2.5 further in");
    }

    /** Bars of special frames lap in the middle of the height: they are led aside there, but where ties over the floor are thicker within the depth of the beams. */
    @Test
    void tiesThatAreThickerOverTheFloor() {
        Basis special = ACI.with(new Frame(Sway.BRACED, Sway.BRACED, 0, Ductility.SPECIAL));
        ColumnCage.LiftCage thick = new ColumnCage.LiftCage(four(T20).layout(), BarCatalogue.METRIC.find("T16"), 150);
        double free = right(of(500, 500, four(T20), four(T20), VerticalBars.Use.ON, special))
                .crank()
                .to();
        assertTrue(free > FLOOR + 500, "in the middle, at " + free);
        VerticalBars.Standing s = right(of(500, 500, four(T20), thick, VerticalBars.Use.ON, special));
        assertEquals(FLOOR, s.crank().to(), 1e-9);
        // from 190 to 184 and half a T20 each way inside
        assertEquals((6 + 20 / Math.sqrt(2)) * Math.sqrt(2), s.crank().aside(), 1e-6);
        assertEquals(
                free,
                right(of(500, 500, thick, four(T20), VerticalBars.Use.ON, special))
                        .crank()
                        .to(),
                1e-9);
    }

    @Test
    void aSmallStepIsBent() {
        // from 190 to 165 and half a T20 each way inside: 14.14
        VerticalBars.Standing s = right(of(500, 450, four(T20), four(T20), VerticalBars.Use.ON, ACI));
        double aside = (25 + 20 / Math.sqrt(2)) * Math.sqrt(2);
        assertEquals(aside, s.crank().aside(), 1e-6);
        assertEquals(FLOOR - 600, s.crank().from(), 1e-6, "as gentle as the beam is deep; 332 at least");
        assertTrue(
                of(500, 450, four(T20), four(T20), VerticalBars.Use.DOWEL, ACI).isEmpty());
    }

    @Test
    void aLargeStepHasDowels() {
        // 75 mm a side (10.7.4.2)
        assertTrue(of(500, 350, four(T20), four(T20), VerticalBars.Use.ON, ACI).isEmpty());
        VerticalBars.Standing ends = right(of(500, 350, four(T20), four(T20), VerticalBars.Use.ENDS, ACI));
        assertEquals(FLOOR - 40, ends.to(), 1e-9);
        assertTrue(ends.hookHead(), "560 mm are less than ld, 902");
        List<VerticalBars.Standing> dowels = of(500, 350, four(T20), four(T20), VerticalBars.Use.DOWEL, ACI);
        assertEquals(4, dowels.size());
        VerticalBars.Standing d = right(dowels);
        assertEquals(115 - 20 / Math.sqrt(2), d.x(), 1e-6, "within the bar above, which stands at 175 - 60");
        double clear = (190 - d.x()) * Math.sqrt(2) - 20;
        assertEquals(
                FLOOR - 40 - LAP - clear,
                d.from(),
                0.1,
                "a lap beneath the ends of the bars, and as far as they stand apart");
        assertTrue(d.to() >= FLOOR + LAP && d.to() < FLOOR + LAP + 50);
    }

    /** T12 develops straight in 420 / (2.1 √30) × 12 = 438 over the soffit at 3300: its length under the cover is cut down to the module, no further than that. */
    @Test
    void straightEndsAreOnTheModule() {
        Bar t12 = BarCatalogue.METRIC.find("T12");
        for (double[] moduleAndEnd : new double[][] {{0, 3860}, {50, 3850}, {100, 3800}, {500, 3860}}) {
            Basis basis = ACI.with(new Practice(
                    ACI.practice().sizesApart(),
                    ACI.practice().columnBarsApart(),
                    moduleAndEnd[0],
                    ACI.practice().costs()));
            VerticalBars.Standing ends = right(of(500, 350, four(t12), four(t12), VerticalBars.Use.ENDS, basis));
            assertFalse(ends.hookHead());
            assertEquals(moduleAndEnd[1], ends.to(), 1e-9, "module " + moduleAndEnd[0]);
            VerticalBars.Standing d = right(of(500, 350, four(t12), four(t12), VerticalBars.Use.DOWEL, basis));
            double clear = (194 - (119 - 12 / Math.sqrt(2))) * Math.sqrt(2) - 12;
            assertEquals(moduleAndEnd[1] - 1.3 * 438.2 - clear, d.from(), 0.1, "a lap beneath the ends, lower or not");
        }
        ColumnCage cage = new ColumnCage(List.of(four(t12), four(t12)));
        VerticalBars.Standing top =
                VerticalBars.of(stack(500, 500), 1, cage, ACI).get(0);
        assertEquals(300, top.from(), 1e-9);
        assertEquals(3850, top.to(), 1e-9, "3550 long");
        assertEquals(
                FLOOR - 40,
                right(of(500, 350, four(T20), four(T20), VerticalBars.Use.ENDS, ACI))
                        .to(),
                1e-9,
                "with a hook up to the cover");
    }

    /**
     * Of five bars on a face those beside the middle one come to lie 40 mm aside of the bars above, where the faces across are set back by 80: 10.7.4.2 is of
     * the faces, not of the bars. The middle bar is bent square to them, and may be.
     */
    @Test
    void noBarIsBentTowardsAFaceThatIsSetBackFar() {
        for (double upper : new double[] {340, 420}) {
            ColumnCage cage = new ColumnCage(List.of(bars(5, 2, T20), bars(5, 2, T20)));
            List<VerticalBars.Standing> all = VerticalBars.of(narrowing(500, upper, 500), 0, cage, ACI);
            boolean far = upper == 340;
            assertEquals(
                    far ? 2 : 10,
                    all.stream().filter(s -> s.use() == VerticalBars.Use.ON).count());
            assertEquals(
                    far ? 8 : 0,
                    all.stream().filter(s -> s.use() == VerticalBars.Use.DOWEL).count());
        }
    }

    @Test
    void barsThatAreNotNeededAboveGoOnAsFarAsTheyDevelop() {
        List<VerticalBars.Standing> all = of(500, 500, bars(3, 3, T20), four(T20), VerticalBars.Use.ON, ACI);
        assertEquals(8, all.size());
        for (VerticalBars.Standing s : all) {
            if (!s.corner()) {
                assertNull(s.crank());
                // 3300 + 902.1
                assertTrue(s.to() >= 4202 && s.to() < 4252, "to " + s.to());
            }
        }
    }

    @Test
    void moreBarsAboveHaveDowels() {
        List<VerticalBars.Standing> all = of(500, 450, four(T20), bars(3, 3, T20), VerticalBars.Use.DOWEL, ACI);
        assertEquals(4, all.size());
        assertEquals(
                4,
                of(500, 450, four(T20), bars(3, 3, T20), VerticalBars.Use.ON, ACI)
                        .size());
    }

    @Test
    void starterBarsStandInTheFoundation() {
        VerticalBars.Standing s = right(of(500, 500, four(T20), four(T20), VerticalBars.Use.STARTER, ACI));
        // in compression 0.24 × 420 / √30 × 20 = 368.1 and the bend of 80 (25.4.9.2), on 50 mm; the hook needs 330.1
        // (25.4.3.1)
        assertEquals(-450, s.from(), 1e-9);
        assertEquals(LAP, s.to(), 0.1);
        assertTrue(s.hookFoot());
        assertEquals(190 - 20 / Math.sqrt(2), s.x(), 1e-9);
    }

    @Test
    void nothingStandsOnTheHighest() {
        ColumnCage cage = new ColumnCage(List.of(four(T20), four(T20)));
        List<VerticalBars.Standing> top = VerticalBars.of(stack(500, 500), 1, cage, ACI);
        assertEquals(4, top.size());
        assertEquals(300, top.get(0).from(), 1e-9, "from the top of the floor");
        assertEquals(FLOOR - 40, top.get(0).to(), 1e-9);
        assertTrue(top.get(0).hookHead());
        assertFalse(top.get(0).hookFoot());
    }

    @Test
    void asGentleAsThereIsRoomByEn() {
        double aside = (25 + 20 / Math.sqrt(2)) * Math.sqrt(2);
        VerticalBars.Standing s = right(of(500, 450, four(T20), four(T20), VerticalBars.Use.ON, EN));
        // 12 × 55.4 are more than the 600 of the beam
        assertEquals(aside, s.crank().aside(), 15, "cover of the standard basis");
        assertEquals(FLOOR - 600, s.crank().from(), 1e-6);
        VerticalBars.Standing straight = right(of(500, 500, four(T20), four(T20), VerticalBars.Use.ON, EN));
        assertEquals(FLOOR - 240, straight.crank().from(), 1e-6, "1 in 12 (9.5.3(5))");
    }

    /** The list has what stands: 26 for bars bent aside, 11 for those with a foot. */
    @Test
    void asTheyAreListed() {
        ColumnCage cage = new ColumnCage(List.of(four(T20), four(T20)));
        List<BarItem> list = ColumnBars.of(stack(500, 500), 0, cage, ACI);
        BarItem bent =
                list.stream().filter(i -> i.shape().equals("26")).findFirst().orElseThrow();
        assertEquals(4, bent.number());
        assertEquals(3660, bent.dims().get(0), 1e-9);
        assertEquals(241, bent.dims().get(1), 1e-9, "√(240² + 20²)");
        assertEquals(20, bent.dims().get(3), 1e-9);
        assertEquals(0, bent.cutLength() % 50, 1e-9);
        BarItem starter = list.stream()
                .filter(i -> i.what().equals("starter bars"))
                .findFirst()
                .orElseThrow();
        assertEquals("11", starter.shape());
        assertEquals(1623, starter.dims().get(1), 1, "450 and a lap");
    }

    /** Sections and bars at random: over the floor no bar from below lies in another or outside the ties there, and every bar above has one of its own. */
    @Test
    void nothingCollidesOverTheFloor() {
        Random random = new Random(11);
        int bent = 0;
        int dowels = 0;
        for (int k = 0; k < 600; k++) {
            double lower = 300 + 50 * random.nextInt(9);
            double upper = random.nextBoolean() ? lower : 300 + 50 * random.nextInt(9);
            Bar thick =
                    BarCatalogue.METRIC.find(List.of("T16", "T20", "T25", "T32").get(random.nextInt(4)));
            Bar thin = BarCatalogue.METRIC.find(List.of("T16", "T20", "T25").get(random.nextInt(3)));
            ColumnCage.LiftCage a = bars(2 + random.nextInt(3), 2 + random.nextInt(3), thick);
            ColumnCage.LiftCage b = bars(2 + random.nextInt(3), 2 + random.nextInt(3), thin);
            Basis basis = random.nextBoolean() ? ACI : EN;
            String what = lower + " " + a.layout().words() + " under " + upper + " "
                    + b.layout().words();
            ColumnStack stack = stack(lower, upper);
            List<double[]> over = new ArrayList<>();
            for (VerticalBars.Standing s : VerticalBars.of(stack, 0, new ColumnCage(List.of(a, b)), basis)) {
                bent += s.crank() != null ? 1 : 0;
                dowels += s.use() == VerticalBars.Use.DOWEL ? 1 : 0;
                if (s.to() > FLOOR + 5 && s.use() != VerticalBars.Use.STARTER) {
                    double dx = s.crank() == null ? 0 : s.crank().dx();
                    double dy = s.crank() == null ? 0 : s.crank().dy();
                    over.add(new double[] {s.x() + dx, s.y() + dy, s.bar().diameter()});
                }
            }
            double in = upper / 2 - basis.columnCover() - 10;
            List<double[]> own = new ArrayList<>();
            for (PlacedBar p : b.bars(stack.lifts().get(1).section().shape(), basis.columnCover())) {
                own.add(new double[] {p.x(), p.y(), thin.diameter()});
            }
            assertTrue(over.size() >= own.size(), what);
            for (int i = 0; i < over.size(); i++) {
                double[] p = over.get(i);
                assertTrue(Math.max(Math.abs(p[0]), Math.abs(p[1])) + p[2] / 2 < in + 1, what + ": outside");
                for (double[] q : own) {
                    assertTrue(
                            Math.hypot(p[0] - q[0], p[1] - q[1]) > (p[2] + q[2]) / 2 - 0.1, what + ": in a bar above");
                }
                for (int j = 0; j < i; j++) {
                    double[] q = over.get(j);
                    assertTrue(
                            Math.hypot(p[0] - q[0], p[1] - q[1]) > (p[2] + q[2]) / 2 - 0.1, what + ": in each other");
                }
            }
        }
        assertTrue(bent > 1000 && dowels > 500, bent + " bent, " + dowels + " dowels");
    }

    /** A lift turned in plan: bars from below stand beside those above as the building has them, found by the axes of the members. */
    @ParameterizedTest
    @ValueSource(doubles = {0, 30, -30, 45, 90, 110})
    void liftsTurnedAgainstEachOther(double angle) {
        ModelBuilder b = TwoLifts.model(900, 400);
        b.sections.add(new Section("R", new Shape.Rectangle(400, 600)));
        Member was = b.members.remove(1);
        b.members.add(
                1,
                new Member(
                        was.id(),
                        was.role(),
                        was.start(),
                        was.end(),
                        "R",
                        was.material(),
                        angle,
                        was.startRelease(),
                        was.endRelease(),
                        0,
                        0,
                        was.stiffness()));
        BuildingIndex index = new BuildingIndex(b.building());
        ColumnStack stack = ColumnStacks.find(index).get(0);
        double[][] low = LocalAxes.of(index.joint("A"), index.joint("B"), 0);
        double[][] high = LocalAxes.of(index.joint("B"), index.joint("C"), angle);
        ColumnCage.LiftCage above = bars(3, 4, T20);
        List<double[]> plan = new ArrayList<>();
        for (PlacedBar p : above.bars(stack.lifts().get(1).section().shape(), 40)) {
            plan.add(inPlan(high, p.x(), p.y()));
        }
        int beside = 0;
        for (VerticalBars.Standing s : VerticalBars.in(stack, 0, bars(4, 4, T20), above, ACI)) {
            if (s.use() == VerticalBars.Use.DOWEL) {
                double[] at = inPlan(low, s.x(), s.y());
                double nearest = plan.stream()
                        .mapToDouble(p -> Math.hypot(p[0] - at[0], p[1] - at[1]))
                        .min()
                        .orElseThrow();
                assertEquals(20, nearest, 0.01, "beside a bar above");
                beside++;
            }
        }
        assertEquals(10, beside);
    }

    private static double[] inPlan(double[][] axes, double x, double y) {
        return new double[] {x * axes[1][0] + y * axes[2][0], x * axes[1][1] + y * axes[2][1]};
    }
}
