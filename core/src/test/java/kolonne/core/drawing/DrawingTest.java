package kolonne.core.drawing;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.junit.jupiter.api.Assertions.fail;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.CancellationException;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kolonne.core.basis.Basis;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.design.DesignedDemo;
import kolonne.core.design.Quantities;
import kolonne.core.detail.BarItem;
import kolonne.core.model.JointLoad;
import kolonne.core.model.Member;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Release;
import kolonne.core.model.Role;
import kolonne.core.model.StiffnessFactors;
import kolonne.core.project.Logo;
import kolonne.core.project.ProjectData;
import kolonne.core.project.Revision;
import kolonne.core.schedule.ScheduleGroups;
import kolonne.core.schedule.Scheduled;
import kolonne.core.schedule.Schedules;
import kolonne.core.work.Progress;
import org.junit.jupiter.api.Test;

/**
 * The sheets of the demo read again from what stands on them: bars by their words against the bar list, bars in sections by counting discs against the words beneath,
 * places by measuring lines; nothing lies over anything else.
 */
class DrawingTest {
    private static final BuildingDesign DEMO = DesignedDemo.by(Basis.standard(false));
    private static final List<Sheet> SHEETS = Sheets.of(DEMO, ProjectData.EMPTY, Set.of(), Paper.A1, Progress.NONE);
    /** Mark, number, size, cut length. */
    private static final Pattern BAR = Pattern.compile("^(\\d{2,}) +(\\d+)(T\\d+) +(\\d+)$");

    private static List<Sheet> of(String mark, Paper paper) {
        return Sheets.of(DEMO, ProjectData.EMPTY, Set.of(mark), paper, Progress.NONE);
    }

    private static double[] box(Drawing.Label t) {
        return new double[] {t.left(), t.y(), t.left() + t.width(), t.y() + t.height()};
    }

    private static boolean meet(double[] a, double[] b) {
        return a[0] < b[2] - 0.01 && b[0] < a[2] - 0.01 && a[1] < b[3] - 0.01 && b[1] < a[3] - 0.01;
    }

    private static void clear(List<Sheet> sheets) {
        for (Sheet s : sheets) {
            List<Drawing.Label> all = s.drawing().labels();
            List<double[]> boxes = all.stream().map(DrawingTest::box).toList();
            for (int i = 0; i < all.size(); i++) {
                double[] a = boxes.get(i);
                assertTrue(
                        a[0] >= Paper.LEFT && a[2] <= s.paper().width() - Paper.MARGIN && a[1] >= Paper.MARGIN,
                        "in the frame: " + all.get(i) + " of " + s.marks());
                for (int k = i + 1; k < all.size(); k++) {
                    if (meet(a, boxes.get(k))) {
                        fail("sheet " + s.number() + ": " + all.get(i) + " over " + all.get(k));
                    }
                }
            }
        }
    }

    @Test
    void noTextLiesOverAnother() {
        clear(SHEETS);
        for (Paper p : List.of(Paper.A4, Paper.A3)) {
            clear(of("L1-B01", p));
            clear(of("L3-B24", p));
            clear(of("C-D3", p));
        }
    }

