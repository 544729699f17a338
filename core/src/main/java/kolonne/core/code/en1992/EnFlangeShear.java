package kolonne.core.code.en1992;

import kolonne.core.code.FlangeShear;
import kolonne.core.explain.Clause;

/** EN 1992-1-1 6.2.4 for flanges in compression: 1 ≤ cot θf ≤ 2. */
record EnFlangeShear(En1992 code, EnShear shear) implements FlangeShear {
    private static final double COT_MOST = 2;
    /** k of 6.2.4(6), recommended value. */
    private static final double K = 0.4;

    @Override
    public double without(double fc) {
        return K * code.fctd(fc);
    }

    /** ν fcd sin θf cos θf with θf = 45° (6.22). */
    @Override
    public double limit(double fc) {
        return 0.5 * shear.nu(fc) * code.fcd(fc);
    }

    /** vEd hf / (fyd cot θf) (6.21) with the flattest strut that does not crush. */
    @Override
    public double steel(double stress, double hf, double fc, double fy) {
        double sine = Math.min(1, 2 * stress / (shear.nu(fc) * code.fcd(fc)));
        double cot = Math.max(1, Math.min(COT_MOST, 1 / Math.tan(0.5 * Math.asin(sine))));
        return stress * hf / (code.designSteel(fy) * cot);
    }

    @Override
    public Clause clause() {
        return Clause.of("6.2.4");
    }
}
