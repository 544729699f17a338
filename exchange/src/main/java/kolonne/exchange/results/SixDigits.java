package kolonne.exchange.results;

import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.core.SerializableString;
import java.io.IOException;
import java.util.stream.IntStream;

/**
 * Writes numbers with six significant digits: the digits of a whole number with a point set into them. The general way from a double to the
 * shortest text that gives it back takes three times as long and most of the time of a large file.
 */
final class SixDigits {
    private static final int DIGITS = 6;
    /** Places after the point up to which a number is written without a power of ten. */
    private static final int PLAIN = 11;
    /** Whole numbers up to so many digits are written without a power of ten. */
    private static final int WHOLE = 15;
    /** Smaller numbers are zero. */
    private static final double LEAST = 1e-100;

    private static final double[] TEN =
            IntStream.range(0, 309).mapToDouble(i -> Math.pow(10, i)).toArray();

    private final char[] text = new char[40];
    private final char[] digits = new char[DIGITS + 1];
    private int length;

    /** A field; null where there is no number. */
    void field(JsonGenerator g, SerializableString name, double v) throws IOException {
        g.writeFieldName(name);
        if (Double.isNaN(v) || Double.isInfinite(v)) {
            g.writeNull();
        } else {
            set(v);
            g.writeNumber(text, 0, length);
        }
    }

    /** The text of a number. */
    String text(double v) {
        set(v);
        return new String(text, 0, length);
    }

    private void set(double v) {
        length = 0;
        double size = Math.abs(v);
        if (size < LEAST) {
            add('0');
            return;
        }
        int places = DIGITS - 1 - (int) Math.floor(Math.log10(size));
        long whole = (long) Math.rint(places >= 0 ? size * TEN[places] : size / TEN[-places]);
        while (whole % 10 == 0) {
            whole /= 10;
            places--;
        }
        if (v < 0) {
            add('-');
        }
        int n = digitsOf(whole);
        if (places > 0 && places <= PLAIN) {
            withPoint(n, places);
        } else if (places <= 0 && n - places <= WHOLE) {
            digits(0, n);
            zeros(-places);
        } else {
            withPower(n, places);
        }
    }

    private int digitsOf(long whole) {
        int n = whole >= 1_000_000 ? 7 : 1;
        for (long k = whole / 10; n < 7 && k > 0; k /= 10) {
            n++;
        }
        long rest = whole;
        for (int i = n - 1; i >= 0; i--) {
            digits[i] = (char) ('0' + rest % 10);
            rest /= 10;
        }
        return n;
    }

    private void withPoint(int n, int places) {
        if (n > places) {
            digits(0, n - places);
            add('.');
            digits(n - places, n);
        } else {
            add('0');
            add('.');
            zeros(places - n);
            digits(0, n);
        }
    }

    private void withPower(int n, int places) {
        digits(0, 1);
        if (n > 1) {
            add('.');
            digits(1, n);
        }
        add('e');
        for (char c : Integer.toString(n - 1 - places).toCharArray()) {
            add(c);
        }
    }

    private void digits(int from, int to) {
        for (int i = from; i < to; i++) {
            add(digits[i]);
        }
    }

    private void zeros(int n) {
        for (int i = 0; i < n; i++) {
            add('0');
        }
    }

    private void add(char c) {
        text[length++] = c;
    }
}
