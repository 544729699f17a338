package kolonne.exchange.model;

/**
 * Units of a model file, as factors to core units (N, mm, MPa, rad).
 *
 * @param length      of coordinates and places along members (m or ft)
 * @param size        of sections and thicknesses (mm or in)
 * @param stress      (MPa or ksi)
 * @param weight      unit weight (kN/m3 or pcf)
 * @param force       (kN or kip)
 * @param moment      (kNm or kip ft)
 * @param lineLoad    (kN/m or kip/ft)
 * @param pressure    (kN/m2 or psf)
 */
public record ModelUnits(
        String name,
        double length,
        double size,
        double stress,
        double weight,
        double force,
        double moment,
        double lineLoad,
        double pressure) {
    private static final double POUND = 4.4482216152605;
    private static final double FOOT = 304.8;
    public static final ModelUnits SI = new ModelUnits("SI", 1000, 1, 1, 1e-6, 1e3, 1e6, 1, 1e-3);
    public static final ModelUnits US = new ModelUnits(
            "US",
            FOOT,
            25.4,
            6.894757293168361,
            POUND / (FOOT * FOOT * FOOT),
            1000 * POUND,
            1000 * POUND * FOOT,
            1000 * POUND / FOOT,
            POUND / (FOOT * FOOT));

    /** The units of a name, or null. */
    public static ModelUnits of(String name) {
        return switch (name) {
            case "SI" -> SI;
            case "US" -> US;
            default -> null;
        };
    }
}
