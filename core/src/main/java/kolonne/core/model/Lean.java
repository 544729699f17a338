package kolonne.core.model;

/** A load case that is the vertical loads of another, turned with a frame out of plumb. @param of that other case; @param axis 0 for X, 1 for Y */
public record Lean(String of, int axis) {}
