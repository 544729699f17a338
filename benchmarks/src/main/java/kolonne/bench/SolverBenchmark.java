package kolonne.bench;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.analysis.sparse.Cholesky;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Diaphragm;
import kolonne.core.model.Member;
import kolonne.core.model.StiffnessFactors;
import org.ejml.data.DMatrixSparseCSC;
import org.ejml.data.DMatrixSparseTriplet;
import org.ejml.interfaces.decomposition.DecompositionSparseInterface;
import org.ejml.ops.DConvertMatrixStruct;
import org.ejml.sparse.csc.CommonOps_DSCC;
import org.ejml.sparse.csc.factory.DecompositionFactory_DSCC;

/**
 * Times of the analysis by step, with and without rigid floors; of a second analysis after one member's section; the growth
 * with the number of members; and our factorisation beside EJML's on the same matrix in the same order.
 */
public final class SolverBenchmark {
    private static final int ROUNDS = 5;
    private static final String[] STEPS = {
        "reading loads and members", "factorising the stiffness", "solving load cases", "forces at stations"
    };
    /** EJML takes minutes and gigabytes beyond this many coefficients in the factor. */
    private static final long MOST_FOR_EJML = 8_000_000;

    private SolverBenchmark() {}

    public static void main(String[] args) {
        int[] sizes = args.length == 0
                ? new int[] {1000, 5000, 10_000, 20_000}
                : java.util.Arrays.stream(args).mapToInt(Integer::parseInt).toArray();
        for (boolean rigid : new boolean[] {true, false}) {
            System.out.println();
            System.out.println("Analysis " + (rigid ? "with rigid floors" : "without rigid floors")
                    + ", 10 load cases, best of " + ROUNDS + " [s]");
            System.out.println(
                    "members  equations  in factor |  loads  factor   solve  stations |  whole | after one section"
                            + " |    EJML  |  heap [MB]");
            List<double[]> growth = new ArrayList<>();
            for (int size : sizes) {
                growth.add(run(size, rigid, true));
            }
            exponents(growth);
        }
    }

    private static double[] run(int size, boolean rigid, boolean told) {
        Building b = floors(DemoBuilding.generate(DemoOptions.ofSize(size)), rigid);
        Map<String, Double> best = new LinkedHashMap<>();
        double whole = 1e9;
        double again = 1e9;
        Analysis a = null;
        for (int round = 0; round < ROUNDS; round++) {
            Map<String, Double> times = new LinkedHashMap<>();
            long t0 = System.nanoTime();
            a = timed(null, b, times);
            whole = Math.min(whole, (System.nanoTime() - t0) / 1e9);
            times.forEach((k, v) -> best.merge(k, v, Math::min));
            Building edited = edited(b, round);
            long t1 = System.nanoTime();
            FrameAnalysis.resolve(a, new BuildingIndex(edited));
            again = Math.min(again, (System.nanoTime() - t1) / 1e9);
        }
        if (!told) {
            return new double[0];
        }
        FrameAnalysis.Matrix m = FrameAnalysis.matrix(new BuildingIndex(b));
        double ejml = ejml(m);
        a = null;
        System.gc();
        Runtime r = Runtime.getRuntime();
        Analysis kept = FrameAnalysis.solve(new BuildingIndex(b));
        System.gc();
        long heap = (r.totalMemory() - r.freeMemory()) >> 20;
        System.out.printf(
                Locale.ROOT,
                "%7d  %9d  %9d | %6.3f  %6.3f  %6.3f  %8.3f | %6.3f | %17.3f | %s | %10d%n",
                b.members().size(),
                m.symbolic().equations(),
                m.symbolic().size(),
                best.get(STEPS[0]),
                best.get(STEPS[1]),
                best.get(STEPS[2]),
                best.get(STEPS[3]),
                whole,
                again,
                ejml < 0 ? "       –" : String.format(Locale.ROOT, "%8.3f", ejml),
                heap + (kept.stationCount(0) > 0 ? 0 : 1));
        return new double[] {
            b.members().size(), best.get(STEPS[1]), best.get(STEPS[2]), best.get(STEPS[3]), whole, again
        };
    }

    private static Analysis timed(Analysis before, Building b, Map<String, Double> times) {
        String[] step = {null};
        long[] since = {0};
        Analysis a = FrameAnalysis.resolve(before, new BuildingIndex(b), next -> {
            long now = System.nanoTime();
            if (step[0] != null) {
                times.merge(step[0], (now - since[0]) / 1e9, Double::sum);
            }
            step[0] = next;
            since[0] = System.nanoTime();
        });
        times.merge(step[0], (System.nanoTime() - since[0]) / 1e9, Double::sum);
        return a;
    }

    private static Building floors(Building b, boolean rigid) {
        return new Building(
                b.name(),
                b.unitSystem(),
                b.options(),
                b.storeys(),
                b.gridLines(),
                b.joints(),
                b.materials(),
                b.sections(),
                b.members(),
                b.supports(),
                b.springs(),
                b.diaphragms().stream()
                        .map(d -> new Diaphragm(d.id(), d.joints(), rigid))
                        .toList(),
                b.panels(),
                b.loadCases(),
                b.memberLoads(),
                b.areaLoads(),
                b.jointLoads(),
                b.settlements(),
                b.combinations(),
                b.stationForces());
    }

    private static Building edited(Building b, int round) {
        List<Member> members = new ArrayList<>(b.members());
        int at = members.size() / 2 + round;
        members.set(at, members.get(at).withStiffness(new StiffnessFactors(1, 0.2, 0.2, 0.01)));
        return b.withMembers(members);
    }

    /** Time of EJML's sparse Cholesky in our order (its own orderings do not reduce fill); −1 if the matrix is too large. */
    @SuppressWarnings("unchecked") // the library gives a raw type
    private static double ejml(FrameAnalysis.Matrix m) {
        if (m.symbolic().size() > MOST_FOR_EJML) {
            return -1;
        }
        int n = m.symbolic().equations();
        DMatrixSparseTriplet t = new DMatrixSparseTriplet(n, n, 100_000);
        Cholesky.Sink sink = (i, j, v) -> {
            t.addItem(i, j, v);
            if (i != j) {
                t.addItem(j, i, v);
            }
        };
        m.coefficients().into(sink);
        DMatrixSparseCSC k = DConvertMatrixStruct.convert(t, (DMatrixSparseCSC) null);
        CommonOps_DSCC.duplicatesAdd(k, null);
        k.sortIndices(null);
        double best = 1e9;
        for (int round = 0; round < 2; round++) {
            DecompositionSparseInterface<DMatrixSparseCSC> c = DecompositionFactory_DSCC.cholesky();
            long a = System.nanoTime();
            if (!c.decompose(k.copy())) {
                throw new IllegalStateException("Impossible: the matrix is positive definite");
            }
            best = Math.min(best, (System.nanoTime() - a) / 1e9);
        }
        return best;
    }

    private static void exponents(List<double[]> rows) {
        if (rows.size() < 2) {
            return;
        }
        double[] a = rows.get(0);
        double[] b = rows.get(rows.size() - 1);
        StringBuilder s = new StringBuilder("growth with members, from the smallest to the largest:");
        String[] names = {"factor", "solve", "stations", "whole", "after one section"};
        for (int i = 0; i < names.length; i++) {
            s.append(String.format(
                    Locale.ROOT, " %s n^%.2f,", names[i], Math.log(b[i + 1] / a[i + 1]) / Math.log(b[0] / a[0])));
        }
        System.out.println(s.substring(0, s.length() - 1));
    }
}
