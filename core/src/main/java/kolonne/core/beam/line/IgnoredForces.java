package kolonne.core.beam.line;

import kolonne.core.code.DesignCode;
import kolonne.core.shape.Shape;

/** Forces that the checks of beams leave out, up to thresholds; above them a beam is out of scope. */
public final class IgnoredForces {
    /** Tension over f'c Ag; below it, the effect on Vc is under 2 %. */
    private static final double TENSION = 0.003;
    /** Minor-axis moment over f'c h b². */
    private static final double MINOR_MOMENT = 0.01;
    /**
     * Shear across the beam over √f'c h b [√MPa]. A threshold of our own, of no clause: two fifths of φ 0.17 √f'c of ACI 318-19 22.5.5.1 (a), half of the least
     * VRd,c of EN 1992-1-1 6.2.2 in a web 300 wide, and a growing part of it in wider ones.
     */
    private static final double MINOR_SHEAR = 0.05;

    private IgnoredForces() {}

    /** Axial force left out [N]: compression as the code allows in a beam, or tension. */
    public static double axial(DesignCode code, Shape s, double fc, boolean tension) {
        return tension ? TENSION * fc * s.A() : code.beamAxialLimit(fc, s.A());
    }

    /** Moment about the vertical axis left out [Nmm]. */
    public static double minorMoment(Shape s, double fc) {
        return MINOR_MOMENT * fc * s.depth() * s.webWidth() * s.webWidth();
    }

    /** Shear across the beam left out [N]. */
    public static double minorShear(Shape s, double fc) {
        return MINOR_SHEAR * Math.sqrt(fc) * s.depth() * s.webWidth();
    }
}
