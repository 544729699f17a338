package kolonne.core.detail;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.design.DesignedDemo;
import org.junit.jupiter.api.Test;

/** What the sheet says of the bars of a lift: as many as its cage and its list have. */
class StandingWordsTest {
    @Test
    void everyBarIsToldOnce() {
        List<String> all = new ArrayList<>();
        for (ColumnDesign c : DesignedDemo.by(Basis.standard(false)).columns()) {
            for (int i = 0; i < c.lifts().size(); i++) {
                List<String> words = StandingWords.of(c.stack(), i, c.cage(), c.basis());
                int own = words.stream()
                        .filter(w -> w.contains("go on") || w.contains("end under"))
                        .mapToInt(StandingWordsTest::bars)
                        .sum();
                assertEquals(c.cage().lifts().get(i).count(), own, c.stack().mark() + " " + words);
                int starters = words.stream()
                        .filter(w -> w.contains("starter bars"))
                        .mapToInt(StandingWordsTest::bars)
                        .sum();
                assertEquals(i == 0 ? c.cage().lifts().get(0).count() : 0, starters, words.toString());
                all.addAll(words);
            }
        }
        for (String part :
                List.of("bent aside", "dowels", "into the foundation", "into the beam", "bent", "straight")) {
            assertTrue(all.stream().anyMatch(w -> w.contains(part)), part);
        }
    }

    /** Before the words: {@code 4T25 + 8T20}. */
    private static int bars(String words) {
        int sum = 0;
        for (String part : words.split(" ")) {
            if (part.matches("\\d+T\\d+")) {
                sum += Integer.parseInt(part.substring(0, part.indexOf('T')));
            } else if (!part.equals("+")) {
                break;
            }
        }
        return sum;
    }
}
