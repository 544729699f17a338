package kolonne.core.detail;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kolonne.core.basis.Basis;
import kolonne.core.design.DesignedDemo;
import kolonne.core.schedule.Scheduled;
import kolonne.core.schedule.Schedules;
import org.junit.jupiter.api.Test;

/** Every shape that the bar list names is drawn, with a letter for each of its dimensions. */
class ShapeSketchTest {
    @Test
    void everyShapeOfTheBarListIsDrawnWithItsLetters() {
        Map<String, Integer> letters = new HashMap<>();
        for (Schedules.BarRow r : Schedules.bars(Scheduled.of(DesignedDemo.by(Basis.standard(false))))) {
            letters.merge(r.item().shape(), r.item().dims().size(), Math::max);
        }
        assertTrue(letters.keySet().containsAll(Set.of("00", "11", "21", "51", "75", "99")), letters.toString());
        List<ShapeSketch> sketches = ShapeSketch.of(letters.keySet());
        assertEquals(letters.size(), sketches.size());
        for (ShapeSketch s : sketches) {
            assertEquals(letters.get(s.code()), s.letters().size(), s.code());
            for (int i = 0; i < s.letters().size(); i++) {
                assertEquals(
                        String.valueOf((char) ('A' + i)), s.letters().get(i).text());
            }
            for (List<Double> line : s.lines()) {
                assertEquals(0, line.size() % 2);
                for (int k = 0; k < line.size(); k += 2) {
                    assertTrue(line.get(k) >= 0 && line.get(k) <= 100, s.code());
                    assertTrue(line.get(k + 1) >= 0 && line.get(k + 1) <= 60, s.code());
                }
            }
        }
        assertTrue(ShapeSketch.of(List.of("12")).isEmpty());
    }
}
