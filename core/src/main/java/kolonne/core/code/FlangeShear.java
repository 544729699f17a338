package kolonne.core.code;

import kolonne.core.explain.Clause;

/** Shear between the web and the flange of a beam in bending. Stresses [MPa]. */
public interface FlangeShear {
    /** Stress up to which the slab needs no bars for it besides those of its bending. */
    double without(double fc);

    /** Stress at which the struts in the flange crush. */
    double limit(double fc);

    /** Bars across the web for a stress [mm2/mm]. @param hf depth of the flange [mm] */
    double steel(double stress, double hf, double fc, double fy);

    Clause clause();
}
