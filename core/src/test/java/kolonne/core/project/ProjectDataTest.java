package kolonne.core.project;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import kolonne.core.project.ProjectData.Field;
import org.junit.jupiter.api.Test;

/** What may be said of a project, and how the heads of pages put it. */
class ProjectDataTest {
    @Test
    void headsNameWhatIsKnown() {
        assertEquals("", ProjectData.EMPTY.line());
        assertEquals("Hall", ProjectData.EMPTY.title("Hall"));
        ProjectData d = ProjectData.EMPTY.with(Field.JOB, "26-114").with(Field.DATE, "2026-11-27");
        assertEquals("job 26-114 · 2026-11-27", d.line());
        assertEquals(
                "job 26-114 · rev B · 2026-11-27",
                d.with(List.of(revision("A"), revision("B"))).line());
        assertEquals("Annex", d.with(Field.TITLE, "Annex").title("Hall"));
        assertEquals(d, d.with(Field.TITLE, "Annex").with(Field.TITLE, ""), "an empty text is none");
    }

    private static Revision revision(String index) {
        return new Revision(index, "", "", "");
    }

    @Test
    void paperIsOneOfTheSizesThatThereAre() {
        assertEquals(PageSize.A4, ProjectData.EMPTY.page());
        ProjectData letter = ProjectData.EMPTY.with(Field.PAPER, "letter");
        assertEquals(PageSize.LETTER, letter.page());
        assertTrue(letter.findings().isEmpty());
        assertEquals(279.4, PageSize.LETTER.height());
        assertEquals(
                "project.paper",
                ProjectData.EMPTY.with(Field.PAPER, "B5").findings().get(0).code());
    }

    @Test
    void whatDoesNotFitIsNamed() {
        for (Field f : EnumSet.complementOf(EnumSet.of(Field.PAPER))) {
            assertTrue(
                    ProjectData.EMPTY
                            .with(f, "é".repeat(f.longest()))
                            .findings()
                            .isEmpty(),
                    f.words());
            assertEquals(
                    f.words(),
                    ProjectData.EMPTY
                            .with(f, "é".repeat(f.longest() + 1))
                            .findings()
                            .get(0)
                            .where());
        }
        // characters that take two places count once
        assertTrue(ProjectData.EMPTY.with(Field.JOB, "🏛".repeat(40)).findings().isEmpty());
        assertEquals(1, ProjectData.EMPTY.with(Field.CLIENT, "a\nb").findings().size());
        assertTrue(ProjectData.EMPTY.with(Field.NOTES, "a\nb").findings().isEmpty(), "notes may have lines");
        assertEquals(
                1,
                ProjectData.EMPTY
                        .with(Collections.nCopies(61, revision("A")))
                        .findings()
                        .size());
        ProjectData wide = new ProjectData(
                Map.of(),
                List.of(revision("A"), new Revision("B", "d".repeat(41), "w".repeat(81), "by two people")),
                null);
        assertEquals(3, wide.findings().size());
        assertTrue(wide.findings().stream().allMatch(f -> f.where().startsWith("revision 2, ")));
    }
}
