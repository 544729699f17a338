package kolonne.exchange.paper;

import java.io.IOException;
import kolonne.core.drawing.Drawing;
import kolonne.core.drawing.Layer;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.font.PDFont;

/** A drawing in its true size on a page, from where its origin stands. */
public final class DrawingInk {
    /** Points in a millimetre. */
    private static final float POINTS = 72 / 25.4f;
    /** Height of capitals in the type of drawings, to its size. */
    private static final float CAPITALS = 0.698f;
    /** From the middle of a quarter circle's chord to its control points. */
    private static final float ROUND = 0.5523f;

    private DrawingInk() {}

    /** Length on paper of points [mm]. */
    static double mm(float points) {
        return points / POINTS;
    }

    /** Points of a length on paper. */
    public static float pt(double mm) {
        return (float) (mm * POINTS);
    }

    public static void draw(Drawing d, PDPageContentStream p, PdfFonts fonts) throws IOException {
        for (Layer layer : Layer.values()) {
            p.setLineWidth(pt(layer.width()));
            p.setLineDashPattern(layer.dashed() ? new float[] {pt(3), pt(1.5)} : new float[0], 0);
            for (Drawing.Line l : d.lines()) {
                if (l.layer() == layer) {
                    p.moveTo(pt(l.x1()), pt(l.y1()));
                    p.lineTo(pt(l.x2()), pt(l.y2()));
                }
            }
            p.stroke();
            for (Drawing.Disc c : d.discs()) {
                if (c.layer() == layer) {
                    circle(c, p);
                }
            }
        }
        for (Drawing.Label t : d.labels()) {
            text(t, p, fonts);
        }
    }

    private static void circle(Drawing.Disc c, PDPageContentStream p) throws IOException {
        float x = pt(c.x());
        float y = pt(c.y());
        float r = pt(c.radius());
        float k = r * ROUND;
        p.moveTo(x + r, y);
        p.curveTo(x + r, y + k, x + k, y + r, x, y + r);
        p.curveTo(x - k, y + r, x - r, y + k, x - r, y);
        p.curveTo(x - r, y - k, x - k, y - r, x, y - r);
        p.curveTo(x + k, y - r, x + r, y - k, x + r, y);
        if (c.filled()) {
            p.fill();
        } else {
            p.closeAndStroke();
        }
    }

    /** Texts that would be wider than the drawing allows for are set narrower. */
    private static void text(Drawing.Label t, PDPageContentStream p, PdfFonts fonts) throws IOException {
        PDFont font = t.bold() ? fonts.bold() : fonts.regular();
        String s = fonts.known(t.text());
        float size = pt(t.height()) / CAPITALS;
        float width = fonts.width(font, size, s);
        float most = pt(t.width());
        if (width > most) {
            size *= most / width;
            width = most;
        }
        float x = pt(t.x());
        float left =
                t.align() == Drawing.Align.LEFT ? x : t.align() == Drawing.Align.MIDDLE ? x - width / 2 : x - width;
        p.beginText();
        p.setFont(font, size);
        p.newLineAtOffset(left, pt(t.y()));
        p.showText(s);
        p.endText();
    }
}
