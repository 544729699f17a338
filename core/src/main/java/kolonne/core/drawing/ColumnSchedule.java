package kolonne.core.drawing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import kolonne.core.basis.Basis;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.explain.Quantity;
import kolonne.core.schedule.Scheduled;
import kolonne.core.schedule.Schedules;

/**
 * The column schedule as a drawing office has it: stacks across, storeys down from the top, and in every cell the section to scale with its bars and ties, and both in
 * words. Storeys that are alike for all stacks of a page are one row.
 */
public final class ColumnSchedule {
    /** Width of a page's ground, what is left of it for rows, and the widths of the storeys and of a stack [mm]. */
    public static final double WIDTH = 265;

    public static final double HEIGHT = 156;
    private static final double STOREYS = 20;
    private static final double STACK = 49;
    private static final double HEAD = 9;
    /** Most that a section is drawn wide or high [mm]. */
    private static final double SECTION = 20;

    /** Least room for one, so that words beside are in line [mm]. */
    private static final double LEAST = 12;

    private static final double TEXT = 1.8;
    private static final double LINE = 2.9;
    private static final double PAD = 1.5;
    private static final String FAILS = "fails";
    private static final int[] SCALES = {20, 25, 30, 40, 50, 60, 75, 100};

    private final boolean us;
    private final List<Schedules.ColumnEntry> entries;
    private final int scale;
    /** The largest section as it is drawn [mm]. */
    private final double drawn;

    private final Map<String, Double> levels = new HashMap<>();

    /** A page. @param marks of its stacks; {@code drawing} from its lower left corner, within {@link #WIDTH} and {@link #HEIGHT} */
    public record Page(List<String> marks, Drawing drawing) {
        public Page {
            marks = List.copyOf(marks);
        }

        /** All that is written on it, for those who do not see it. */
        public String words() {
            return "Columns against storeys: "
                    + drawing.labels().stream().map(Drawing.Label::text).collect(Collectors.joining("; "));
        }
    }

    /** What stands in a cell. @param lift whose section is shown; null where the stack does not reach */
    private record Cell(ColumnDesign.LiftDesign lift, Basis basis, List<String> words) {
        static final Cell NONE = new Cell(null, null, List.of());
    }

    /** Storeys with the same cells. @param high of the row [mm] */
    private record Row(List<String> storeys, List<Cell> cells, double high) {}

    private ColumnSchedule(Scheduled all) {
        this.us = all.design().basis().usUnits();
        this.entries = Schedules.columnEntries(all);
        double widest = 1;
        for (Schedules.ColumnEntry e : entries) {
            for (ColumnDesign.LiftDesign l : e.first().lifts()) {
                widest = Math.max(
                        widest,
                        Math.max(
                                l.lift().section().shape().width(),
                                l.lift().section().shape().depth()));
                levels.merge(name(l), l.lift().top(), Math::max);
            }
        }
        double largest = widest;
        this.scale = Arrays.stream(SCALES)
                .filter(s -> largest / s <= SECTION)
                .findFirst()
                .orElse(SCALES[SCALES.length - 1]);
        this.drawn = Math.max(widest / scale, LEAST);
    }

    /** The pages; none where there are no columns. @param width of the ground, no more than {@link #WIDTH} is used [mm] */
    public static List<Page> of(Scheduled all, double width) {
        ColumnSchedule s = new ColumnSchedule(all);
        int across = Math.max(1, (int) ((Math.min(width, WIDTH) - STOREYS) / STACK));
        List<Page> out = new ArrayList<>();
        for (int i = 0; i < s.entries.size(); i += across) {
            s.pages(s.entries.subList(i, Math.min(s.entries.size(), i + across)), out);
        }
        return out;
    }

    private static String name(ColumnDesign.LiftDesign l) {
        return l.lift().storey().isEmpty() ? "top" : l.lift().storey();
    }

    private void pages(List<Schedules.ColumnEntry> stacks, List<Page> out) {
        List<Row> rows = rows(stacks);
        int next = 0;
        while (next < rows.size()) {
            int from = next;
            double high = HEAD;
            while (next < rows.size() && (next == from || high + rows.get(next).high() <= HEIGHT)) {
                high += rows.get(next++).high();
            }
            List<String> marks =
                    stacks.stream().map(Schedules.ColumnEntry::mark).toList();
            out.add(new Page(marks, page(stacks, rows.subList(from, next))));
        }
    }

    private List<Row> rows(List<Schedules.ColumnEntry> stacks) {
        Set<String> storeys = new LinkedHashSet<>();
        stacks.forEach(e -> e.first().lifts().forEach(l -> storeys.add(name(l))));
        List<String> down = storeys.stream()
                .sorted((a, b) -> Double.compare(levels.get(b), levels.get(a)))
                .toList();
        List<Row> out = new ArrayList<>();
        for (String s : down) {
            List<Cell> cells = stacks.stream().map(e -> cell(e, s)).toList();
            Row last = out.isEmpty() ? null : out.get(out.size() - 1);
            if (last != null && alike(last.cells(), cells)) {
                List<String> names = new ArrayList<>(last.storeys());
                names.add(s);
                out.set(out.size() - 1, new Row(names, last.cells(), last.high()));
            } else {
                out.add(new Row(List.of(s), cells, high(cells)));
            }
        }
        return out;
    }

    private static boolean alike(List<Cell> a, List<Cell> b) {
        for (int i = 0; i < a.size(); i++) {
            if (!a.get(i).words().equals(b.get(i).words())) {
                return false;
            }
        }
        return true;
    }

