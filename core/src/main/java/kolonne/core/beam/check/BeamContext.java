package kolonne.core.beam.check;

import java.util.Map;
import java.util.Set;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.HandCage;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.LineDemands;
import kolonne.core.beam.line.PerimeterBeams;
import kolonne.core.beam.line.RoofBeams;
import kolonne.core.demand.Demands;
import kolonne.core.demand.Sidesway;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Purpose;

/**
 * What every beam check reads besides the line and its cage.
 *
 * @param sway      stability of the storeys and the magnifiers of beams
 * @param strength  combinations for strength, effects of sidesway magnified
 * @param service   characteristic combinations, for immediate deflection
 * @param sustained quasi-permanent combinations, for long-term deflection
 * @param perimeter ids of the beams along the perimeter of the structure
 * @param roof      ids of the beams of roofs
 * @param hand      what people have set, by id of the line
 * @param own       of the line that is being designed or checked
 * @param demands   of that line; null before there is one
 */
public record BeamContext(
        BuildingIndex index,
        Sidesway sway,
        Demands strength,
        Demands service,
        Demands sustained,
        Set<String> perimeter,
        Set<String> roof,
        Basis basis,
        Map<String, HandCage> hand,
        HandCage own,
        LineDemands demands) {
    /** All combinations of an analysis. */
    public static BeamContext of(Analysis a, Basis basis) {
        return of(Sidesway.of(a, basis), basis);
    }

    /** All combinations of an analysis. @param sway of the same analysis and basis */
    public static BeamContext of(Sidesway sway, Basis basis) {
        Analysis a = sway.strength().analysis();
        return new BeamContext(
                a.index(),
                sway,
                sway.strength(),
                new Demands(a, Purpose.SERVICE_CHARACTERISTIC),
                new Demands(a, Purpose.SERVICE_QUASI_PERMANENT),
                PerimeterBeams.of(a.index()),
                RoofBeams.of(a.index()),
                basis,
                Map.of(),
                HandCage.NONE,
                null);
    }

    /** The same with what people have set. */
    public BeamContext with(Map<String, HandCage> set) {
        return new BeamContext(
                index,
                sway,
                strength,
                service,
                sustained,
                perimeter,
                roof,
                basis,
                Map.copyOf(set),
                HandCage.NONE,
                null);
    }

    /** The same for one line; this where it is of that line already. */
    public BeamContext of(BeamLine line) {
        if (demands != null && demands.belongTo(line)) {
            return this;
        }
        HandCage set = hand.getOrDefault(line.id(), HandCage.NONE);
        return new BeamContext(
                index,
                sway,
                strength,
                service,
                sustained,
                perimeter,
                roof,
                basis,
                hand,
                set,
                new LineDemands(line, strength, set.demands(), basis.redistribution()));
    }

    /** The same for a line that stands for several: nothing is set by hand on it. @param shared their demands as the line's own */
    public BeamContext of(LineDemands shared) {
        return new BeamContext(
                index, sway, strength, service, sustained, perimeter, roof, basis, hand, HandCage.NONE, shared);
    }

    /** Combinations for strength; where demands are typed two more stand for them. */
    public int combinations() {
        return demands.count();
    }

    /** Name of a combination for strength, or of typed demands; empty if there are none. */
    public String combinationName(int c) {
        return LineDemands.name(strength, c);
    }

    /** The same with another basis. */
    public BeamContext with(Basis other) {
        return new BeamContext(
                index, sway, strength, service, sustained, perimeter, roof, other, hand, HandCage.NONE, null);
    }

    /** A component at a station of the line, in the sense of the line. */
    public double at(BeamLine.Station s, int combination, int component) {
        return demands.at(s, combination, component);
    }

    /** Whether earthquake acts in a combination. */
    boolean hasEarthquake(int combination) {
        return demands.hasEarthquake(combination);
    }

    /** The part of the shear at a station that comes from earthquake [N]. */
    double earthquakeShear(BeamLine.Station s, int combination) {
        return demands.earthquakeShear(s, combination);
    }

    /** Divisor of the span that limits its deflection under live load. */
    public double liveDivisor(BeamLine.Span span) {
        return span.members().stream().allMatch(m -> roof.contains(m.id()))
                ? basis.deflection().roof()
                : basis.deflection().live();
    }

    /** Part of the largest bars of a face that must run through the line (structural integrity); 0 where none must. */
    public double throughPart(BeamLine line, BeamCage.Face face) {
        boolean edge =
                line.spans().stream().flatMap(s -> s.members().stream()).anyMatch(m -> perimeter.contains(m.id()));
        return edge ? basis.designCode().detailing().integrityPart(face == BeamCage.Face.BOTTOM) : 0;
    }
}
