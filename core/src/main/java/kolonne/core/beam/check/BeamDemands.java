package kolonne.core.beam.check;

import kolonne.core.beam.line.BeamLine;

/** The forces that a designed line was checked for, for files and other readers. */
public final class BeamDemands {
    private final BeamContext context;

    private BeamDemands(BeamContext context) {
        this.context = context;
    }

    /** Of a line with its cage: redistributed where the sections allow it, typed where a person typed them. */
    public static BeamDemands of(BeamDesign d, BeamContext building) {
        BeamContext own = building.of(d.line());
        return new BeamDemands(
                own.basis().redistribution() > 0 ? new Redistribution(d.line(), d.cage(), own).context() : own);
    }

    public int count() {
        return context.combinations();
    }

    /** Id of a combination, or the name of what stands for typed demands. */
    public String id(int c) {
        return c < context.strength().count()
                ? context.strength().combination(c).id()
                : context.combinationName(c);
    }

    /** A component at a station in the sense of the line [N, Nmm]. */
    public double at(BeamLine.Station s, int combination, int component) {
        return context.at(s, combination, component);
    }
}
