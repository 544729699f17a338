package kolonne.core.code.en1992;

/** Properties of concrete by EN 1992-1-1 table 3.1 from fck [MPa]. */
final class EnConcrete {
    private EnConcrete() {}

    /** fctm = 0.30 fck^(2/3) up to C50/60, above 2.12 ln(1 + fcm / 10). */
    static double fctm(double fck) {
        return fck <= 50 ? 0.30 * Math.pow(fck, 2.0 / 3) : 2.12 * Math.log(1 + (fck + 8) / 10);
    }

    /** fctk,0.05 = 0.7 fctm. */
    static double fctk(double fck) {
        return 0.7 * fctm(fck);
    }

    /** λ, depth of the block (3.19, 3.20). */
    static double lambda(double fck) {
        return fck <= 50 ? 0.8 : 0.8 - (fck - 50) / 400;
    }

    /** η, stress of the block (3.21, 3.22). */
    static double eta(double fck) {
        return fck <= 50 ? 1 : 1 - (fck - 50) / 200;
    }

    /** εcu2 = εcu3. */
    static double crushing(double fck) {
        return fck <= 50 ? 0.0035 : 0.0026 + 0.035 * Math.pow((90 - fck) / 100, 4);
    }

    /** εc2, where the parabola ends. */
    static double plateau(double fck) {
        return fck <= 50 ? 0.002 : 0.002 + 0.000085 * Math.pow(fck - 50, 0.53);
    }

    /** n, exponent of the parabola. */
    static double exponent(double fck) {
        return fck <= 50 ? 2 : 1.4 + 23.4 * Math.pow((90 - fck) / 100, 4);
    }

    /** Ecm = 22 000 (fcm / 10)^0.3. */
    static double ecm(double fck) {
        return 22_000 * Math.pow((fck + 8) / 10, 0.3);
    }
}
