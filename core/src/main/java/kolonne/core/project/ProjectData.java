package kolonne.core.project;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kolonne.core.finding.Finding;

/**
 * What a person says of a project for its paper: who it is for, who made and checked it, and what was revised. Texts may be empty.
 *
 * @param texts     by their field; those left out are empty
 * @param revisions oldest first
 * @param logo      or null
 */
public record ProjectData(Map<Field, String> texts, List<Revision> revisions, Logo logo) {
    /** Most lines of the table of revisions. */
    private static final int MOST_REVISIONS = 60;

    public static final ProjectData EMPTY = new ProjectData(Map.of(), List.of(), null);

    /** The texts. */
    public enum Field {
        TITLE("title", 120),
        CLIENT("client", 120),
        ADDRESS("address", 160),
        JOB("job number", 40),
        DESIGNER("designed by", 60),
        CHECKER("checked by", 60),
        DATE("date", 40),
        NOTES("notes", 1000),
        /** Of reports and schedules; A4 where it is empty. */
        PAPER("paper size", 10);

        private final String words;
        private final int longest;

        Field(String words, int longest) {
            this.words = words;
            this.longest = longest;
        }

        public String words() {
            return words;
        }

        /** Most characters. */
        public int longest() {
            return longest;
        }
    }

    public ProjectData {
        Map<Field, String> kept = new EnumMap<>(Field.class);
        texts.forEach((f, s) -> {
            if (!s.isEmpty()) {
                kept.put(f, s);
            }
        });
        texts = Map.copyOf(kept);
        revisions = List.copyOf(revisions);
    }

    public String text(Field f) {
        return texts.getOrDefault(f, "");
    }

    /** What reports and schedules are printed on. */
    public PageSize page() {
        return PageSize.of(text(Field.PAPER)).orElse(PageSize.A4);
    }

    /** The title, or what the building is called where none is given. */
    public String title(String building) {
        return text(Field.TITLE).isEmpty() ? building : text(Field.TITLE);
    }

    /** The same with another text. */
    public ProjectData with(Field f, String text) {
        Map<Field, String> changed = new EnumMap<>(Field.class);
        changed.putAll(texts);
        changed.put(f, text);
        return new ProjectData(changed, revisions, logo);
    }

    /** The same with other revisions. */
    public ProjectData with(List<Revision> other) {
        return new ProjectData(texts, other, logo);
    }

    /** The same with another logo, or with none for null. */
    public ProjectData with(Logo other) {
        return new ProjectData(texts, revisions, other);
    }

    /** The newest revision's index; empty where there is none. */
    public String revision() {
        return revisions.isEmpty() ? "" : revisions.get(revisions.size() - 1).index();
    }

    /** What the head of a page says beside the title, such as {@code Job 1042 · rev B · 2026-11-27}; empty where nothing is known. */
    public String line() {
        return Stream.of(
                        prefixed("job ", text(Field.JOB)),
                        text(Field.CLIENT),
                        prefixed("rev ", revision()),
                        text(Field.DATE))
                .filter(s -> !s.isEmpty())
                .collect(Collectors.joining(" · "));
    }

    private static String prefixed(String before, String s) {
        return s.isEmpty() ? s : before + s;
    }

    /** What of it does not go on paper: too long, or not a text of one line. */
    public List<Finding> findings() {
        List<Finding> out = new ArrayList<>();
        texts.forEach((f, s) -> text(f.words(), s, f.longest(), f == Field.NOTES, out));
        if (!text(Field.PAPER).isEmpty() && PageSize.of(text(Field.PAPER)).isEmpty()) {
            out.add(Finding.fails(
                    "project.paper",
                    Field.PAPER.words(),
                    "There is no paper size " + text(Field.PAPER) + ".",
                    "Take A4 or Letter."));
        }
        if (revisions.size() > MOST_REVISIONS) {
            out.add(Finding.fails(
                    "project.revisions",
                    "revisions",
                    "There are " + revisions.size() + " revisions; the table holds " + MOST_REVISIONS + ".",
                    "Leave out the oldest."));
        }
        for (int i = 0; i < revisions.size(); i++) {
            Revision r = revisions.get(i);
            String where = "revision " + (i + 1) + ", ";
            text(where + "index", r.index(), Revision.LONGEST_INDEX, false, out);
            text(where + "date", r.date(), Field.DATE.longest(), false, out);
            text(where + "what", r.what(), Revision.LONGEST, false, out);
            text(where + "by", r.by(), Revision.LONGEST_INDEX, false, out);
        }
        return out;
    }

    private static void text(String where, String s, int longest, boolean lines, List<Finding> out) {
        if (s.codePointCount(0, s.length()) > longest) {
            out.add(Finding.fails(
                    "project.text",
                    where,
                    "The text is longer than " + longest + " characters.",
                    "Shorten it: it has to fit the title block."));
        }
        if (s.codePoints().anyMatch(c -> Character.isISOControl(c) && !(lines && c == '\n'))) {
            out.add(Finding.fails(
                    "project.text",
                    where,
                    "The text holds line breaks or other control characters.",
                    "Write it in one line."));
        }
    }
}
