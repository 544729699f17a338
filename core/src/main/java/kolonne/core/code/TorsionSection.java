package kolonne.core.code;

/**
 * A section as the torsion rules see it.
 *
 * @param fc  f'c [MPa]
 * @param fy  yield strength of longitudinal bars [MPa]
 * @param fyt yield strength of stirrups [MPa]
 * @param bw  web width and {@code h} depth [mm]
 * @param acp area enclosed by the outside of the concrete [mm2]
 * @param pcp its perimeter [mm]
 * @param aoh area within the centre line of the outermost closed stirrup [mm2]
 * @param ph  its perimeter [mm]
 * @param inset from the faces to the middle of the longitudinal bars [mm]
 * @param round a circle; else a rectangle
 */
public record TorsionSection(
        double fc,
        double fy,
        double fyt,
        double bw,
        double h,
        double acp,
        double pcp,
        double aoh,
        double ph,
        double inset,
        boolean round) {
    /** A rectangle. */
    public TorsionSection(
            double fc,
            double fy,
            double fyt,
            double bw,
            double h,
            double acp,
            double pcp,
            double aoh,
            double ph,
            double inset) {
        this(fc, fy, fyt, bw, h, acp, pcp, aoh, ph, inset, false);
    }
}
