package kolonne.core.space;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Materials;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.code.Bar;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.DesignedDemo;
import kolonne.core.model.Role;
import kolonne.core.schedule.Scheduled;
import kolonne.core.schedule.Schedules;
import kolonne.core.work.Progress;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Spacers between layers as they lie, measured among the other bars of the space model: nothing here asks how they were placed. */
class SpacersTest {
    private static final double TOUCH = 0.2;
    /** Half of the thinnest spacer there is between layers [mm]. */
    private static final double THINNEST = 12;

    private static Basis basis(String code, double every) {
        Basis b = Basis.standard(code);
        return b.with(b.practice().withSpacers(every));
    }

    /** Where a bar along the beam crosses a place: {across, up}; null where it does not. */
    private static double[] crossing(SpaceBar b, double x) {
        List<Point3> points =
                b.shape().points().stream().map(p -> p.plus(b.at())).toList();
        for (int i = 1; i < points.size(); i++) {
            Point3 p = points.get(i - 1);
            Point3 q = points.get(i);
            if (Math.min(p.x(), q.x()) <= x && x <= Math.max(p.x(), q.x()) && Math.abs(q.x() - p.x()) > 1) {
                double t = (x - p.x()) / (q.x() - p.x());
                return new double[] {p.y() + t * (q.y() - p.y()), p.z() + t * (q.z() - p.z())};
            }
        }
        return null;
    }

    @ParameterizedTest
    @CsvSource({"aci-318m-19,1000", "en-1992-1-1,800", "aci-318-19,1219.2"})
    void eachLiesBetweenTwoLayersAndTouchesBoth(String code, double every) {
        BuildingDesign d = DesignedDemo.by(DesignedDemo.SMALL, basis(code, every));
        Map<String, BeamDesign> lines =
                d.beams().stream().collect(Collectors.toMap(b -> b.line().mark(), b -> b));
        int[] count = new int[2];
        BuildingInSpace.each(d, Progress.NONE, p -> {
            List<SpaceBar> all = p.placed().bars();
            for (SpaceBar s : all) {
                if (s.use() == SpaceBar.Use.SPACER) {
                    count[0]++;
                    between(s, all, lines.get(p.mark()), p.cover());
                }
            }
            if (p.beam()) {
                count[1] += near(all, lines.get(p.mark()), every);
            }
        });
        assertTrue(count[0] > 20 && count[1] > 5, count[0] + " spacers, " + count[1] + " layers");
    }

    private static void between(SpaceBar s, List<SpaceBar> all, BeamDesign of, double cover) {
        String where = of.line().mark() + " at " + s.at();
        double r = s.item().bar().diameter() / 2;
        double half = s.item().cutLength() / 2;
        BeamLine.Span span = of.line().spanAt(s.at().x());
        assertEquals(-half, s.at().y(), 1e-6, where + ": not in the middle");
        double over = 99;
        double under = 99;
        for (SpaceBar b : all) {
            if (b.use() == SpaceBar.Use.MAIN) {
                double[] at = crossing(b, s.at().x());
                if (at != null && Math.abs(at[0]) < half) {
                    double up = at[1] - s.at().z();
                    double clear = Math.abs(up) - r - b.item().bar().diameter() / 2;
                    over = up > 0 ? Math.min(over, clear) : over;
                    under = up < 0 ? Math.min(under, clear) : under;
                }
            } else if (b.use() == SpaceBar.Use.TIE) {
                double beside = Math.abs(b.at().x() - s.at().x());
                assertTrue(
                        beside > r + b.item().bar().diameter() / 2 - TOUCH, where + ": through a stirrup, " + beside);
                if (of.line().spanAt(b.at().x()) == span) {
                    assertTrue(
                            half
                                    <= span.shape().webWidth() / 2
                                            - cover
                                            - b.item().bar().diameter()
                                            + 1e-6,
                            where + ": wider than the stirrup");
                }
            }
        }
        assertTrue(over > -TOUCH && under > -TOUCH, where + ": through a bar, " + over + ", " + under);
        assertTrue(over < TOUCH && under < TOUCH, where + ": bears on nothing, " + over + ", " + under);
    }

    /** From one to the next no more than the basis says, and the first and the last no farther from the ends of a layer than stirrups are apart; how many layers there were. */
    private static int near(List<SpaceBar> all, BeamDesign of, double every) {
        int layers = 0;
        for (BeamLine.Span span : of.line().spans()) {
            double apart = of.cage().zones().stream()
                    .filter(z -> z.span() == span.number())
                    .mapToDouble(BeamCage.Zone::spacing)
                    .max()
                    .orElse(0);
            for (BeamCage.Group g : of.cage().groups()) {
                double from = Math.max(g.from(), span.faceFrom());
                double to = Math.min(g.to(), span.faceTo());
                if (g.layer() < 2 || to - from < 100) {
                    continue;
                }
                layers++;
                String word = g.face().word();
                TreeMap<Double, Double> at = new TreeMap<>();
                all.stream()
                        .filter(s -> s.use() == SpaceBar.Use.SPACER
                                && s.item().what().contains(word)
                                && s.item().what().endsWith(g.layer() > 2 ? "layer " + g.layer() : word)
                                && s.at().x() > from
                                && s.at().x() < to)
                        .forEach(s -> at.put(s.at().x(), s.at().z()));
                String where = of.line().mark() + " " + g + " " + at;
                assertTrue(!at.isEmpty(), where);
                double before = from - every + apart;
                for (double x : at.keySet()) {
                    assertTrue(x - before <= every + 1e-6 || lapped(all, before, x, at.get(x)), where);
                    before = x;
                }
                assertTrue(
                        to - before <= Math.max(every, apart) + 1e-6 || lapped(all, before, to, at.get(before)), where);
            }
        }
        return layers;
    }

