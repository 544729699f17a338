package kolonne.core.basis.part;

/**
 * What a site wants beside what the code asks. These rules give way where no cage keeps them; a note then says so.
 *
 * @param sizesApart      by the practical preference: steps between the sizes of a face's bars, and of a lift's, in the list of allowed ones
 * @param columnBarsApart greatest distance of neighbouring bars of columns, centre to centre, by the practical preference [mm]
 * @param columnBarsEvery storeys, counted from the foot of a column or its last change of section, through which its bars stay the same by the practical preference
 * @param columnLapsEvery storeys, counted likewise, after which the bars of a column lap with those below; where they are the same in all of them and not longer than delivered
 * @param lengthModule    bars along members are cut to multiples of this; 0 where to any length [mm]
 * @param vibrator        room between top bars of beams, by the practical preference
 * @param costs           what bars cost beside their mass
 * @param splices         of bars of columns
 * @param roundTies       of round columns
 * @param spacersEvery    greatest distance of bars laid between the layers of beams as spacers; 0 where they are not listed [mm]
 * @param starters        whether starter bars are listed with the columns; those of columns on beams always are
 */
public record Practice(
        int sizesApart,
        double columnBarsApart,
        int columnBarsEvery,
        int columnLapsEvery,
        double lengthModule,
        VibratorGap vibrator,
        HandlingCost costs,
        ColumnSplices splices,
        RoundTies roundTies,
        double spacersEvery,
        boolean starters) {
    /** With laps and starter bars; bars of columns may change at every storey. */
    public Practice(int sizesApart, double columnBarsApart, double lengthModule, HandlingCost costs) {
        this(
                sizesApart,
                columnBarsApart,
                1,
                1,
                lengthModule,
                VibratorGap.NONE,
                costs,
                ColumnSplices.LAPS,
                RoundTies.HOOPS,
                0,
                true);
    }

    /** The same with bars of columns that change, lap and are joined so. */
    public Practice with(int barsEvery, int lapsEvery, ColumnSplices joined, boolean starterBars) {
        return new Practice(
                sizesApart,
                columnBarsApart,
                barsEvery,
                lapsEvery,
                lengthModule,
                vibrator,
                costs,
                joined,
                roundTies,
                spacersEvery,
                starterBars);
    }

    /** The same with other ties of round columns. */
    public Practice with(RoundTies round) {
        return new Practice(
                sizesApart,
                columnBarsApart,
                columnBarsEvery,
                columnLapsEvery,
                lengthModule,
                vibrator,
                costs,
                splices,
                round,
                spacersEvery,
                starters);
    }

    /** The same with room for the vibrator. */
    public Practice with(VibratorGap room) {
        return new Practice(
                sizesApart,
                columnBarsApart,
                columnBarsEvery,
                columnLapsEvery,
                lengthModule,
                room,
                costs,
                splices,
                roundTies,
                spacersEvery,
                starters);
    }

    /** The same with spacers between the layers of beams. */
    public Practice withSpacers(double every) {
        return new Practice(
                sizesApart,
                columnBarsApart,
                columnBarsEvery,
                columnLapsEvery,
                lengthModule,
                vibrator,
                costs,
                splices,
                roundTies,
                every,
                starters);
    }

    /** Storeys through which the bars of a column stay the same: those that lap after some storeys are one bar in all of them. */
    public int sameBarsThrough() {
        return Math.max(columnBarsEvery, columnLapsEvery);
    }

    /** With what bases begin in metric units. */
    public static final Practice METRIC = new Practice(1, 250, 50, HandlingCost.STANDARD);

    /** With what bases begin in inches: bars 10 in. apart, lengths in steps of 3 in. */
    public static final Practice INCHES = new Practice(1, 254, 76.2, HandlingCost.STANDARD);

    /** Of bases that were stored before there were such rules. */
    public static final Practice NONE = new Practice(10, 600, 0, HandlingCost.STANDARD);
}
