package kolonne.core.detail;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.TreeSet;

/**
 * How a shape of the bar list looks, with the letters of its dimensions: lines and letters in a field 100 wide and 60 high, y upwards.
 *
 * @param code  of the shape (ISO 3766; 99 has no code of its own)
 * @param lines of which every one is x1, y1, x2, y2, …
 */
public record ShapeSketch(String code, List<List<Double>> lines, List<Letter> letters) {
    private static final int ROUND = 36;

    /** A letter about a point. */
    public record Letter(double x, double y, String text) {}

    /** Sketches of shapes, each once, in the order of their codes; shapes without a sketch are left out. */
    public static List<ShapeSketch> of(Collection<String> codes) {
        List<ShapeSketch> out = new ArrayList<>();
        for (String code : new TreeSet<>(codes)) {
            ShapeSketch s = of(code);
            if (s != null) {
                out.add(s);
            }
        }
        return out;
    }

    private static ShapeSketch of(String code) {
        return switch (code) {
            case "00" ->
                new ShapeSketch(code, List.of(List.of(5.0, 28.0, 95.0, 28.0)), List.of(new Letter(50, 34, "A")));
            case "11" ->
                new ShapeSketch(
                        code,
                        List.of(List.of(8.0, 52.0, 8.0, 20.0, 95.0, 20.0)),
                        List.of(new Letter(15, 34, "A"), new Letter(52, 26, "B")));
            case "21" ->
                new ShapeSketch(
                        code,
                        List.of(List.of(8.0, 52.0, 8.0, 20.0, 92.0, 20.0, 92.0, 52.0)),
                        List.of(new Letter(15, 34, "A"), new Letter(50, 26, "B"), new Letter(85, 34, "C")));
            case "26" ->
                new ShapeSketch(
                        code,
                        List.of(List.of(5.0, 16.0, 40.0, 16.0, 62.0, 38.0, 95.0, 38.0)),
                        List.of(
                                new Letter(22, 22, "A"),
                                new Letter(44, 32, "B"),
                                new Letter(78, 44, "C"),
                                new Letter(72, 24, "D")));
            case "51" ->
                new ShapeSketch(
                        code,
                        // from the end of one hook round to that of the other
                        List.of(List.of(
                                44.0, 38.0, 30.0, 52.0, 30.0, 8.0, 76.0, 8.0, 76.0, 52.0, 30.0, 52.0, 34.0, 52.0, 40.0,
                                34.0)),
                        List.of(new Letter(53, 0, "A"), new Letter(83, 28, "B"), new Letter(50, 36, "C")));
            case "75" -> round(code);
            case "77" -> spiral(code);
            case "99" ->
                new ShapeSketch(
                        code,
                        List.of(List.of(22.0, 40.0, 10.0, 28.0, 90.0, 28.0, 78.0, 40.0)),
                        List.of(new Letter(50, 34, "A")));
            default -> null;
        };
    }

    /** A ring whose ends run past each other. */
    private static ShapeSketch round(String code) {
        List<Double> line = new ArrayList<>();
        for (int i = -3; i <= ROUND + 3; i++) {
            double a = Math.PI / 2 + 2 * Math.PI * i / ROUND;
            double r = 25 - 1.5 * i / ROUND;
            line.add(50 + r * Math.cos(a));
            line.add(28 + r * Math.sin(a));
        }
        return new ShapeSketch(code, List.of(line), List.of(new Letter(50, 25, "A"), new Letter(72, 52, "B")));
    }

    /** Turns seen from the side, one after another along the field. */
    private static ShapeSketch spiral(String code) {
        List<Double> line = new ArrayList<>();
        for (int i = 0; i <= 8; i++) {
            line.add(10.0 + 9 * i);
            line.add(i % 2 == 0 ? 14.0 : 44.0);
        }
        return new ShapeSketch(
                code,
                List.of(line, List.of(90.0, 14.0, 90.0, 44.0)),
                List.of(new Letter(95, 26, "A"), new Letter(37, 5, "B"), new Letter(46, 47, "C")));
    }
}
