package kolonne.server.store;

/**
 * Long work that any server or worker may take.
 *
 * @param state    {@code waiting}, {@code taken}, {@code done}, {@code failed}, or {@code old} once a newer version is wanted
 * @param holder   who does it, or did; null before
 * @param lost     taken, and its holder has not said for a while that it lives
 * @param tries    how often it was taken
 * @param doing    what the holder is at, with {@code done} of {@code total} steps
 * @param findings why it failed, as JSON; null where it did not, or where every holder died of it
 */
public record TaskRow(
        String id,
        String kind,
        String projectId,
        int version,
        String state,
        String holder,
        boolean lost,
        int tries,
        String doing,
        int done,
        int total,
        String findings) {
    public static final String WAITING = "waiting";
    public static final String TAKEN = "taken";
    public static final String DONE = "done";
    public static final String FAILED = "failed";
    public static final String OLD = "old";

    public boolean is(String asked) {
        return state.equals(asked);
    }
}
