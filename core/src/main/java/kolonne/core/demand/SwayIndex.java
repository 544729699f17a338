package kolonne.core.demand;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.StoreyResults;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Combination;
import kolonne.core.model.Member;
import kolonne.core.model.Storey;

/**
 * Stability index Q = ΣPu Δo / (Vus lc) of every storey in both plan directions (ACI 318-19 eq. 6.6.4.4.1), with Δo / Vus
 * from the case that shears the storey most of those that sway the frame. Of forces that a P-Delta analysis brought to equilibrium with the axial forces ΣPd
 * the second order of these is there already: Q is that of ΣPu − ΣPd with the drift of that analysis, so that 1 / (1 − Q) is the rest of the magnifier.
 */
public final class SwayIndex {
    /**
     * Index between two levels.
     *
     * @param known whether a lateral case shears the storey in the direction
     * @param heldX magnifier that the forces have already, 1 without P-Delta; {@code heldY} along Y
     */
    public record StoreySway(
            double base,
            double top,
            double qx,
            double qy,
            boolean knownX,
            boolean knownY,
            double heldX,
            double heldY) {}

    /** A case whose storey shears are above this part of all its loads pushes the frame sideways, whatever its kind. */
    private static final double PUSHES = 1e-3;
    /** Drift over height from which sidesway is appreciable (ACI 318-19 R6.6.4.6.1: lc / 1500). */
    private static final double APPRECIABLE = 1.0 / 1500;

    /** A lift that reaches into a storey by less is not of it: floors are listed at the top of slabs or in the middle of beams [mm]. */
    private static final double SLACK = 100;
    /** What is less high is no lift but where a beam lies: all storeys that it touches count [mm]. */
    private static final double LIFT = 1000;

    private final List<StoreySway> storeys;
    private final boolean[] sidesway;

    private SwayIndex(List<StoreySway> storeys, boolean[] sidesway) {
        this.storeys = List.copyOf(storeys);
        this.sidesway = sidesway;
    }

    /** Whether a load case causes appreciable sidesway: wind and earthquake, and whatever shears or sways a storey. */
    public boolean sways(int loadCase) {
        return sidesway[loadCase];
    }

    public List<StoreySway> storeys() {
        return storeys;
    }

    /** The largest index among the storeys that a lift passes through, along X or Y; NaN where none is known. */
    public double of(double base, double top, boolean alongX) {
        double worst = Double.NaN;
        double slack = top - base > LIFT ? SLACK : 1;
        for (StoreySway s : storeys) {
            boolean passes = s.base() < top - slack && s.top() > base + slack;
            if (passes && (alongX ? s.knownX() : s.knownY())) {
                double q = alongX ? s.qx() : s.qy();
                worst = Double.isNaN(worst) ? q : Math.max(worst, q);
            }
        }
        return worst;
    }

    /** The largest magnifier of sidesway that the forces have already among those storeys; 1 without P-Delta. */
    public double held(double base, double top, boolean alongX) {
        double most = 1;
        double slack = top - base > LIFT ? SLACK : 1;
        for (StoreySway s : storeys) {
            boolean passes = s.base() < top - slack && s.top() > base + slack;
            most = passes ? Math.max(most, alongX ? s.heldX() : s.heldY()) : most;
        }
        return most;
    }

    public static SwayIndex of(Demands strength) {
        BuildingIndex index = strength.analysis().index();
        List<Double> levels =
                StoreyResults.levels(index).stream().map(Storey::elevation).toList();
        Analysis a = strength.analysis();
        List<List<StoreyResults.Row>> all = IntStream.range(
                        0, index.building().loadCases().size())
                .mapToObj(c -> StoreyResults.of(a, c))
                .toList();
        boolean[] sidesway = sidesway(strength, all);
        List<List<StoreyResults.Row>> lateral = IntStream.range(0, sidesway.length)
                .filter(c -> sidesway[c])
                .mapToObj(c -> all.get(c).stream().filter(r -> pushed(a, c, r)).toList())
                .toList();
        List<StoreySway> out = new ArrayList<>();
        for (int i = 0; i + 1 < levels.size(); i++) {
            StoreySway s = storey(strength, index, lateral, levels.get(i), levels.get(i + 1));
            if (s != null) {
                out.add(s);
            }
        }
        return new SwayIndex(out, sidesway);
    }

    /** Wind, earthquake and what pushes sideways; then what lets the frame sway appreciably in any combination. */
    private static boolean[] sidesway(Demands strength, List<List<StoreyResults.Row>> all) {
        Analysis a = strength.analysis();
        boolean[] pushes = new boolean[all.size()];
        for (int c = 0; c < pushes.length; c++) {
            int loadCase = c;
            pushes[c] = a.index().building().loadCases().get(c).kind().isLateral()
                    || !a.imported() && all.get(c).stream().anyMatch(r -> pushed(a, loadCase, r));
        }
        boolean[] out = pushes.clone();
        for (int k = 0; k < strength.count() && !a.imported(); k++) {
            List<Leaning> leaning = new ArrayList<>();
            for (Combination.Term t : strength.combination(k).terms()) {
                int c = a.index().caseNumber(t.loadCase());
                if (!pushes[c]) {
                    leaning.add(new Leaning(c, t.factor(), Math.abs(t.factor()) * loads(a, c), all.get(c)));
                }
            }
            for (int i = 0; !leaning.isEmpty() && i < all.get(0).size(); i++) {
                appreciable(leaning, i, out);
            }
        }
        return out;
    }

