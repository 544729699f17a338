package kolonne.core.beam;

import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.demand.Demands;
import kolonne.core.model.BuildingIndex;

/** What every beam check reads besides the line and its cage. */
public record BeamContext(BuildingIndex index, Demands strength, Basis basis) {
    /** A component at a station of the line, in the sense of the line: shear and torsion change sign with direction. */
    double at(BeamLine.Station s, int combination, int component) {
        double v = strength.at(s.memberNumber(), s.station(), combination, component);
        boolean turns = component == Analysis.VZ || component == Analysis.T || component == Analysis.VY;
        return turns && s.reversed() ? -v : v;
    }
}
