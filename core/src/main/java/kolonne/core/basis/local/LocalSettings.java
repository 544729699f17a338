package kolonne.core.basis.local;

/**
 * Settings of some members. Where several hold for one member, each value is that of the last that gives it.
 *
 * @param name unique in a basis
 */
public record LocalSettings(String name, LocalScope scope, LocalValues values) {
    /** Local settings a basis may have. */
    public static final int MOST = 50;
    /** Members that one of them may name. */
    public static final int MEMBERS_MOST = 20_000;
    /** Letters of a name. */
    public static final int NAME_MOST = 80;
}
