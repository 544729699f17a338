package kolonne.audit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.ColumnSplices;
import kolonne.core.basis.part.Ductility;
import kolonne.core.basis.part.Frame;
import kolonne.core.basis.part.Practice;
import kolonne.core.basis.part.Sway;
import kolonne.core.check.CheckResult;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.DesignedDemo;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Joint;
import kolonne.core.model.Role;
import kolonne.core.space.BuildingInSpace;
import kolonne.core.space.SpaceBar;
import kolonne.core.work.Progress;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Bars of columns as they lie in space, read from foot to top by somebody who knows neither the designer nor its layout: every bar that was checked stands in its
 * place, laps long enough with a bar of its own beneath or with a starter bar, is led aside gently and stays within its cover, and ends with a hook or room
 * (ACI 318-19 10.7.4, 10.7.6.4, 25.4, 25.5; EN 1992-1-1 8.4, 8.7, 9.5.3). Sections step in the buildings that are read.
 */
class StandingBarsTest {
    private final List<String> faults = new ArrayList<>();
    private int beside;
    private int laps;
    private int inclined;
    private int dowels;
    private int couplers;
    private int through;

    private BuildingDesign design;
    private Sheet.Basis basis;
    private Ductility ductility;
    private ColumnSplices splices;
    private Materials m;

    private record Leg(double height, boolean alongY, double area, int legs) {}

    /**
     * @param bars  all that stand in it; {@code own} those that begin in it
     * @param joint half of the deepest beam at its head; {@code foot} at its foot
     * @param heads of these those that do not pass on through the lift above
     */
    private record Lift(
            Sheet.Lift sheet,
            double base,
            double top,
            boolean planted,
            List<Sheet.Standing> bars,
            List<Sheet.Standing> own,
            List<Sheet.Standing> heads,
            List<Leg> ties,
            double floor,
            double joint,
            double foot) {}

    @ParameterizedTest
    @CsvSource({
        "aci-318m-19,NONE,LAPS,1",
        "aci-318-19,NONE,LAPS,1",
        "en-1992-1-1,NONE,LAPS,1",
        "aci-318m-19,SPECIAL,LAPS,1",
        "aci-318m-19,NONE,COUPLERS,1",
        "aci-318m-19,NONE,LAPS,2",
        "en-1992-1-1,NONE,LAPS,2",
        "aci-318m-19,SPECIAL,LAPS,2"
    })
    void everyBarOfEveryColumn(String code, Ductility ductility, ColumnSplices splices, int every) {
        this.ductility = ductility;
        this.splices = splices;
        Basis usual = Basis.standard(code).with(new Frame(Sway.FROM_MODEL, Sway.FROM_MODEL, 0, ductility));
        Practice p = usual.practice();
        Basis b = usual.with(p.with(p.columnBarsEvery(), every, splices, true));
        boolean small = !code.equals("aci-318m-19")
                || ductility != Ductility.NONE
                || splices != ColumnSplices.LAPS
                || every > 1;
        design = DesignedDemo.by(small ? DesignedDemo.SMALL : DesignedDemo.MIDDLE, b);
        basis = Drawn.basis(b);
        m = new Materials(basis);
        Map<String, List<BuildingInSpace.Piece>> pieces = new HashMap<>();
        BuildingInSpace.each(design, Progress.NONE, q -> {
            if (!q.beam()) {
                pieces.computeIfAbsent(q.mark(), k -> new ArrayList<>()).add(q);
            }
        });
        for (ColumnDesign c : design.columns()) {
            read(c, pieces.get(c.stack().mark()));
        }
        assertEquals(List.of(), faults);
        assertTrue(inclined > (small ? 30 : 100) / every && dowels > 0, inclined + " inclined, " + dowels + " dowels");
        assertTrue(laps > (splices != ColumnSplices.LAPS ? 20 : small ? 100 / every : 300), laps + " laps");
        assertTrue(splices != ColumnSplices.LAPS || beside > 10 / every, beside + " lifts with bars beside laps");
        assertTrue(every == 1 ? through == 0 : through > 50, through + " bars through a floor");
        assertTrue(splices == ColumnSplices.LAPS ? couplers == 0 : couplers > 100, couplers + " couplers");
    }

