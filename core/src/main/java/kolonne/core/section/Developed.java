package kolonne.core.section;

/** What of its yield strength a bar has room to develop, 0 to 1, where it is pulled and where it is pushed. */
public record Developed(double tension, double compression) {
    public static final Developed WHOLE = new Developed(1, 1);

    public boolean whole() {
        return least() >= 1;
    }

    /** The smaller of both. */
    public double least() {
        return Math.min(tension, compression);
    }
}
