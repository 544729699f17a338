package kolonne.server.guard;

/** A request that is not let through. */
public final class Refusal extends RuntimeException {
    private final int status;
    private final String type;
    private final String mend;

    /** @param status of HTTP; @param type last part of the problem's type; @param what in a sentence; @param mend how to mend it */
    public Refusal(int status, String type, String what, String mend) {
        super(what, null, false, false);
        this.status = status;
        this.type = type;
        this.mend = mend;
    }

    public int status() {
        return status;
    }

    public String type() {
        return type;
    }

    public String mend() {
        return mend;
    }
}
