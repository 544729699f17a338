package kolonne.core.code.aci318;

/** The edition's unit system, which decides the constants in front of √f'c. */
public enum UnitForm {
    SI,
    US;

    /** One psi in MPa. */
    static final double PSI = 0.00689475729316836;

    static final double INCH = 25.4;

    /** Largest √f'c of Vc, Tth, Tcr and development lengths: 8.3 MPa or 100 psi (22.5.3.1, 22.7.2.1, 25.4.1.4). */
    double root(double fc) {
        return this == SI ? Math.min(Math.sqrt(fc), 8.3) : Math.min(Math.sqrt(fc / PSI), 100);
    }

    /** {@code si √f'c} in MPa, or {@code us √f'c} in psi given back in MPa. */
    double rootStress(double si, double us, double fc) {
        return this == SI ? si * root(fc) : us * root(fc) * PSI;
    }

    /** The same with √f'c as it is: of minima and of limits of the section, for which the code sets no largest value. */
    double plainStress(double si, double us, double fc) {
        return this == SI ? si * Math.sqrt(fc) : us * Math.sqrt(fc / PSI) * PSI;
    }

    /** A stress constant of the edition [MPa]. */
    double stress(double mpa, double psi) {
        return this == SI ? mpa : psi * PSI;
    }

    /** A length constant of the edition [mm]. */
    double length(double mm, double in) {
        return this == SI ? mm : in * INCH;
    }

    /** The coefficient in a formula shown to the reader. */
    String shown(String si, String us) {
        return this == SI ? si : us;
    }
}
