package kolonne.core.drawing;

import java.util.Arrays;
import java.util.List;

/** Sheets of paper, lying, by ISO 216, with the margins of ISO 5457 [mm]. */
public enum Paper {
    A4(297, 210),
    A3(420, 297),
    A2(594, 420),
    A1(841, 594),
    A0(1189, 841);

    static final double LEFT = 20;
    static final double MARGIN = 10;
    /** Height of the title block along the foot of the sheet [mm]. */
    static final double TITLE = 27;
    /** Height of the line above it that tells how the sheet is read [mm]. */
    static final double READING = 4;

    private final double width;
    private final double height;

    Paper(double width, double height) {
        this.width = width;
        this.height = height;
    }

    public double width() {
        return width;
    }

    public double height() {
        return height;
    }

    /** Across the drawing [mm]. */
    public double room() {
        return width - LEFT - MARGIN - 4;
    }

    /** From the title block up [mm]. */
    double up() {
        return height - 2 * MARGIN - TITLE - READING - 4;
    }

    /** This and the larger ones. */
    List<Paper> orLarger() {
        return Arrays.stream(values()).filter(p -> p.ordinal() >= ordinal()).toList();
    }
}
