package kolonne.core.single;

import java.util.List;
import kolonne.core.code.DesignCode;
import kolonne.core.section.general.Outline;
import kolonne.core.shape.Shape;

/**
 * A column of any outline with bars anywhere.
 *
 * @param outline x and height z above the soffit, of any origin [mm]
 * @param fc      f'c; fy of the bars [MPa]
 * @param bars    one by one, in the axes of the outline
 * @param sheared what is known for shear; null of a polygon, whose shear is out of scope
 */
public record GeneralColumn(
        String id,
        DesignCode code,
        Outline outline,
        double fc,
        double fy,
        List<SingleSection.Spot> bars,
        Sheared sheared) {
    /** The shape that the outline is of, and its stirrups. @param fyt of these [MPa]; cover to them [mm] */
    public record Sheared(Shape shape, double fyt, double cover, SingleSection.Stirrup stirrup) {}

    public GeneralColumn {
        bars = List.copyOf(bars);
    }
}
