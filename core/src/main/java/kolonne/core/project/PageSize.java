package kolonne.core.project;

import java.util.Arrays;
import java.util.Optional;

/** Paper of reports and schedules, upright [mm]. */
public enum PageSize {
    A4("A4", 210, 297),
    LETTER("Letter", 215.9, 279.4);

    private final String word;
    private final double width;
    private final double height;

    PageSize(String word, double width, double height) {
        this.word = word;
        this.width = width;
        this.height = height;
    }

    /** As a person writes it. */
    public String word() {
        return word;
    }

    public double width() {
        return width;
    }

    public double height() {
        return height;
    }

    /** Empty for a size that there is not. */
    static Optional<PageSize> of(String word) {
        return Arrays.stream(values())
                .filter(p -> p.word.equalsIgnoreCase(word))
                .findFirst();
    }
}
