package kolonne.core.basis.part;

import java.util.List;

/**
 * Bars that may be chosen.
 *
 * @param beams        labels of the longitudinal bars allowed in beams
 * @param columns      labels of the longitudinal bars allowed in columns
 * @param stirrups     labels of the bars allowed for stirrups and ties
 * @param layersMost   layers of bars in a face
 * @param practicalCap column steel over gross area above which the section is called too small
 * @param preference   what the choice of bars prefers
 * @param stockLength  longest bar that is delivered [mm]; longer ones are lapped
 */
public record Bars(
        List<String> beams,
        List<String> columns,
        List<String> stirrups,
        int layersMost,
        double practicalCap,
        Preference preference,
        double stockLength) {
    public Bars {
        beams = List.copyOf(beams);
        columns = List.copyOf(columns);
        stirrups = List.copyOf(stirrups);
    }
}
