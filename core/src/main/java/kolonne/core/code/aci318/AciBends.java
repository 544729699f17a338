package kolonne.core.code.aci318;

import kolonne.core.code.Bar;
import kolonne.core.code.Bends;

/** Least bend diameters and extensions of standard hooks (tables 25.3.1 and 25.3.2). */
final class AciBends implements Bends {
    private static final double SMALL_STIRRUP = 16.1;
    private static final double MEDIUM_BAR = 25.5;

    /** Inside diameter 6 db up to No. 25, else 8 db (table 25.3.1). */
    @Override
    public double barRadius(Bar b) {
        return (b.diameter() <= MEDIUM_BAR ? 6 : 8) * b.diameter() / 2;
    }

    /** Inside diameter 4 db up to No. 16, else 6 db (table 25.3.2). */
    @Override
    public double stirrupRadius(Bar b) {
        return (b.diameter() <= SMALL_STIRRUP ? 4 : 6) * b.diameter() / 2;
    }

    /** 12 db (table 25.3.1). */
    @Override
    public double barTail(Bar b) {
        return 12 * b.diameter();
    }

    /** 6 db, at least 75 mm (table 25.3.2). */
    @Override
    public double stirrupTail(Bar b) {
        return Math.max(6 * b.diameter(), 75);
    }
}