    /** Everything as long as it may be: it is set smaller or cut, on every paper, and stays in its cells. */
    @Test
    void titleBlocksHoldWhateverIsSaidOfTheProject() {
        Map<ProjectData.Field, String> texts = new HashMap<>();
        for (ProjectData.Field f : ProjectData.Field.values()) {
            texts.put(f, "W".repeat(f.longest()));
        }
        texts.put(ProjectData.Field.PAPER, "Letter");
        List<Revision> revisions = new ArrayList<>();
        for (int i = 0; i < 9; i++) {
            revisions.add(new Revision("R" + i, "27 November 2026", "W".repeat(80), "WWWWWWWW"));
        }
        Logo logo = new Logo(new byte[] {1}, 300, 100);
        for (ProjectData told : List.of(
                new ProjectData(texts, revisions, logo),
                new ProjectData(texts, revisions, null),
                new ProjectData(Map.of(), List.of(), logo))) {
            assertTrue(told.findings().isEmpty(), "what is taken");
            for (Paper p : Paper.values()) {
                List<Sheet> sheets = Sheets.of(DEMO, told, Set.of("L1-B01"), p, Progress.NONE);
                clear(sheets);
                for (Sheet s : sheets) {
                    s.picture().ifPresent(q -> {
                        assertEquals(3, q.width() / q.height(), 1e-9);
                        double[] box = {q.x(), q.y(), q.x() + q.width(), q.y() + q.height()};
                        assertTrue(box[1] > Paper.MARGIN && box[3] < Paper.MARGIN + Paper.TITLE, "in the block");
                        s.drawing().labels().forEach(t -> assertTrue(!meet(box, box(t)), t.text() + " on the logo"));
                        s.drawing()
                                .lines()
                                .forEach(l -> assertTrue(
                                        !meet(box, new double[] {
                                            Math.min(l.x1(), l.x2()),
                                            Math.min(l.y1(), l.y2()),
                                            Math.max(l.x1(), l.x2()),
                                            Math.max(l.y1(), l.y2())
                                        }),
                                        "a line through the logo"));
                    });
                }
            }
        }
    }

    /** The newest four of the revisions, the last of them as the sheet's own. */
    @Test
    void sheetsTellTheProjectAndItsNewestRevisions() {
        List<Revision> revisions = new ArrayList<>();
        for (String index : List.of("A", "B", "C", "D", "E")) {
            revisions.add(new Revision(index, "2026", "change " + index, "RD"));
        }
        ProjectData told = new ProjectData(
                Map.of(
                        ProjectData.Field.TITLE,
                        "Zaal 3",
                        ProjectData.Field.CLIENT,
                        "Stichting",
                        ProjectData.Field.JOB,
                        "26-1"),
                revisions,
                null);
        List<String> texts =
                Sheets.of(DEMO, told, Set.of("L1-B01"), Paper.A1, Progress.NONE).get(0).drawing().labels().stream()
                        .map(Drawing.Label::text)
                        .toList();
        assertTrue(texts.containsAll(List.of("Zaal 3", "Stichting", "26-1", "change B", "change E")), texts.toString());
        assertTrue(!texts.contains("change A"), "four are shown");
        assertEquals(2, texts.stream().filter("E"::equals).count(), "in the table and as the sheet's own");
        List<String> plain = SHEETS.get(0).drawing().labels().stream()
                .map(Drawing.Label::text)
                .toList();
        assertTrue(plain.contains(DEMO.analysis().index().building().name()), "without a title the building's name");
    }

    /** Marks of a sheet that are no plans. */
    private static List<String> details(Sheet s) {
        return s.marks().stream().filter(m -> !m.startsWith("Plan ")).toList();
    }

    /** Plans come first: every line by its mark once, every stack once a storey, on A1 all of them; on A4 those that find no room are counted. */
    @Test
    void plansNameEveryLineAndLift() {
        Map<String, Integer> wanted = new HashMap<>();
        DEMO.beams().forEach(b -> wanted.merge(b.line().mark(), 1, Integer::sum));
        DEMO.columns()
                .forEach(c -> wanted.merge(c.stack().mark(), c.stack().lifts().size(), Integer::sum));
        for (Paper p : List.of(Paper.A1, Paper.A4)) {
            List<Sheet> plans = Sheets.of(DEMO, ProjectData.EMPTY, Set.of(), p, Progress.NONE).stream()
                    .filter(s -> s.marks().get(0).startsWith("Plan "))
                    .toList();
            Map<String, Integer> named = new HashMap<>();
            int left = 0;
            for (Sheet s : plans) {
                for (Drawing.Label t : s.drawing().labels()) {
                    if (wanted.containsKey(t.text()) && t.height() < 2) {
                        named.merge(t.text(), 1, Integer::sum);
                    }
                    Matcher m = Pattern.compile("(\\d+) members? (has|have) no room.*")
                            .matcher(t.text());
                    left += m.matches() ? Integer.parseInt(m.group(1)) : 0;
                }
            }
            int all = wanted.values().stream().mapToInt(n -> n).sum();
            int there = named.values().stream().mapToInt(n -> n).sum();
            assertEquals(all, there + left, p + ": " + left + " left out");
            if (p == Paper.A1) {
                assertEquals(wanted, named);
                assertEquals(
                        8,
                        plans.stream()
                                .flatMap(s -> s.marks().stream())
                                .filter(m -> m.startsWith("Plan "))
                                .count());
            }
        }
    }