    private void read(ColumnDesign c, List<BuildingInSpace.Piece> pieces) {
        List<Lift> lifts = new ArrayList<>();
        for (int i = 0; i < pieces.size(); i++) {
            Lift l = lift(c, i, pieces.get(i));
            if (i > 0) {
                Lift below = lifts.get(i - 1);
                List<Sheet.Standing> on = below.bars.stream()
                        .filter(b -> l.sheet.bars().stream().anyMatch(dot -> b.is(dot, checked(l))))
                        .toList();
                through += on.size();
                below.heads.removeAll(on);
                l.bars.addAll(on);
                l.heads.addAll(on);
            }
            lifts.add(l);
        }
        foot(lifts.get(0), c.stack().mark());
        List<CheckResult> all =
                c.lifts().stream().flatMap(l -> l.checks().stream()).toList();
        double longest =
                lifts.stream().mapToDouble(StandingBarsTest::longest).max().orElseThrow();
        near(longest / basis.stock(), "bar-length", 0.02, c.stack().mark(), all);
        for (int i = 0; i < lifts.size(); i++) {
            String where = c.stack().mark() + " lift " + (i + 1);
            inPlace(lifts.get(i), where);
            if (ductility == Ductility.SPECIAL && splices == ColumnSplices.LAPS) {
                middle(
                        lifts.get(i),
                        i == 0 ? null : lifts.get(i - 1),
                        where,
                        c.lifts().get(i).checks());
            }
            if (i + 1 < lifts.size()) {
                laps(lifts.get(i), lifts.get(i + 1), where);
                inside(lifts.get(i), lifts.get(i + 1), where);
                height(lifts.get(i), lifts.get(i + 1), where, c.lifts().get(i).checks());
                beside(
                        lifts.get(i),
                        lifts.get(i + 1),
                        i == 0,
                        where,
                        c.lifts().get(i).checks());
                bends(lifts.get(i), lifts.get(i + 1), where, c.lifts().get(i).checks());
            } else {
                ends(lifts.get(i), where);
            }
        }
    }

    private Lift lift(ColumnDesign c, int i, BuildingInSpace.Piece p) {
        ColumnStack.Lift l = c.stack().lifts().get(i);
        List<Sheet.Standing> bars = Drawn.standing(p, l.base());
        List<Leg> ties = new ArrayList<>();
        for (SpaceBar s : p.placed().bars()) {
            List<double[]> points = s.shape().moved(s.at()).points().stream()
                    .map(q -> new double[] {q.x() + l.base(), q.y(), q.z()})
                    .toList();
            double area = s.item().bar().area();
            if (s.use() == SpaceBar.Use.MAIN) {
                continue;
            }
            if (s.item().shape().equals("99")) {
                ties.add(new Leg(points.get(0)[0], spread(points, 1) > spread(points, 2), area, 1));
            } else {
                ties.add(new Leg(points.get(0)[0], true, area, 2));
                ties.add(new Leg(points.get(0)[0], false, area, 2));
            }
        }
        BuildingIndex index = design.analysis().index();
        double half = deepest(index.upper(index.member(l.member()))) / 2;
        return new Lift(
                Drawn.lift(c, i, design.basis()),
                l.base(),
                l.top(),
                l.planted(),
                new ArrayList<>(bars),
                bars,
                new ArrayList<>(bars),
                ties,
                l.top() + half,
                half,
                deepest(index.lower(index.member(l.member()))) / 2);
    }

    private static double spread(List<double[]> points, int axis) {
        return points.stream().mapToDouble(p -> p[axis]).max().orElseThrow()
                - points.stream().mapToDouble(p -> p[axis]).min().orElseThrow();
    }

    /** Of the beams at a joint. */
    private double deepest(Joint at) {
        BuildingIndex index = design.analysis().index();
        return index.membersAt(at.id()).stream()
                .filter(o -> o.role() == Role.BEAM)
                .mapToDouble(o -> index.sectionOf(o).shape().depth())
                .max()
                .orElse(0);
    }

    private double development(double d, double fc) {
        return m.straight(d, fc, false, 0, 0, basis.columnCover());
    }

    /** 25.5.2.1 and 25.5.2.2; 8.7.3 with all bars lapped at one place, longer by the clear distance of bars that do not touch (8.7.2(3)). */
    private double lap(double a, double b, double fc, double clear) {
        double thin = Math.min(a, b);
        if (basis.en()) {
            return Math.max(1.5 * development(thin, fc), Math.max(15 * thin, 200)) + (clear > 50 ? clear : 0);
        }
        return Math.max(development(Math.max(a, b), fc), Math.max(1.3 * development(thin, fc), m.inches(300, 12)));
    }

    private void fault(String where, String what) {
        faults.add(where + ": " + what);
    }

    /** Height at which bars are looked for: over laps. */
    private static double checked(Lift l) {
        return l.base + 0.8 * (l.top - l.base - l.joint);
    }

