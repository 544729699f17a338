package kolonne.core.analysis;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.CaseKind;
import kolonne.core.model.Joint;
import kolonne.core.model.LocalAxes;
import kolonne.core.model.Member;
import kolonne.core.model.Role;
import kolonne.core.model.Storey;

/** Drift and shear of every storey, mass and centre of mass of every floor. */
public final class StoreyResults {
    /** Joints of a level differ in height by less, as floors of some programs do [mm]. */
    private static final double MEETS = 0.1;

    /** A support so far beneath the lowest floor that is listed stands on a level of its own [mm]. */
    private static final double UNLISTED = 500;

    private static final double GRAVITY = 9.80665;
    /** Joints this near to a floor's elevation belong to it [mm]. */
    private static final double ON_FLOOR = 50;

    /**
     * The space between two floors in one load case.
     *
     * @param storey id of the floor above
     * @param drift  mean displacement of the floor above less that of the floor below, X and Y [mm]
     * @param worst  greatest displacement of a column's head against its foot over its height, X and Y
     * @param shear  what the part above pushes the part below, X and Y [N]
     */
    public record Row(String storey, double base, double top, double[] drift, double[] worst, double[] shear) {
        public double height() {
            return top - base;
        }
    }

    /** Mass of a floor [t] from dead and superimposed loads, and its centre [mm]. */
    public record Mass(String storey, double mass, double x, double y) {}

    private final Analysis a;
    private final BuildingIndex index;
    private final List<Storey> floors;

    private StoreyResults(Analysis a) {
        this.a = a;
        this.index = a.index();
        floors = index.building().storeys().stream()
                .sorted(Comparator.comparingDouble(Storey::elevation))
                .toList();
    }

    /** Storeys from the lowest up; a storey without columns is left out. */
    public static List<Row> of(Analysis a, int loadCase) {
        StoreyResults r = new StoreyResults(a);
        List<Storey> levels = levels(a.index());
        List<Row> out = new ArrayList<>();
        for (int i = 0; i + 1 < levels.size(); i++) {
            Row row = r.row(levels.get(i), levels.get(i + 1), loadCase);
            if (row != null) {
                out.add(row);
            }
        }
        return out;
    }

    /** What storeys lie between, from the lowest up: the floors, and the lowest support where the model lists no floor that deep. */
    public static List<Storey> levels(BuildingIndex index) {
        List<Storey> out = new ArrayList<>(index.building().storeys());
        out.sort(Comparator.comparingDouble(Storey::elevation));
        double lowest = index.building().supports().stream()
                .mapToDouble(s -> index.joint(s.joint()).z())
                .min()
                .orElse(Double.POSITIVE_INFINITY);
        if (!out.isEmpty() && lowest < out.get(0).elevation() - UNLISTED) {
            out.add(0, new Storey("", "", lowest));
        }
        return out;
    }

    /** Columns whose axis crosses a level; of two that meet there the lower one, so that each line of columns counts once. */
    public static List<Member> columnsAt(BuildingIndex index, double z) {
        return index.building().members().stream()
                .filter(m -> m.role() == Role.COLUMN)
                .filter(m -> Math.min(z(index, m.start()), z(index, m.end())) < z - MEETS
                        && Math.max(z(index, m.start()), z(index, m.end())) >= z - MEETS)
                .toList();
    }

    private static double z(BuildingIndex index, String joint) {
        return index.joint(joint).z();
    }

    private Row row(Storey below, Storey above, int loadCase) {
        List<Member> columns = columnsAt(index, (below.elevation() + above.elevation()) / 2);
        if (columns.isEmpty()) {
            return null;
        }
        double[] shear = new double[2];
        double[] worst = new double[2];
        double[] drift = new double[2];
        for (Member m : columns) {
            double[] v = shear(m, loadCase);
            for (int axis = 0; axis < 2; axis++) {
                shear[axis] += v[axis];
                double moved = a.displacement(loadCase, index.jointNumber(m.end()), axis)
                        - a.displacement(loadCase, index.jointNumber(m.start()), axis);
                double ratio = moved / (z(index, m.end()) - z(index, m.start()));
                worst[axis] = Math.abs(ratio) > Math.abs(worst[axis]) ? ratio : worst[axis];
            }
        }
        for (int axis = 0; axis < 2; axis++) {
            drift[axis] = mean(above.elevation(), loadCase, axis) - mean(below.elevation(), loadCase, axis);
        }
        return new Row(above.id(), below.elevation(), above.elevation(), drift, worst, shear);
    }

    /** Shear of a column at its foot in global X and Y [N], as the part above pushes the part below; the axial force of a raker counts. */
    private double[] shear(Member m, int loadCase) {
        Joint i = index.joint(m.start());
        Joint j = index.joint(m.end());
        double[][] axes = LocalAxes.of(i, j, m.angle());
        int number = index.memberNumber(m.id());
        int foot = j.z() > i.z() ? 0 : a.stationCount(number) - 1;
        double n = a.force(number, loadCase, foot, Analysis.N);
        double vy = a.force(number, loadCase, foot, Analysis.VY);
        double vz = a.force(number, loadCase, foot, Analysis.VZ);
        double up = j.z() > i.z() ? -1 : 1;
        double[] out = new double[2];
        for (int g = 0; g < 2; g++) {
            out[g] = up * (vy * axes[1][g] + vz * axes[2][g] - n * axes[0][g]);
        }
        return out;
    }

    /** Mean displacement of a floor's joints [mm]. */
    private double mean(double z, int loadCase, int axis) {
        double sum = 0;
        int n = 0;
        List<Joint> joints = index.building().joints();
        for (int j = 0; j < joints.size(); j++) {
            if (Math.abs(joints.get(j).z() - z) < ON_FLOOR) {
                sum += a.displacement(loadCase, j, axis);
                n++;
            }
        }
        return n == 0 ? 0 : sum / n;
    }

    /** Floors from the lowest up; loads between two floors go to the nearer. None for forces solved elsewhere. */
    public static List<Mass> masses(Analysis a) {
        StoreyResults r = new StoreyResults(a);
        if (a.imported() || r.floors.isEmpty()) {
            return List.of();
        }
        double[][] sums = new double[r.floors.size()][3];
        Building b = r.index.building();
        for (int c = 0; c < b.loadCases().size(); c++) {
            CaseKind kind = b.loadCases().get(c).kind();
            for (int j = 0; j < b.joints().size() && (kind == CaseKind.DEAD || kind == CaseKind.SUPERIMPOSED); j++) {
                double down = -a.solved().solution().applied(c)[6 * j + 2];
                Joint joint = b.joints().get(j);
                double[] sum = sums[r.nearest(joint.z())];
                sum[0] += down;
                sum[1] += down * joint.x();
                sum[2] += down * joint.y();
            }
        }
        List<Mass> out = new ArrayList<>();
        for (int f = 0; f < sums.length; f++) {
            double[] s = sums[f];
            out.add(new Mass(
                    r.floors.get(f).id(),
                    s[0] / GRAVITY / 1000,
                    s[0] == 0 ? 0 : s[1] / s[0],
                    s[0] == 0 ? 0 : s[2] / s[0]));
        }
        return out;
    }

    private int nearest(double z) {
        int best = 0;
        for (int f = 1; f < floors.size(); f++) {
            best = Math.abs(floors.get(f).elevation() - z)
                            < Math.abs(floors.get(best).elevation() - z)
                    ? f
                    : best;
        }
        return best;
    }
}