    private static Set<String> linesAndStacks() {
        Set<String> out = new HashSet<>();
        DEMO.beams().forEach(b -> out.add(b.line().mark()));
        DEMO.columns().forEach(c -> out.add(c.stack().mark()));
        return out;
    }

    @Test
    void everyLineAndStackIsDrawnInOrder() {
        Set<String> marks = new HashSet<>();
        SHEETS.forEach(s -> marks.addAll(details(s)));
        assertEquals(linesAndStacks(), marks);
        for (int i = 0; i < SHEETS.size(); i++) {
            assertEquals(i + 1, SHEETS.get(i).number());
            assertEquals(Paper.A1, SHEETS.get(i).paper());
        }
    }

    /** Every main bar of the bar list stands on the sheet under its mark, with its size and length, in all as many as listed. */
    @Test
    void barsAreThoseOfTheBarList() {
        for (String mark : List.of("L1-B01", "L2-B07", "L3-B24", "L7-B06")) {
            Map<String, Integer> drawn = new HashMap<>();
            for (Sheet s : of(mark, Paper.A1)) {
                for (Drawing.Label t : s.drawing().labels()) {
                    Matcher m = BAR.matcher(t.text());
                    if (m.matches()) {
                        drawn.merge(
                                m.group(1) + " " + m.group(3) + " " + m.group(4),
                                Integer.parseInt(m.group(2)),
                                Integer::sum);
                    }
                }
            }
            Map<String, Integer> listed = new HashMap<>();
            for (Schedules.BarRow r : Schedules.bars(Scheduled.of(DEMO))) {
                if (r.member().equals(mark)
                        && List.of("00", "11", "21", "26").contains(r.item().shape())) {
                    listed.put(
                            r.barMark() + " " + r.item().bar().label() + " "
                                    + Math.round(r.item().cutLength()),
                            r.item().number());
                }
            }
            assertTrue(listed.size() > 1, mark);
            assertEquals(listed, drawn, mark);
        }
    }

    /** Spacers by mark, number and size beneath their spans, as in the list, and by as many discs as there are more than without them. */
    @Test
    void spacersAreThoseOfTheBarList() {
        Basis b = Basis.standard("en-1992-1-1");
        BuildingDesign d =
                DesignedDemo.by(DesignedDemo.SMALL, b.with(b.practice().withSpacers(800)));
        List<Sheet> sheets = Sheets.of(d, ProjectData.EMPTY, Set.of(), Paper.A1, Progress.NONE);
        clear(sheets);
        Pattern words = Pattern.compile("^(\\d{2,}) +(\\d+)(T\\d+) spacers, (top|bottom)$");
        Map<String, Integer> drawn = new HashMap<>();
        sheets.forEach(s -> s.drawing().labels().forEach(t -> {
            Matcher m = words.matcher(t.text());
            if (m.matches()) {
                drawn.merge(m.group(3) + " " + m.group(4), Integer.parseInt(m.group(2)), Integer::sum);
            }
        }));
        Map<String, Integer> listed = new HashMap<>();
        for (ScheduleGroups.Group<BeamDesign> g : ScheduleGroups.beams(d)) {
            for (BarItem i : Quantities.bars(g.first())) {
                if (i.what().startsWith("spacers")) {
                    listed.merge(
                            i.bar().label() + (i.what().contains("top") ? " top" : " bottom"),
                            i.number(),
                            Integer::sum);
                }
            }
        }
        assertTrue(listed.size() > 1, listed.toString());
        assertEquals(listed, drawn);
    }

