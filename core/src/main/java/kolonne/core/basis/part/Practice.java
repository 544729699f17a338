package kolonne.core.basis.part;

/**
 * What a site wants beside what the code asks. These rules give way where no cage keeps them; a note then says so.
 *
 * @param sizesApart      by the practical preference: steps between the sizes of a face's bars, and of a lift's, in the list of allowed ones
 * @param columnBarsApart greatest distance of neighbouring bars of columns, centre to centre, by the practical preference [mm]
 * @param costs           what bars cost beside their mass
 */
public record Practice(int sizesApart, double columnBarsApart, HandlingCost costs) {
    /** With what bases begin in metric units. */
    public static final Practice METRIC = new Practice(1, 250, HandlingCost.STANDARD);

    /** With what bases begin in inches: bars 10 in. apart. */
    public static final Practice INCHES = new Practice(1, 254, HandlingCost.STANDARD);

    /** Of bases that were stored before there were such rules. */
    public static final Practice NONE = new Practice(10, 600, HandlingCost.STANDARD);
}