    /** A case that pushes nothing, in a combination. @param loads all that it applies, factored [N] */
    private record Leaning(int loadCase, double factor, double loads, List<StoreyResults.Row> rows) {
        double drift(int storey, int axis) {
            return factor * rows.get(storey).drift()[axis];
        }
    }

    /**
     * Where all of a combination that pushes nothing lets a storey sway appreciably, those cases do that sway it by more than their share, by load, of what is
     * appreciable: so it is the same whether a load is given in one case or in several.
     */
    private static void appreciable(List<Leaning> all, int storey, boolean[] sidesway) {
        double x = all.stream().mapToDouble(l -> l.drift(storey, 0)).sum();
        double y = all.stream().mapToDouble(l -> l.drift(storey, 1)).sum();
        double loads = all.stream().mapToDouble(Leaning::loads).sum();
        double drift = Math.hypot(x, y);
        double limit = APPRECIABLE * all.get(0).rows().get(storey).height();
        if (drift > limit) {
            for (Leaning l : all) {
                double along = (l.drift(storey, 0) * x + l.drift(storey, 1) * y) / drift;
                // settlements apply no load: what they sway at all counts
                double share = loads > 0 ? l.loads() / loads : 0;
                sidesway[l.loadCase()] |= along > limit * share;
            }
        }
    }

    private static double loads(Analysis a, int loadCase) {
        return Math.hypot(Math.hypot(a.applied(loadCase, 0), a.applied(loadCase, 1)), a.applied(loadCase, 2));
    }

    private static boolean pushed(Analysis a, int loadCase, StoreyResults.Row r) {
        return Math.hypot(r.shear()[0], r.shear()[1]) > PUSHES * loads(a, loadCase);
    }

    private static StoreySway storey(
            Demands strength, BuildingIndex index, List<List<StoreyResults.Row>> lateral, double base, double top) {
        List<Member> columns = StoreyResults.columnsAt(index, (base + top) / 2);
        if (columns.isEmpty()) {
            return null;
        }
        double axial = 0;
        for (int c = 0; c < strength.count(); c++) {
            double sum = 0;
            for (Member m : columns) {
                sum += atFoot(strength, index, m, c);
            }
            axial = Math.max(axial, sum);
        }
        double fx = flexibility(lateral, top, 0);
        double fy = flexibility(lateral, top, 1);
        double lc = top - base;
        double held = held(strength.analysis(), index, columns);
        double rest = Math.max(0, axial - held);
        return new StoreySway(
                base,
                top,
                rest * fx / lc,
                rest * fy / lc,
                !Double.isNaN(fx),
                !Double.isNaN(fy),
                Double.isNaN(fx) ? 1 : 1 + held * fx / lc,
                Double.isNaN(fy) ? 1 : 1 + held * fy / lc);
    }

    /** Compression of a storey's columns that the P-Delta of the analysis has; none of forces from elsewhere, of which nobody knows [N]. */
    private static double held(Analysis a, BuildingIndex index, List<Member> columns) {
        double sum = 0;
        for (Combination.Term t : a.imported()
                ? List.<Combination.Term>of()
                : index.building().options().pDelta()) {
            for (Member m : columns) {
                int number = index.memberNumber(m.id());
                int foot = index.lower(m).id().equals(m.start()) ? 0 : a.stationCount(number) - 1;
                sum -= t.factor() * a.force(number, index.caseNumber(t.loadCase()), foot, Analysis.N);
            }
        }
        return Math.max(0, sum);
    }

    /** Compression at the lower end of a column, wherever it was drawn from [N]. */
    private static double atFoot(Demands strength, BuildingIndex index, Member m, int c) {
        int number = index.memberNumber(m.id());
        boolean upwards = index.lower(m).id().equals(m.start());
        return -strength.at(number, upwards ? 0 : strength.analysis().stationCount(number) - 1, c, Analysis.N);
    }

    /** Drift over storey shear in the case that shears the storey most along an axis [mm/N]; NaN without one. */
    private static double flexibility(List<List<StoreyResults.Row>> lateral, double top, int axis) {
        double largest = 0;
        double out = Double.NaN;
        for (List<StoreyResults.Row> rows : lateral) {
            StoreyResults.Row row =
                    rows.stream().filter(r -> r.top() == top).findFirst().orElse(null);
            if (row == null) {
                continue;
            }
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
