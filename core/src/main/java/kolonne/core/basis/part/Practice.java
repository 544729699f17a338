package kolonne.core.basis.part;

/**
 * What a site wants beside what the code asks. These rules give way where no cage keeps them; a note then says so.
 *
 * @param sizesApart      by the practical preference: steps between the sizes of a face's bars, and of a lift's, in the list of allowed ones
 * @param columnBarsApart greatest distance of neighbouring bars of columns, centre to centre, by the practical preference [mm]
 * @param columnBarsEvery storeys, counted from the foot of a column or its last change of section, through which its bars stay the same by the practical preference
 * @param lengthModule    bars along members are cut to multiples of this; 0 where to any length [mm]
 * @param costs           what bars cost beside their mass
 * @param splices         of bars of columns
 * @param starters        whether starter bars are listed with the columns; those of columns on beams always are
 */
public record Practice(
        int sizesApart,
        double columnBarsApart,
        int columnBarsEvery,
        double lengthModule,
        HandlingCost costs,
        ColumnSplices splices,
        boolean starters) {
    /** With laps and starter bars; bars of columns may change at every storey. */
    public Practice(int sizesApart, double columnBarsApart, double lengthModule, HandlingCost costs) {
        this(sizesApart, columnBarsApart, 1, lengthModule, costs, ColumnSplices.LAPS, true);
    }

    /** With what bases begin in metric units. */
    public static final Practice METRIC = new Practice(1, 250, 50, HandlingCost.STANDARD);

    /** With what bases begin in inches: bars 10 in. apart, lengths in steps of 3 in. */
    public static final Practice INCHES = new Practice(1, 254, 76.2, HandlingCost.STANDARD);

    /** Of bases that were stored before there were such rules. */
    public static final Practice NONE = new Practice(10, 600, 0, HandlingCost.STANDARD);
}
