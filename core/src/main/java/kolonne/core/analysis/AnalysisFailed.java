package kolonne.core.analysis;

import java.util.List;
import java.util.stream.Collectors;
import kolonne.core.finding.Finding;

/** The frame cannot be solved; the findings say where and how to mend it. */
public final class AnalysisFailed extends RuntimeException {
    private final transient List<Finding> findings;

    public AnalysisFailed(List<Finding> findings) {
        super(findings.stream().map(Finding::toString).collect(Collectors.joining("; ")));
        this.findings = List.copyOf(findings);
    }

    public List<Finding> findings() {
        return findings;
    }
}
