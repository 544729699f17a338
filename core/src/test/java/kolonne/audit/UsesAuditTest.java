package kolonne.audit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import kolonne.core.Sweep;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Ductility;
import kolonne.core.basis.part.Frame;
import kolonne.core.basis.part.Sway;
import kolonne.core.check.CheckResult;
import kolonne.core.column.cage.TieSpacing;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.design.DesignedDemo;
import kolonne.core.design.RandomFrame;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Uses of lifts compared as numbers, not only by the side of the limit on which they lie: columns of frames that no person would draw, every second with a
 * torque on it, by the statics of the truss that resists it; beside what their bars develop where they end, and in frames for earthquakes beside the
 * shear that comes with the strength of their ends.
 */
class UsesAuditTest {
    /** Where strengths of ends come in, which are read by strips and under a few axial forces. */
    private static final double STRIPS = 0.015;

    private final List<String> unlike = new ArrayList<>();
    private final Map<String, Integer> compared = new TreeMap<>();

    private static BuildingDesign design(Building building, Basis basis) {
        return BuildingDesigner.design(
                FrameAnalysis.solve(new BuildingIndex(building)), basis, BuildingDesigner.Progress.NONE);
    }

    @ParameterizedTest
    @ValueSource(strings = {"aci-318m-19", "aci-318-19", "en-1992-1-1"})
    void twistedColumns(String code) {
        Basis basis = Basis.standard(code);
        int frames = Sweep.of(2, 50);
        List<String> differences = new ArrayList<>();
        int read = 0;
        for (int i = 0; i < frames; i++) {
            BuildingDesign d = design(new RandomFrame(1000 + i).twisted(basis.usUnits()), basis);
            List<String> own = java.util.Collections.synchronizedList(new ArrayList<>());
            read += Audit.columns(d, own);
            differences.addAll(own);
            uses(d);
        }
        Audit.told(frames + " frames of twisted columns, " + code, read, differences);
        none(code);
        assertTrue(compared.get("torsion") > read / 3, compared + " of " + read);
    }

    /** Torque and the strength of the ends: in special frames the hoops alone where there is little compression. */
    @ParameterizedTest
    @EnumSource(
            value = Ductility.class,
            names = {"ORDINARY", "INTERMEDIATE", "SPECIAL"})
    void twistedFramesForEarthquakes(Ductility kind) {
        // of ordinary frames lifts up to five depths long alone: these are not in the first two
        int first = kind == Ductility.ORDINARY ? 1002 : 1000;
        for (int i = 0; i < Sweep.of(2, 50); i++) {
            Basis basis = Basis.standard(i % 2 == 1).with(new Frame(Sway.BRACED, Sway.BRACED, 0, kind));
            uses(design(new RandomFrame(first + i).shakenAndTwisted(basis.usUnits()), basis));
        }
        none(kind.toString());
        assertTrue(compared.get("torsion") > 5 && compared.get("beside the ends") > 0, compared.toString());
        assertTrue(kind != Ductility.SPECIAL || compared.get("hoops beside the joints") > 5, compared.toString());
    }

    /** Bars too thick for the beams at the roof, where no torque takes of them. */
    @ParameterizedTest
    @ValueSource(strings = {"aci-318m-19", "aci-318-19", "en-1992-1-1"})
    void barsThatEnd(String code) {
        uses(DesignedDemo.by(Sweep.of(0, 1) == 1 ? DesignedDemo.MIDDLE : DesignedDemo.SMALL, Basis.standard(code)));
        none("demo, " + code);
        assertTrue(compared.get("bars that end") > 3, compared.toString());
    }

    private void none(String what) {
        System.out.println("Uses of twisted columns, " + what + ": " + compared + ", " + unlike.size() + " differ");
        assertEquals(List.of(), unlike.stream().limit(10).toList());
    }

    /** Uses beside one another, not only on which side of the limit they lie. */
    private void uses(BuildingDesign d) {
        Sheet.Basis numbers = Drawn.basis(d.basis());
        Forces forces = new Forces(d.analysis(), numbers);
        double[] depths = Drawn.depths(d.analysis().index());
        Map<Integer, List<Sheet.Standing>> standing = Drawn.standing(d);
        FrameReading frame = numbers.frame() == Sheet.Frame.NONE ? null : FrameComparison.reading(d);
        for (ColumnDesign c : d.columns()) {
            for (int i = 0; i < c.lifts().size(); i++) {
                Map<String, Double> told = new HashMap<>();
                for (CheckResult r : c.lifts().get(i).checks()) {
                    told.merge(r.kind().id().replaceAll("-[xy]$", ""), r.utilisation(), Math::max);
                }
                Sheet.Lift lift = Drawn.lift(c, i, d.basis());
                Findings read = new ColumnReading(lift, numbers, forces, depths)
                        .ending(standing.get(lift.member()))
                        .run();
                if (read != null) {
                    String mark = d.analysis().index().building().name() + " "
                            + c.stack().mark() + " " + i;
                    ends(mark, read, told);
                    if (told.containsKey("torsion")) {
                        torsion(mark, c.cage().lifts().get(i).ties(), lift, read, frame, told);
                    }
                }
            }
        }
    }

    private void ends(String mark, Findings read, Map<String, Double> told) {
        double alone = use(read, "bar-ends");
        double beside = use(read, "bar-ends-torsion");
        compared.merge("bars that end", alone > beside ? 1 : 0, Integer::sum);
        compared.merge("bars that end beside a torque", beside > alone ? 1 : 0, Integer::sum);
        double most = Math.max(alone, beside);
        double tells = told.getOrDefault("bar-ends", 0.0);
        if (Math.abs(most - tells) > 0.03 * Math.max(0.1, Math.max(most, tells))) {
            unlike.add(mark + " bars end: read " + alone + ", beside a torque " + beside + ", told " + tells);
        }
    }

    private static double use(Findings read, String kind) {
        Findings.Use u = read.all().get(kind);
        return u == null ? 0 : u.use();
    }

    private void torsion(
            String mark,
            TieSpacing ties,
            Sheet.Lift lift,
            Findings read,
            FrameReading frame,
            Map<String, Double> told) {
        double before = use(read, "column-torsion");
        double limited = use(read, "column-torsion-limit");
        if (frame != null) {
            frame.torsion(lift, read);
        }
        // ties are set out in whole numbers, never farther apart than chosen
        double nearer = lift.widest() / ties.middle();
        assertTrue(nearer < 1 + 1e-9, mark + " ties " + nearer);
        double legs = use(read, "column-torsion") / nearer;
        double hoops = frame == null ? 0 : use(read, "column-torsion-hoops") / (frame.hoopGap(lift) / ties.end());
        compared.merge("torsion", 1, Integer::sum);
        boolean grew = use(read, "column-torsion") > before || use(read, "column-torsion-limit") > limited;
        compared.merge("beside the ends", grew ? 1 : 0, Integer::sum);
        compared.merge("hoops beside the joints", hoops > legs ? 1 : 0, Integer::sum);
        double slack = frame == null ? 0.001 : STRIPS;
        // what the bars cannot bear is told of them
        near(mark, "torsion", Math.max(legs, hoops), told, slack, told.get("torsion-bars") > 1);
        near(mark, "shear-torsion-limit", use(read, "column-torsion-limit"), told, slack, false);
    }

    private void near(String mark, String kind, double read, Map<String, Double> told, double slack, boolean more) {
        double ratio = read / told.get(kind);
        if (ratio < 1 - slack || ratio > 1 + slack && !more) {
            unlike.add(mark + " " + kind + " read " + read + " told " + told.get(kind));
        }
    }
}
