package kolonne.core.code;

/**
 * A bar of the catalogue.
 *
 * @param label    as written on drawings, for instance T20 or #6
 * @param diameter nominal [mm]
 * @param area     nominal [mm2]
 * @param mass     nominal [kg/m]
 */
public record Bar(String label, double diameter, double area, double mass) {}
