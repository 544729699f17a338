package kolonne.core.revision;

import java.util.List;

/**
 * Something in which a newer model differs from an older one; what differs alike is one difference.
 *
 * @param what    what differs, for instance {@code section} or {@code loads in LL}
 * @param was     in the older model; empty where it is new
 * @param now     in the newer one; empty where it is gone
 * @param parts   ids of members, of slabs those of panels; in the newer model, in the older one of what is gone. Empty where none is meant
 */
public record Difference(Kind kind, String what, String was, String now, List<String> parts) {
    /** What differs, in the order in which it is told. */
    public enum Kind {
        NEW("New members"),
        GONE("Members gone"),
        MOVED("Moved"),
        DIVIDED("Divided"),
        JOINED("Joined"),
        RENAMED("Other ids"),
        RESIZED("Section"),
        CONCRETE("Concrete"),
        CONNECTED("Connections and stiffness"),
        RELOADED("Loads on members"),
        SLABS("Slabs and their loads"),
        CASES("Load cases"),
        COMBINATIONS("Combinations"),
        JOINTS("Supports and joints"),
        FRAME("Storeys, grid and analysis");

        private final String title;

        Kind(String title) {
            this.title = title;
        }

        public String title() {
            return title;
        }
    }

    public Difference {
        parts = List.copyOf(parts);
    }
}
