package kolonne.exchange.paper;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import kolonne.core.explain.maths.Maths;

/** Sets formulas on paper: fractions about the axis of the line, indices smaller, brackets and roots as high as what they hold. Lengths in points. */
final class FormulaSetter {
    /** Of the size of the type: how far letters stand above and below the base line, and where the rule of a fraction is. */
    private static final float UP = 0.74f;

    private static final float DOWN = 0.21f;
    private static final float AXIS = 0.27f;
    private static final float INDEX = 0.74f;
    private static final float FRACTION = 0.92f;
    /** No type is smaller [points]. */
    private static final float LEAST = 5;

    private final PdfPaper paper;

    FormulaSetter(PdfPaper paper) {
        this.paper = paper;
    }

    /** A piece of ink from the beginning of a box: text at its base, or a line where there is none. */
    record Piece(float x, float y, float x2, float y2, float points, boolean slanted, String text) {
        Piece at(float dx, float dy) {
            return new Piece(x + dx, y + dy, x2 + dx, y2 + dy, points, slanted, text);
        }
    }

    /** What is set, from its base line; {@code up} and {@code down} are how far it reaches. */
    record Box(float width, float up, float down, List<Piece> pieces) {
        private static Box of(List<Piece> pieces, float width, float up, float down) {
            return new Box(width, up, down, List.copyOf(pieces));
        }
    }

    /** Gathers boxes side by side, or over one another. */
    private static final class Pile {
        private final List<Piece> pieces = new ArrayList<>();
        private float width;
        private float up;
        private float down;

        void put(Box b, float x, float y) {
            b.pieces().forEach(p -> pieces.add(p.at(x, y)));
            width = Math.max(width, x + b.width());
            up = Math.max(up, b.up() + y);
            down = Math.max(down, b.down() - y);
        }

        void line(float x1, float y1, float x2, float y2) {
            pieces.add(new Piece(x1, y1, x2, y2, 0, false, null));
        }

        Box box() {
            return Box.of(pieces, width, up, down);
        }
    }

    Box set(Maths m, float points) throws IOException {
        float p = Math.max(LEAST, points);
        return switch (m.kind()) {
            case LETTER -> glyphs(m.text(), p, true, 0);
            case SIGN -> sign(m.text(), p);
            case SCRIPT -> script(m, p);
            case FRACTION -> fraction(m, p);
            case ROOT -> root(m, p);
            case BRACKETED -> bracketed(m, p);
            case ROW -> row(m.parts(), p);
            default -> glyphs(m.text(), p, false, 0);
        };
    }

    /** Words beside formulas. */
    Box words(String s, float points) throws IOException {
        return glyphs(s, points, false, 0);
    }

    private Box glyphs(String s, float p, boolean slanted, float pad) throws IOException {
        float w = paper.labelWidth(p, false, s) + 2 * pad + (slanted ? 0.06f * p : 0);
        return Box.of(List.of(new Piece(pad, 0, 0, 0, p, slanted, s)), w, UP * p, DOWN * p);
    }

    private Box sign(String s, float p) throws IOException {
        boolean close = "/′,;".contains(s);
        return glyphs(s.equals(",") ? ", " : s, p, false, (close ? 0.03f : 0.24f) * p);
    }

    private Box row(List<Maths> parts, float p) throws IOException {
        Pile out = new Pile();
        Maths before = null;
        for (Maths m : parts) {
            boolean beside = before != null && m.kind() != Maths.Kind.SIGN && before.kind() != Maths.Kind.SIGN;
            boolean words = beside && (m.kind() == Maths.Kind.WORDS || before.kind() == Maths.Kind.WORDS);
            out.put(set(m, p), out.width + (words ? 0.32f : beside ? 0.17f : 0) * p, 0);
            before = m;
        }
        return out.box();
    }

    private Box script(Maths m, float p) throws IOException {
        Box base = set(m.part(0), p);
        Pile out = new Pile();
        out.put(base, 0, 0);
        float x = base.width() + 0.03f * p;
        if (!m.part(1).blank()) {
            out.put(set(m.part(1), INDEX * p), x, -0.17f * p - Math.max(0, base.down() - DOWN * p));
        }
        if (!m.part(2).blank()) {
            out.put(set(m.part(2), INDEX * p), x, 0.36f * p + Math.max(0, base.up() - UP * p));
        }
        return out.box();
    }

    private Box fraction(Maths m, float p) throws IOException {
        Box over = set(m.part(0), FRACTION * p);
        Box under = set(m.part(1), FRACTION * p);
        float w = Math.max(over.width(), under.width()) + 0.3f * p;
        float axis = AXIS * p;
        Pile out = new Pile();
        out.put(over, (w - over.width()) / 2, axis + 0.12f * p + over.down());
        out.put(under, (w - under.width()) / 2, axis - 0.12f * p - under.up());
        out.line(0.05f * p, axis, w - 0.05f * p, axis);
        out.width = w;
        return out.box();
    }

    private Box root(Maths m, float p) throws IOException {
        Box of = set(m.part(0), p);
        float top = of.up() + 0.08f * p;
        float x = 0.62f * p;
        Pile out = new Pile();
        out.put(of, x, 0);
        out.line(0.05f * p, 0.28f * p, 0.18f * p, 0.36f * p);
        out.line(0.18f * p, 0.36f * p, 0.36f * p, -of.down() + 0.05f * p);
        out.line(0.36f * p, -of.down() + 0.05f * p, x - 0.04f * p, top);
        out.line(x - 0.04f * p, top, x + of.width(), top);
        out.up = top + 0.05f * p;
        return out.box();
    }

    private Box bracketed(Maths m, float p) throws IOException {
        Box of = set(m.part(0), p);
        Pile out = new Pile();
        if (of.up() + of.down() < 1.25f * p) {
            out.put(glyphs("(", p, false, 0), 0, 0);
            out.put(of, out.width, 0);
            out.put(glyphs(")", p, false, 0), out.width, 0);
            return out.box();
        }
        out.put(of, 0.34f * p, 0);
        float right = 0.68f * p + of.width();
        for (float[] side : new float[][] {{0.28f * p, 0.06f * p}, {right - 0.28f * p, right - 0.06f * p}}) {
            float corner = 0.3f * p;
            out.line(side[0], of.up(), side[1], of.up() - corner);
            out.line(side[1], of.up() - corner, side[1], corner - of.down());
            out.line(side[1], corner - of.down(), side[0], -of.down());
        }
        out.width = right;
        return out.box();
    }

    /** Inks a box whose base line begins at a point. */
    void draw(Box b, float x, float base, boolean strong, java.awt.Color color) throws IOException {
        for (Piece p : b.pieces()) {
            if (p.text() == null) {
                paper.thin(x + p.x(), base + p.y(), x + p.x2(), base + p.y2(), color);
            } else {
                paper.glyphs(x + p.x(), base + p.y(), p.points(), strong, p.slanted(), color, p.text());
            }
        }
    }
}