    /** Of the lifts to a storey: the lowest one's section, and where there are several the words of each. */
    private Cell cell(Schedules.ColumnEntry e, String storey) {
        List<ColumnDesign.LiftDesign> lifts =
                e.first().lifts().stream().filter(l -> name(l).equals(storey)).toList();
        if (lifts.isEmpty()) {
            return Cell.NONE;
        }
        Set<List<String>> said = new LinkedHashSet<>();
        lifts.forEach(l -> said.add(words(l, e)));
        return new Cell(
                lifts.get(0),
                e.first().basis(),
                said.stream().flatMap(List::stream).toList());
    }

    private List<String> words(ColumnDesign.LiftDesign l, Schedules.ColumnEntry e) {
        ColumnStack.Lift lift = l.lift();
        String shape = lift.section().shape().whole(us);
        String concrete = Quantity.STRENGTH.text(lift.material().fc(), us);
        List<String> out = new ArrayList<>();
        if (Drawing.Label.width(shape + ", " + concrete, TEXT) <= textWidth()) {
            out.add(shape + ", " + concrete);
        } else {
            out.addAll(wrapped(shape));
            out.add(concrete);
        }
        out.addAll(wrapped(l.cage().layout().words()));
        out.addAll(wrapped(Schedules.ties(l.cage(), e.first().basis())));
        if (e.fails(lift)) {
            out.add(FAILS);
        }
        return out;
    }

    private double textWidth() {
        return STACK - drawn - 3 * PAD;
    }

    private List<String> wrapped(String s) {
        List<String> out = new ArrayList<>();
        StringBuilder line = new StringBuilder();
        for (String word : s.split(" ")) {
            String with = line.isEmpty() ? word : line + " " + word;
            if (!line.isEmpty() && Drawing.Label.width(with, TEXT) > textWidth()) {
                out.add(line.toString());
                line.setLength(0);
            } else if (!line.isEmpty()) {
                line.append(' ');
            }
            line.append(word);
        }
        out.add(line.toString());
        return out;
    }

    private double high(List<Cell> cells) {
        double out = 8;
        for (Cell c : cells) {
            if (c.lift() != null) {
                double section = c.lift().lift().section().shape().depth() / scale;
                out = Math.max(out, Math.max(section, LINE * c.words().size()) + 2 * PAD);
            }
        }
        return out;
    }

    private Drawing page(List<Schedules.ColumnEntry> stacks, List<Row> rows) {
        Drawing.Pen pen = new Drawing.Pen();
        double right = STOREYS + STACK * stacks.size();
        head(pen, stacks, right);
        double y = HEIGHT - HEAD;
        for (Row r : rows) {
            pen.line(Layer.GRID, 0, y, right, y);
            storeys(pen, r, y);
            for (int i = 0; i < r.cells().size(); i++) {
                if (r.cells().get(i).lift() != null) {
                    cell(pen, r.cells().get(i), STOREYS + i * STACK, y, r.high());
                }
            }
            y -= r.high();
        }
        pen.line(Layer.GRID, 0, y, right, y);
        for (int i = 0; i <= stacks.size(); i++) {
            pen.line(Layer.GRID, STOREYS + i * STACK, HEIGHT, STOREYS + i * STACK, y);
        }
        return pen.drawing();
    }

    private void head(Drawing.Pen pen, List<Schedules.ColumnEntry> stacks, double right) {
        pen.line(Layer.GRID, STOREYS, HEIGHT, right, HEIGHT);
        pen.text(0, HEIGHT - 3.6, TEXT, Drawing.Align.LEFT, "lift to");
        pen.text(0, HEIGHT - 6.8, TEXT, Drawing.Align.LEFT, "1 : " + scale);
        for (int i = 0; i < stacks.size(); i++) {
            Schedules.ColumnEntry e = stacks.get(i);
            double x = STOREYS + i * STACK + PAD;
            pen.text(x, HEIGHT - 4, 2.5, Drawing.Align.LEFT, true, cut(e.mark(), 2.5, STACK - 2 * PAD));
            String alike = e.members().size() == 1 && e.members().get(0).equals(e.mark())
                    ? ""
                    : String.format(Locale.ROOT, "%d: %s", e.members().size(), String.join(", ", e.members()));
            pen.text(x, HEIGHT - 7.4, 1.5, Drawing.Align.LEFT, cut(alike, 1.5, STACK - 2 * PAD));
        }
    }

    private static String cut(String s, double height, double most) {
        int end = s.length();
        while (end > 1 && Drawing.Label.width(s.substring(0, end), height) > most) {
            end--;
        }
        return end == s.length() ? s : s.substring(0, end - 1) + "…";
    }

    /** The storeys of a row, from the lowest to the highest, and the level of the highest. */
    private void storeys(Drawing.Pen pen, Row r, double y) {
        List<String> names = r.storeys();
        String top = names.get(0);
        String words = names.size() == 1 ? top : names.get(names.size() - 1) + " to " + top;
        pen.text(0, y - 4, 2.2, Drawing.Align.LEFT, true, cut(words, 2.2, STOREYS - 1));
        double z = levels.get(top);
        String level = (Math.abs(z) < 0.5 ? "±" : z > 0 ? "+" : "") + Quantity.DISTANCE.digits(z, us);
        pen.text(0, y - 7.4, 1.6, Drawing.Align.LEFT, level);
    }

    private void cell(Drawing.Pen pen, Cell c, double x, double top, double high) {
        ColumnStack.Lift lift = c.lift().lift();
        double middle = x + PAD + drawn / 2;
        ColumnCage.LiftCage cage = c.lift().cage();
        pen.drawing(SectionPicture.of(lift.section().shape(), cage, c.basis(), scale)
                .moved(middle, top - high / 2));
        double y = top - PAD - TEXT;
        for (String w : c.words()) {
            pen.text(x + 2 * PAD + drawn, y, TEXT, Drawing.Align.LEFT, w.equals(FAILS), w);
            y -= LINE;
        }
    }
}
