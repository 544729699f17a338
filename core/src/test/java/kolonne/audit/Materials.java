package kolonne.audit;

/**
 * A second reading of the clauses on materials and bars: ACI 318M-19 and 318-19 (constants of the edition in its own units), EN 1992-1-1 with
 * recommended values. Written from the clauses, with no look at the designer.
 */
final class Materials {
    private static final double PSI = 0.006894757293168;
    private static final double INCH = 25.4;
    private final Sheet.Basis b;

    Materials(Sheet.Basis b) {
        this.b = b;
    }

    private boolean us() {
        return b.code() == Sheet.Code.ACI_US;
    }

    /** {@code si √f'c} in MPa, or {@code us √f'c} in psi, as MPa; √f'c at most 8.3 MPa or 100 psi where {@code capped}. */
    double root(double si, double us, double fc, boolean capped) {
        double metric = Math.sqrt(fc);
        double inch = Math.sqrt(fc / PSI);
        return us() ? us * (capped ? Math.min(100, inch) : inch) * PSI : si * (capped ? Math.min(8.3, metric) : metric);
    }

    double inches(double mm, double in) {
        return us() ? in * INCH : mm;
    }

    double steel() {
        return b.en() ? b.fy() / 1.15 : b.fy();
    }

    double links() {
        return b.en() ? b.fyt() / 1.15 : b.fyt();
    }

    /** Stress of the block (22.2.2.4.1; 3.1.7(3)). */
    double blockStress(double fc) {
        return b.en() ? fc / 1.5 * (fc <= 50 ? 1 : 1 - (fc - 50) / 200) : 0.85 * fc;
    }

    /** Depth of the block over that of the neutral axis (22.2.2.4.3; 3.1.7(3)). */
    double blockDepth(double fc) {
        if (b.en()) {
            return fc <= 50 ? 0.8 : 0.8 - (fc - 50) / 400;
        }
        double over = us() ? (fc / PSI - 4000) / 1000 : (fc - 28) / 7;
        return Math.max(0.65, Math.min(0.85, 0.85 - 0.05 * over));
    }

    /** Largest strain of concrete (22.2.2.1; table 3.1). */
    double crushing(double fc) {
        return !b.en() ? 0.003 : fc <= 50 ? 0.0035 : 0.0026 + 0.035 * Math.pow((90 - fc) / 100, 4);
    }

    /** φ of table 21.2.2 for ties; 1 where partial factors stand in the strengths. */
    double phi(double tension) {
        return phi(tension, false);
    }

    /** The same for spirals where they enclose the bars. */
    double phi(double tension, boolean spiral) {
        double yield = b.fy() / 200_000;
        double grown = Math.max(0, Math.min(1, (tension - yield) / 0.003));
        return b.en() ? 1 : spiral ? 0.75 + 0.15 * grown : 0.65 + 0.25 * grown;
    }

    double fctm(double fc) {
        return fc <= 50 ? 0.3 * Math.pow(fc, 2.0 / 3) : 2.12 * Math.log(1 + (fc + 8) / 10);
    }

    /** fbd (8.4.2). */
    private double bond(double d, double fc, boolean poor) {
        return 2.25 * (poor ? 0.7 : 1) * (d <= 32 ? 1 : (132 - d) / 100) * 0.7 * fctm(Math.min(fc, 60)) / 1.5;
    }

    /** Length in which a straight bar develops (25.4.2.3 with stirrups; 8.4.4). @param height of the bar above the soffit in a section of depth {@code h} */
    double straight(double d, double fc, boolean top, double height, double h, double cover) {
        if (b.en()) {
            boolean poor = top && h > 250 && (h <= 600 ? height > 250 : height > h - 300);
            return Math.max(d / 4 * steel() / bond(d, fc, poor), Math.max(10 * d, 100));
        }
        boolean small = d < 19.5;
        double psi = top && height > inches(300, 12) ? 1.3 : 1;
        double grade = b.fy() <= (us() ? 60_500 * PSI : 421) ? 1 : b.fy() <= (us() ? 80_500 * PSI : 551) ? 1.15 : 1.3;
        boolean row = cover >= d;
        double k = small ? (row ? 1 / 2.1 : 1 / 1.4) : row ? 1 / 1.7 : 1 / 1.1;
        double inch = small ? (row ? 1 / 25.0 : 3 / 50.0) : row ? 1 / 20.0 : 3 / 40.0;
        return Math.max(b.fy() * psi * grade / root(1 / k, 1 / inch, fc, true) * d, inches(300, 12));
    }

    /** Length in which a hooked bar develops (25.4.3.1 with ψo 1.25, ψr 1.0; 8.4.4 less what goes round the bend). @param poor bond, of bars that lie near the top */
    double hooked(double d, double fc, boolean poor) {
        if (b.en()) {
            double along = Math.max(d / 4 * steel() / bond(d, fc, poor), Math.max(10 * d, 100));
            return Math.max(along - 12 * d, Math.max(10 * d, 100));
        }
        double psi = us() ? Math.min(1, fc / PSI / 15_000 + 0.6) : Math.min(1, fc / 105 + 0.6);
        double metric = b.fy() * 1.25 * psi / (23 * Math.min(8.3, Math.sqrt(fc))) * Math.pow(d, 1.5);
        double inch =
                b.fy() / PSI * 1.25 * psi / (55 * Math.min(100, Math.sqrt(fc / PSI))) * Math.pow(d / INCH, 1.5) * INCH;
        return Math.max(us() ? inch : metric, Math.max(8 * d, inches(150, 6)));
    }

    /** Length in which a bar in compression develops by ACI 318-19 25.4.9.2. */
    double pushed(double d, double fc) {
        double bond = us() ? b.fy() / PSI / (50 * Math.sqrt(fc / PSI)) : 0.24 * b.fy() / Math.sqrt(fc);
        return Math.max(Math.max(bond, us() ? 0.0003 * b.fy() / PSI : 0.043 * b.fy()) * d, inches(200, 8));
    }

    /** Clear distance between bars of a beam (25.2.1; 8.2(2)). */
    double clear(double d) {
        return b.en()
                ? Math.max(d, Math.max(b.aggregate() + 5, 20))
                : Math.max(inches(25, 1), Math.max(d, 4.0 / 3 * b.aggregate()));
    }

    /** Clear distance between layers (25.2.2; 8.2(2)). */
    double clearLayers() {
        return b.en() ? Math.max(b.aggregate() + 5, 20) : inches(25, 1);
    }

    /** Least tension steel of a beam (9.6.1.2; 9.2.1.1(1)). */
    double leastSteel(double fc, double width, double d) {
        if (b.en()) {
            return Math.max(0.26 * fctm(fc) / b.fy(), 0.0013) * width * d;
        }
        double fy = Math.min(b.fy(), us() ? 80_000 * PSI : 550);
        return Math.max(root(0.25, 3, fc, false), us() ? 200 * PSI : 1.4) / fy * width * d;
    }

    /** Least net tension strain (9.3.3.1; 5.5(4) with δ = 1). */
    double leastStrain(double fc) {
        if (!b.en()) {
            return b.fy() / 200_000 + 0.003;
        }
        double xd = (1 - (fc <= 50 ? 0.44 : 0.54)) / (1.25 * (0.6 + 0.0014 / crushing(fc)));
        return crushing(fc) * (1 / xd - 1);
    }
}
