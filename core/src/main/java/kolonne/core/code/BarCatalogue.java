package kolonne.core.code;

import java.util.List;

/** Bars that a market sells, smallest first. */
public record BarCatalogue(String name, List<Bar> bars) {
    /** Metric bars, nominal area and mass by ISO 6935-2:2019, table 2 (density 7850 kg/m3). */
    public static final BarCatalogue METRIC = metric();
    /** Inch-pound bars, nominal dimensions by ASTM A615/A615M-20, table 1. */
    public static final BarCatalogue US = new BarCatalogue(
            "ASTM A615, inch-pound",
            List.of(
                    us("#3", 0.375, 0.11, 0.376),
                    us("#4", 0.500, 0.20, 0.668),
                    us("#5", 0.625, 0.31, 1.043),
                    us("#6", 0.750, 0.44, 1.502),
                    us("#7", 0.875, 0.60, 2.044),
                    us("#8", 1.000, 0.79, 2.670),
                    us("#9", 1.128, 1.00, 3.400),
                    us("#10", 1.270, 1.27, 4.303),
                    us("#11", 1.410, 1.56, 5.313),
                    us("#14", 1.693, 2.25, 7.65),
                    us("#18", 2.257, 4.00, 13.60)));

    public BarCatalogue {
        bars = List.copyOf(bars);
    }

    private static BarCatalogue metric() {
        return new BarCatalogue(
                "ISO 6935-2, metric",
                java.util.stream.IntStream.of(6, 8, 10, 12, 16, 20, 25, 28, 32, 40)
                        .mapToObj(d -> {
                            double area = Math.PI * d * d / 4.0;
                            return new Bar("T" + d, d, area, area * 7850e-6);
                        })
                        .toList());
    }

    private static Bar us(String label, double in, double in2, double lbPerFt) {
        return new Bar(label, in * 25.4, in2 * 645.16, lbPerFt * 0.45359237 / 0.3048);
    }

    /** The bar of a label, or null. */
    public Bar find(String label) {
        return bars.stream().filter(b -> b.label().equals(label)).findFirst().orElse(null);
    }
}
