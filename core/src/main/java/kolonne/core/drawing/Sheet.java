package kolonne.core.drawing;

import java.util.List;

/**
 * A sheet with its frame, its title block and what is drawn on it.
 *
 * @param number  from 1
 * @param marks   of the details on it, in order
 * @param drawing in millimetres from the sheet's lower left corner
 */
public record Sheet(int number, Paper paper, List<String> marks, Drawing drawing) {
    public Sheet {
        marks = List.copyOf(marks);
    }
}
