package kolonne.core.column;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.StoreyResults;
import kolonne.core.demand.Demands;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Member;
import kolonne.core.model.Storey;

/**
 * Stability index Q = ΣPu Δo / (Vus lc) of every storey in both plan directions (ACI 318-19 eq. 6.6.4.4.1), with Δo / Vus
 * from the lateral load case that shears the storey most.
 */
public final class SwayIndex {
    /** Index between two levels. @param known whether a lateral case shears the storey in the direction */
    public record StoreySway(double base, double top, double qx, double qy, boolean knownX, boolean knownY) {}

    private final List<StoreySway> storeys;

    private SwayIndex(List<StoreySway> storeys) {
        this.storeys = List.copyOf(storeys);
    }

    public List<StoreySway> storeys() {
        return storeys;
    }

    /** The largest index among the storeys that a lift passes through, along X or Y; NaN where none is known. */
    public double of(double base, double top, boolean alongX) {
        double worst = Double.NaN;
        for (StoreySway s : storeys) {
            boolean passes = s.base() < top - 1 && s.top() > base + 1;
            if (passes && (alongX ? s.knownX() : s.knownY())) {
                double q = alongX ? s.qx() : s.qy();
                worst = Double.isNaN(worst) ? q : Math.max(worst, q);
            }
        }
        return worst;
    }

    public static SwayIndex of(Demands strength) {
        BuildingIndex index = strength.analysis().index();
        List<Double> levels = new ArrayList<>();
        index.building().storeys().stream().sorted(Comparator.comparingDouble(Storey::elevation))
            .forEach(s -> levels.add(s.elevation()));
        List<List<StoreyResults.Row>> lateral = lateral(strength.analysis());
        List<StoreySway> out = new ArrayList<>();
        for (int i = 0; i + 1 < levels.size(); i++) {
            StoreySway s = storey(strength, index, lateral, levels.get(i), levels.get(i + 1));
            if (s != null) {
                out.add(s);
            }
        }
        return new SwayIndex(out);
    }

    private static StoreySway storey(Demands strength, BuildingIndex index, List<List<StoreyResults.Row>> lateral, double base,
                                     double top) {
        List<Member> columns = StoreyResults.columnsAt(index, (base + top) / 2);
        if (columns.isEmpty()) {
            return null;
        }
        double axial = 0;
        for (int c = 0; c < strength.count(); c++) {
            double sum = 0;
            for (Member m : columns) {
                sum -= strength.at(index.memberNumber(m.id()), 0, c, Analysis.N);
            }
            axial = Math.max(axial, sum);
        }
        double fx = flexibility(lateral, top, 0);
        double fy = flexibility(lateral, top, 1);
        double lc = top - base;
        return new StoreySway(base, top, axial * fx / lc, axial * fy / lc, !Double.isNaN(fx), !Double.isNaN(fy));
    }

    /** Storeys in every lateral case. */
    private static List<List<StoreyResults.Row>> lateral(Analysis a) {
        Building b = a.index().building();
        return java.util.stream.IntStream.range(0, b.loadCases().size()).filter(c -> b.loadCases().get(c).kind().isLateral())
            .mapToObj(c -> StoreyResults.of(a, c)).toList();
    }

    /** Drift over storey shear in the case that shears the storey most along an axis [mm/N]; NaN without one. */
    private static double flexibility(List<List<StoreyResults.Row>> lateral, double top, int axis) {
        double largest = 0;
        double out = Double.NaN;
        for (List<StoreyResults.Row> rows : lateral) {
            StoreyResults.Row row = rows.stream().filter(r -> r.top() == top).findFirst().orElseThrow();
            double v = row.shear()[axis];
            double drift = row.drift()[axis];
            if (Math.abs(v) > largest && Math.abs(v) > Math.abs(row.shear()[1 - axis]) && v * drift != 0) {
                largest = Math.abs(v);
                out = Math.abs(drift / v);
            }
        }
        return out;
    }
}
