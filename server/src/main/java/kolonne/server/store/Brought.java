package kolonne.server.store;

/**
 * What work that another server can take up is made of, besides the file that was brought.
 *
 * @param projectId  of a newer model that of its project; of an import the one that the project is stored under, settled before: whoever takes it up finds what was
 *                   stored already
 * @param name       of the project, null for that of the building; of a curve its role, of a file that is made its address
 * @param fileName   of the file
 * @param person     who brings it, as {@link By} has them; {@code fromWindow} the window in which they do it
 * @param megabytes  that it takes of the heap
 */
public record Brought(
        String projectId,
        String name,
        String fileName,
        String person,
        String account,
        String address,
        String fromWindow,
        int megabytes) {
    /** The same by who brings it. */
    public static Brought of(String projectId, String name, String fileName, By by, int megabytes) {
        return new Brought(projectId, name, fileName, by.person(), by.account(), by.address(), by.window(), megabytes);
    }

    public By by() {
        return new By(person, account, address, fromWindow);
    }
}
