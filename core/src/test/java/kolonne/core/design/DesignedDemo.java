package kolonne.core.design;

import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ForkJoinPool;
import java.util.function.Supplier;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.model.BuildingIndex;

/**
 * The demo building and two smaller ones with all that it has, analysed and designed once for all test classes that only look at them; designs never
 * change. They are made on the common pool: a thread of the pool that runs the tests would, while it waits for parts of a design, begin another test that
 * waits for the same design.
 */
public final class DesignedDemo {
    /** A third of the demo's members, and a sixth. */
    public static final DemoOptions MIDDLE = new DemoOptions(7, 4, 4, 3, true);

    public static final DemoOptions SMALL = new DemoOptions(7, 3, 3, 2, true);

    private record Key(DemoOptions options, boolean customary) {}

    private record Designed(Key building, Basis basis) {}

    private static final Map<Key, CompletableFuture<Analysis>> ANALYSES = new ConcurrentHashMap<>();
    private static final Map<Designed, CompletableFuture<BuildingDesign>> DESIGNS = new ConcurrentHashMap<>();

    private DesignedDemo() {}

    private static <T> CompletableFuture<T> made(Supplier<T> how) {
        return CompletableFuture.supplyAsync(how, ForkJoinPool.commonPool());
    }

    public static Analysis analysis() {
        return analysis(new Key(DemoOptions.VELDHAVEN, false));
    }

    private static Analysis analysis(Key k) {
        return ANALYSES.computeIfAbsent(
                        k,
                        b -> made(() -> FrameAnalysis.solve(new BuildingIndex(
                                b.customary ? DemoBuilding.customary(b.options) : DemoBuilding.generate(b.options)))))
                .join();
    }

    public static BuildingDesign by(Basis basis) {
        return by(new Key(DemoOptions.VELDHAVEN, false), basis);
    }

    /** In whole inches and feet by a basis in US units. */
    public static BuildingDesign by(DemoOptions options, Basis basis) {
        return by(new Key(options, basis.usUnits()), basis);
    }

    private static BuildingDesign by(Key building, Basis basis) {
        return DESIGNS.computeIfAbsent(
                        new Designed(building, basis),
                        d -> made(() ->
                                BuildingDesigner.design(analysis(building), basis, BuildingDesigner.Progress.NONE)))
                .join();
    }
}
