package kolonne.core.basis.part;

/**
 * Room for the vibrator between the top bars of beams.
 *
 * @param clear clear distance wanted [mm]; 0 for what the code asks
 * @param bars  that a row may have before it counts
 */
public record VibratorGap(double clear, int bars) {
    /** As the code has it. */
    public static final VibratorGap NONE = new VibratorGap(0, 5);
}
