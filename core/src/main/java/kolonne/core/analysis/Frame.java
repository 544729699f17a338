package kolonne.core.analysis;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import kolonne.core.analysis.sparse.Cholesky;
import kolonne.core.finding.Finding;
import kolonne.core.finding.Severity;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Member;
import kolonne.core.model.Spring;

/**
 * The frame made ready for solving: elements, equations, loads, stiffness coefficients. A frame of an edited building takes
 * from the frame before the edit all that the edit does not touch.
 */
final class Frame implements Cholesky.Coefficients {
    final BuildingIndex index;
    final Element[] elements;
    /** Joint numbers of each member's ends. */
    final int[][] joints;

    final Freedoms freedoms;
    final AppliedLoads loads;
    final List<Finding> findings;
    private final Map<String, List<PanelLoads.Share>> shares;
    private final double[][] global;
    private final double[] faceStart;
    private final double[] faceEnd;
    /** What of each member's ends lies in the joint, where ends are rigid [mm]. */
    private final double[] insideStart;

    private final double[] insideEnd;

    private Frame(BuildingIndex index, Frame before) {
        this.index = index;
        Building b = index.building();
        boolean sameGraph = before != null && sameGraph(b, before.index.building());
        findings = new ArrayList<>();
        faceStart = new double[b.members().size()];
        faceEnd = new double[faceStart.length];
        insideStart = new double[faceStart.length];
        insideEnd = new double[faceStart.length];
        elements = sameGraph ? before.elements.clone() : new Element[faceStart.length];
        Faces faces = new Faces(index);
        IntStream.range(0, elements.length).parallel().forEach(m -> {
            Member member = b.members().get(m);
            faceStart[m] = faces.of(member, true);
            faceEnd[m] = faces.of(member, false);
            insideStart[m] = faces.inside(member, true);
            insideEnd[m] = faces.inside(member, false);
            if (!sameGraph || !sameElement(before, m)) {
                elements[m] = element(m);
            } else if (elements[m].axial != 0) {
                elements[m] = elements[m].withAxial(0);
            }
        });
        joints = sameGraph
                ? before.joints
                : b.members().stream()
                        .map(m -> new int[] {index.jointNumber(m.start()), index.jointNumber(m.end())})
                        .toArray(int[][]::new);
        List<Finding> fromGraph = new ArrayList<>();
        freedoms = sameGraph ? before.freedoms : new Freedoms(index, fromGraph::add);
        if (sameGraph) {
            before.findings.stream()
                    .filter(f -> f.code().startsWith("diaphragm."))
                    .forEach(fromGraph::add);
        }
        findings.addAll(fromGraph);
        boolean sameShares =
                sameGraph && b.panels().equals(before.index.building().panels());
        if (sameShares) {
            before.findings.stream().filter(f -> f.code().startsWith("panel.")).forEach(findings::add);
        }
        shares = sameShares ? before.shares : new PanelLoads(index, findings::add).all();
        if (findings.stream().anyMatch(f -> f.severity() == Severity.FAILS)) {
            throw new AnalysisFailed(findings);
        }
        loads = sameShares && sameLoads(b, before.index.building())
                ? new AppliedLoads(index, elements, before.loads)
                : new AppliedLoads(index, elements, shares);
        global = new double[elements.length][];
        IntStream.range(0, elements.length)
                .parallel()
                .forEach(m -> global[m] = sameGraph && elements[m] == before.elements[m]
                        ? before.global[m]
                        : elements[m].globalStiffness());
    }

    /** The same frame with axial forces in the members' stiffness. */
    private Frame(Frame f, double[] axial) {
        index = f.index;
        joints = f.joints;
        freedoms = f.freedoms;
        loads = f.loads;
        findings = f.findings;
        shares = f.shares;
        faceStart = f.faceStart;
        faceEnd = f.faceEnd;
        insideStart = f.insideStart;
        insideEnd = f.insideEnd;
        elements = new Element[f.elements.length];
        global = new double[elements.length][];
        IntStream.range(0, elements.length).parallel().forEach(m -> {
            elements[m] = f.elements[m].withAxial(axial[m]);
            global[m] = elements[m].globalStiffness();
        });
    }

    static Frame of(BuildingIndex index) {
        return new Frame(index, null);
    }

    /** @throws AnalysisFailed if a panel or diaphragm cannot be used */
    static Frame of(BuildingIndex index, Frame before) {
        return new Frame(index, before);
    }

    Frame withAxial(double[] axial) {
        return new Frame(this, axial);
    }

    /** Whether two buildings have the same joints, supports, diaphragms and members between the same joints. */
    private static boolean sameGraph(Building a, Building b) {
        if (a.members().size() != b.members().size()
                || !a.joints().equals(b.joints())
                || !a.supports().equals(b.supports())
                || !a.diaphragms().equals(b.diaphragms())) {
            return false;
        }
        for (int m = 0; m < a.members().size(); m++) {
            Member p = a.members().get(m);
            Member q = b.members().get(m);
            if (!p.start().equals(q.start())
                    || !p.end().equals(q.end())
                    || p.role() != q.role()
                    || !p.id().equals(q.id())) {
                return false;
            }
        }
        return true;
    }

