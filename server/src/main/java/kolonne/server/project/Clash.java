package kolonne.server.project;

import java.util.List;
import kolonne.core.finding.Finding;

/** A change that goes against what somebody else changed meanwhile. */
public final class Clash extends RuntimeException {
    private static final long serialVersionUID = 1;
    private final transient List<Finding> findings;

    Clash(List<Finding> findings) {
        super("changed meanwhile by somebody else");
        this.findings = List.copyOf(findings);
    }

    /** What each of the two wants. */
    public List<Finding> findings() {
        return findings;
    }
}
