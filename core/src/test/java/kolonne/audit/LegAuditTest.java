package kolonne.audit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.Sweep;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.column.LegBuildings;
import kolonne.core.column.check.ColumnCheck;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.check.LiftDemands;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.demo.DemoOptions;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.model.BuildingIndex;
import kolonne.core.shape.Shape;
import kolonne.core.space.BuildingInSpace;
import kolonne.core.space.SpaceBar;
import kolonne.core.work.Progress;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Buildings whose columns are ells and tees, read by a second route: forces straight from the analysis, strength by fibres, bars and ties out of the space model
 * against the faces of the two rectangles that a shape is made of.
 */
class LegAuditTest {
    private final List<String> faults = new ArrayList<>();
    private BuildingDesign design;
    private Sheet.Basis basis;
    private int lifts;
    private int compared;
    private int bars;

    @ParameterizedTest
    @ValueSource(strings = {"aci-318m-19", "en-1992-1-1"})
    void everyLift(String code) {
        Basis b = Basis.standard(code);
        design = BuildingDesigner.design(
                FrameAnalysis.solve(new BuildingIndex(
                        LegBuildings.everySecondFromItsHead(LegBuildings.of(new DemoOptions(7, 3, 3, 2, true))))),
                b,
                BuildingDesigner.Progress.NONE);
        basis = Drawn.basis(b);
        Forces forces = new Forces(design.analysis(), basis);
        for (ColumnDesign c : design.columns()) {
            for (int i = 0; i < c.lifts().size(); i++) {
                if (c.stack().lifts().get(i).section().shape() instanceof Shape.Flanged) {
                    lifts++;
                    strength(c, i);
                    shear(c, i, forces);
                }
            }
        }
        BuildingInSpace.each(design, Progress.NONE, this::inside);
        assertEquals(List.of(), faults.stream().limit(20).toList());
        long fromTheirHeads = design.columns().stream()
                .flatMap(c -> c.findings().stream())
                .filter(q -> q.code().equals("column.drawn-down"))
                .count();
        assertTrue(fromTheirHeads > 5, fromTheirHeads + " lifts are drawn from their heads");
        assertTrue(
                lifts > 15 && compared > Sweep.of(60, 300) && bars > 400, lifts + " lifts, " + compared + ", " + bars);
    }

    /** At foot and head the forces of the analysis, and of every demand the use by fibres. */
    private void strength(ColumnDesign c, int i) {
        ColumnStack.Lift l = c.stack().lifts().get(i);
        Sheet.Lift sheet = Drawn.lift(c, i, c.basis());
        LegFibres fibres = new LegFibres(sheet.legs().rectangles(), sheet.bars(), sheet.fc(), basis);
        String where = c.stack().mark() + " lift " + (i + 1);
        var context = design.contexts().of(c.stack());
        List<ColumnCheck.Solved> all = ColumnCheck.solve(l, c.lifts().get(i).cage(), context);
        int step = Math.max(1, all.size() / Sweep.of(4, 60));
        for (int k = 0; k < all.size(); k += step) {
            LiftDemands.Demand d = all.get(k).demand();
            double told = all.get(k).utilisation();
            double use = fibres.use(d.p(), d.mx(), d.my());
            if (d.stable() && !Double.isNaN(use) && use > 0.1) {
                double cap = d.p() > 0
                        ? d.p()
                                / context.surface(
                                                l.section(),
                                                l.material(),
                                                c.lifts().get(i).cage())
                                        .axialCap()
                        : 0;
                double expected = Math.max(use, cap);
                compared++;
                if (Math.abs(told - expected) > 0.03 * expected) {
                    fault(where, "use " + told + ", by fibres " + expected + " of " + d);
                }
            }
        }
        worstAtTheEnds(c, i, l, fibres, where);
    }

    /** Of the combinations, borne by the leg that lies along it, with ties as far apart as they are chosen. */
    private void shear(ColumnDesign c, int i, Forces forces) {
        double[] depths = Drawn.depths(design.analysis().index());
        Findings read = new ColumnReading(Drawn.lift(c, i, c.basis()), basis, forces, depths)
                .runShear(c.cage().lifts().get(i).ties().middle());
        double told = c.lifts().get(i).checks().stream()
                .filter(q ->
                        q.kind().id().startsWith("shear-x") || q.kind().id().startsWith("shear-y"))
                .mapToDouble(q -> q.utilisation())
                .max()
                .orElseThrow();
        double use = read.all().get("shear").use();
        if (Math.abs(use - told) > 0.005 * told) {
            fault(c.stack().mark() + " lift " + (i + 1), "shear " + use + ", told " + told);
        }
    }

