package kolonne.core.basis;

import kolonne.core.code.DuctileFrame;

/**
 * What a basis says of beams beyond bars and stirrups.
 *
 * @param slabFlanges whether the slabs of the model are flanges, as wide as the code allows, whatever flange the section has
 * @param bundles     whether two bars may touch where they do not fit singly
 * @param stockLength longest bar that is delivered [mm]; longer ones are lapped
 * @param ductility   rules for frames in earthquakes
 * @param advice      what section advice aims at and stays within
 */
public record BeamRules(boolean slabFlanges, boolean bundles, double stockLength, DuctileFrame.Kind ductility, SectionLimits advice) {
    /**
     * Section advice.
     *
     * @param bandFrom   use of the strength that a good section reaches at least, and {@code bandTo} at most
     * @param depthLeast sizes that are considered [mm]
     * @param step       between one size and the next [mm]
     */
    public record SectionLimits(double bandFrom, double bandTo, double depthLeast, double depthMost, double widthLeast, double widthMost, double step) {}

    /** Sections as they are modelled, single bars of 12 m (40 ft), no rules for earthquakes. */
    public static BeamRules standard(boolean usUnits) {
        return usUnits
            ? new BeamRules(false, false, 12_192, DuctileFrame.Kind.NONE, new SectionLimits(0.7, 1, 203.2, 1524, 203.2, 914.4, 50.8))
            : new BeamRules(false, false, 12_000, DuctileFrame.Kind.NONE, new SectionLimits(0.7, 1, 200, 1500, 200, 900, 50));
    }

    public BeamRules withSlabFlanges(boolean on) {
        return new BeamRules(on, bundles, stockLength, ductility, advice);
    }

    public BeamRules withBundles(boolean on) {
        return new BeamRules(slabFlanges, on, stockLength, ductility, advice);
    }

    public BeamRules withStockLength(double length) {
        return new BeamRules(slabFlanges, bundles, length, ductility, advice);
    }

    public BeamRules with(DuctileFrame.Kind d) {
        return new BeamRules(slabFlanges, bundles, stockLength, d, advice);
    }

    public BeamRules with(SectionLimits limits) {
        return new BeamRules(slabFlanges, bundles, stockLength, ductility, limits);
    }
}
