package kolonne.core.basis.part;

/** How bars of a column are joined with those of the lift below. */
public enum ColumnSplices {
    LAPS,
    /** By mechanical couplers where a bar stands over one of its size; by laps elsewhere. */
    COUPLERS
}
