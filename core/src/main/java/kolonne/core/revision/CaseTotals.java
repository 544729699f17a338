package kolonne.core.revision;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.analysis.Analysis;
import kolonne.core.model.LoadCase;

/** What each load case of two models puts on the frame in all, so that a load that was left out or doubled stares one in the face. */
public final class CaseTotals {
    private CaseTotals() {}

    /**
     * A load case in both models.
     *
     * @param was sums in X, Y, Z of the older model; null where it has no such case [N]
     * @param now the same of the newer one [N]
     */
    public record Total(String loadCase, double[] was, double[] now) {
        /** Change of the largest component over that of the older model; infinite where there was none. */
        public double change() {
            double a = largest(was);
            double most = 0;
            for (int i = 0; i < 3; i++) {
                most = Math.max(most, Math.abs((now == null ? 0 : now[i]) - (was == null ? 0 : was[i])));
            }
            return a == 0 ? most == 0 ? 0 : Double.POSITIVE_INFINITY : most / a;
        }

        private static double largest(double[] of) {
            return of == null ? 0 : Math.max(Math.abs(of[0]), Math.max(Math.abs(of[1]), Math.abs(of[2])));
        }
    }

    /** All cases of either model but arrangements of live load, those of the newer first. Analyses with forces solved elsewhere know no totals. */
    public static List<Total> of(Analysis older, Analysis newer) {
        Map<String, double[]> was = sums(older);
        Map<String, double[]> now = sums(newer);
        List<Total> out = new ArrayList<>();
        now.forEach((c, sums) -> out.add(new Total(c, was.remove(c), sums)));
        was.forEach((c, sums) -> out.add(new Total(c, sums, null)));
        return out;
    }

    private static Map<String, double[]> sums(Analysis a) {
        Map<String, double[]> out = new LinkedHashMap<>();
        List<LoadCase> cases = a.index().building().loadCases();
        for (int c = 0; c < cases.size() && !a.index().building().hasImportedForces(); c++) {
            if (!cases.get(c).generated()) {
                out.put(cases.get(c).id(), new double[] {a.applied(c, 0), a.applied(c, 1), a.applied(c, 2)});
            }
        }
        return out;
    }
}
