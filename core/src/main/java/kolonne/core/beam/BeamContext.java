package kolonne.core.beam;

import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.demand.Demands;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Purpose;

/**
 * What every beam check reads besides the line and its cage.
 *
 * @param strength  combinations for strength
 * @param service   characteristic combinations, for immediate deflection
 * @param sustained quasi-permanent combinations, for long-term deflection
 */
public record BeamContext(BuildingIndex index, Demands strength, Demands service, Demands sustained, Basis basis) {
    /** All combinations of an analysis. */
    public static BeamContext of(Analysis a, Basis basis) {
        return new BeamContext(a.index(), new Demands(a, Purpose.STRENGTH), new Demands(a, Purpose.SERVICE_CHARACTERISTIC),
            new Demands(a, Purpose.SERVICE_QUASI_PERMANENT), basis);
    }

    /** A component at a station of the line, in the sense of the line: shear and torsion change sign with direction. */
    double at(BeamLine.Station s, int combination, int component) {
        return turned(s, component, strength.at(s.memberNumber(), s.station(), combination, component));
    }

    static double turned(BeamLine.Station s, int component, double v) {
        boolean turns = component == Analysis.VZ || component == Analysis.T || component == Analysis.VY;
        return turns && s.reversed() ? -v : v;
    }
}