    /** At three quarters of the height the bars that were checked, each once and in its place. */
    private void inPlace(Lift l, String where) {
        double height = checked(l);
        for (Sheet.Dot dot : l.sheet.bars()) {
            long there = l.bars.stream().filter(b -> b.is(dot, height)).count();
            if (there != 1) {
                fault(where, there + " bars at " + Math.round(dot.x()) + ", " + Math.round(dot.y()));
            }
        }
    }

    /** The longest bar, with its tails, as it is delivered. */
    private static double longest(Lift l) {
        double most = 0;
        for (Sheet.Standing b : l.own) {
            double sum = 0;
            for (int i = 0; i + 1 < b.points().size(); i++) {
                double[] p = b.points().get(i);
                double[] q = b.points().get(i + 1);
                sum += Math.hypot(q[0] - p[0], Math.hypot(q[1] - p[1], q[2] - p[2]));
            }
            most = Math.max(most, sum);
        }
        return most;
    }

    /** Laps of special frames lie in the middle half of the clear height (18.7.4.4): how far from the middle the farthest reaches. */
    private void middle(Lift l, Lift below, String where, List<CheckResult> checks) {
        double foot = l.base + l.foot;
        double head = l.top - l.joint;
        double most = 0;
        List<Sheet.Standing> beneath = below == null ? l.own : below.heads;
        for (Sheet.Standing b : l.own) {
            for (Sheet.Standing o : beneath) {
                boolean lap = standsIn(l, b)
                        && o != b
                        && o.top() < head
                        && o.top() > b.bottom() + 1
                        && o.bottom() < b.bottom() - 1;
                if (lap && between(o.at(b.bottom() + 1), b.at(b.bottom() + 1)) < 200) {
                    double far =
                            Math.max(Math.abs(o.top() - (foot + head) / 2), Math.abs(b.bottom() - (foot + head) / 2));
                    most = Math.max(most, 4 * far / (head - foot));
                }
            }
        }
        // dowels lap under the floor with what stands there
        double beforeDowels = most;
        double thick = l.sheet.bars().stream().mapToDouble(Sheet.Dot::d).max().orElseThrow();
        for (Sheet.Standing b : l.heads) {
            if (b.bottom() > l.base + 500 && !standsIn(l, b) && b.top() > l.floor + 200) {
                double end = b.bottom() + lap(thick, b.d(), l.sheet.fc(), 0);
                most = Math.max(most, 4 * (end - (foot + head) / 2) / (head - foot));
            }
        }
        // longer by their distance where they stand apart, which is not read
        near(most, "lap-middle", most > beforeDowels ? 0.05 : 0.02, where, checks);
    }

    private void near(double read, String kind, double slack, String where, List<CheckResult> checks) {
        double told = checks.stream()
                .filter(r -> r.kind().id().equals(kind))
                .mapToDouble(CheckResult::utilisation)
                .max()
                .orElse(0);
        if (Math.abs(read - told) > slack * Math.max(read, told)) {
            fault(where, kind + " read " + read + ", told " + told);
        }
    }

    private static double apart(double[] at, Sheet.Dot dot) {
        return Math.hypot(at[0] - dot.x(), at[1] - dot.y());
    }

    /** Every bar of the lift above has one of its own beneath, not thinner, beside it, for the length of a lap. */
    private void laps(Lift below, Lift above, String where) {
        lapped(above, below.heads, above.sheet.fc(), where + " head");
    }

    private void lapped(Lift above, List<Sheet.Standing> beneath, double fc, String where) {
        List<Sheet.Standing> own = above.bars.stream()
                .filter(b -> standsIn(above, b) && b.bottom() > above.base - 1)
                .toList();
        Set<Sheet.Standing> lapped = new HashSet<>();
        Set<Sheet.Standing> used = new HashSet<>();
        for (Sheet.Standing b : own) {
            beneath.stream().filter(o -> coupled(o, b)).findFirst().ifPresent(o -> {
                couplers++;
                lapped.add(b);
                used.add(o);
            });
        }
        List<Pair> pairs = new ArrayList<>();
        for (Sheet.Standing b : own) {
            for (Sheet.Standing o : beneath) {
                double[] at = o.at(b.bottom() + 1);
                if (at != null && o != b && o.d() > b.d() - 0.1) {
                    pairs.add(new Pair(b, o, between(at, b.at(b.bottom() + 1))));
                }
            }
        }
        pairs.sort(Comparator.comparingDouble(Pair::between));
        for (Pair p : pairs) {
            if (lapped.contains(p.upper) || used.contains(p.lower)) {
                continue;
            }
            lapped.add(p.upper);
            used.add(p.lower);
            laps++;
            double clear = p.between - (p.upper.d() + p.lower.d()) / 2;
            double has = p.lower.top() - p.upper.bottom();
            double needs = lap(p.upper.d(), p.lower.d(), fc, clear);
            if (has < needs - 1 || p.between > Math.min(150, Math.max(has, needs) / 5) + 1 || clear < -1) {
                fault(
                        where,
                        "laps " + Math.round(has) + " of " + Math.round(needs) + ", " + Math.round(p.between)
                                + " apart");
            }
        }
        if (lapped.size() < own.size()) {
            fault(where, own.size() - lapped.size() + " bars have none to lap with");
        }
    }

