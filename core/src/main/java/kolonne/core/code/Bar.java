package kolonne.core.code;

/**
 * A bar of the catalogue.
 *
 * @param label    as written on drawings, for instance T20 or #6
 * @param diameter nominal [mm]
 * @param area     nominal [mm2]
 * @param mass     nominal [kg/m]
 */
public record Bar(String label, double diameter, double area, double mass) {
    /** Of the label alone, which differs within a catalogue: bars are in the keys of all that is remembered while one designs. */
    @Override
    public int hashCode() {
        return label.hashCode();
    }
}
