package kolonne.core.joint;

import java.util.List;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;

/**
 * The beams at a joint in one plan direction: those ahead of it and those behind, within 45° of the direction. What slanting beams bring counts by its
 * part along the direction.
 */
public final class Framing {
    /** Cosine of 45°, a hair less so that a beam on the diagonal counts both ways. */
    private static final double ALONG = Math.sqrt(0.5) - 1e-6;

    private final List<BeamEnd> ahead;
    private final List<BeamEnd> behind;
    private final double ux;
    private final double uy;

    /** @param ux direction, a unit vector */
    public Framing(List<BeamEnd> ends, double ux, double uy) {
        this.ux = ux;
        this.uy = uy;
        this.ahead = ends.stream().filter(e -> along(e) >= ALONG).toList();
        this.behind = ends.stream().filter(e -> along(e) <= -ALONG).toList();
    }

    private double along(BeamEnd e) {
        return e.ux() * ux + e.uy() * uy;
    }

    /** Beams that bring moments, ahead and behind. */
    public List<BeamEnd> frames() {
        return Stream.concat(ahead.stream(), behind.stream())
                .filter(BeamEnd::frame)
                .toList();
    }

    /** Whether beams that bring moments come from both sides. */
    public boolean bothSides() {
        return ahead.stream().anyMatch(BeamEnd::frame) && behind.stream().anyMatch(BeamEnd::frame);
    }

    /** Whether beams hold the joint from both sides: each as wide as a part of the column's face, with bars that run through. */
    public boolean holds(double width) {
        return List.of(ahead, behind).stream()
                .allMatch(side -> side.stream().anyMatch(e -> e.through() && e.width() >= width - 1e-6));
    }

    /** Sum of hogging strengths on one side and sagging ones on the other, the larger of both senses. */
    public double moment(Function<BeamEnd, BeamEnd.Strength> of) {
        return Math.max(
                sum(ahead, e -> of.apply(e).hogging())
                        + sum(behind, e -> of.apply(e).sagging()),
                sum(ahead, e -> of.apply(e).sagging())
                        + sum(behind, e -> of.apply(e).hogging()));
    }

    /** Force of the bars in tension, top on one side and bottom on the other, the larger of both senses [N]. @param stress of the bars [MPa] */
    public double force(double stress) {
        return stress
                * Math.max(
                        sum(ahead, BeamEnd::topArea) + sum(behind, BeamEnd::bottomArea),
                        sum(ahead, BeamEnd::bottomArea) + sum(behind, BeamEnd::topArea));
    }

    private double sum(List<BeamEnd> side, ToDoubleFunction<BeamEnd> of) {
        return side.stream()
                .filter(BeamEnd::frame)
                .mapToDouble(e -> Math.abs(along(e)) * of.applyAsDouble(e))
                .sum();
    }

    /** Weakest concrete of all beams in the direction; infinite without any [MPa]. */
    public double weakest() {
        return Stream.concat(ahead.stream(), behind.stream())
                .mapToDouble(BeamEnd::fc)
                .min()
                .orElse(Double.POSITIVE_INFINITY);
    }

    /** Narrowest web of the beams that bring moments; 0 without any [mm]. */
    public double narrowest() {
        return frames().stream().mapToDouble(BeamEnd::width).min().orElse(0);
    }

    /** Depth of the shallowest of them [mm]. */
    public double shallowest() {
        return frames().stream().mapToDouble(BeamEnd::depth).min().orElse(0);
    }

    /** Depth of the deepest of them [mm]. */
    public double deepest() {
        return frames().stream().mapToDouble(BeamEnd::depth).max().orElse(0);
    }
}
