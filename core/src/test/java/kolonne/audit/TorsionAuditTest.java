package kolonne.audit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import kolonne.core.Sweep;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.check.CheckResult;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.design.RandomFrame;
import kolonne.core.model.BuildingIndex;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Columns of frames that no person would draw, every second with a torque on it, by the statics of the truss that resists it. */
class TorsionAuditTest {
    private final List<String> unlike = new ArrayList<>();

    private static BuildingDesign design(int seed, Basis basis) {
        return BuildingDesigner.design(
                FrameAnalysis.solve(new BuildingIndex(new RandomFrame(seed).twisted(basis.usUnits()))),
                basis,
                BuildingDesigner.Progress.NONE);
    }

    @ParameterizedTest
    @ValueSource(strings = {"aci-318m-19", "aci-318-19", "en-1992-1-1"})
    void twistedColumns(String code) {
        Basis basis = Basis.standard(code);
        int frames = Sweep.of(3, 50);
        List<String> differences = new ArrayList<>();
        int read = 0;
        int twisted = 0;
        for (int i = 0; i < frames; i++) {
            BuildingDesign d = design(1000 + i, basis);
            List<String> own = java.util.Collections.synchronizedList(new ArrayList<>());
            read += Audit.columns(d, own);
            differences.addAll(own);
            twisted += uses(d);
        }
        Audit.told(frames + " frames of twisted columns, " + code, read, differences);
        assertTrue(twisted > read / 3, twisted + " twisted of " + read);
        assertEquals(List.of(), unlike.stream().limit(10).toList());
    }

    /** Uses beside one another, not only on which side of the limit they lie. */
    private int uses(BuildingDesign d) {
        Sheet.Basis numbers = Drawn.basis(d.basis());
        Forces forces = new Forces(d.analysis(), numbers);
        double[] depths = Drawn.depths(d.analysis().index());
        int out = 0;
        for (ColumnDesign c : d.columns()) {
            for (int i = 0; i < c.lifts().size(); i++) {
                Map<String, Double> told = new HashMap<>();
                for (CheckResult r : c.lifts().get(i).checks()) {
                    told.merge(r.kind().id().replaceAll("-[xy]$", ""), r.utilisation(), Math::max);
                }
                Sheet.Lift lift = Drawn.lift(c, i, d.basis());
                Findings read =
                        told.containsKey("torsion") ? new ColumnReading(lift, numbers, forces, depths).run() : null;
                if (read != null) {
                    String mark = d.analysis().index().building().name() + " "
                            + c.stack().mark() + " " + i;
                    // ties are set out in whole numbers, never farther apart than chosen
                    double nearer =
                            widest(lift) / c.cage().lifts().get(i).ties().middle();
                    assertTrue(nearer < 1 + 1e-9, mark + " ties " + nearer);
                    // what the bars cannot bear is told of them
                    double most = told.get("torsion-bars") > 1 ? Double.POSITIVE_INFINITY : 1.001;
                    near(mark, "torsion", read.all().get("column-torsion").use() / nearer, told, most);
                    near(
                            mark,
                            "shear-torsion-limit",
                            read.all().get("column-torsion-limit").use(),
                            told,
                            1.001);
                    out++;
                }
            }
        }
        return out;
    }

    private static double widest(Sheet.Lift l) {
        return IntStream.range(1, l.ties().size())
                .mapToDouble(i -> l.ties().get(i) - l.ties().get(i - 1))
                .max()
                .orElseThrow();
    }

    private void near(String mark, String kind, double read, Map<String, Double> told, double most) {
        double ratio = read / told.get(kind);
        if (ratio < 0.999 || ratio > most) {
            unlike.add(mark + " " + kind + " read " + read + " told " + told.get(kind));
        }
    }
}
