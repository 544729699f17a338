package kolonne.core.section;

/** A bar in a section. @param x along the width, @param y along the depth, from the centroid [mm]; area [mm2] */
public record PlacedBar(double x, double y, double area) {}
