package kolonne.server.api;

import java.util.List;
import kolonne.core.finding.Finding;

/**
 * An error as problem+json (RFC 9457).
 *
 * @param title    what, in a sentence
 * @param detail   how to mend it
 * @param findings every single thing that is wrong
 */
public record Problem(String type, String title, int status, String detail, List<FindingDto> findings) {
    /** A finding on the wire. */
    public record FindingDto(
            String severity, String code, String where, String what, String mend, String clause, String combination) {
        static FindingDto of(Finding f) {
            return new FindingDto(
                    f.severity().word(), f.code(), f.where(), f.what(), f.mend(), f.clause(), f.combination());
        }

        static List<FindingDto> of(List<Finding> all) {
            return all.stream().map(FindingDto::of).toList();
        }
    }

    static Problem of(int status, String type, String title, String detail) {
        return new Problem("kolonne:" + type, title, status, detail, List.of());
    }

    static Problem of(int status, String type, String title, List<Finding> findings) {
        return new Problem(
                "kolonne:" + type,
                title,
                status,
                findings.isEmpty() ? "" : findings.get(0).mend(),
                FindingDto.of(findings));
    }
}
