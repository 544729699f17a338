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
 * The demo building, analysed and designed once for all test classes that only look at it; designs never change. They are made on the common pool: a
 * thread of the pool that runs the tests would, while it waits for parts of a design, begin another test that waits for the same design.
 */
public final class DesignedDemo {
    private static final CompletableFuture<Analysis> ANALYSIS =
            made(() -> FrameAnalysis.solve(new BuildingIndex(DemoBuilding.generate(DemoOptions.VELDHAVEN))));
    private static final Map<Basis, CompletableFuture<BuildingDesign>> DESIGNS = new ConcurrentHashMap<>();

    private DesignedDemo() {}

    private static <T> CompletableFuture<T> made(Supplier<T> how) {
        return CompletableFuture.supplyAsync(how, ForkJoinPool.commonPool());
    }

    public static Analysis analysis() {
        return ANALYSIS.join();
    }

    public static BuildingDesign by(Basis basis) {
        return DESIGNS.computeIfAbsent(
                        basis, b -> made(() -> BuildingDesigner.design(analysis(), b, BuildingDesigner.Progress.NONE)))
                .join();
    }
}
