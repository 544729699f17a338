package kolonne.core.analysis;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import kolonne.core.analysis.sparse.Factor;
import kolonne.core.analysis.sparse.SymmetricBuilder;
import kolonne.core.finding.Finding;
import kolonne.core.finding.Severity;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.JointLoad;

/** Solves the frame for all load cases: one factorisation, every case a right-hand side. */
public final class FrameAnalysis {
    private final BuildingIndex index;
    private final Building b;
    private final List<Finding> findings = new ArrayList<>();
    private final Element[] elements;
    private final int[][] joints;
    private final Freedoms freedoms;
    private final AppliedLoads loads;

    private FrameAnalysis(BuildingIndex index) {
        this.index = index;
        this.b = index.building();
        elements = b.members().stream().map(m -> new Element(m, index.joint(m.start()), index.joint(m.end()),
            index.sectionOf(m).shape(), index.materialOf(m))).toArray(Element[]::new);
        joints = b.members().stream().map(m -> new int[] {index.jointNumber(m.start()), index.jointNumber(m.end())})
            .toArray(int[][]::new);
        freedoms = Freedoms.of(index, findings::add);
        loads = new AppliedLoads(index, elements, findings::add);
    }

    /**
     * Analyses a building that {@link kolonne.core.model.ModelCheck} found sound; takes the forces that come with the
     * file where there are any.
     *
     * @throws AnalysisFailed with findings that name the joint and direction of a mechanism, or a panel that loses load
     */
    public static Analysis solve(BuildingIndex index) {
        if (index.building().hasImportedForces()) {
            return ImportedForces.of(index);
        }
        FrameAnalysis a = new FrameAnalysis(index);
        if (a.findings.stream().anyMatch(f -> f.severity() == Severity.FAILS)) {
            throw new AnalysisFailed(a.findings);
        }
        return a.run(a.factorise());
    }

    private Factor factorise() {
        int n = freedoms.count();
        SymmetricBuilder k = new SymmetricBuilder(n, 160 * elements.length);
        for (int m = 0; m < elements.length; m++) {
            assemble(k, elements[m].globalStiffness(), joints[m]);
        }
        Factor.Outcome outcome = Factor.of(k.build());
        if (outcome.factor() == null) {
            throw mechanism(outcome.freeEquation());
        }
        return outcome.factor();
    }

    private AnalysisFailed mechanism(int equation) {
        return new AnalysisFailed(List.of(Finding.fails("analysis.mechanism", freedoms.name(equation),
            "The structure can move freely there: the stiffness matrix is singular.",
            "Add a support, or remove a release of a member that meets there.")));
    }

    private void assemble(SymmetricBuilder k, double[][] stiffness, int[] ends) {
        for (int i = 0; i < 12; i++) {
            Freedoms.Terms ti = freedoms.at(ends[i / 6], i % 6);
            for (int j = 0; j < 12; j++) {
                double v = stiffness[i][j];
                if (v == 0) {
                    continue;
                }
                Freedoms.Terms tj = freedoms.at(ends[j / 6], j % 6);
                for (int p = 0; p < ti.equations().length; p++) {
                    for (int q = 0; q < tj.equations().length; q++) {
                        k.add(ti.equations()[p], tj.equations()[q], v * ti.factors()[p] * tj.factors()[q]);
                    }
                }
            }
        }
    }

    private Analysis run(Factor factor) {
        int cases = b.loadCases().size();
        double[][] stations = new double[elements.length][];
        double[][] forces = new double[elements.length][];
        for (int m = 0; m < elements.length; m++) {
            List<List<SpanLoad>> byCase = new ArrayList<>(cases);
            for (int c = 0; c < cases; c++) {
                byCase.add(loads.of(m, c));
            }
            stations[m] = StationForcesOf.stations(elements[m], byCase);
            forces[m] = new double[cases * stations[m].length * Analysis.COMPONENTS];
        }
        double[][] displacements = new double[cases][];
        double[][] reactions = new double[cases][];
        double[] residuals = new double[cases];
        IntStream.range(0, cases).parallel().forEach(c -> {
            CaseSolution s = new CaseSolution(c);
            displacements[c] = s.solve(factor);
            reactions[c] = s.recover(displacements[c], stations, forces);
            residuals[c] = s.residual;
        });
        return new Analysis(index, displacements, reactions, stations, forces, residuals, findings);
    }

