package kolonne.core.design;

import java.util.List;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.BeamLines;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.column.line.ColumnStacks;
import kolonne.core.type.TypeDesign;
import kolonne.core.type.Types;

/**
 * An analysed building before its design: the same each time that it is made of the same analysis, basis and decisions.
 *
 * @param contexts what the checks of beams read; those of columns wait for the beams
 */
public record Undesigned(
        Analysis analysis,
        Basis basis,
        Decisions decided,
        List<BeamLine> lines,
        List<ColumnStack> stacks,
        DesignContexts contexts) {
    public Undesigned {
        lines = List.copyOf(lines);
        stacks = List.copyOf(stacks);
    }

    public static Undesigned of(Analysis analysis, Basis basis, Decisions decided) {
        return new Undesigned(
                analysis,
                basis,
                decided,
                BeamLines.find(analysis, basis, decided.marks()),
                ColumnStacks.find(analysis.index(), decided.marks()),
                new DesignContexts(analysis, basis, decided.hand()));
    }

    /** In a ductile frame columns and joints answer to the bars of the beams. */
    DesignContexts contexts(List<BeamDesign> beams) {
        return contexts.with(BeamEnds.of(beams, analysis.index(), basis));
    }

    /**
     * The design that was made of it before and kept: nothing is chosen, checked or counted again.
     *
     * @param beams   of its lines and {@code columns} of its stacks, in their order
     * @param types   that the kept design has; {@code typed} the same as they were designed
     * @throws IllegalArgumentException if beams or columns are not those of its lines and stacks
     */
    public BuildingDesign asKept(
            List<BeamDesign> beams,
            List<ColumnDesign> columns,
            Quantities quantities,
            Types types,
            List<TypeDesign> typed) {
        if (!beams.stream()
                        .map(b -> b.line().id())
                        .toList()
                        .equals(lines.stream().map(BeamLine::id).toList())
                || !columns.stream()
                        .map(c -> c.stack().id())
                        .toList()
                        .equals(stacks.stream().map(ColumnStack::id).toList())) {
            throw new IllegalArgumentException("a kept design has other lines or stacks than its building");
        }
        return new BuildingDesign(analysis, basis, beams, columns, contexts(beams), quantities, types, typed);
    }
}
