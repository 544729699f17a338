package kolonne.core.finding;

/** How much a finding matters: a failing requirement, something to know before issuing, or plain information. */
public enum Severity {
    FAILS,
    NOTE,
    INFO;

    /** The word used in files and on screen. */
    public String word() {
        return name().toLowerCase(java.util.Locale.ROOT);
    }
}
