package kolonne.core.model;

/** A uniform load on a slab panel. @param pressure downwards positive [N/mm2] */
public record AreaLoad(String loadCase, String panel, double pressure) {}
