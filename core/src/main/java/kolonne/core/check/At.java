package kolonne.core.check;

/**
 * Where and under what a check is made.
 *
 * @param x           along the line, or the height in the stack [mm]
 * @param part        number of the span or lift
 * @param station     number of the station that explains the check, or -1
 * @param combination its name, or empty
 * @param words       the place in words; empty where the distance from a support tells
 */
public record At(double x, int part, int station, String combination, String words) {
    /** A place of a span. */
    public static At place(double x, int part) {
        return new At(x, part, -1, "", "");
    }

    /** A station of a span. */
    public static At station(double x, int part, int station) {
        return new At(x, part, station, "", "");
    }

    /** A place that has a name. */
    public static At named(double x, int part, String words) {
        return new At(x, part, -1, "", words);
    }

    /** The same under a combination. */
    public At under(String name) {
        return new At(x, part, station, name, words);
    }
}
