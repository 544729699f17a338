package kolonne.core.design;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.check.BeamContext;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.column.check.ColumnContext;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.demand.Sidesway;
import kolonne.core.joint.BeamsAtJoints;

/** What the checks of a building read, by the basis that a line or stack answers to: the project's, or one with local settings. */
public final class DesignContexts {
    private final Analysis analysis;
    private final LocalBases local;
    private final BeamContext beams;
    private final ColumnContext columns;
    private final Map<Object, Sidesway> sways;
    private final Map<Basis, BeamContext> ofBeams = new ConcurrentHashMap<>();
    private final Map<Basis, ColumnContext> ofColumns = new ConcurrentHashMap<>();

    DesignContexts(Analysis analysis, Basis project, HandSet hand) {
        this.analysis = analysis;
        this.local = new LocalBases(project);
        this.sways = new ConcurrentHashMap<>();
        Basis plain = local.project();
        this.beams = BeamContext.of(sway(plain), plain).with(hand.lines());
        this.columns = ColumnContext.of(sway(plain), plain).with(hand.lifts());
    }

    private DesignContexts(DesignContexts from, BeamContext beams, ColumnContext columns) {
        this.analysis = from.analysis;
        this.local = from.local;
        this.sways = from.sways;
        this.beams = beams;
        this.columns = columns;
        from.ofBeams.forEach((b, c) -> ofBeams.put(b, c.with(beams.hand())));
        from.ofColumns.forEach((b, c) -> ofColumns.put(b, c.with(columns.hand()).with(columns.beams())));
    }

    /** The same with what people have set. */
    DesignContexts with(HandSet set) {
        return new DesignContexts(this, beams.with(set.lines()), columns.with(set.lifts()));
    }

    /** The same with the beams that were designed. */
    DesignContexts with(BeamsAtJoints designed) {
        return new DesignContexts(this, beams, columns.with(designed));
    }

    /** Which basis each line and stack answers to. */
    public LocalBases local() {
        return local;
    }

    /** Of the project as a whole, for what no single line decides. */
    public BeamContext beams() {
        return beams;
    }

    /** Of the project as a whole, for what no single stack decides. */
    public ColumnContext columns() {
        return columns;
    }

    public BeamContext of(BeamLine line) {
        return beams(local.of(line));
    }

    public ColumnContext of(ColumnStack stack) {
        return columns(local.of(stack));
    }

    /** @param basis of lines, without local settings */
    public BeamContext beams(Basis basis) {
        return basis.equals(beams.basis()) ? beams : ofBeams.computeIfAbsent(basis, this::made);
    }

    private BeamContext made(Basis basis) {
        Sidesway sway = sway(basis);
        return sway == beams.sway()
                ? beams.with(basis)
                : BeamContext.of(sway, basis).with(beams.hand());
    }

    /** @param basis of stacks, without local settings */
    public ColumnContext columns(Basis basis) {
        return basis.equals(columns.basis())
                ? columns
                : ofColumns.computeIfAbsent(
                        basis,
                        b -> ColumnContext.of(sway(b), b).with(columns.hand()).with(columns.beams()));
    }

    /** How the frame sways depends on the code and on what is braced, and on nothing else of a basis. */
    private Sidesway sway(Basis basis) {
        return sways.computeIfAbsent(
                List.of(basis.code(), basis.national(), basis.frame()), k -> Sidesway.of(analysis, basis));
    }
}
