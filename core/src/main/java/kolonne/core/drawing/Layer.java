package kolonne.core.drawing;

/** What a part of a drawing shows. Widths of lines follow ISO 128 [mm]. */
public enum Layer {
    CONCRETE(0.35),
    HIDDEN(0.18),
    BARS(0.5),
    STIRRUPS(0.25),
    DIMENSIONS(0.18),
    GRID(0.18),
    TEXT(0.25),
    FRAME(0.5);

    private final double width;

    Layer(double width) {
        this.width = width;
    }

    /** Width of its lines [mm]. */
    public double width() {
        return width;
    }

    /** Whether its lines are dashed. */
    public boolean dashed() {
        return this == HIDDEN;
    }
}
