package kolonne.core.detail;

import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BarLengths;
import kolonne.core.code.Bar;
import kolonne.core.code.Bends;

/**
 * Cut lengths of the shapes we use. Shapes and deductions: ISO 3766:2003, table 4 (r inside radius, d diameter).
 * Bend diameters and straight ends: the code's.
 */
final class BarShapes {
    private static final double ROUNDING = 5;
    /** Angle of a stirrup's hook: 135° [rad]. */
    private static final double HOOK = 3 * Math.PI / 4;

    private final Bends bends;
    private final double module;

    /** @param module to multiples of which bars with hooks are cut; 0 to any length [mm] */
    BarShapes(Bends bends, double module) {
        this.bends = bends;
        this.module = module;
    }

    static BarShapes of(Basis basis) {
        return new BarShapes(basis.entry().bends(), basis.practice().lengthModule());
    }

    /**
     * Straight, or bent up at one or both ends; hooks take what the cut length lacks to the module.
     *
     * @param run  outside length along the member [mm]
     * @param room height that hooks have [mm]
     */
    BarItem longitudinal(String what, Bar b, int number, double run, int hooks, double room) {
        if (hooks == 0) {
            return item(what, "00", b, number, List.of(run), run);
        }
        double length = run + hooks * bends.hookBeyondRun(b);
        double more = BarLengths.missing(length, module) / hooks;
        more = bends.hook(b) + more <= room ? more : 0;
        double hook = bends.hook(b) + more;
        return item(
                what,
                hooks == 1 ? "11" : "21",
                b,
                number,
                hooks == 1 ? List.of(hook, run) : List.of(hook, run, hook),
                length + hooks * more);
    }

    /**
     * Led aside along its way: straight, inclined, straight.
     *
     * @param from, inclined, to lengths of its parts; {@code aside} how far it is led [mm]
     */
    BarItem cranked(String what, Bar b, int number, double from, double inclined, double to, double aside) {
        return item(what, "26", b, number, List.of(from, inclined, to, aside), from + inclined + to);
    }

    /**
     * Closed rectangular stirrup with 135° hooks at one corner, along its middle: the straight sides between the bends, three bends of 90°, two of
     * 135° and the straight ends of both hooks.
     *
     * @param a, b outside dimensions [mm]
     */
    BarItem closed(String what, Bar bar, int number, double a, double b) {
        double d = bar.diameter();
        double r = bends.stirrupRadius(bar) + d / 2;
        double tail = bends.stirrupTail(bar);
        double straight = 2 * (a - d - 2 * r) + 2 * (b - d - 2 * r);
        return item(
                what, "51", bar, number, List.of(a, b, tail), straight + 3 * Math.PI / 2 * r + 2 * HOOK * r + 2 * tail);
    }

    /** A single leg with 135° hooks round the bars at both ends (no code of its own: 99). @param a outside [mm] */
    BarItem crossTie(String what, Bar bar, int number, double a) {
        double r = bends.stirrupRadius(bar) + bar.diameter() / 2;
        return item(
                what,
                "99",
                bar,
                number,
                List.of(a),
                a - bar.diameter() - 2 * r + 2 * HOOK * r + 2 * bends.stirrupTail(bar));
    }

    /** Circular hoop with a lap. @param outside outside diameter; @param lap [mm] */
    BarItem hoop(String what, Bar bar, int number, double outside, double lap) {
        return item(what, "75", bar, number, List.of(outside, lap), Math.PI * (outside - bar.diameter()) + lap);
    }

    /**
     * A spiral from the coil: turns along its middle at its pitch, those at the ends as if they were no flatter.
     *
     * @param outside diameter over the bar; {@code pitch} rise of a turn [mm]
     */
    BarItem spiral(String what, Bar bar, double outside, double pitch, double turns) {
        double length = turns * Math.hypot(Math.PI * (outside - bar.diameter()), pitch);
        return new BarItem(
                what,
                "77",
                bar,
                1,
                List.of(Math.round(10 * outside) / 10.0, Math.round(10 * pitch) / 10.0, turns),
                Math.ceil(length / ROUNDING - 1e-9) * ROUNDING);
    }

    private static BarItem item(String what, String shape, Bar b, int number, List<Double> dims, double length) {
        return new BarItem(
                what,
                shape,
                b,
                number,
                dims.stream().map(v -> (double) Math.round(v)).toList(),
                Math.ceil(length / ROUNDING - 1e-9) * ROUNDING);
    }
}
