package kolonne.core.model;

/** A point in plan [mm]. */
public record Point(double x, double y) {}
