package kolonne.core.type;

import java.util.List;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.check.CheckKind;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.detail.BarItem;
import kolonne.core.detail.BeamBars;
import kolonne.core.detail.ColumnBars;

/** Steel of cages. @param kg mass [kg]; @param pieces bars, stirrups and ties */
public record Steel(double kg, int pieces) {
    public static final Steel NONE = new Steel(0, 0);

    public Steel plus(Steel o) {
        return new Steel(kg + o.kg, pieces + o.pieces);
    }

    public static Steel of(BeamDesign d) {
        return of(BeamBars.of(d.line(), d.cage(), d.basis()));
    }

    public static Steel of(ColumnDesign d) {
        Steel sum = NONE;
        for (int i = 0; i < d.lifts().size(); i++) {
            boolean none = d.lifts().get(i).checks().stream().anyMatch(c -> c.kind() == CheckKind.COLUMN_SHAPE);
            sum = none ? sum : sum.plus(of(ColumnBars.of(d.stack(), i, d.cage(), d.basis())));
        }
        return sum;
    }

    private static Steel of(List<BarItem> bars) {
        double kg = 0;
        int pieces = 0;
        for (BarItem b : bars) {
            kg += b.mass();
            pieces += b.number();
        }
        return new Steel(kg, pieces);
    }
}