    /** By ACI nothing is added to the moments of the analysis at foot and head but by sway: the check tells no less. */
    private void worstAtTheEnds(ColumnDesign c, int i, ColumnStack.Lift l, LegFibres fibres, String where) {
        var d = design.contexts().columns().strength();
        Analysis a = design.analysis();
        double told = c.lifts().get(i).checks().stream()
                .filter(q -> q.kind().id().equals("axial-bending"))
                .mapToDouble(q -> q.utilisation())
                .max()
                .orElse(0);
        if (c.lifts().get(i).checks().stream().anyMatch(q -> q.kind().id().equals("second-order"))) {
            return;
        }
        for (int k = 0; k < d.count(); k++) {
            for (int s : new int[] {0, a.stationCount(l.memberNumber()) - 1}) {
                double n = -d.at(l.memberNumber(), s, k, Analysis.N);
                double use = fibres.use(
                        n, d.at(l.memberNumber(), s, k, Analysis.MY), d.at(l.memberNumber(), s, k, Analysis.MZ));
                if (!Double.isNaN(use) && use > 1.03 * Math.max(told, 0.1)) {
                    fault(where, "used " + use + " at an end, told " + told);
                }
            }
        }
    }

    private void fault(String where, String what) {
        faults.add(where + ": " + what);
    }

    /** Every bar and tie over the middle of the height lies in the concrete, covered; no two bars in one place. */
    private void inside(BuildingInSpace.Piece q) {
        if (q.beam() || !(q.placed().bodies().get(0).section().shape() instanceof Shape.Flanged f)) {
            return;
        }
        double[][] r = Drawn.rectangles(f);
        double height = 0.62 * q.placed().bodies().get(0).length();
        List<double[]> at = new ArrayList<>();
        for (SpaceBar s : q.placed().bars()) {
            List<double[]> points = s.shape().moved(s.at()).points().stream()
                    .map(p -> new double[] {p.x(), p.y(), p.z()})
                    .toList();
            double half = s.item().bar().diameter() / 2;
            if (s.use() == SpaceBar.Use.TIE) {
                for (double[] p : s.item().shape().equals("99") ? leg(points) : points) {
                    if (!covered(r, p[1], p[2], basis.columnCover() + half - 1.5)) {
                        fault(q.mark(), s.item().what() + " at " + p[1] + ", " + p[2]);
                        break;
                    }
                }
                continue;
            }
            for (int k = 0; k + 1 < points.size(); k++) {
                double[] a = points.get(k);
                double[] b = points.get(k + 1);
                if (a[0] < height != b[0] < height) {
                    double t = (height - a[0]) / (b[0] - a[0]);
                    double x = a[1] + t * (b[1] - a[1]);
                    double y = a[2] + t * (b[2] - a[2]);
                    bars++;
                    if (!covered(r, x, y, basis.columnCover() + (basis.en() ? 8 : 10) + half - 1)) {
                        fault(q.mark(), "bar at " + x + ", " + y);
                    }
                    for (double[] o : at) {
                        if (Math.hypot(o[0] - x, o[1] - y) < o[2] + half - 0.5) {
                            fault(q.mark(), "two bars at " + x + ", " + y);
                        }
                    }
                    at.add(new double[] {x, y, half});
                }
            }
        }
    }

    /** Of a cross-tie places along its leg: where its sides would meet, before hooks of 135°, is outside of it. */
    private static List<double[]> leg(List<double[]> points) {
        double[] a = points.get(1);
        double[] b = points.get(points.size() - 2);
        List<double[]> out = new ArrayList<>();
        for (double t : new double[] {0.35, 0.5, 0.65}) {
            out.add(new double[] {a[0], a[1] + t * (b[1] - a[1]), a[2] + t * (b[2] - a[2])});
        }
        return out;
    }

    /** Whether a place lies so deep in one leg, or between both where they meet. */
    private static boolean covered(double[][] r, double x, double y, double cover) {
        for (int k = 0; k < 8; k++) {
            double px = x + cover * Math.cos(k * Math.PI / 4);
            double py = y + cover * Math.sin(k * Math.PI / 4);
            boolean in = false;
            for (double[] q : r) {
                in |= px > q[0] - 0.01 && px < q[2] + 0.01 && py > q[1] - 0.01 && py < q[3] + 0.01;
            }
            if (!in) {
                return false;
            }
        }
        return true;
    }
}
