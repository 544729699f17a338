package kolonne.core.basis.part;

/**
 * The frame as a whole.
 *
 * @param swayX          how it resists sway along global X, {@code swayY} along global Y
 * @param redistribution part of the hogging moments at supports of beams that is moved into the spans, 0 for none
 * @param ductility      rules for earthquakes
 * @param lengthX        effective over unsupported length of columns that buckle along global X, {@code lengthY} along global Y, where
 *                       {@code lengths} are given
 */
public record Frame(
        Sway swayX,
        Sway swayY,
        double redistribution,
        Ductility ductility,
        EffectiveLengths lengths,
        double lengthX,
        double lengthY) {
    /** By the stability index, moments as analysed, no rules for earthquakes. */
    public static final Frame PLAIN = new Frame(Sway.FROM_MODEL, Sway.FROM_MODEL, 0, Ductility.NONE);

    /** With the whole length between restraints, as for ends that may turn and not move. */
    public Frame(Sway swayX, Sway swayY, double redistribution, Ductility ductility) {
        this(swayX, swayY, redistribution, ductility, EffectiveLengths.GIVEN, 1, 1);
    }
}
