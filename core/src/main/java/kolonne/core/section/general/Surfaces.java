package kolonne.core.section.general;

import java.util.List;
import kolonne.core.code.DesignCode;
import kolonne.core.section.ColumnSection;
import kolonne.core.section.Developed;
import kolonne.core.section.InteractionSurface;
import kolonne.core.section.PlacedBar;
import kolonne.core.section.PlaneSection;
import kolonne.core.section.StrengthSurface;
import kolonne.core.shape.Shape;

/** Which strength surface a section has: the quick one of rectangles and circles wherever it holds. */
public final class Surfaces {
    private Surfaces() {}

    /**
     * @param bars      from the centroid of the concrete [mm]
     * @param developed of every bar, in the same order; empty where all are developed
     * @param fc        f'c or fck; fy of the bars [MPa]
     */
    public static StrengthSurface of(
            Shape shape, List<PlacedBar> bars, List<Developed> developed, double fc, double fy, DesignCode code) {
        if (!(shape instanceof Shape.Flanged)) {
            ColumnSection section = new ColumnSection(shape, bars, developed, fc, fy, code);
            if (section.balanced()) {
                return new InteractionSurface(section, Math.max(shape.width(), shape.depth()));
            }
        }
        return new GeneralSurface(general(shape, bars, developed, fc, fy, code));
    }

    private static GeneralSection general(
            Shape shape, List<PlacedBar> bars, List<Developed> developed, double fc, double fy, DesignCode code) {
        Outline outline = shape instanceof Shape.Circle c ? Outline.circle(0, 0, c.d()) : Outline.centred(shape);
        return new GeneralSection(outline, bars, developed, fc, fy, code);
    }

    /** A section with every bar developed. */
    public static PlaneSection section(Shape shape, List<PlacedBar> bars, double fc, double fy, DesignCode code) {
        return shape instanceof Shape.Flanged
                ? general(shape, bars, List.of(), fc, fy, code)
                : new ColumnSection(shape, bars, fc, fy, code);
    }
}
