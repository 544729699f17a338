package kolonne.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.code.BarCatalogue;
import kolonne.core.column.cage.HandLift;
import kolonne.core.column.cage.RectangleBars;
import kolonne.core.column.check.ColumnCheck;
import kolonne.core.column.check.ColumnContext;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.choice.ColumnDesigner;
import kolonne.core.demand.Sidesway;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.design.HandSet;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Combination;
import kolonne.core.model.Purpose;
import kolonne.core.section.InteractionSurface;
import kolonne.core.section.StrengthSurface;
import kolonne.core.section.SurfaceCurves;
import kolonne.core.shape.Shape;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** Columns of the demo building with a hundred combinations of strength: all stacks, one surface, one check, one edit, what the sheet draws. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 3, time = 1)
public class ColumnBenchmark {
    private static final int COMBINATIONS = 100;

    @Param({"aci-318m-19", "en-1992-1-1"})
    public String code;

    private BuildingDesign building;
    private ColumnDesign column;
    private HandSet edit;
    private ColumnContext fresh;

    @Setup
    public void make() {
        Building b = combined(DemoBuilding.generate(DemoOptions.VELDHAVEN));
        building = BuildingDesigner.design(
                FrameAnalysis.solve(new BuildingIndex(b)), Basis.standard(code), BuildingDesigner.Progress.NONE);
        fresh = ColumnContext.of(Sidesway.of(building.analysis(), building.basis()), building.basis());
        column = building.columns().stream()
                .filter(c -> c.lifts().size() > 5
                        && c.stack().lifts().get(0).section().shape() instanceof Shape.Rectangle)
                .findFirst()
                .orElseThrow();
        RectangleBars more = new RectangleBars(
                5, 5, BarCatalogue.METRIC.find("T25"), BarCatalogue.METRIC.find("T25"), List.of(), List.of());
        edit = HandSet.ofLifts(Map.of(column.stack().lifts().get(0).member(), new HandLift(more, null)));
    }

    /** The building with combinations of strength repeated, a little less each, until there are a hundred. */
    private static Building combined(Building b) {
        List<Combination> strength = b.combinations().stream()
                .filter(c -> c.purpose() == Purpose.STRENGTH)
                .toList();
        List<Combination> all = new ArrayList<>(b.combinations());
        for (int i = 0; strength.size() + i < COMBINATIONS; i++) {
            Combination c = strength.get(i % strength.size());
            double part = 0.99 - 0.001 * i;
            all.add(new Combination(
                    "more" + i,
                    c.name() + " more " + i,
                    c.purpose(),
                    c.terms().stream()
                            .map(t -> new Combination.Term(t.loadCase(), part * t.factor()))
                            .toList()));
        }
        return new Building(
                b.name(),
                b.unitSystem(),
                b.options(),
                b.storeys(),
                b.gridLines(),
                b.joints(),
                b.materials(),
                b.sections(),
                b.members(),
                b.supports(),
                b.springs(),
                b.diaphragms(),
                b.panels(),
                b.loadCases(),
                b.memberLoads(),
                b.areaLoads(),
                b.jointLoads(),
                b.settlements(),
                all,
                b.stationForces());
    }

    /** All stacks one after the other on one core, their surfaces kept as in a building. */
    @Benchmark
    public int allStacks() {
        int satisfied = 0;
        for (ColumnDesign c : building.columns()) {
            satisfied += ColumnDesigner.design(c.stack(), building.contexts().columns())
                            .satisfied()
                    ? 1
                    : 0;
        }
        return satisfied;
    }

    /** One stack of six lifts or more. */
    @Benchmark
    public ColumnDesign designStack() {
        return ColumnDesigner.design(column.stack(), building.contexts().columns());
    }

    /** The mesh of a surface, made anew: that of the lowest lift. */
    @Benchmark
    public double surface() {
        ColumnDesign.LiftDesign l = column.lifts().get(0);
        return new InteractionSurface(
                        ((InteractionSurface) fresh.surface(
                                        l.lift().section(), l.lift().material(), l.cage()))
                                .section(),
                        l.lift().section().shape().depth())
                .screened(1e6, 1e8, 1e8);
    }

    /** All checks of the stack as it is. */
    @Benchmark
    public ColumnDesign checkStack() {
        return ColumnCheck.run(
                column.stack(), column.cage(), building.contexts().columns());
    }

    /** Bars of one lift set by hand, the building's sums included. */
    @Benchmark
    public BuildingDesign editLift() {
        return building.with(edit, Set.of(column.stack().id()));
    }

    /** Every demand of a lift solved exactly, and its curves, as the sheet shows them. */
    @Benchmark
    public Object sheet() {
        ColumnDesign.LiftDesign l = column.lifts().get(0);
        ColumnCheck.Solved worst = ColumnCheck.solve(
                        l.lift(), l.cage(), building.contexts().columns())
                .get(0);
        StrengthSurface s = building.contexts()
                .columns()
                .surface(l.lift().section(), l.lift().material(), l.cage());
        return List.of(
                SurfaceCurves.meridian(s, 0.5),
                SurfaceCurves.contour(s, worst.demand().p()));
    }
}
