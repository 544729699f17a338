package kolonne.core.drawing;

import java.util.List;
import java.util.Optional;
import kolonne.core.project.Logo;

/**
 * A sheet with its frame, its title block and what is drawn on it.
 *
 * @param number  from 1
 * @param marks   of the details on it, in order
 * @param drawing in millimetres from the sheet's lower left corner
 * @param picture the logo and where it goes, if there is one
 */
public record Sheet(int number, Paper paper, List<String> marks, Drawing drawing, Optional<Picture> picture) {
    /** A picture in a box of the sheet, as large as it can be there [mm]. */
    public record Picture(Logo logo, double x, double y, double width, double height) {
        /** Within the box: left, bottom, width and height with the picture's own proportions, in the box's middle. */
        static Picture within(Logo logo, TitleBlock.Box box) {
            double f = Math.min(box.width() / logo.width(), box.height() / logo.height());
            double w = f * logo.width();
            double h = f * logo.height();
            return new Picture(logo, box.x() + (box.width() - w) / 2, box.y() + (box.height() - h) / 2, w, h);
        }
    }

    public Sheet {
        marks = List.copyOf(marks);
    }
}
