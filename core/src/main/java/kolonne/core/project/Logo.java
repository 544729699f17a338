package kolonne.core.project;

/** A picture of an office for its paper. @param bytes PNG or JPEG; width and height in pixels */
public record Logo(byte[] bytes, int width, int height) {
    /** Largest file [bytes]. */
    public static final int LARGEST = 512 << 10;
    /** Most pixels along a side. */
    public static final int MOST_PIXELS = 2000;
}