    /** Beside the sections of a column every bar of its list, those of one mark once a lift, in all as many as listed. */
    @Test
    void barsOfColumnsAreThoseOfTheBarList() {
        Pattern item = Pattern.compile("(\\d\\d) (\\d+)(T\\d+) (\\d+)");
        for (String mark : List.of("C-B2", "C-C2", "C-A1")) {
            Map<String, Integer> drawn = new HashMap<>();
            for (Sheet s : of(mark, Paper.A1)) {
                for (Drawing.Label t : s.drawing().labels()) {
                    Set<String> marks = new HashSet<>();
                    Matcher m = item.matcher(t.text());
                    while (m.find()) {
                        assertTrue(marks.add(m.group(1)), "twice in " + t.text());
                        drawn.merge(
                                m.group(1) + " " + m.group(3) + " " + m.group(4),
                                Integer.parseInt(m.group(2)),
                                Integer::sum);
                    }
                }
            }
            Map<String, Integer> listed = new HashMap<>();
            for (Schedules.BarRow r : Schedules.bars(Scheduled.of(DEMO))) {
                if (r.member().equals(mark)) {
                    listed.merge(
                            r.barMark() + " " + r.item().bar().label() + " "
                                    + Math.round(r.item().cutLength()),
                            r.item().number(),
                            Integer::sum);
                }
            }
            assertTrue(listed.size() > 4, mark);
            assertEquals(listed, drawn, mark);
        }
    }

    /** Discs within the outline of each section, against the numbers in the words beneath it. */
    @Test
    void sectionsShowAsManyBarsAsTheySay() {
        int sections = 0;
        int withSides = 0;
        for (Sheet s : SHEETS) {
            List<Drawing.Label> words = s.drawing().labels().stream()
                    .filter(w -> w.text().matches("[0-9T+ ]+ top"))
                    .toList();
            for (Drawing.Label top : words) {
                Drawing.Label bottom = s.drawing().labels().stream()
                        .filter(b -> b.text().endsWith(" bottom")
                                && b.x() == top.x()
                                && b.y() < top.y()
                                && top.y() - b.y() < 3.1)
                        .findFirst()
                        .orElseThrow();
                int sides = s.drawing().labels().stream()
                        .filter(b -> b.text().endsWith(" sides")
                                && b.x() == top.x()
                                && b.y() < top.y()
                                && top.y() - b.y() < 9.1)
                        .mapToInt(b -> 2 * count(b.text()))
                        .sum();
                withSides += sides > 0 ? 1 : 0;
                int said = count(top.text()) + count(bottom.text()) + sides;
                long shown = s.drawing().discs().stream()
                        .filter(d ->
                                d.filled() && Math.abs(d.x() - top.x()) < 30 && d.y() > top.y() && d.y() < top.y() + 62)
                        .filter(d -> nearest(d, words) == top)
                        .count();
                assertEquals(said, shown, "sheet " + s.number() + " " + top);
                sections++;
            }
        }
        assertTrue(sections > 150 && withSides > 0, sections + " sections, side bars in " + withSides);
    }

    /** The words of the section that a disc lies in: those nearest beneath it. */
    private static Drawing.Label nearest(Drawing.Disc d, List<Drawing.Label> words) {
        Drawing.Label out = null;
        double least = Double.MAX_VALUE;
        for (Drawing.Label w : words) {
            if (w.y() < d.y() && d.y() - w.y() < 62) {
                double off = Math.abs(w.x() - d.x());
                if (off < least) {
                    least = off;
                    out = w;
                }
            }
        }
        return out;
    }

    private static int count(String words) {
        int n = 0;
        Matcher m = Pattern.compile("(\\d+)T\\d+").matcher(words);
        while (m.find()) {
            n += Integer.parseInt(m.group(1));
        }
        return n;
    }

