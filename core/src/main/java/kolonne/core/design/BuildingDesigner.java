package kolonne.core.design;

import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.IntUnaryOperator;
import java.util.stream.IntStream;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.choice.BeamDesigner;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.choice.ColumnDesigner;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.type.Types;

/** Designs every beam line and column stack of an analysed building on all cores. */
public final class BuildingDesigner {
    private BuildingDesigner() {}

    /** Told how many of how many lines and stacks are done; may be called from several threads. */
    public interface Progress {
        Progress NONE = (done, total) -> {};

        /** @throws java.util.concurrent.CancellationException to stop the design */
        void at(int done, int total);
    }

    /** Designs with nothing decided by people. */
    public static BuildingDesign design(Analysis analysis, Basis basis, Progress progress) {
        return design(analysis, basis, Decisions.NONE, progress);
    }

    /** Every line and stack by itself first, then those that share cages. */
    public static BuildingDesign design(Analysis analysis, Basis basis, Decisions decided, Progress progress) {
        return design(Undesigned.of(analysis, basis, decided), progress);
    }

    /** Designs a building that stands ready for it. */
    public static BuildingDesign design(Undesigned u, Progress progress) {
        List<BeamLine> lines = u.lines();
        List<ColumnStack> stacks = u.stacks();
        int total = lines.size() + stacks.size();
        AtomicInteger done = new AtomicInteger();
        IntUnaryOperator tick = i -> {
            progress.at(done.incrementAndGet(), total);
            return i;
        };
        BeamDesign[] b = new BeamDesign[lines.size()];
        IntStream.range(0, b.length).parallel().forEach(i -> {
            b[i] = BeamDesigner.design(lines.get(i), u.contexts().of(lines.get(i)));
            tick.applyAsInt(i);
        });
        DesignContexts columns = u.contexts(List.of(b));
        ColumnDesign[] c = new ColumnDesign[stacks.size()];
        IntStream.range(0, c.length).parallel().forEach(i -> {
            c[i] = ColumnDesigner.design(stacks.get(i), columns.of(stacks.get(i)));
            tick.applyAsInt(i);
        });
        Types types = u.decided().types();
        return new BuildingDesign(
                        u.analysis(),
                        u.basis(),
                        List.of(b),
                        List.of(c),
                        columns,
                        Quantities.NONE,
                        Types.NONE,
                        List.of())
                .sharing(types, types.all().values())
                .counted();
    }
}