    /** One load case from loads to reactions. */
    private final class CaseSolution {
        private final int loadCase;
        private final double[][] equivalent = new double[elements.length][];
        private final double[] applied = new double[6 * b.joints().size()];
        private double residual;

        CaseSolution(int loadCase) {
            this.loadCase = loadCase;
        }

        double[] solve(Factor factor) {
            for (int m = 0; m < elements.length; m++) {
                Element.Held h = elements[m].hold(loads.of(m, loadCase));
                equivalent[m] = h.equivalent();
                scatter(applied, joints[m], h.jointLoads(), 1);
            }
            for (JointLoad l : b.jointLoads()) {
                if (index.caseNumber(l.loadCase()) == loadCase) {
                    int j = index.jointNumber(l.joint());
                    for (int i = 0; i < 6; i++) {
                        applied[6 * j + i] += l.at(i);
                    }
                }
            }
            double[] x = new double[freedoms.count()];
            gather(applied, x);
            factor.solve(x);
            return expand(x);
        }

        private void gather(double[] joint, double[] x) {
            for (int d = 0; d < joint.length; d++) {
                Freedoms.Terms t = freedoms.at(d / 6, d % 6);
                for (int p = 0; p < t.equations().length; p++) {
                    x[t.equations()[p]] += joint[d] * t.factors()[p];
                }
            }
        }

        private double[] expand(double[] x) {
            double[] u = new double[applied.length];
            for (int d = 0; d < u.length; d++) {
                Freedoms.Terms t = freedoms.at(d / 6, d % 6);
                for (int p = 0; p < t.equations().length; p++) {
                    u[d] += x[t.equations()[p]] * t.factors()[p];
                }
            }
            return u;
        }

        /** Station forces of every member, and reactions as what the members' ends and the loads leave over. */
        double[] recover(double[] u, double[][] stations, double[][] forces) {
            double[] imbalance = new double[applied.length];
            for (int m = 0; m < elements.length; m++) {
                double[] ends = new double[12];
                System.arraycopy(u, 6 * joints[m][0], ends, 0, 6);
                System.arraycopy(u, 6 * joints[m][1], ends, 6, 6);
                double[] f = elements[m].endForces(ends, equivalent[m]);
                StationForcesOf.fill(elements[m], f, loads.of(m, loadCase), stations[m], forces[m],
                    loadCase * stations[m].length * Analysis.COMPONENTS);
                for (int i = 0; i < 12; i++) {
                    f[i] += equivalent[m][i]; // equivalent loads are in "applied" already
                }
                scatter(imbalance, joints[m], elements[m].toJoints(f), 1);
            }
            for (int d = 0; d < imbalance.length; d++) {
                imbalance[d] -= applied[d];
            }
            residual = residualOf(imbalance);
            double[] reactions = new double[imbalance.length];
            for (int d = 0; d < imbalance.length; d++) {
                reactions[d] = freedoms.at(d / 6, d % 6) == Freedoms.Terms.HELD ? imbalance[d] : 0;
            }
            return reactions;
        }

        private double residualOf(double[] imbalance) {
            double[] left = new double[freedoms.count()];
            gather(imbalance, left);
            double force = 0;
            double moment = 0;
            for (int d = 0; d < imbalance.length; d++) {
                double size = Math.max(Math.abs(applied[d]), Math.abs(imbalance[d]));
                if (d % 6 < 3) {
                    force = Math.max(force, size);
                } else {
                    moment = Math.max(moment, size);
                }
            }
            double scale = Math.max(force, moment);
            double worst = Arrays.stream(left).map(Math::abs).max().orElse(0);
            return scale == 0 ? 0 : worst / scale;
        }

        private void scatter(double[] to, int[] ends, double[] values, double factor) {
            for (int i = 0; i < 12; i++) {
                to[6 * ends[i / 6] + i % 6] += factor * values[i];
            }
        }
    }
}