    /** Where bars lap, what they keep clear of all but their partner (25.5.1.2 with 25.2.1; 8.7.2(3)). @param lowest whether starter bars may be what is told */
    private void beside(Lift below, Lift above, boolean lowest, String where, List<CheckResult> checks) {
        List<Sheet.Standing> own = above.bars.stream()
                .filter(b -> standsIn(above, b) && b.bottom() > above.base - 1)
                .toList();
        double height = own.stream().mapToDouble(Sheet.Standing::bottom).max().orElse(0) + 10;
        List<Sheet.Standing> on = below.heads.stream()
                .filter(o -> o.at(height) != null && own.stream().noneMatch(b -> coupled(o, b)))
                .toList();
        double worst = 0;
        for (Sheet.Standing o : on) {
            Sheet.Standing partner = own.stream()
                    .min(Comparator.comparingDouble(b -> between(b.at(height), o.at(height)) - b.d() / 2))
                    .orElse(null);
            List<Sheet.Standing> others = new ArrayList<>(own);
            others.addAll(on);
            for (Sheet.Standing b : others) {
                double d = Math.max(b.d(), o.d());
                double clear = between(b.at(height), o.at(height)) - (b.d() + o.d()) / 2;
                double needs = basis.en() ? Math.max(2 * d, 20) : m.clear(d);
                worst = b == o || b == partner ? worst : Math.max(worst, needs / Math.max(0.1, clear));
            }
        }
        double told = checks.stream()
                .filter(r -> r.kind().id().equals("lap-clear"))
                .mapToDouble(CheckResult::utilisation)
                .max()
                .orElse(0);
        beside += worst > 0 ? 1 : 0;
        if (worst > 1.01 * told || told > 1.01 * worst && !lowest) {
            fault(where, "beside laps " + worst + ", told " + told);
        }
    }

    /** Whether a bar ends where one of its size begins, in its line. */
    private static boolean coupled(Sheet.Standing lower, Sheet.Standing upper) {
        return Math.abs(lower.d() - upper.d()) < 0.1
                && Math.abs(lower.top() - upper.bottom()) < 1
                && between(lower.at(lower.top() - 1), upper.at(upper.bottom() + 1)) < 1;
    }

    /** Whether a bar begins in the place of one that was checked. */
    private static boolean standsIn(Lift l, Sheet.Standing b) {
        return l.sheet.bars().stream()
                .anyMatch(dot -> Math.abs(b.d() - dot.d()) < 0.1
                        && apart(b.at(b.bottom() + 50), dot) < 1
                        && apart(b.at(b.bottom() + 300), dot) < 1);
    }

    private record Pair(Sheet.Standing upper, Sheet.Standing lower, double between) {}

    private static double between(double[] a, double[] b) {
        return Math.hypot(a[0] - b[0], a[1] - b[1]);
    }

    /** Above the floor bars stand within the ties of the lift there. */
    private void inside(Lift below, Lift above, String where) {
        for (Sheet.Standing b : below.heads) {
            double[] at = b.at(below.floor + 5);
            if (at == null) {
                continue;
            }
            double in = basis.columnCover() + above.sheet.tie() + b.d() / 2 - 1;
            boolean inside = above.sheet.round()
                    ? Math.hypot(at[0], at[1]) <= above.sheet.b() / 2 - in
                    : Math.abs(at[0]) <= above.sheet.b() / 2 - in && Math.abs(at[1]) <= above.sheet.h() / 2 - in;
            if (!inside) {
                fault(where, "sticks out over the floor at " + Math.round(at[0]) + ", " + Math.round(at[1]));
            }
        }
    }

    /** Bars end under the beams of the lift above, or the lift is told to be too low for its laps. */
    private void height(Lift below, Lift above, String where, List<CheckResult> checks) {
        boolean over = below.heads.stream().anyMatch(b -> b.top() > above.top - above.joint + 1);
        boolean told = checks.stream().anyMatch(r -> r.kind().id().equals("lap-height") && r.utilisation() > 1);
        if (over != told) {
            fault(where, over ? "bars run on into the beams above, and nothing says so" : "low for no reason");
        }
    }

