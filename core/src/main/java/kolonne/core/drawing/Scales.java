package kolonne.core.drawing;

import java.util.Arrays;

/** Scales of a drawing office: of the whole member, and of its sections. */
record Scales(int whole, int section) {
    private static final int[] WHOLE = {50, 75, 100, 125, 150, 200, 250, 500, 1000};
    private static final int[] SECTION = {20, 25, 40, 50};

    /** The largest at which a member is no longer than the paper has room. @param deepest side of a section, {@code space} for it [mm] */
    static Scales fitting(double length, double room, double deepest, double space) {
        int whole =
                Arrays.stream(WHOLE).filter(s -> length / s <= room).findFirst().orElse(WHOLE[WHOLE.length - 1]);
        int section = Arrays.stream(SECTION)
                .filter(s -> deepest / s <= space)
                .findFirst()
                .orElse(SECTION[SECTION.length - 1]);
        return new Scales(whole, section);
    }

    double ofWhole(double mm) {
        return mm / whole;
    }

    double ofSection(double mm) {
        return mm / section;
    }
}
