package kolonne.core.basis.part;

import java.util.Map;

/**
 * Grades, cover and what stands in for recommended values.
 *
 * @param fy          yield strength of longitudinal bars [MPa]
 * @param fyt         yield strength of stirrups and ties [MPa]
 * @param beamCover   clear cover to the stirrups of beams [mm]
 * @param columnCover clear cover to the ties of columns [mm]
 * @param aggregate   largest aggregate [mm]
 * @param national    nationally determined parameters in place of recommended values, by key; empty for codes without
 */
public record Materials(
        double fy, double fyt, double beamCover, double columnCover, double aggregate, Map<String, Double> national) {
    public Materials {
        national = Map.copyOf(national);
    }
}