    /** Inclined parts: 1 in 6, none to a face that is offset by 75 mm (10.7.4); the force across is held by ties within 150 mm of both bends (10.7.6.4; 9.5.3(5)). */
    private void bends(Lift below, Lift above, String where, List<CheckResult> checks) {
        boolean step = below.sheet.b() != above.sheet.b() || below.sheet.h() != above.sheet.h();
        double worst = 0;
        for (int axis = 1; axis <= 2; axis++) {
            double face = (axis == 1 ? below.sheet.b() - above.sheet.b() : below.sheet.h() - above.sheet.h()) / 2;
            for (int side = -1; side <= 1; side += 2) {
                double force = 0;
                List<Double> heights = new ArrayList<>();
                for (Sheet.Standing b : below.heads) {
                    for (int i = 0; i + 1 < b.points().size() && !b.hooked(); i++) {
                        double[] p = b.points().get(i);
                        double[] q = b.points().get(i + 1);
                        double up = q[0] - p[0];
                        double aside = between(new double[] {p[1], p[2]}, new double[] {q[1], q[2]});
                        if (up < 60 || aside < 1) {
                            continue;
                        }
                        inclined++;
                        if (up < 6 * aside - 0.5) {
                            fault(where, "bent 1 in " + up / aside);
                        }
                        double across = side * (q[axis] - p[axis]);
                        boolean edges = !below.sheet.round() && !above.sheet.round();
                        if (edges
                                && !basis.en()
                                && Math.abs(face) >= m.inches(75, 3)
                                && Math.abs(across) > b.d() * 1.1) {
                            fault(where, "bent to a face offset by " + face);
                        }
                        double factor = basis.en() ? up > 12 * aside - 0.5 ? 0 : 1 : 1.5;
                        if (step && across > 1e-6) {
                            double steel = Math.PI * b.d() * b.d() / 4 * basis.fy();
                            force += factor * steel * across / Math.hypot(up, aside);
                            heights.addAll(List.of(p[0], q[0]));
                        }
                    }
                }
                for (double at : heights) {
                    double held = 0;
                    for (Lift l : List.of(below, above)) {
                        for (Leg t : l.ties) {
                            boolean near = Math.abs(t.height - at) < m.inches(150, 6) + 3 * l.sheet.tie();
                            held += near && t.alongY == (axis == 1) ? t.legs * t.area * basis.fyt() : 0;
                        }
                    }
                    worst = Math.max(worst, force / held);
                }
            }
        }
        double told = checks.stream()
                .filter(r -> r.kind().id().equals("bent-bars"))
                .mapToDouble(CheckResult::utilisation)
                .max()
                .orElse(0);
        if (worst > 1.03 && told <= 1) {
            fault(where, "ties at bends used " + worst + ", told " + told);
        }
        dowels += (int) below.heads.stream()
                .filter(b -> b.points().get(0)[0] > below.base + 500 && b.top() > below.floor + 200)
                .count();
    }

    /** Bars that end at the top are bent, or have room to develop; none leaves the concrete. */
    private void ends(Lift l, String where) {
        double soffit = l.top - l.joint;
        for (Sheet.Standing b : l.heads) {
            if (b.top() > l.floor - basis.columnCover() + 1
                    || !b.hooked() && b.top() - soffit < development(b.d(), l.sheet.fc()) - 1) {
                fault(where, "ends at " + b.top());
            }
        }
    }

    /** Starter bars lap with the bars of the lowest lift, and reach so deep that they develop: hooked in tension, straight in compression. */
    private void foot(Lift l, String mark) {
        double begin = l.bars.stream()
                .filter(b -> standsIn(l, b))
                .mapToDouble(Sheet.Standing::bottom)
                .min()
                .orElseThrow();
        List<Sheet.Standing> starters =
                l.bars.stream().filter(b -> b.bottom() < begin - 50).toList();
        double fc = l.sheet.fc();
        lapped(l, starters, fc, mark + " foot");
        for (Sheet.Standing b : starters) {
            double down = l.base - b.bottom() + b.d() / 2;
            double push = basis.en() ? development(b.d(), fc) : m.pushed(b.d(), fc);
            if (!l.planted && (down < m.hooked(b.d(), fc, false) - 1 || down < push - 1)) {
                fault(mark, "starter bars reach " + down + " down");
            }
        }
    }
}
