package kolonne.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.HandCage;
import kolonne.core.beam.check.BeamCheck;
import kolonne.core.beam.check.BeamContext;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.choice.BeamDesigner;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.choice.ColumnDesigner;
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
    private BeamContext edited;

    @Setup
    public void make() {
        Analysis a = FrameAnalysis.solve(new BuildingIndex(DemoBuilding.generate(DemoOptions.VELDHAVEN)));
        building = BuildingDesigner.design(a, Basis.standard(false), BuildingDesigner.Progress.NONE);
        beam = building.beams().stream()
                .filter(b -> b.line().spans().size() > 4)
                .findFirst()
                .orElseThrow();
        HandCage cage = HandCage.of(beam.cage());
        List<HandCage.Bars> top = new ArrayList<>(cage.faces().get(BeamCage.Face.TOP));
        HandCage.Bars first = top.get(0);
        top.set(
                0,
                new HandCage.Bars(
                        first.layer(),
                        first.count() + 1,
                        first.bar(),
                        first.from(),
                        first.to(),
                        first.hookFrom(),
                        first.hookTo()));
        edited = building.contexts()
                .beams()
                .with(Map.of(
                        beam.line().id(), new HandCage(Map.of(BeamCage.Face.TOP, top), Map.of(), Map.of(), List.of())));
        column = building.columns().stream()
                .filter(c -> c.lifts().size() > 5)
                .findFirst()
                .orElseThrow();
    }

    @Benchmark
    public BeamDesign designBeamLine() {
        return BeamDesigner.design(beam.line(), building.contexts().beams());
    }

    @Benchmark
    public BeamDesign checkBeamLine() {
        return BeamCheck.run(beam.line(), beam.cage(), building.contexts().beams());
    }

    /** One bar more in the top face of a line of five spans or more, by hand. */
    @Benchmark
    public BeamDesign editBeamLine() {
        return BeamDesigner.design(beam.line(), edited);
    }

    /** All lines of the building one after the other. */
    @Benchmark
    public int allBeamLines() {
        int satisfied = 0;
        for (BeamDesign b : building.beams()) {
            satisfied +=
                    BeamDesigner.design(b.line(), building.contexts().beams()).satisfied() ? 1 : 0;
        }
        return satisfied;
    }

    @Benchmark
    public ColumnDesign designColumnStack() {
        return ColumnDesigner.design(column.stack(), building.contexts().columns());
    }
}
