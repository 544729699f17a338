package kolonne.core.model;

/** A setting-out line in plan, from (x1, y1) to (x2, y2) [mm]. */
public record GridLine(String id, double x1, double y1, double x2, double y2) {}
