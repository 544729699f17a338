package kolonne.bench;

import java.util.concurrent.TimeUnit;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.BeamCheck;
import kolonne.core.beam.BeamDesign;
import kolonne.core.beam.BeamDesigner;
import kolonne.core.column.ColumnDesign;
import kolonne.core.column.ColumnDesigner;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.model.BuildingIndex;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** One beam line or column stack of the demo building: designed, or only checked again as after one edit. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 3, time = 1)
public class LineBenchmark {
    private BuildingDesign building;
    private BeamDesign beam;
    private ColumnDesign column;

    @Setup
    public void make() {
        Analysis a = FrameAnalysis.solve(new BuildingIndex(DemoBuilding.generate(DemoOptions.VELDHAVEN)));
        building = BuildingDesigner.design(a, Basis.standard(false), BuildingDesigner.Progress.NONE);
        beam = building.beams().stream().filter(b -> b.line().spans().size() > 4).findFirst().orElseThrow();
        column = building.columns().stream().filter(c -> c.lifts().size() > 5).findFirst().orElseThrow();
    }

    @Benchmark
    public BeamDesign designBeamLine() {
        return BeamDesigner.design(beam.line(), building.beamContext());
    }

    @Benchmark
    public BeamDesign checkBeamLine() {
        return BeamCheck.run(beam.line(), beam.cage(), building.beamContext());
    }

    @Benchmark
    public ColumnDesign designColumnStack() {
        return ColumnDesigner.design(column.stack(), building.columnContext());
    }
}
