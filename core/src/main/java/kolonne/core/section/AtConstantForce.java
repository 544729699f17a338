package kolonne.core.section;

/** How far bending is used where the axial force stays as it is. */
public final class AtConstantForce {
    private AtConstantForce() {}

    /**
     * Use of the strength in bending where the axial force stays as it is: the moments over those that could act with it, in their own ratio; infinite where the
     * force alone is more than the section bears.
     */
    public static double use(StrengthSurface s, double n, double mx, double my) {
        double m = Math.hypot(mx, my);
        if (m == 0) {
            return s.exact(n, 0, 0).utilisation() <= 1 ? 0 : Double.POSITIVE_INFINITY;
        }
        double low = 0;
        double high = 1;
        if (s.exact(n, 0, 0).utilisation() > 1) {
            return Double.POSITIVE_INFINITY;
        }
        while (s.exact(n, high * mx, high * my).utilisation() < 1) {
            low = high;
            high *= 2;
            if (high > 1e9) {
                return 0;
            }
        }
        for (int k = 0; k < 60 && high - low > 1e-10 * high; k++) {
            double mid = (low + high) / 2;
            if (s.exact(n, mid * mx, mid * my).utilisation() < 1) {
                low = mid;
            } else {
                high = mid;
            }
        }
        return 2 / (low + high);
    }
}
