package kolonne.core.column;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.LocalAxes;
import kolonne.core.demand.Demands;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Joint;
import kolonne.core.model.Member;
import kolonne.core.model.Role;
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
        List<StoreySway> out = new ArrayList<>();
        for (int i = 0; i + 1 < levels.size(); i++) {
            StoreySway s = storey(strength, index, levels.get(i), levels.get(i + 1));
            if (s != null) {
                out.add(s);
            }
        }
        return new SwayIndex(out);
    }

    private static StoreySway storey(Demands strength, BuildingIndex index, double base, double top) {
        double middle = (base + top) / 2;
        List<Member> columns = index.building().members().stream().filter(m -> m.role() == Role.COLUMN)
            .filter(m -> Math.min(z(index, m.start()), z(index, m.end())) < middle
                && Math.max(z(index, m.start()), z(index, m.end())) > middle).toList();
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
        double fx = flexibility(strength.analysis(), columns, base, top, 0);
        double fy = flexibility(strength.analysis(), columns, base, top, 1);
        double lc = top - base;
        return new StoreySway(base, top, axial * fx / lc, axial * fy / lc, !Double.isNaN(fx), !Double.isNaN(fy));
    }

    private static double z(BuildingIndex index, String joint) {
        return index.joint(joint).z();
    }

    /** Drift over storey shear in the case that shears the storey most along an axis [mm/N]; NaN without one. */
    private static double flexibility(Analysis a, List<Member> columns, double base, double top, int axis) {
        Building b = a.index().building();
        double largest = 0;
        double out = Double.NaN;
        for (int c = 0; c < b.loadCases().size(); c++) {
            if (!b.loadCases().get(c).kind().isLateral()) {
                continue;
            }
            double v = 0;
            double across = 0;
            for (Member m : columns) {
                double[] shear = shear(a, m, c);
                v += shear[axis];
                across += shear[1 - axis];
            }
            double drift = level(a, top, c, axis) - level(a, base, c, axis);
            if (Math.abs(v) > largest && Math.abs(v) > Math.abs(across) && v * drift != 0) {
                largest = Math.abs(v);
                out = Math.abs(drift / v);
            }
        }
        return out;
    }

    /** Shear of a column in global X and Y [N], as the part above pushes the part below. */
    private static double[] shear(Analysis a, Member m, int loadCase) {
        BuildingIndex index = a.index();
        Joint i = index.joint(m.start());
        Joint j = index.joint(m.end());
        double[][] axes = LocalAxes.of(i, j, m.angle());
        int number = index.memberNumber(m.id());
        double vy = a.force(number, loadCase, 0, Analysis.VY);
        double vz = a.force(number, loadCase, 0, Analysis.VZ);
        double up = j.z() > i.z() ? -1 : 1;
        return new double[] {up * (vy * axes[1][0] + vz * axes[2][0]), up * (vy * axes[1][1] + vz * axes[2][1])};
    }

    /** Mean displacement of a level's joints [mm]. */
    private static double level(Analysis a, double z, int loadCase, int axis) {
        double sum = 0;
        int n = 0;
        List<Joint> joints = a.index().building().joints();
        for (int j = 0; j < joints.size(); j++) {
            if (Math.abs(joints.get(j).z() - z) < 50) {
                sum += a.displacement(loadCase, j, axis);
                n++;
            }
        }
        return n == 0 ? 0 : sum / n;
    }
}
