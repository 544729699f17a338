package kolonne.exchange.forces;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import kolonne.exchange.forces.ForceMapping.Quantity;

/** Units of tables of forces with their size in core units, and how people write them. */
final class ForceUnits {
    static final String RATIO = "ratio";
    private static final double POUND = 4.4482216152605;
    private static final double KILOPOND = 9.80665;
    private static final double FOOT = 304.8;
    private static final double INCH = 25.4;

    private static final Map<String, Double> LENGTHS = new LinkedHashMap<>();
    private static final Map<String, Double> FORCES = new LinkedHashMap<>();
    private static final Map<String, Double> MOMENTS = new LinkedHashMap<>();
    /** Other ways to write a unit, without signs between its parts and in small letters. */
    private static final Map<String, String> WRITTEN = Map.ofEntries(
            Map.entry("k", "kip"),
            Map.entry("klb", "kip"),
            Map.entry("kp", "kgf"),
            Map.entry("tf", "tonf"),
            Map.entry("kft", "kip·ft"),
            Map.entry("ftk", "kip·ft"),
            Map.entry("ftkip", "kip·ft"),
            Map.entry("kin", "kip·in"),
            Map.entry("inkip", "kip·in"),
            Map.entry("ftlb", "lb·ft"),
            Map.entry("inlb", "lb·in"),
            Map.entry("tfm", "tonf·m"),
            Map.entry("kpm", "kgf·m"),
            Map.entry("metre", "m"),
            Map.entry("metres", "m"),
            Map.entry("meter", "m"),
            Map.entry("meters", "m"),
            Map.entry("inch", "in"),
            Map.entry("inches", "in"),
            Map.entry("feet", "ft"),
            Map.entry("foot", "ft"),
            Map.entry("xl", RATIO),
            Map.entry("rel", RATIO),
            Map.entry("relative", RATIO));

    static {
        LENGTHS.put("m", 1e3);
        LENGTHS.put("ft", FOOT);
        LENGTHS.put("mm", 1.0);
        LENGTHS.put("cm", 10.0);
        LENGTHS.put("in", INCH);
        LENGTHS.put(RATIO, Double.NaN);
        FORCES.put("kN", 1e3);
        FORCES.put("kip", 1e3 * POUND);
        FORCES.put("N", 1.0);
        FORCES.put("MN", 1e6);
        FORCES.put("kgf", KILOPOND);
        FORCES.put("tonf", 1e3 * KILOPOND);
        FORCES.put("lb", POUND);
        MOMENTS.put("kNm", 1e6);
        MOMENTS.put("kip·ft", 1e3 * POUND * FOOT);
        MOMENTS.put("Nmm", 1.0);
        MOMENTS.put("Nm", 1e3);
        MOMENTS.put("kNcm", 1e4);
        MOMENTS.put("kNmm", 1e3);
        MOMENTS.put("MNm", 1e9);
        MOMENTS.put("kgf·m", 1e3 * KILOPOND);
        MOMENTS.put("kgf·cm", 10 * KILOPOND);
        MOMENTS.put("tonf·m", 1e6 * KILOPOND);
        MOMENTS.put("tonf·cm", 1e4 * KILOPOND);
        MOMENTS.put("lb·ft", POUND * FOOT);
        MOMENTS.put("lb·in", POUND * INCH);
        MOMENTS.put("kip·in", 1e3 * POUND * INCH);
    }

    private ForceUnits() {}

    private static Map<String, Double> of(Quantity q) {
        return q.text() ? Map.of() : q == Quantity.X ? LENGTHS : q.ordinal() >= Quantity.T.ordinal() ? MOMENTS : FORCES;
    }

    /** Units to choose from for a quantity, the metric display unit first, the US one second. */
    static List<String> choices(Quantity q) {
        return List.copyOf(of(q).keySet());
    }

    /** Size of a unit in core units; NaN for places from 0 to 1; null if it is none of the quantity. */
    static Double size(Quantity q, String unit) {
        return of(q).get(unit);
    }

    /** The unit of a quantity as people write it: {@code kN-m}, {@code N·mm}, {@code Kips}. */
    static Optional<String> read(Quantity q, String written) {
        String plain = plain(written);
        return of(q).keySet().stream()
                .filter(u -> plain(u).equals(plain) || u.equals(WRITTEN.get(plain)))
                .findFirst();
    }

    /** Whether a text is a unit of any quantity. */
    static boolean known(String written) {
        return read(Quantity.X, written).isPresent()
                || read(Quantity.N, written).isPresent()
                || read(Quantity.MY, written).isPresent();
    }

    private static String plain(String s) {
        return s.toLowerCase(Locale.ROOT)
                .replaceAll("[^\\p{L}]", "")
                .replace("kips", "kip")
                .replaceAll("lb[sf]", "lb");
    }
}
