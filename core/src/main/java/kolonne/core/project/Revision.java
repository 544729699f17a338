package kolonne.core.project;

/**
 * A line of the table of revisions of what is issued.
 *
 * @param index letter or number
 * @param what  was changed, in words
 * @param by    initials
 */
public record Revision(String index, String date, String what, String by) {
    static final int LONGEST = 80;
    static final int LONGEST_INDEX = 8;
}
