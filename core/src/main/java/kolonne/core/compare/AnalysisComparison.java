package kolonne.core.compare;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
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

        /** Whether a component changed by more than a part of the largest of its kind, force or moment, that the member had. */
        public boolean changed(double part) {
            if (before == null || after == null) {
                return true;
            }
            double[] largest = new double[2];
            for (int i = 0; i < before.length; i++) {
                int kind = i >= Analysis.T ? 1 : 0;
                largest[kind] = Math.max(largest[kind], before[i]);
            }
            for (int i = 0; i < before.length; i++) {
                if (Math.abs(by(i)) > part * largest[i >= Analysis.T ? 1 : 0]) {
                    return true;
                }
            }
            return false;
        }
    }

    private AnalysisComparison() {}

    /** Changes of all members, the largest change of {@code component} first; members without any change come last. */
    public static List<Change> of(Analysis before, Analysis after, int component) {
        return of(before, after, component, UnaryOperator.identity());
    }

    /** The same of models in which members have other ids. @param now id after the change of a member that had one before */
    public static List<Change> of(Analysis before, Analysis after, int component, UnaryOperator<String> now) {
        Map<String, double[]> old = new HashMap<>();
        double[][] b = peaks(before);
        for (int m = 0; m < b.length; m++) {
            old.put(now.apply(before.index().building().members().get(m).id()), b[m]);
        }
        double[][] a = peaks(after);
        List<Change> out = new ArrayList<>();
        for (int m = 0; m < a.length; m++) {
            Member member = after.index().building().members().get(m);
            out.add(new Change(member.id(), old.remove(member.id()), a[m]));
        }
        for (Member m : before.index().building().members()) {
            double[] gone = old.get(now.apply(m.id()));
            if (gone != null) {
                out.add(new Change(m.id(), gone, null));
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
