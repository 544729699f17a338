package kolonne.core.single;

import java.util.List;
import kolonne.core.code.DesignCode;
import kolonne.core.section.general.Outline;

/**
 * A column of any outline with bars anywhere.
 *
 * @param outline x and height z above the soffit, of any origin [mm]
 * @param fc      f'c; fy of the bars [MPa]
 * @param bars    one by one, in the axes of the outline
 */
public record GeneralColumn(
        String id, DesignCode code, Outline outline, double fc, double fy, List<SingleSection.Spot> bars) {
    public GeneralColumn {
        bars = List.copyOf(bars);
    }
}
