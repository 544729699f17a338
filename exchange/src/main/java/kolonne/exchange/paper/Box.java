package kolonne.exchange.paper;

import java.io.IOException;
import kolonne.core.drawing.Drawing;

/** Where a picture stands: left, bottom, width and height on the page [points]. */
record Box(float x, float y, float w, float h) {
    private static final int[] SCALES = {5, 10, 15, 20, 25, 30, 40, 50, 75, 100, 200};

    static Box of(float[] b) {
        return new Box(b[0], b[1], b[2], b[3]);
    }

    /** With a line of text beneath. */
    Box above(float text) {
        return new Box(x, y + text, w, h - text);
    }

    /** Draws a section at the left, half way up; answers its right edge. */
    float picture(PdfPaper paper, Drawing picture) throws IOException {
        double[] b = picture.box();
        paper.drawing(
                picture, x + 4 - DrawingInk.pt(b[0]), y + (h - DrawingInk.pt(b[3] - b[1])) / 2 - DrawingInk.pt(b[1]));
        return x + 4 + DrawingInk.pt(b[2] - b[0]);
    }

    /** The largest scale of a drawing office at which a length takes no more than some points. */
    static double scale(double length, float most) {
        for (int s : SCALES) {
            if (DrawingInk.pt(length / s) <= most) {
                return s;
            }
        }
        return SCALES[SCALES.length - 1];
    }
}
