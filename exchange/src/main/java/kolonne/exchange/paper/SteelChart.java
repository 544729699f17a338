package kolonne.exchange.paper;

import java.awt.Color;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import kolonne.core.code.Bar;
import kolonne.core.design.BuildingDesign;
import kolonne.core.explain.Quantity;
import kolonne.core.schedule.StoreyQuantities;

/** Steel of every storey as a bar, the highest on top, parted by size; sizes are told apart by their patterns, which black and white keep. */
final class SteelChart {
    private static final float ROW = 15;
    private static final float BAR = 10;
    private static final float NAME = 52;
    private static final float SUM = 62;
    private static final float KEY = 46;
    private static final int AT_ONCE = 40;
    private static final int LETTERS = 11;

    /** What fills a part: a ground, and lines at angles so far apart [degrees, points]. */
    record Pattern(int ground, float apart, int... angles) {}

    /** In the order of sizes, as many as the longest catalogue has; neighbours are unlike in ground or in direction. */
    static final List<Pattern> PATTERNS = List.of(
            new Pattern(0xFFFFFF, 0),
            new Pattern(0xFFFFFF, 3, 45),
            new Pattern(0xC4C4C4, 0),
            new Pattern(0xFFFFFF, 3, 135),
            new Pattern(0x4A4A4A, 0),
            new Pattern(0xFFFFFF, 3.4f, 45, 135),
            new Pattern(0xFFFFFF, 2.6f, 90),
            new Pattern(0x8C8C8C, 0),
            new Pattern(0xFFFFFF, 2.6f, 0),
            new Pattern(0xFFFFFF, 3.2f, 0, 90),
            new Pattern(0xC4C4C4, 3, 45));

    private final Map<String, Map<Bar, Double>> steel;
    private final boolean us;
    private final PdfPaper paper;

    private SteelChart(BuildingDesign d, PdfPaper paper) {
        this.steel = StoreyQuantities.steel(d);
        this.us = d.basis().usUnits();
        this.paper = paper;
    }

    /** Draws it where the page has come to; nothing where there is no steel. */
    static void write(BuildingDesign d, PdfPaper paper) throws IOException {
        SteelChart c = new SteelChart(d, paper);
        if (c.most() > 0) {
            c.write();
        }
    }

    private double most() {
        return steel.values().stream().mapToDouble(SteelChart::sum).max().orElse(0);
    }

    private static double sum(Map<Bar, Double> sizes) {
        return sizes.values().stream().mapToDouble(Double::doubleValue).sum();
    }

    private void write() throws IOException {
        paper.section("Steel by storey and size", 2, 12);
        List<String> storeys = new ArrayList<>(steel.keySet());
        // as they stand: the highest first, as many as a page holds at a time
        for (int to = storeys.size(); to > 0; to -= AT_ONCE) {
            figure(storeys.subList(Math.max(0, to - AT_ONCE), to));
        }
    }

    private void figure(List<String> storeys) throws IOException {
        float[] box = paper.room(ROW * (storeys.size() + 2));
        paper.figure("Steel of every storey, parted by size of bar", () -> {
            key(box);
            for (int i = 0; i < storeys.size(); i++) {
                storey(storeys.get(i), box, box[1] + i * ROW);
            }
        });
    }

    private void key(float[] box) throws IOException {
        float x = box[0] + NAME;
        float y = box[1] + box[3] - ROW;
        int size = 0;
        Set<Bar> sizes = steel.values().iterator().next().keySet();
        for (Bar b : sizes) {
            fill(x, y, 18, size++);
            paper.words(x + 22, y + 2, 7.5f, false, PdfPaper.INK, b.label());
            x += Math.min(KEY, (box[2] - NAME) / sizes.size());
        }
    }

    private void storey(String name, float[] box, float y) throws IOException {
        Map<Bar, Double> sizes = steel.get(name);
        paper.words(box[0], y + 2, 7.5f, true, PdfPaper.INK, shown(name));
        double scale = (box[2] - NAME - SUM) / most();
        float x = box[0] + NAME;
        int size = 0;
        for (double kg : sizes.values()) {
            float wide = (float) (kg * scale);
            if (wide > 0) {
                fill(x, y, wide, size);
            }
            x += wide;
            size++;
        }
        String told =
                String.format(Locale.ROOT, "%.0f %s", Quantity.MASS.display(sum(sizes), us), Quantity.MASS.unit(us));
        paper.words(x + 5, y + 2, 7.5f, false, PdfPaper.SOFT, told);
    }

    /** A name as short as its column, cut between characters. */
    static String shown(String name) {
        if (name.isEmpty()) {
            return "none";
        }
        return name.codePointCount(0, name.length()) > LETTERS
                ? name.substring(0, name.offsetByCodePoints(0, LETTERS - 1)) + "…"
                : name;
    }

    private void fill(float x, float y, float wide, int size) throws IOException {
        Pattern p = PATTERNS.get(size % PATTERNS.size());
        paper.patterned(x, y, wide, BAR, new Color(p.ground), p.apart, p.angles);
    }
}