    /** L2-B07 is one span, 1 : 50: the chain of the clear span measures what it says, and the bars what they are cut to less their hooks. */
    @Test
    void itIsToScale() {
        Drawing d = of("L2-B07", Paper.A1).get(0).drawing();
        double clear = DEMO.beams().stream()
                .filter(b -> b.line().mark().equals("L2-B07"))
                .findFirst()
                .orElseThrow()
                .line()
                .spans()
                .get(0)
                .clear();
        assertTrue(d.labels().stream().anyMatch(t -> t.text().equals(Long.toString(Math.round(clear)))));
        assertTrue(d.lines().stream()
                .anyMatch(l ->
                        l.layer() == Layer.DIMENSIONS && Math.abs(Math.abs(l.x2() - l.x1()) - clear / 50) < 1e-6));
    }

    /** On the smallest paper everything is there still, on a larger sheet where it has no room. */
    @Test
    void smallPaperHoldsEverything() {
        List<Sheet> sheets = Sheets.of(DEMO, ProjectData.EMPTY, Set.of(), Paper.A4, Progress.NONE);
        Set<String> marks = new HashSet<>();
        sheets.forEach(s -> marks.addAll(details(s)));
        assertEquals(linesAndStacks(), marks);
        assertTrue(sheets.stream().filter(s -> s.paper() == Paper.A4).count() > 0.8 * sheets.size());
        clear(sheets.subList(0, 60));
    }

    /** Sixty storeys, each with a section of its own, are higher than any paper. */
    @Test
    void whatIsLargerThanAnyPaperIsMadeSmallerAndSaysSo() {
        ModelBuilder b = new ModelBuilder().joint("J0", 0, 0, 0).fixed("J0");
        for (int i = 1; i <= 60; i++) {
            b.section("S" + i, 1000 - 10 * i, 1000 - 10 * i).joint("J" + i, 0, 0, 3500 * i);
            b.members.add(new Member(
                    "c" + i,
                    Role.COLUMN,
                    "J" + (i - 1),
                    "J" + i,
                    "S" + i,
                    "C",
                    0,
                    Release.NONE,
                    Release.NONE,
                    0,
                    0,
                    StiffnessFactors.GROSS));
        }
        b.jointLoads.add(new JointLoad("P", "J60", 0, 0, -500e3, 0, 0, 0));
        BuildingDesign tower =
                BuildingDesigner.design(b.solve(), Basis.standard(false), BuildingDesigner.Progress.NONE);
        Set<String> columns = new HashSet<>();
        tower.columns().forEach(c -> columns.add(c.stack().mark()));
        List<Sheet> sheets = Sheets.of(tower, ProjectData.EMPTY, columns, Paper.A4, Progress.NONE);
        assertTrue(
                sheets.stream()
                        .flatMap(s -> s.drawing().labels().stream())
                        .anyMatch(t -> t.text().startsWith("Reduced to fit")),
                "one is too large");
        clear(sheets);
        for (Sheet s : sheets) {
            double[] box = s.drawing().box();
            assertTrue(
                    box[0] >= 0
                            && box[1] >= 0
                            && box[2] <= s.paper().width()
                            && box[3] <= s.paper().height(),
                    "on the sheet");
        }
    }

    @Test
    void itTellsHowFarItIsAndStopsWhereItIsCancelled() {
        List<String> told = new ArrayList<>();
        assertThrows(
                CancellationException.class,
                () -> Sheets.of(DEMO, ProjectData.EMPTY, Set.of(), Paper.A1, (doing, done, total) -> {
                    told.add(doing + " " + done + " of " + total);
                    if (done == 3) {
                        throw new CancellationException();
                    }
                }));
        String last = told.get(told.size() - 1);
        int groups =
                ScheduleGroups.beams(DEMO).size() + ScheduleGroups.columns(DEMO).size();
        assertEquals("drawing beams 3 of " + groups, last);
    }

    @Test
    void buildingsInUsUnitsAndByEurocodeAreDrawnAsWell() {
        for (String code : List.of("aci-318-19", "en-1992-1-1")) {
            BuildingDesign d = DesignedDemo.by(DesignedDemo.SMALL, Basis.standard(code));
            List<Sheet> sheets = Sheets.of(d, ProjectData.EMPTY, Set.of(), Paper.A3, Progress.NONE);
            assertTrue(sheets.size() > 5, code);
            clear(sheets);
        }
    }
}