    /** Whether two buildings of the same graph carry the same loads, and their members have the same axes. */
    private static boolean sameLoads(Building a, Building b) {
        for (int m = 0; m < a.members().size(); m++) {
            if (a.members().get(m).angle() != b.members().get(m).angle()) {
                return false;
            }
        }
        return a.loadCases().equals(b.loadCases())
                && a.memberLoads().equals(b.memberLoads())
                && a.areaLoads().equals(b.areaLoads());
    }

    private boolean sameElement(Frame before, int m) {
        Member a = index.building().members().get(m);
        Member b = before.index.building().members().get(m);
        return (a == b || a.equals(b))
                && index.sectionOf(a).shape().equals(before.index.sectionOf(b).shape())
                && index.materialOf(a).equals(before.index.materialOf(b))
                && index.building()
                        .options()
                        .factorsOf(a)
                        .equals(before.index.building().options().factorsOf(b))
                && index.building().options().shearDeformation()
                        == before.index.building().options().shearDeformation()
                && rigid(insideStart[m], a.rigidStart()) == before.elements[m].rigidStart
                && rigid(insideEnd[m], a.rigidEnd()) == before.elements[m].rigidEnd;
    }

    private double rigid(double face, double own) {
        return own > 0 ? own : index.building().options().rigidEnds() * face;
    }

    private Element element(int m) {
        Member q = index.building().members().get(m);
        return new Element(
                q,
                index.joint(q.start()),
                index.joint(q.end()),
                index.sectionOf(q).shape(),
                index.materialOf(q),
                index.building().options().factorsOf(q),
                rigid(insideStart[m], q.rigidStart()),
                rigid(insideEnd[m], q.rigidEnd()),
                index.building().options().shearDeformation());
    }

    double faceStart(int m) {
        return faceStart[m];
    }

    double faceEnd(int m) {
        return faceEnd[m];
    }

    /** Vertices of the graph whose coefficients differ from those of the frame before; null if all may. */
    int[] changedSince(Frame before) {
        if (freedoms != before.freedoms
                || !index.building().springs().equals(before.index.building().springs())) {
            return null;
        }
        return IntStream.range(0, elements.length)
                .filter(m -> global[m] != before.global[m])
                .flatMap(m -> IntStream.of(joints[m]))
                .distinct()
                .flatMap(j -> IntStream.of(freedoms.verticesOf(j)))
                .distinct()
                .toArray();
    }

    @Override
    public void into(Cholesky.Sink sink) {
        for (int m = 0; m < elements.length; m++) {
            element(sink, global[m], joints[m]);
        }
        for (Spring s : index.building().springs()) {
            int j = index.jointNumber(s.joint());
            for (int i = 0; i < 6; i++) {
                if (s.at(i) > 0) {
                    diagonal(sink, freedoms.at(j, i), s.at(i));
                }
            }
        }
    }

    private void element(Cholesky.Sink sink, double[] k, int[] ends) {
        Freedoms.Terms[] t = new Freedoms.Terms[12];
        for (int i = 0; i < 12; i++) {
            t[i] = freedoms.at(ends[i / 6], i % 6);
        }
        for (int i = 0; i < 12; i++) {
            if (k[13 * i] != 0) {
                diagonal(sink, t[i], k[13 * i]);
            }
            for (int j = i + 1; j < 12; j++) {
                double v = k[12 * i + j];
                if (v != 0) {
                    pair(sink, t[i], t[j], v);
                }
            }
        }
    }

    private static void diagonal(Cholesky.Sink sink, Freedoms.Terms t, double v) {
        for (int p = 0; p < t.equations().length; p++) {
            for (int q = p; q < t.equations().length; q++) {
                sink.add(t.equations()[p], t.equations()[q], v * t.factors()[p] * t.factors()[q]);
            }
        }
    }

    /** A coefficient and its mirror image; both fall on the diagonal where the two displacements share an equation. */
    private static void pair(Cholesky.Sink sink, Freedoms.Terms a, Freedoms.Terms b, double v) {
        for (int p = 0; p < a.equations().length; p++) {
            for (int q = 0; q < b.equations().length; q++) {
                double w = v * a.factors()[p] * b.factors()[q];
                boolean same = a.equations()[p] == b.equations()[q];
                sink.add(a.equations()[p], b.equations()[q], same ? 2 * w : w);
            }
        }
    }

    /** Joint forces in global axes that hold member {@code m} with its ends displaced by {@code u}. */
    double[] stiffnessTimes(int m, double[] u) {
        double[] out = new double[12];
        for (int i = 0; i < 12; i++) {
            for (int j = 0; j < 12; j++) {
                out[i] += global[m][12 * i + j] * u[j];
            }
        }
        return out;
    }

    /** Adds joint forces to the right-hand side of the equations. */
    void gather(double[] joint, double[] x) {
        for (int d = 0; d < joint.length; d++) {
            if (joint[d] != 0) {
                Freedoms.Terms t = freedoms.at(d / 6, d % 6);
                for (int p = 0; p < t.equations().length; p++) {
                    x[t.equations()[p]] += joint[d] * t.factors()[p];
                }
            }
        }
    }

    /** Adds the solution of the equations to the joints' displacements. */
    void expand(double[] x, double[] u) {
        for (int d = 0; d < u.length; d++) {
            Freedoms.Terms t = freedoms.at(d / 6, d % 6);
            for (int p = 0; p < t.equations().length; p++) {
                u[d] += x[t.equations()[p]] * t.factors()[p];
            }
        }
    }
}
