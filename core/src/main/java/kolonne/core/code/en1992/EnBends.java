package kolonne.core.code.en1992;

import kolonne.core.code.Bar;
import kolonne.core.code.Bends;

/** Mandrels of table 8.1N; straight ends not shorter than figures 8.1 and 8.5 ask. */
final class EnBends implements Bends {
    private static final double THIN = 16.1;

    /** Mandrel 4 φ up to 16 mm, else 7 φ (table 8.1N a). */
    @Override
    public double barRadius(Bar b) {
        return mandrel(b) / 2;
    }

    @Override
    public double stirrupRadius(Bar b) {
        return mandrel(b) / 2;
    }

    private static double mandrel(Bar b) {
        return (b.diameter() <= THIN ? 4 : 7) * b.diameter();
    }

    /** 12 φ, as much as the anchorage at end supports counts on round the bend; 5 φ at least (figure 8.1 b). */
    @Override
    public double barTail(Bar b) {
        return 12 * b.diameter();
    }

    /** 6 φ and 75 mm; 5 φ and 50 mm at least (figure 8.5 a). */
    @Override
    public double stirrupTail(Bar b) {
        return Math.max(6 * b.diameter(), 75);
    }
}
