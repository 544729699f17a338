package kolonne.core.code;

import kolonne.core.explain.Clause;
import kolonne.core.explain.Trace;

/** Second-order rules for columns in frames braced against sway, and the magnifier of sway moments. */
public interface Slenderness {
    /**
     * A lift about one axis.
     *
     * @param m1 smaller end moment by size [Nmm], with the sign that makes {@code m1 / m2} negative in single curvature
     * @param m2 larger end moment by size, the largest anywhere where loads act between the ends; positive [Nmm]
     * @param lu unsupported length [mm]
     * @param k  effective length factor
     * @param r  radius of gyration [mm]
     * @param ei gross flexural stiffness Ec Ig [Nmm2]
     * @param h  depth in the direction of bending [mm]
     * @param pu compression [N]
     * @param sustained part of the compression that is sustained, 0 to 1; {@code sustainedMoment} of the moment with its imperfection
     * @param transverse whether loads act between the ends
     * @param sways whether its storey sways, or nothing holds its head
     * @param fc   f'c or fck [MPa]; fy of the bars [MPa]
     * @param ag   gross area [mm2]
     * @param imperfection moment that the imperfection of the lift adds to those of its ends [Nmm]; 0 where it counts about the other axis
     */
    record Lift(
            double m1,
            double m2,
            double lu,
            double k,
            double r,
            double ei,
            double h,
            double pu,
            double sustained,
            double sustainedMoment,
            boolean transverse,
            boolean sways,
            double fc,
            double fy,
            double ag,
            Bars bars,
            double imperfection) {
        /** The same with other bars. */
        public Lift with(Bars other) {
            return new Lift(
                    m1,
                    m2,
                    lu,
                    k,
                    r,
                    ei,
                    h,
                    pu,
                    sustained,
                    sustainedMoment,
                    transverse,
                    sways,
                    fc,
                    fy,
                    ag,
                    other,
                    imperfection);
        }
    }

    /**
     * All bars of a lift where it bends about one axis.
     *
     * @param depth   h/2 and their radius of gyration [mm]
     * @param area    of all [mm2]
     * @param inertia about their centre [mm4]
     */
    record Bars(double depth, double area, double inertia) {}

    /**
     * The moment to design for away from the ends and the magnifier; infinite where the lift buckles.
     *
     * @param moment [Nmm]; {@code ownFactor} and {@code own} where it is not made larger by a least moment
     */
    record Magnified(double moment, double factor, boolean slender, double own, double ownFactor) {
        /** One without a least moment. */
        public Magnified(double moment, double factor, boolean slender) {
            this(moment, factor, slender, moment, factor);
        }

        /** Whether a least moment decides. */
        public boolean least() {
            return moment > own * (1 + 1e-9);
        }

        /** The same where the least moment acts about the other axis. */
        public Magnified plain() {
            return new Magnified(own, ownFactor, slender);
        }
    }

    Magnified braced(Lift lift, Trace t);

    /** Effective over unsupported length by what turns with its ends. @param moves whether its head may move */
    double lengthFactor(ColumnEnd foot, ColumnEnd head, boolean moves, Trace t);

    /** Whether the lift is too slender for the method: the largest allowed magnifier. */
    double greatestFactor();

    Clause bracedClause();

    Clause greatestFactorClause();

    /** Magnifier of sway moments for a storey's stability index; infinite where it is unstable. */
    double sway(double stabilityIndex);

    /** Stability index up to which a storey may be taken as braced. */
    double bracedIndex();

    Clause swayClause();

    /** Clause on the stiffnesses with which sidesway is to be analysed. */
    Clause stiffnessClause();

    /** For what beams get of it. */
    Clause swayBeamClause();

    /** Eccentricity of the axial force from imperfections of the lift [mm]; 0 where the code has none. */
    double imperfection(double effectiveLength);

    /**
     * Inclination of a frame out of plumb that is to be allowed for, horizontal over vertical; 0 where the code asks for none.
     *
     * @param height  of the building [mm]
     * @param columns that stand on its foundation
     */
    double inclination(double height, int columns);

    Clause inclinationClause();

    /** Least eccentricity of a compression [mm]; 0 where the code limits the axial force instead. */
    double leastEccentricity(double h);
}
