package kolonne.core.space;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Consumer;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.SectionCut;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.design.Decisions;
import kolonne.core.design.DesignedDemo;
import kolonne.core.design.SuggestedTypes;
import kolonne.core.model.BuildingIndex;
import kolonne.core.schedule.Scheduled;
import kolonne.core.schedule.Schedules;
import kolonne.core.work.Progress;
import org.junit.jupiter.api.Test;

/**
 * The demo in space measured again: lengths of the bent middles against the cut lengths of the list, which come from deductions, not from geometry; numbers and masses
 * against the list; places against the sections that are checked; bars inside the concrete and clear of each other by their distances.
 */
class BuildingInSpaceTest {
    private static final BuildingDesign DEMO = DesignedDemo.by(Basis.standard(false));

    private static void each(BuildingDesign d, Consumer<BuildingInSpace.Piece> use) {
        BuildingInSpace.each(d, Progress.NONE, use);
    }

    @Test
    void everyBarIsAsLongAsTheListSays() {
        each(
                DEMO,
                p -> p.placed().bars().forEach(b -> {
                    double cut = b.item().cutLength();
                    String of = p.mark() + " " + b.item() + " " + b.shape();
                    // up to 5 mm by rounding, 1.5 mm a bend by the deductions of the standard
                    assertEquals(cut, alongTheMember(b), 8, of);
                    assertEquals(cut, b.shape().length(), 8 + 0.01 * cut, of + ": set aside");
                }));
    }

    /** Its length without what is gained by being set aside from one place to the next, which no list counts. */
    private static double alongTheMember(SpaceBar b) {
        double gained = 0;
        int at = 0;
        for (boolean arc : b.shape().arcs()) {
            Point3 way = b.shape().points().get(at + 1).minus(b.shape().points().get(at));
            gained +=
                    arc || b.use() != SpaceBar.Use.MAIN || Math.abs(way.x()) < 1 ? 0 : way.length() - Math.abs(way.x());
            at += arc ? 2 : 1;
        }
        return b.shape().length() - gained;
    }

    @Test
    void thereAreAsManyAsTheListSays() {
        sameAsList(DEMO);
    }

    @Test
    void typesAreMarkedAsTheyAreScheduled() {
        BuildingDesign small = BuildingDesigner.design(
                FrameAnalysis.solve(new BuildingIndex(DemoBuilding.generate(new DemoOptions(7, 2, 3, 2, false)))),
                Basis.standard(false),
                BuildingDesigner.Progress.NONE);
        BuildingDesign typed = small.with(Decisions.typed(SuggestedTypes.of(small)), Set.of());
        assertTrue(!typed.typeMarks().isEmpty());
        sameAsList(typed);
    }

    private static void sameAsList(BuildingDesign d) {
        Map<String, Integer> drawn = new TreeMap<>();
        double[] mass = {0};
        each(
                d,
                p -> p.placed().bars().forEach(b -> {
                    drawn.merge(
                            p.schedule() + " " + b.mark() + " " + b.item().bar().label(), 1, Integer::sum);
                    mass[0] += b.item().mass() / b.item().number();
                }));
        Map<String, Integer> listed = new TreeMap<>();
        double[] listedMass = {0};
        for (Schedules.BarRow r : Schedules.bars(Scheduled.of(d))) {
            listed.merge(
                    r.member() + " " + r.barMark() + " " + r.item().bar().label(),
                    r.members() * r.item().number(),
                    Integer::sum);
            listedMass[0] += r.members() * r.item().mass();
        }
        assertEquals(listed, drawn);
        assertEquals(listedMass[0], mass[0], 1e-6 * mass[0]);
    }

    /**
     * In the middle of every span and inside its faces the plane of the section meets bars of the sizes and at the heights of the section that is checked; across the
     * web too but where bars have made room for others elsewhere.
     */
    @Test
    void linesAreCutAsTheyAreChecked() {
        Map<String, BeamDesign> lines = new HashMap<>();
        DEMO.beams().forEach(b -> lines.put(b.line().mark(), b));
        int[] across = new int[2];
        each(DEMO, p -> {
            if (!p.beam()) {
                return;
            }
            BeamDesign b = lines.get(p.mark());
            double top = b.line().spans().stream()
                            .mapToDouble(s -> s.shape().depth())
                            .max()
                            .orElseThrow()
                    / 2;
            for (BeamLine.Span s : b.line().spans()) {
                for (double x : new double[] {s.faceFrom() + 1, s.middle(), s.faceTo() - 1}) {
                    List<double[]> through = new ArrayList<>(through(p.placed(), x));
                    List<SectionCut.Spot> spots =
                            SectionCut.at(b.line(), b.cage(), b.basis(), s, x).bars();
                    if (x == s.middle() && spots.size() == through.size()) {
                        assertEquals(heights(spots, top - s.shape().depth()), heights(through), p.mark() + " at " + x);
                    }
                    for (SectionCut.Spot spot : spots) {
                        double y = s.shape().webWidth() / 2 - spot.y();
                        boolean there = through.stream().anyMatch(q -> Math.abs(q[0] - y) < 1);
                        across[there ? 0 : 1]++;
                    }
                }
            }
        });
        assertTrue(across[1] < 0.25 * across[0], across[1] + " of " + (across[0] + across[1]) + " elsewhere across");
    }

