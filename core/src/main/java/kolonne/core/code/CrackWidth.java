package kolonne.core.code;

import kolonne.core.explain.Clause;
import kolonne.core.explain.Trace;

/** Rules for the width of cracks and for stresses under service load, of codes that compute them. */
public interface CrackWidth {
    /**
     * A cracked section under quasi-permanent load.
     *
     * @param h        depth [mm]
     * @param d        effective depth [mm]
     * @param x        depth of the neutral axis [mm]
     * @param b        width of the tension zone [mm]
     * @param as       tension steel [mm2]
     * @param diameter mean of the tension bars [mm]
     * @param cover    clear cover of the bars [mm]
     * @param spacing  of the bars nearest to the face [mm]
     * @param stress   of the steel [MPa]
     * @param fc       f'c or fck [MPa]
     * @param pull     half the sum of the tension strains at the edges over the larger: {@link #BENT} where one edge is compressed, 1 in pure tension
     */
    record Cracked(
            double h,
            double d,
            double x,
            double b,
            double as,
            double diameter,
            double cover,
            double spacing,
            double stress,
            double fc,
            double pull) {}

    /** Of sections that are compressed on one side. */
    double BENT = 0.5;

    /** Width of a crack [mm]. */
    double width(Cracked c, Trace t);

    /** Largest width [mm]. */
    double limit();

    Clause clause();

    /** Creep coefficient for stresses of long duration. */
    double creep();

    /** Largest stress of steel under characteristic load [MPa]. */
    double steelStress(double fy);

    /** Largest stress of concrete under characteristic load [MPa]; infinite where it is not limited. */
    double concreteStress(double fc);

    /** Stress of concrete under quasi-permanent load above which creep is not linear [MPa]. */
    double linearCreep(double fc);

    Clause linearCreepClause();

    Clause stressClause();
}
