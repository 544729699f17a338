package kolonne.core.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** Lines, discs and texts on paper, x to the right and y up [mm]. */
public record Drawing(List<Line> lines, List<Disc> discs, List<Label> labels) {
    /** Width of a character to the height of capitals, at most on average. */
    private static final double CHARACTER = 0.84;

    public Drawing {
        lines = List.copyOf(lines);
        discs = List.copyOf(discs);
        labels = List.copyOf(labels);
    }

    /** A straight line. */
    public record Line(Layer layer, double x1, double y1, double x2, double y2) {}

    /** A circle, filled where it shows a bar. */
    public record Disc(Layer layer, double x, double y, double radius, boolean filled) {}

    /** Where a text stands to its point. */
    public enum Align {
        LEFT,
        MIDDLE,
        RIGHT
    }

    /** A level line of text on its base line. @param height of its capitals [mm] */
    public record Label(double x, double y, double height, Align align, boolean bold, String text) {
        /** How wide it is at most in the type of drawings [mm]. */
        public double width() {
            return width(text, height);
        }

        public static double width(String text, double height) {
            return text.codePointCount(0, text.length()) * CHARACTER * height;
        }

        /** Its left end [mm]. */
        public double left() {
            return align == Align.LEFT ? x : align == Align.MIDDLE ? x - width() / 2 : x - width();
        }
    }

    /** The same elsewhere. */
    public Drawing moved(double dx, double dy) {
        return new Drawing(
                lines.stream()
                        .map(l -> new Line(l.layer, l.x1 + dx, l.y1 + dy, l.x2 + dx, l.y2 + dy))
                        .toList(),
                discs.stream()
                        .map(d -> new Disc(d.layer, d.x + dx, d.y + dy, d.radius, d.filled))
                        .toList(),
                labels.stream()
                        .map(t -> new Label(t.x + dx, t.y + dy, t.height, t.align, t.bold, t.text))
                        .toList());
    }

    /** The same smaller or larger, texts as well. */
    Drawing times(double f) {
        return new Drawing(
                lines.stream()
                        .map(l -> new Line(l.layer, f * l.x1, f * l.y1, f * l.x2, f * l.y2))
                        .toList(),
                discs.stream()
                        .map(d -> new Disc(d.layer, f * d.x, f * d.y, f * d.radius, d.filled))
                        .toList(),
                labels.stream()
                        .map(t -> new Label(f * t.x, f * t.y, f * t.height, t.align, t.bold, t.text))
                        .toList());
    }

    /** This and another one. */
    Drawing and(Drawing o) {
        return new Drawing(
                Stream.concat(lines.stream(), o.lines.stream()).toList(),
                Stream.concat(discs.stream(), o.discs.stream()).toList(),
                Stream.concat(labels.stream(), o.labels.stream()).toList());
    }

    /** Left, bottom, right and top of all that is drawn [mm]. */
    public double[] box() {
        double[] b = {Double.MAX_VALUE, Double.MAX_VALUE, -Double.MAX_VALUE, -Double.MAX_VALUE};
        lines.forEach(l -> {
            grow(b, l.x1, l.y1);
            grow(b, l.x2, l.y2);
        });
        discs.forEach(d -> {
            grow(b, d.x - d.radius, d.y - d.radius);
            grow(b, d.x + d.radius, d.y + d.radius);
        });
        labels.forEach(t -> {
            grow(b, t.left(), t.y - 0.25 * t.height);
            grow(b, t.left() + t.width(), t.y + 1.1 * t.height);
        });
        return b;
    }

    private static void grow(double[] b, double x, double y) {
        b[0] = Math.min(b[0], x);
        b[1] = Math.min(b[1], y);
        b[2] = Math.max(b[2], x);
        b[3] = Math.max(b[3], y);
    }

    /** Gathers a drawing. */
    static final class Pen {
        private final List<Line> lines = new ArrayList<>();
        private final List<Disc> discs = new ArrayList<>();
        private final List<Label> labels = new ArrayList<>();

        void line(Layer layer, double x1, double y1, double x2, double y2) {
            lines.add(new Line(layer, x1, y1, x2, y2));
        }

        void rectangle(Layer layer, double x1, double y1, double x2, double y2) {
            line(layer, x1, y1, x2, y1);
            line(layer, x2, y1, x2, y2);
            line(layer, x2, y2, x1, y2);
            line(layer, x1, y2, x1, y1);
        }

        /** All of another drawing. */
        void drawing(Drawing d) {
            lines.addAll(d.lines);
            discs.addAll(d.discs);
            labels.addAll(d.labels);
        }

        void disc(Layer layer, double x, double y, double radius, boolean filled) {
            discs.add(new Disc(layer, x, y, radius, filled));
        }

        void text(double x, double y, double height, Align align, String text) {
            text(x, y, height, align, false, text);
        }

        void text(double x, double y, double height, Align align, boolean bold, String text) {
            if (!text.isEmpty()) {
                labels.add(new Label(x, y, height, align, bold, text));
            }
        }

        /** A dimension between two places at one height: the line, its ticks and what it measures. */
        void dimension(double x1, double x2, double y, double height, String text) {
            line(Layer.DIMENSIONS, x1, y, x2, y);
            for (double x : new double[] {x1, x2}) {
                line(Layer.DIMENSIONS, x, y - 1.2, x, y + 1.2);
                line(Layer.DIMENSIONS, x - 0.8, y - 0.8, x + 0.8, y + 0.8);
            }
            if (Label.width(text, height) <= Math.abs(x2 - x1) - 1) {
                text((x1 + x2) / 2, y + 0.8, height, Align.MIDDLE, text);
            }
        }

        /** A dimension between two heights; its text stands beside it. */
        void dimensionUp(double x, double y1, double y2, double height, String text) {
            line(Layer.DIMENSIONS, x, y1, x, y2);
            for (double y : new double[] {y1, y2}) {
                line(Layer.DIMENSIONS, x - 1.2, y, x + 1.2, y);
                line(Layer.DIMENSIONS, x - 0.8, y - 0.8, x + 0.8, y + 0.8);
            }
            text(x + 1, (y1 + y2) / 2 - height / 2, height, Align.LEFT, text);
        }

        Drawing drawing() {
            return new Drawing(lines, discs, labels);
        }
    }
}
