package kolonne.server.store;

/**
 * Work that a server does and others tell of.
 *
 * @param projectId that it belongs to; null for one that makes a project
 * @param holder    the server that does it
 * @param lost      not ended, and its holder has not said for a while that it lives
 * @param phase     name of a phase
 * @param findings  why it failed, as JSON; null where it did not
 * @param result    what it made, or null
 * @param cancelled whether somebody wants it stopped
 */
public record JobRow(
        String id,
        String kind,
        String projectId,
        String holder,
        boolean lost,
        String phase,
        String doing,
        int done,
        int total,
        String findings,
        String result,
        boolean cancelled) {}