    private static List<String> heights(List<SectionCut.Spot> spots, double soffit) {
        return spots.stream()
                .map(q -> Math.round(q.bar().diameter()) + " at " + Math.round(soffit + q.z()))
                .sorted()
                .toList();
    }

    private static List<String> heights(List<double[]> through) {
        return through.stream()
                .map(q -> Math.round(q[2]) + " at " + Math.round(q[1]))
                .sorted()
                .toList();
    }

    /** Where bars along a line go through a plane across it: {y, z, diameter}. */
    private static List<double[]> through(Placed p, double x) {
        List<double[]> out = new ArrayList<>();
        for (SpaceBar b : p.bars()) {
            List<Point3> q = b.use() == SpaceBar.Use.MAIN ? b.shape().points() : List.of();
            for (int i = 0; i + 1 < q.size(); i++) {
                Point3 a = q.get(i).plus(b.at());
                Point3 e = q.get(i + 1).plus(b.at());
                if (a.x() < x != e.x() < x) {
                    double f = (x - a.x()) / (e.x() - a.x());
                    out.add(new double[] {
                        a.y() + f * (e.y() - a.y()),
                        a.z() + f * (e.z() - a.z()),
                        b.item().bar().diameter()
                    });
                }
            }
        }
        return out;
    }

    /** Every metre and a half no bar of a line lies in another; two that touch are lapped or a pair. Where soffits step, bars are led through others. */
    @Test
    void noBarLiesInAnother() {
        each(DEMO, p -> {
            if (p.placed().bodies().stream().mapToDouble(Body::rise).distinct().count() > 1) {
                return;
            }
            double length = p.placed().bodies().stream()
                    .mapToDouble(b -> b.at().x() + b.length())
                    .max()
                    .orElseThrow();
            for (double x = 103; x < length; x += 1517) {
                List<double[]> q = through(p.placed(), x);
                for (int i = 0; i < q.size(); i++) {
                    for (int k = i + 1; k < q.size(); k++) {
                        double apart = Math.hypot(q.get(i)[0] - q.get(k)[0], q.get(i)[1] - q.get(k)[1]);
                        assertTrue(
                                apart > (q.get(i)[2] + q.get(k)[2]) / 2 - 2,
                                p.mark() + " at " + x + ": " + apart + " between bars of " + q.get(i)[2]);
                    }
                }
            }
        });
    }

    /** Within the concrete of the line's depth and the web's width, the cover away from its sides. */
    @Test
    void barsLieInsideTheConcrete() {
        each(DEMO, p -> {
            double wide = p.placed().bodies().stream()
                    .mapToDouble(b -> p.beam()
                            ? b.section().shape().webWidth()
                            : b.section().shape().width())
                    .max()
                    .orElseThrow();
            double deep = p.placed().bodies().stream()
                    .mapToDouble(b -> b.section().shape().depth())
                    .max()
                    .orElseThrow();
            for (SpaceBar b : p.placed().bars()) {
                List<Point3> q = b.shape().moved(b.at()).points();
                for (int i = 0; i < q.size(); i++) {
                    // the end of a hook is cut
                    boolean end = i == 0 || i == q.size() - 1;
                    // hooks of single legs as thick as T16 take some of the cover of a narrow web
                    double hooks = b.item().shape().equals("99") ? 6 : 1;
                    double r = (end ? 0 : b.item().bar().diameter() / 2) + p.cover() - hooks;
                    // those that are laid over end in the support, which is wider
                    boolean hook = end && b.use() == SpaceBar.Use.MAIN || inFoundation(b, q.get(i));
                    assertTrue(
                            (hook || Math.abs(q.get(i).y()) <= wide / 2 - r)
                                    && (hook && !p.beam() || Math.abs(q.get(i).z()) <= deep / 2 - r),
                            p.mark() + " " + wide + " x " + deep + ": " + b.item() + " at " + q.get(i));
                }
            }
        });
    }

    /** Feet of starter bars lie in the foundation, or in the beam that carries the column. */
    private static boolean inFoundation(SpaceBar b, Point3 at) {
        return b.item().what().startsWith("starter bars") && at.x() < b.at().x() + 200;
    }

    /** Volumes of beams and columns by hand from the model: beams between faces, columns from joint to joint. */
    @Test
    void concreteIsThatOfTheQuantities() {
        double[] volume = new double[2];
        each(
                DEMO,
                p -> p.placed()
                        .bodies()
                        .forEach(b ->
                                volume[p.beam() ? 0 : 1] += b.section().shape().A() * b.length()));
        double beams = 0;
        for (BeamDesign b : DEMO.beams()) {
            for (BeamLine.Span s : b.line().spans()) {
                beams += s.section().shape().A() * s.clear();
            }
        }
        assertEquals(beams, volume[0], 1e-6 * beams);
        double columns = DEMO.columns().stream()
                .flatMap(c -> c.stack().lifts().stream())
                .mapToDouble(l -> l.section().shape().A() * (l.top() - l.base() + (l.highest() ? l.inHead() : 0)))
                .sum();
        assertEquals(columns, volume[1], 1e-6 * columns);
    }
}
