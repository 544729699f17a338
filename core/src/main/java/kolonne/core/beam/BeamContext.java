package kolonne.core.beam;

import java.util.Set;
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
 * @param perimeter ids of the beams along the perimeter of the structure
 */
public record BeamContext(BuildingIndex index, Demands strength, Demands service, Demands sustained, Set<String> perimeter, Basis basis) {
    /** All combinations of an analysis. */
    public static BeamContext of(Analysis a, Basis basis) {
        return new BeamContext(a.index(), new Demands(a, Purpose.STRENGTH), new Demands(a, Purpose.SERVICE_CHARACTERISTIC),
            new Demands(a, Purpose.SERVICE_QUASI_PERMANENT), PerimeterBeams.of(a.index()), basis);
    }

    /** The same with another basis. */
    public BeamContext with(Basis other) {
        return new BeamContext(index, strength, service, sustained, perimeter, other);
    }

    /** A component at a station of the line, in the sense of the line: shear and torsion change sign with direction. */
    double at(BeamLine.Station s, int combination, int component) {
        return turned(s, component, strength.at(s.memberNumber(), s.station(), combination, component));
    }

    /** Part of the largest bars of a face that must run through the line (structural integrity); 0 where none must. */
    double throughPart(BeamLine line, BeamCage.Face face) {
        boolean edge = line.spans().stream().flatMap(s -> s.members().stream()).anyMatch(m -> perimeter.contains(m.id()));
        return edge ? basis.designCode().integrityPart(face == BeamCage.Face.BOTTOM) : 0;
    }

    static double turned(BeamLine.Station s, int component, double v) {
        boolean turns = component == Analysis.VZ || component == Analysis.T || component == Analysis.VY;
        return turns && s.reversed() ? -v : v;
    }
}
