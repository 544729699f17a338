package kolonne.core.analysis;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.CaseKind;
import kolonne.core.model.Combination;
import kolonne.core.model.JointLoad;
import kolonne.core.model.Lean;
import kolonne.core.model.LoadCase;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.Purpose;

/**
 * A frame out of plumb, by notional forces (EN 1992-1-1 5.2(8)): what comes down at a joint pushes it sideways by the inclination of the model. Every case
 * but wind and earthquake gets two of these, along X and Y. A combination for strength is replaced by four, leaning each way along X and Y; one with
 * wind by one that leans with the wind. Those with earthquake stay (5.2(2)P: persistent, transient and accidental situations).
 */
public final class Leaning {
    private static final String[] AXES = {"X", "Y"};
    /** Part of the sum of the sizes of wind loads below which they have no direction: they turn the building, or balance. */
    private static final double NO_DIRECTION = 1e-3;

    private final BuildingIndex index;
    private final Building b;
    private final List<LoadCase> cases;
    /** By leaning case of X and Y, its id. */
    private final List<Map<String, String>> leaning = List.of(new HashMap<>(), new HashMap<>());

    private Leaning(BuildingIndex index) {
        this.index = index;
        this.b = index.building();
        this.cases = new ArrayList<>(b.loadCases());
    }

    /** The building with the cases and combinations of its inclination; the same index if it has none. */
    static BuildingIndex expanded(BuildingIndex index) {
        Building b = index.building();
        boolean asked = b.options().inclination() > 0
                && !b.hasImportedForces()
                && b.loadCases().stream().noneMatch(c -> c.lean() != null);
        return asked ? new BuildingIndex(new Leaning(index).building()) : index;
    }

    /**
     * Adds what the joints of a frame receive in leaning cases.
     *
     * @param applied by case, six components a joint; vertical loads complete
     */
    static void load(BuildingIndex index, double[][] applied) {
        Building b = index.building();
        for (int c = 0; c < applied.length; c++) {
            Lean lean = b.loadCases().get(c).lean();
            if (lean != null) {
                double[] from = applied[index.caseNumber(lean.of())];
                for (int d = 0; d < from.length; d += 6) {
                    applied[c][d + lean.axis()] = -from[d + 2] * b.options().inclination();
                }
            }
        }
    }

    private Building building() {
        Set<String> taken = new HashSet<>();
        b.loadCases().forEach(c -> taken.add(c.id()));
        for (LoadCase c : b.loadCases()) {
            for (int axis = 0; axis < 2 && !c.kind().isLateral(); axis++) {
                String id = PatternLive.unique(c.id() + " leaning " + AXES[axis], taken);
                leaning.get(axis).put(c.id(), id);
                cases.add(new LoadCase(
                        id, c.name() + ", leaning " + AXES[axis], CaseKind.OTHER, 0, null, new Lean(c.id(), axis)));
            }
        }
        List<Combination> combinations = new ArrayList<>();
        Set<String> names = new HashSet<>();
        b.combinations().forEach(c -> names.add(c.id()));
        for (Combination c : b.combinations()) {
            boolean counts = c.purpose() == Purpose.STRENGTH && !has(c, CaseKind.SEISMIC);
            if (counts) {
                combinations.addAll(leaning(c, names));
            } else {
                combinations.add(c);
            }
        }
        return b.withLoads(cases, b.memberLoads(), b.areaLoads(), combinations);
    }

    private boolean has(Combination c, CaseKind kind) {
        return c.terms().stream()
                .anyMatch(t -> b.loadCases().get(index.caseNumber(t.loadCase())).kind() == kind);
    }

    private List<Combination> leaning(Combination c, Set<String> names) {
        double[] wind = has(c, CaseKind.WIND) ? wind(c) : null;
        if (wind != null) {
            return List.of(leaning(c, wind[0], wind[1], "with the wind", names));
        }
        return List.of(
                leaning(c, 1, 0, "X+", names),
                leaning(c, -1, 0, "X−", names),
                leaning(c, 0, 1, "Y+", names),
                leaning(c, 0, -1, "Y−", names));
    }

    private Combination leaning(Combination c, double x, double y, String words, Set<String> names) {
        Map<String, Double> terms = new LinkedHashMap<>();
        c.terms().forEach(t -> terms.merge(t.loadCase(), t.factor(), Double::sum));
        for (Combination.Term t : c.terms()) {
            for (int axis = 0; axis < 2; axis++) {
                double part = axis == 0 ? x : y;
                String id = leaning.get(axis).get(t.loadCase());
                if (id != null && Math.abs(part) > 1e-9) {
                    terms.merge(id, part * t.factor(), Double::sum);
                }
            }
        }
        return new Combination(
                PatternLive.unique(c.id() + " leaning " + words, names),
                c.name() + " (leaning " + words + ")",
                c.purpose(),
                terms.entrySet().stream()
                        .map(e -> new Combination.Term(e.getKey(), e.getValue()))
                        .toList());
    }

    /** Plan direction of the wind of a combination, a unit vector; null where it has none. */
    private double[] wind(Combination c) {
        double[] sum = new double[2];
        double sizes = 0;
        for (Combination.Term t : c.terms()) {
            if (b.loadCases().get(index.caseNumber(t.loadCase())).kind() == CaseKind.WIND) {
                double[] of = horizontal().get(t.loadCase());
                sum[0] += of == null ? 0 : t.factor() * of[0];
                sum[1] += of == null ? 0 : t.factor() * of[1];
                sizes += of == null ? 0 : Math.abs(t.factor()) * of[2];
            }
        }
        double size = Math.hypot(sum[0], sum[1]);
        return size > NO_DIRECTION * sizes && size > 0 ? new double[] {sum[0] / size, sum[1] / size} : null;
    }

    private Map<String, double[]> horizontal;

    /** By case, the sums of its loads along X and Y and of their sizes. */
    private Map<String, double[]> horizontal() {
        if (horizontal == null) {
            horizontal = new HashMap<>();
            for (JointLoad l : b.jointLoads()) {
                add(l.loadCase(), l.fx(), l.fy());
            }
            for (MemberLoad l : b.memberLoads()) {
                double[] f = AppliedLoads.total(index, l);
                add(l.loadCase(), f[0], f[1]);
            }
        }
        return horizontal;
    }

    private void add(String loadCase, double fx, double fy) {
        double[] of = horizontal.computeIfAbsent(loadCase, k -> new double[3]);
        of[0] += fx;
        of[1] += fy;
        of[2] += Math.hypot(fx, fy);
    }
}
