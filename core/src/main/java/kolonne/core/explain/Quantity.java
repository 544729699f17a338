package kolonne.core.explain;

import java.util.Locale;

/**
 * Kinds of quantity that a reader meets, with the unit in which each is shown in the two display systems.
 * Core values are always N, mm, MPa, rad.
 */
public enum Quantity {
    NUMBER("", 1, 3, "", 1, 3),
    COUNT("", 1, 0, "", 1, 0),
    UTILISATION("", 1, 2, "", 1, 2),
    LENGTH("mm", 1, 0, "in", 1 / 25.4, 2),
    DISTANCE("m", 1e-3, 2, "ft", 1 / 304.8, 2),
    DEFLECTION("mm", 1, 1, "in", 1 / 25.4, 2),
    CRACK("mm", 1, 2, "in", 1 / 25.4, 4),
    AREA("mm²", 1, 0, "in²", 1 / 645.16, 2),
    SECOND_MOMENT("10⁶ mm⁴", 1e-6, 0, "in⁴", 1 / 416231.4256, 0),
    FORCE("kN", 1e-3, 1, "kip", 1 / 4448.2216152605, 2),
    MOMENT("kNm", 1e-6, 1, "kip·ft", 1 / 1355817.9483314, 2),
    STRESS("MPa", 1, 2, "psi", 1 / 0.00689475729316836, 0),
    STRENGTH("MPa", 1, 1, "ksi", 1 / 6.89475729316836, 2),
    AREA_PER_LENGTH("mm²/mm", 1, 3, "in²/in", 1 / 25.4, 4),
    PART("", 1, 4, "", 1, 4),
    STRAIN("‰", 1e3, 2, "‰", 1e3, 2),
    RATIO("%", 100, 2, "%", 100, 2),
    ANGLE("°", 180 / Math.PI, 1, "°", 180 / Math.PI, 1),
    MASS("kg", 1, 1, "lb", 2.2046226218488, 1);

    private final String si;
    private final double siFactor;
    private final int siDecimals;
    private final String us;
    private final double usFactor;
    private final int usDecimals;

    Quantity(String si, double siFactor, int siDecimals, String us, double usFactor, int usDecimals) {
        this.si = si;
        this.siFactor = siFactor;
        this.siDecimals = siDecimals;
        this.us = us;
        this.usFactor = usFactor;
        this.usDecimals = usDecimals;
    }

    /** The unit's symbol; {@code us} chooses US customary. */
    public String unit(boolean usUnits) {
        return usUnits ? us : si;
    }

    /** A core value in the display unit. */
    public double display(double core, boolean usUnits) {
        return core * (usUnits ? usFactor : siFactor);
    }

    /** A core value as digits in the display unit, without the unit. */
    public String digits(double core, boolean usUnits) {
        double v = display(core, usUnits);
        int decimals = usUnits ? usDecimals : siDecimals;
        if (Double.isNaN(v) || Double.isInfinite(v)) {
            return Double.isNaN(v) ? "–" : v > 0 ? "∞" : "−∞";
        }
        String s = String.format(Locale.ROOT, "%." + decimals + "f", v);
        return s.replace('-', '−');
    }

    /** A core value with its unit. */
    public String text(double core, boolean usUnits) {
        String u = unit(usUnits);
        return digits(core, usUnits) + (u.isEmpty() ? "" : u.equals("%") || u.equals("°") ? u : " " + u);
    }
}
