package kolonne.core.detail;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.code.Bends;

/**
 * A bar of the list as it is bent, from one end to the other: straight, bend, straight.
 *
 * @param mandrel diameter that it is bent round [mm]; 0 for a straight bar
 * @param steps   in order
 */
public record BendingSteps(double mandrel, List<Step> steps) {
    private static final double HOOK = 135;

    public BendingSteps {
        steps = List.copyOf(steps);
    }

    /**
     * A straight part and the bend after it.
     *
     * @param straight between the bends [mm]
     * @param angle    of the bend after it, to the left [°]; negative to the right; 0 at the end
     * @param radius   inside, of that bend [mm]
     */
    public record Step(double straight, double angle, double radius) {
        /** Along the middle of the bar, of diameter {@code d} [mm]. */
        double length(double d) {
            return straight + Math.toRadians(Math.abs(angle)) * (radius + d / 2);
        }
    }

    /** Along the middle of a bar of diameter {@code d}; the cut length is this less what the deductions of the standard leave out, and rounded [mm]. */
    public double length(double d) {
        return steps.stream().mapToDouble(s -> s.length(d)).sum();
    }

    /** Of a line of the bar list. */
    public static BendingSteps of(BarItem item, Bends bends) {
        double d = item.bar().diameter();
        List<Double> v = item.dims();
        double r = bends.stirrupRadius(item.bar());
        double tail = bends.stirrupTail(item.bar());
        // from the outside of a side to where its bends begin
        double corner = r + d;
        return switch (item.shape()) {
            case "00" -> new BendingSteps(0, List.of(new Step(v.get(0), 0, 0)));
            case "11", "21" -> hooked(v, d, bends.barRadius(item.bar()));
            case "26" -> cranked(v, d, bends.barRadius(item.bar()));
            case "51" -> {
                double a = v.get(0) - 2 * corner;
                double b = v.get(1) - 2 * corner;
                yield new BendingSteps(
                        2 * r,
                        List.of(
                                new Step(tail, HOOK, r),
                                new Step(b, 90, r),
                                new Step(a, 90, r),
                                new Step(b, 90, r),
                                new Step(a, HOOK, r),
                                new Step(tail, 0, 0)));
            }
            case "75" -> {
                double middle = (v.get(0) - d) / 2;
                double turns = 360 + Math.toDegrees(v.get(1) / middle);
                yield new BendingSteps(2 * middle - d, List.of(new Step(0, turns, middle - d / 2), new Step(0, 0, 0)));
            }
            case "77" -> {
                double middle = (v.get(0) - d) / 2;
                // along the bar, which rises by its pitch
                double turns = v.get(2) * Math.hypot(1, v.get(1) / (2 * Math.PI * middle));
                yield new BendingSteps(
                        2 * middle - d, List.of(new Step(0, 360 * turns, middle - d / 2), new Step(0, 0, 0)));
            }
            case "99" ->
                new BendingSteps(
                        2 * r,
                        List.of(
                                new Step(tail, HOOK, r),
                                new Step(v.get(0) - 2 * corner, HOOK, r),
                                new Step(tail, 0, 0)));
            default -> throw new IllegalArgumentException("no steps for shape " + item.shape());
        };
    }

    /** To the left and back; the bends take their tangents off the straight parts. */
    private static BendingSteps cranked(List<Double> v, double d, double r) {
        double turn = Math.asin(Math.min(1, v.get(3) / v.get(1)));
        double tangent = (r + d / 2) * Math.tan(turn / 2);
        double angle = Math.toDegrees(turn);
        return new BendingSteps(
                2 * r,
                List.of(
                        new Step(v.get(0) - tangent, angle, r),
                        new Step(v.get(1) - 2 * tangent, -angle, r),
                        new Step(v.get(2) - tangent, 0, 0)));
    }

    private static BendingSteps hooked(List<Double> v, double d, double r) {
        List<Step> out = new ArrayList<>();
        for (int i = 0; i < v.size(); i++) {
            boolean first = i == 0;
            boolean last = i == v.size() - 1;
            double straight = v.get(i) - (first || last ? 1 : 2) * (r + d);
            out.add(new Step(straight, last ? 0 : 90, last ? 0 : r));
        }
        return new BendingSteps(2 * r, out);
    }
}
