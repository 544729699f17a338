package kolonne.exchange.results;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Six significant digits, against the decimals of the JDK. */
class SixDigitsTest {
    private final SixDigits writer = new SixDigits();

    @ParameterizedTest
    @CsvSource({
        "0, 0",
        "-0.0, 0",
        "420, 420",
        "-0.5, -0.5",
        "123.456789, 123.457",
        "999999.6, 1000000",
        "0.9999996, 1",
        "1e-7, 0.0000001",
        "1.5e-12, 1.5e-12",
        "-2.5e17, -2.5e17",
        "1e14, 100000000000000",
        "0.000123456789, 0.000123457",
        "99.99, 99.99",
        "3e-120, 0",
        "7.760910000000001e-18, 7.76091e-18"
    })
    void written(double v, String text) {
        assertEquals(text, writer.text(v));
    }

    @Test
    void anyNumberIsItsSixDigitsOnceRead() {
        Random r = new Random(11);
        for (int i = 0; i < 200_000; i++) {
            double v = (r.nextDouble() - 0.5) * Math.pow(10, r.nextInt(40) - 20);
            String text = writer.text(v);
            BigDecimal six = new BigDecimal(v).round(new MathContext(6, RoundingMode.HALF_UP));
            double off = Math.abs(new BigDecimal(text).subtract(six).doubleValue());
            // a number whose seventh digit is a five to within the rounding of a double may go either way
            assertTrue(off <= six.ulp().doubleValue() && (off == 0 || halfway(v, six)), v + " as " + text);
            assertTrue(text.matches("-?(0|[1-9]\\d*)(\\.\\d*[1-9])?(e-?\\d+)?"), text);
        }
    }

    private static boolean halfway(double v, BigDecimal six) {
        double part = Math.abs(new BigDecimal(v).subtract(six).doubleValue())
                / six.ulp().doubleValue();
        return Math.abs(part - 0.5) < 1e-8;
    }
}
