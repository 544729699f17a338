package kolonne.core.design;

import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ForkJoinPool;
import java.util.function.Supplier;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.RoundTies;
import kolonne.core.column.RoundBuildings;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.model.Building;
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

    private record Designed(String building, Basis basis) {}

    private static final Map<String, CompletableFuture<Analysis>> ANALYSES = new ConcurrentHashMap<>();
    private static final Map<Designed, CompletableFuture<BuildingDesign>> DESIGNS = new ConcurrentHashMap<>();

    private DesignedDemo() {}

    private static <T> CompletableFuture<T> made(Supplier<T> how) {
        return CompletableFuture.supplyAsync(how, ForkJoinPool.commonPool());
    }

    public static Analysis analysis() {
        return analysis(DemoOptions.VELDHAVEN.toString(), () -> DemoBuilding.generate(DemoOptions.VELDHAVEN));
    }

    private static Analysis analysis(String name, Supplier<Building> building) {
        return ANALYSES.computeIfAbsent(name, n -> made(() -> FrameAnalysis.solve(new BuildingIndex(building.get()))))
                .join();
    }

    public static BuildingDesign by(Basis basis) {
        return by(DemoOptions.VELDHAVEN.toString(), () -> DemoBuilding.generate(DemoOptions.VELDHAVEN), basis);
    }

    /** In whole inches and feet by a basis in US units. */
    public static BuildingDesign by(DemoOptions options, Basis basis) {
        return basis.usUnits()
                ? by("customary " + options, () -> DemoBuilding.customary(options), basis)
                : by(options.toString(), () -> DemoBuilding.generate(options), basis);
    }

    /** The same of another building. @param name that no other building has */
    public static BuildingDesign by(String name, Supplier<Building> building, Basis basis) {
        return DESIGNS.computeIfAbsent(
                        new Designed(name, basis),
                        d -> made(() -> BuildingDesigner.design(
                                analysis(name, building), basis, BuildingDesigner.Progress.NONE)))
                .join();
    }

    /** With round columns, all of them in spirals. */
    public static BuildingDesign spirals(Basis usual) {
        boolean us = usual.usUnits();
        return by(
                "spirals " + us,
                () -> RoundBuildings.of(SMALL, us),
                usual.with(usual.practice().with(RoundTies.SPIRALS)));
    }
}
