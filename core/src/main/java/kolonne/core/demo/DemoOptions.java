package kolonne.core.demo;

/**
 * @param seed     varies bay widths and loads
 * @param storeys  floors above the ground
 * @param baysX    bays along X
 * @param baysY    bays along Y
 * @param features whether to add the pavilion, setback, hall, transfer, cantilevers and the hidden-beam floor
 */
public record DemoOptions(long seed, int storeys, int baysX, int baysY, boolean features) {
    /** The Veldhaven building. */
    public static final DemoOptions VELDHAVEN = new DemoOptions(7, 7, 6, 4, true);

    public DemoOptions {
        if (storeys < 1 || storeys > 60 || baysX < 1 || baysX > 60 || baysY < 1 || baysY > 60) {
            throw new IllegalArgumentException("storeys and bays must be 1 to 60");
        }
    }

    /** A plain frame with about that many members. */
    public static DemoOptions ofSize(int members) {
        int storeys = Math.max(1, Math.min(20, (int) Math.round(Math.cbrt(members / 22.0))));
        int bays = 1;
        while (storeys * perStorey(bays + 1, bays + 1) <= members && bays < 59) {
            bays++;
        }
        return new DemoOptions(7, storeys, bays, bays, false);
    }

    private static int perStorey(int x, int y) {
        return (x + 1) * (y + 1) + 2 * x * (y + 1) + (x + 1) * y + x * y;
    }
}
