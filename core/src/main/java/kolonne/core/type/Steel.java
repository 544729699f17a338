package kolonne.core.type;

import kolonne.core.beam.check.BeamDesign;
import kolonne.core.column.check.ColumnDesign;

/**
 * Steel of cages.
 *
 * @param kg     mass [kg]
 * @param pieces bars, stirrups and ties
 * @param marks  items of the bar list: bars of a cage that are cut and bent alike are one
 */
public record Steel(double kg, int pieces, int marks) {
    public static final Steel NONE = new Steel(0, 0, 0);

    public Steel plus(Steel o) {
        return new Steel(kg + o.kg, pieces + o.pieces, marks + o.marks);
    }

    public Steel minus(Steel o) {
        return new Steel(kg - o.kg, pieces - o.pieces, marks - o.marks);
    }

    public static Steel of(BeamDesign d) {
        return CountedBars.of(d).steel();
    }

    public static Steel of(ColumnDesign d) {
        return CountedBars.of(d).steel();
    }
}
