package kolonne.core.model;

import java.util.List;

/**
 * How the frame is analysed.
 *
 * @param shearDeformation whether members deform in shear
 * @param beams            stiffness factors of beams without their own
 * @param columns          stiffness factors of columns without their own
 * @param rigidEnds        part (0 to 1) of the length inside a joint that does not deform, for members without rigid ends
 *                         of their own; 0 for none
 * @param pDelta           load cases and factors whose axial forces soften (or stiffen) the frame; empty for first order
 * @param patternLive      whether arrangements of live load are generated
 * @param inclination      of the whole frame out of plumb, horizontal over vertical; 0 for none
 */
public record AnalysisOptions(
        boolean shearDeformation,
        StiffnessFactors beams,
        StiffnessFactors columns,
        double rigidEnds,
        List<Combination.Term> pDelta,
        boolean patternLive,
        double inclination) {
    /** Steepest that is taken. */
    public static final double STEEPEST = 0.02;

    public static final AnalysisOptions STANDARD =
            new AnalysisOptions(false, StiffnessFactors.GROSS, StiffnessFactors.GROSS, 0, List.of(), false);

    /** Plumb. */
    public AnalysisOptions(
            boolean shearDeformation,
            StiffnessFactors beams,
            StiffnessFactors columns,
            double rigidEnds,
            List<Combination.Term> pDelta,
            boolean patternLive) {
        this(shearDeformation, beams, columns, rigidEnds, pDelta, patternLive, 0);
    }

    public AnalysisOptions {
        pDelta = List.copyOf(pDelta);
    }

    /** Factors of a member: its own, or those of its role. */
    public StiffnessFactors factorsOf(Member m) {
        if (m.stiffness() != null) {
            return m.stiffness();
        }
        return m.role() == Role.COLUMN ? columns : beams;
    }
}
