package kolonne.core.design;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.model.BuildingIndex;

/** The demo building, analysed and designed once for all test classes that only look at it; designs never change. */
public final class DesignedDemo {
    private static final Map<Basis, BuildingDesign> DESIGNS = new ConcurrentHashMap<>();

    private DesignedDemo() {}

    private static final class Solved {
        static final Analysis ANALYSIS =
                FrameAnalysis.solve(new BuildingIndex(DemoBuilding.generate(DemoOptions.VELDHAVEN)));
    }

    public static Analysis analysis() {
        return Solved.ANALYSIS;
    }

    public static BuildingDesign by(Basis basis) {
        return DESIGNS.computeIfAbsent(
                basis, b -> BuildingDesigner.design(analysis(), b, BuildingDesigner.Progress.NONE));
    }
}
