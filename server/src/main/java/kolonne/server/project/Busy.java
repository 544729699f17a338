package kolonne.server.project;

/** Too many changes of one project wait for their turn. */
public final class Busy extends RuntimeException {
    private static final long serialVersionUID = 1;

    Busy() {
        super("changes of others were waited for in vain");
    }
}