    /** Whether a bar lies in the gap somewhere between two places: it laps there. */
    private static boolean lapped(List<SpaceBar> all, double from, double to, double level) {
        for (double x = from; x < to; x += 20) {
            for (SpaceBar b : all) {
                double[] at = b.use() == SpaceBar.Use.MAIN ? crossing(b, x) : null;
                if (at != null && Math.abs(at[1] - level) < b.item().bar().diameter() / 2 + THINNEST) {
                    return true;
                }
            }
        }
        return false;
    }

    @Test
    void theListTheMassAndTheSpaceModelAgree() {
        BuildingDesign d = DesignedDemo.by(DesignedDemo.SMALL, basis("aci-318m-19", 1000));
        Map<String, Integer> drawn = new HashMap<>();
        double[] mass = new double[2];
        BuildingInSpace.each(
                d,
                Progress.NONE,
                p -> p.placed().bars().forEach(b -> {
                    mass[0] += b.item().mass() / b.item().number();
                    if (b.use() == SpaceBar.Use.SPACER) {
                        drawn.merge(p.schedule() + " " + b.mark(), 1, Integer::sum);
                    }
                }));
        Map<String, Integer> listed = new HashMap<>();
        for (Schedules.BarRow r : Schedules.bars(Scheduled.of(d))) {
            mass[1] += r.members() * r.item().mass();
            if (r.item().what().startsWith("spacers")) {
                assertEquals("00", r.item().shape());
                assertEquals(r.item().dims().get(0), r.item().cutLength(), 1e-9, "cut no longer than it fits");
                listed.merge(
                        r.member() + " " + r.barMark(), r.members() * r.item().number(), Integer::sum);
            }
        }
        assertEquals(listed, drawn);
        assertEquals(mass[1], mass[0], 1e-6 * mass[1]);
        assertEquals(mass[1], d.steel(Role.BEAM).kg() + d.steel(Role.COLUMN).kg(), 1e-6 * mass[1]);
    }

    /** Nothing of them where the basis asks for none. */
    @Test
    void noneUnlessAsked() {
        BuildingDesign d = DesignedDemo.by(DesignedDemo.SMALL, Basis.standard(false));
        BuildingInSpace.each(
                d,
                Progress.NONE,
                p -> assertTrue(p.placed().bars().stream().noneMatch(b -> b.use() == SpaceBar.Use.SPACER)));
    }

    /**
     * Layers are as far apart as a bar is thick: by Eurocode with aggregate of 16 mm 21 mm are asked for (8.2(2)), by bars of 25 mm it is 25; without spacers
     * it is what is asked for.
     */
    @Test
    void layersLieAsFarApartAsTheSpacersAreThick() {
        Set<Double> with = gaps(800);
        Set<Double> without = gaps(0);
        Basis b = Basis.standard("en-1992-1-1");
        Set<Double> sizes =
                b.entry().catalogue().bars().stream().map(Bar::diameter).collect(Collectors.toSet());
        assertTrue(sizes.containsAll(with), with.toString());
        assertTrue(without.contains(21.0) && !with.contains(21.0) && with.contains(25.0), without + " " + with);
    }

    /** Between single bars of the first two layers that meet [mm]. */
    private static Set<Double> gaps(double every) {
        Basis fine = basis("en-1992-1-1", every);
        var m = fine.materials();
        Basis b = fine.with(new Materials(m.fy(), m.fyt(), m.beamCover(), m.columnCover(), 16, m.national()));
        Set<Double> out = new TreeSet<>();
        for (BeamDesign d : DesignedDemo.by(DesignedDemo.SMALL, b).beams()) {
            for (BeamCage.Group g : d.cage().groups()) {
                d.cage().groups().stream()
                        .filter(o -> g.layer() == 2 && o.layer() == 1 && o.face() == g.face())
                        .filter(o -> o.from() < g.to() && o.to() > g.from() && !o.pairs() && !g.pairs())
                        .mapToDouble(o -> g.offset()
                                - o.offset()
                                - (g.bar().diameter() + o.bar().diameter()) / 2)
                        .min()
                        .ifPresent(v -> out.add(Math.round(100 * v) / 100.0));
            }
        }
        return out;
    }
}
