package kolonne.core.finding;

import java.util.Objects;

/**
 * One thing worth telling.
 *
 * @param severity    fails, note or info
 * @param code        stable key for interface and tests, for instance {@code joint.dangling}; for design findings the cause's id
 * @param where       what a person can look at: a file path, a member, a joint, a place along a line
 * @param what        the value found and the bound, with units
 * @param mend        an action, imperative; empty where there is nothing to do
 * @param clause      the clause of the design code, or empty
 * @param combination the governing combination, or empty
 */
public record Finding(
        Severity severity, String code, String where, String what, String mend, String clause, String combination) {
    public Finding {
        Objects.requireNonNull(severity);
        Objects.requireNonNull(code);
        Objects.requireNonNull(where);
        Objects.requireNonNull(what);
        mend = mend == null ? "" : mend;
        clause = clause == null ? "" : clause;
        combination = combination == null ? "" : combination;
    }

    /** A finding about input: no clause, no combination. */
    public static Finding fails(String code, String where, String what, String mend) {
        return new Finding(Severity.FAILS, code, where, what, mend, "", "");
    }

    /** A finding to know about, which stops nothing. */
    public static Finding note(String code, String where, String what, String mend) {
        return new Finding(Severity.NOTE, code, where, what, mend, "", "");
    }

    /** Plain information. */
    public static Finding info(String code, String where, String what) {
        return new Finding(Severity.INFO, code, where, what, "", "", "");
    }

    /** A member's failure, or a note with one of the closed list of causes. */
    public static Finding design(
            Severity severity, Cause cause, String where, String what, String mend, String clause, String combination) {
        return new Finding(severity, cause.id(), where, what, mend, clause, combination);
    }

    @Override
    public String toString() {
        return severity.word() + " " + code + " at " + where + ": " + what + (mend.isEmpty() ? "" : " " + mend);
    }
}
