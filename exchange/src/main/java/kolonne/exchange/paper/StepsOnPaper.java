package kolonne.exchange.paper;

import java.awt.Color;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import kolonne.core.explain.Step;
import kolonne.core.explain.maths.Maths;

/** Steps of a calculation one beneath the other: symbol, formula, numbers, result, and the clause at the margin. */
final class StepsOnPaper {
    private static final float POINTS = 8.5f;
    /** Kept free at the right for the clause. */
    private static final float CLAUSE = 66;

    private static final float INDENT = 22;
    private static final float GAP = 6;
    private static final float BETWEEN = 5;

    private final PdfPaper paper;
    private final FormulaSetter setter;
    private final boolean us;

    StepsOnPaper(PdfPaper paper, boolean us) {
        this.paper = paper;
        this.setter = new FormulaSetter(paper);
        this.us = us;
    }

    /** A part of a step, with its ink. */
    private record Part(FormulaSetter.Box box, boolean strong, Color color) {}

    void write(List<Step> steps) throws IOException {
        for (Step s : steps) {
            if (Double.isNaN(s.value())) {
                title(s);
            } else {
                step(s);
            }
        }
    }

    private void title(Step s) throws IOException {
        float indent = s.symbol().isEmpty() ? 0 : paper.labelWidth(POINTS, true, s.symbol()) + GAP;
        List<String> words = paper.lines(POINTS, s.formula(), Math.max(80, paper.width() - CLAUSE - indent));
        paper.need(22 + 11 * words.size());
        String all = s.symbol() + " " + s.formula() + " " + s.clause().text();
        paper.formula(all.strip(), () -> {
            float base = paper.down(11);
            paper.glyphs(paper.left(), base, POINTS, true, false, PdfPaper.INK, s.symbol());
            clause(s, base);
            for (int i = 0; i < words.size(); i++) {
                base = i == 0 ? base : paper.down(11);
                paper.glyphs(paper.left() + indent, base, POINTS, false, false, PdfPaper.SOFT, words.get(i));
            }
        });
        paper.down(5);
    }

    private void clause(Step s, float base) throws IOException {
        String c = s.clause().text();
        if (!c.isEmpty()) {
            float w = paper.labelWidth(7, false, c);
            paper.glyphs(paper.left() + paper.width() - w, base, 7, false, false, PdfPaper.SOFT, c);
        }
    }

    private void step(Step s) throws IOException {
        List<List<Part>> lines = lines(parts(s));
        float height = 0;
        for (List<Part> l : lines) {
            height += up(l) + down(l) + BETWEEN;
        }
        paper.need(height);
        paper.formula(told(s), () -> {
            boolean first = true;
            for (List<Part> l : lines) {
                float base = paper.down(up(l));
                float x = paper.left() + (first ? 0 : INDENT);
                for (Part p : l) {
                    setter.draw(p.box(), x, base, p.strong(), p.color());
                    x += p.box().width() + GAP;
                }
                if (first) {
                    clause(s, base);
                }
                first = false;
                paper.down(down(l) + BETWEEN);
            }
        });
    }

    private String told(Step s) {
        String formula = s.repeatsItsSymbol() ? "" : s.formula();
        String numbers = s.substituted(us);
        return s.symbol() + (formula.isEmpty() ? "" : " = " + formula) + (numbers.isEmpty() ? "" : " = " + numbers)
                + " = " + s.result(us)
                + (s.clause().text().isEmpty() ? "" : ", " + s.clause().text());
    }

    private List<Part> parts(Step s) throws IOException {
        List<Part> out = new ArrayList<>();
        out.add(new Part(fitted(s.symbol(), ""), false, PdfPaper.INK));
        if (!s.formula().isEmpty() && !s.repeatsItsSymbol()) {
            out.add(side(s.formula(), PdfPaper.INK));
        }
        String numbers = s.substituted(us);
        if (!numbers.isEmpty()) {
            out.add(side(numbers, PdfPaper.SOFT));
        }
        boolean over = s.symbol().contains("/") && s.value() > 1;
        out.add(new Part(setter.words("= " + s.result(us), POINTS), true, over ? PdfPaper.OVER : PdfPaper.INK));
        return out;
    }

    private Part side(String text, Color color) throws IOException {
        boolean equal = Maths.of(text).equal();
        return new Part(fitted(text, equal ? "= " : ""), false, equal ? color : PdfPaper.SOFT);
    }

    /** In smaller type where it would be longer than the line. */
    private FormulaSetter.Box fitted(String text, String before) throws IOException {
        Maths m = Maths.of(before + text);
        float most = paper.width() - CLAUSE - INDENT;
        FormulaSetter.Box box = setter.set(m, POINTS);
        return box.width() <= most ? box : setter.set(m, POINTS * most / box.width());
    }

    private List<List<Part>> lines(List<Part> parts) {
        List<List<Part>> out = new ArrayList<>();
        float x = Float.MAX_VALUE;
        for (Part p : parts) {
            if (x + p.box().width() > paper.width() - CLAUSE) {
                x = out.isEmpty() ? 0 : INDENT;
                out.add(new ArrayList<>());
            }
            out.get(out.size() - 1).add(p);
            x += p.box().width() + GAP;
        }
        return out;
    }

    private static float up(List<Part> line) {
        float out = 0;
        for (Part p : line) {
            out = Math.max(out, p.box().up());
        }
        return out;
    }

    private static float down(List<Part> line) {
        float out = 0;
        for (Part p : line) {
            out = Math.max(out, p.box().down());
        }
        return out;
    }
}
