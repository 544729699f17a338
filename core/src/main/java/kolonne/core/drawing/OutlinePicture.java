package kolonne.core.drawing;

import java.util.List;
import kolonne.core.section.general.Outline;

/** A section of any outline to scale, with its bars. */
public final class OutlinePicture {
    private OutlinePicture() {}

    /** A bar at a place of the section [mm]. */
    public record Bar(double x, double y, double diameter) {}

    /** @param outline null for a circle; {@code diameter} of a circle that stands on y = 0, about x = 0 [mm]; {@code scale} of the drawing, 20 for 1 : 20 */
    public static Drawing of(Outline outline, double diameter, List<Bar> bars, double scale) {
        Drawing.Pen pen = new Drawing.Pen();
        if (outline == null) {
            pen.disc(Layer.CONCRETE, 0, diameter / 2 / scale, diameter / 2 / scale, false);
        } else {
            outline.rings().forEach(r -> {
                List<Outline.Corner> c = r.corners();
                for (int i = 0; i < c.size(); i++) {
                    Outline.Corner a = c.get(i);
                    Outline.Corner b = c.get((i + 1) % c.size());
                    pen.line(Layer.CONCRETE, a.x() / scale, a.y() / scale, b.x() / scale, b.y() / scale);
                }
            });
        }
        bars.forEach(b -> pen.disc(Layer.BARS, b.x() / scale, b.y() / scale, b.diameter() / 2 / scale, true));
        return pen.drawing();
    }
}
