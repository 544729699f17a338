package kolonne.core.section;

/** Bars at one level of a section. @param depth of their centroid from the compression face [mm]; @param area [mm2] */
public record BarLayer(double depth, double area) {}
