package kolonne.core.drawing;

import java.util.List;
import kolonne.core.project.ProjectData;
import kolonne.core.project.ProjectData.Field;
import kolonne.core.project.Revision;

/**
 * The block along the foot of a sheet: revisions and logo where there is room, then the project, what the sheet shows, who made and checked it, and
 * its number. Texts that are long for their cell are set smaller; past the smallest readable size they are cut.
 */
final class TitleBlock {
    private static final double ROW = Paper.TITLE / 3;
    /** Widths of the cells from the right [mm]. */
    private static final double NUMBER = 32;

    private static final double PEOPLE = 50;
    private static final double CONTENT = 72;
    /** Of the project's own cell, at least and at most. */
    private static final double LEAST = 80;

    private static final double MOST = 150;
    private static final double LOGO = 44;
    private static final double GAP = 2;
    private static final double CAPTION = 1.6;
    private static final double LARGE = 3;
    private static final double SMALLEST = 1.5;
    /** Lines of the table of revisions; the newest are shown. */
    private static final int REVISIONS = 4;
    /** Right ends of the columns of the table of revisions, as parts of its width. */
    private static final double[] COLUMNS = {0.1, 0.32, 0.88, 1};

    private final Drawing.Pen pen;
    private final Paper paper;
    private final ProjectData project;
    private final String building;
    private final double right;

    /** Where a logo is drawn, within its margins [mm]. */
    record Box(double x, double y, double width, double height) {}

    private TitleBlock(Drawing.Pen pen, Paper paper, ProjectData project, String building) {
        this.pen = pen;
        this.paper = paper;
        this.project = project;
        this.building = building;
        this.right = paper.width() - Paper.MARGIN;
    }

    /**
     * Draws the block.
     *
     * @param details what the sheet shows; {@code code} what it is designed to; {@code number} of the sheet, such as 2 of 7
     * @return where the project's logo goes, or null
     */
    static Box draw(
            Drawing.Pen pen,
            Paper paper,
            ProjectData project,
            String building,
            String details,
            String code,
            String number) {
        TitleBlock b = new TitleBlock(pen, paper, project, building);
        double foot = Paper.MARGIN + Paper.TITLE;
        pen.line(Layer.FRAME, Paper.LEFT, foot, b.right, foot);
        double x = b.right - NUMBER;
        b.rows(
                x,
                NUMBER,
                List.of("sheet", "revision", "job number"),
                List.of(number, project.revision(), b.of(Field.JOB)));
        x -= PEOPLE;
        b.rows(
                x,
                PEOPLE,
                List.of(Field.DESIGNER.words(), Field.CHECKER.words(), Field.DATE.words()),
                List.of(b.of(Field.DESIGNER), b.of(Field.CHECKER), b.of(Field.DATE)));
        x -= CONTENT;
        b.rows(x, CONTENT, List.of("details", "designed to", "status"), List.of(details, code, "For review"));
        return b.rest(x);
    }

    private String of(Field f) {
        return project.text(f);
    }

    /** The project's cell, and left of it the logo and the revisions where there is room. */
    private Box rest(double end) {
        double room = end - Paper.LEFT;
        double logo = project.logo() != null && room - LOGO >= LEAST ? LOGO : 0;
        double own = Math.min(MOST, Math.max(LEAST, (room - logo) / 2));
        boolean table = room - logo - own >= LEAST;
        if (!table) {
            own = room - logo;
        }
        double x = end - own;
        rows(
                x,
                own,
                List.of("client", "project", "address"),
                List.of(of(Field.CLIENT), project.title(building), of(Field.ADDRESS)));
        if (table) {
            revisions(Paper.LEFT, room - logo - own);
        }
        if (logo == 0) {
            return null;
        }
        double left = x - LOGO;
        if (table) {
            pen.line(Layer.FRAME, left, Paper.MARGIN, left, Paper.MARGIN + Paper.TITLE);
        }
        return new Box(left + GAP, Paper.MARGIN + GAP, LOGO - 2 * GAP, Paper.TITLE - 2 * GAP);
    }

    /** A cell of three rows, each a caption with its text beneath. */
    private void rows(double x, double width, List<String> captions, List<String> texts) {
        if (x > Paper.LEFT + 0.1) {
            pen.line(Layer.FRAME, x, Paper.MARGIN, x, Paper.MARGIN + Paper.TITLE);
        }
        for (int i = 0; i < captions.size(); i++) {
            double top = Paper.MARGIN + Paper.TITLE - i * ROW;
            if (i > 0) {
                pen.line(Layer.DIMENSIONS, x, top, x + width, top);
            }
            pen.text(x + GAP, top - 2.6, CAPTION, Drawing.Align.LEFT, captions.get(i));
            fitted(x + GAP, top - ROW + 1.6, width - 2 * GAP, LARGE, true, texts.get(i));
        }
    }

    private void revisions(double x, double width) {
        List<Revision> all = project.revisions();
        List<Revision> shown = all.subList(Math.max(0, all.size() - REVISIONS), all.size());
        double row = Paper.TITLE / (REVISIONS + 1);
        for (double c : COLUMNS) {
            if (c < 1) {
                pen.line(Layer.DIMENSIONS, x + c * width, Paper.MARGIN, x + c * width, Paper.MARGIN + Paper.TITLE);
            }
        }
        List<String> head = List.of("rev", "date", "what was revised", "by");
        for (int i = 0; i <= REVISIONS; i++) {
            double base = Paper.MARGIN + Paper.TITLE - (i + 1) * row;
            if (i < REVISIONS) {
                pen.line(Layer.DIMENSIONS, x, base, x + width, base);
            }
            // the newest stands on top
            int k = shown.size() - i;
            List<String> texts = i == 0
                    ? head
                    : k < 0
                            ? List.of()
                            : List.of(
                                    shown.get(k).index(),
                                    shown.get(k).date(),
                                    shown.get(k).what(),
                                    shown.get(k).by());
            double left = 0;
            for (int c = 0; c < texts.size(); c++) {
                fitted(
                        x + left * width + 1,
                        base + row / 2 - 0.9,
                        (COLUMNS[c] - left) * width - 2,
                        i == 0 ? CAPTION : 1.8,
                        false,
                        texts.get(c));
                left = COLUMNS[c];
            }
        }
    }

    /** A text no wider than {@code room}. */
    private void fitted(double x, double y, double room, double height, boolean bold, String text) {
        double wide = Drawing.Label.width(text, 1);
        double h = Math.min(height, room / Math.max(wide, 1e-6));
        if (h >= SMALLEST) {
            pen.text(x, y, h, Drawing.Align.LEFT, bold, text);
            return;
        }
        int most = (int) Math.floor(room / Drawing.Label.width("m", SMALLEST)) - 1;
        pen.text(
                x,
                y,
                SMALLEST,
                Drawing.Align.LEFT,
                bold,
                text.substring(0, text.offsetByCodePoints(0, Math.max(1, most))) + "…");
    }
}
