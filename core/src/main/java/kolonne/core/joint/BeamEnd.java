package kolonne.core.joint;

/**
 * The end of a beam at a column, with its bars anchored in full. Lengths in mm, moments in Nmm, areas in mm2.
 *
 * @param mark     of the beam line
 * @param ux       plan direction from the joint along the beam, a unit vector
 * @param width    of its web; {@code depth} of the section
 * @param fc       of its concrete [MPa]
 * @param frame    whether it brings moments when the frame sways: no bracket, no hinge
 * @param nominal  strengths with the bars' yield strength
 * @param factored the same with the yield strength that the frame's joints are to stand
 * @param probable the same with the yield strength that its columns are to stand
 * @param through  whether it has the code's least steel running through on both faces, and so holds a joint across
 */
public record BeamEnd(
        String mark,
        double ux,
        double uy,
        double width,
        double depth,
        double fc,
        boolean frame,
        Strength nominal,
        Strength factored,
        Strength probable,
        double topArea,
        double bottomArea,
        boolean through) {
    /** Moments of a face, positive. */
    public record Strength(double hogging, double sagging) {}
}
