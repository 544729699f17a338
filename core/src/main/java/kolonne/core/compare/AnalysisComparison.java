package kolonne.core.compare;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import kolonne.core.analysis.Analysis;
import kolonne.core.demand.Demands;
import kolonne.core.model.Member;
import kolonne.core.model.Purpose;

/** Forces of every member before and after a change. */
public final class AnalysisComparison {
    /**
     * A member's largest forces over the strength combinations (over the load cases where there are none).
     *
     * @param before greatest magnitude of N, Vy, Vz, T, My, Mz [N, Nmm]; null for a member that was not there
     * @param after  the same after the change; null for a member that is gone
     */
    public record Change(String member, double[] before, double[] after) {
        /** Growth of a component's magnitude, negative where it was relieved. */
        public double by(int component) {
            return (after == null ? 0 : after[component]) - (before == null ? 0 : before[component]);
        }
    }

    private AnalysisComparison() {}

    /** Changes of all members, the largest change of {@code component} first; members without any change come last. */
    public static List<Change> of(Analysis before, Analysis after, int component) {
        Map<String, double[]> old = new HashMap<>();
        double[][] b = peaks(before);
        for (int m = 0; m < b.length; m++) {
            old.put(before.index().building().members().get(m).id(), b[m]);
        }
        double[][] a = peaks(after);
        List<Change> out = new ArrayList<>();
        for (int m = 0; m < a.length; m++) {
            Member member = after.index().building().members().get(m);
            out.add(new Change(member.id(), old.remove(member.id()), a[m]));
        }
        for (Member m : before.index().building().members()) {
            if (old.containsKey(m.id())) {
                out.add(new Change(m.id(), old.get(m.id()), null));
            }
        }
        out.sort(Comparator.comparingDouble((Change c) -> -Math.abs(c.by(component))));
        return out;
    }

    private static double[][] peaks(Analysis a) {
        Demands strength = new Demands(a, Purpose.STRENGTH);
        double[][] out = new double[a.index().building().members().size()][];
        IntStream.range(0, out.length).parallel().forEach(m -> out[m] = peaks(a, strength, m));
        return out;
    }

    private static double[] peaks(Analysis a, Demands strength, int m) {
        double[] out = new double[Analysis.COMPONENTS];
        int sets = strength.count() > 0
                ? strength.count()
                : a.index().building().loadCases().size();
        for (int s = 0; s < a.stationCount(m); s++) {
            for (int k = 0; k < sets; k++) {
                for (int i = 0; i < out.length; i++) {
                    double f = strength.count() > 0 ? strength.at(m, s, k, i) : a.force(m, k, s, i);
                    out[i] = Math.max(out[i], Math.abs(f));
                }
            }
        }
        return out;
    }
}
