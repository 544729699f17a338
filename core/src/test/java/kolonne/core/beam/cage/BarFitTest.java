package kolonne.core.beam.cage;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Preference;
import kolonne.core.code.Bar;
import org.junit.jupiter.api.Test;

/** Bars between the legs of a stirrup, by hand, and the memory of what was placed. */
class BarFitTest {
    private static final Basis BASIS = Basis.standard(false);

    private static Bar bar(int diameter) {
        return BASIS.beamBarList().stream()
                .filter(b -> b.diameter() == diameter)
                .findFirst()
                .orElseThrow();
    }

    private static BarFit.Wanted wanted(int added) {
        return new BarFit.Wanted(300, BASIS.stirrupList().get(0), 2, bar(16), added, bar(16), false);
    }

    /**
     * Web 300, cover 40, stirrup 10: 200 between the legs. Five T16 leave (200 − 5 · 16) / 4 = 30 mm, six 20.8; ACI 318-19 25.2.1 asks 4/3 · 20 = 26.7.
     * The sixth bar lies 25 mm (25.2.2) over the first layer: 40 + 10 + 16 + 25 + 8 = 99; a site lays another beside it.
     */
    @Test
    void whatFindsNoRoomBesideTheOthersLiesOverThem() {
        assertEquals(40, BASIS.beamCover());
        assertEquals(10, BASIS.stirrupList().get(0).diameter());
        assertEquals(20, BASIS.aggregate());
        assertEquals(
                List.of(
                        new BarFit.Layer(1, 2, bar(16), 58),
                        new BarFit.Layer(1, 3, bar(16), 58),
                        new BarFit.Layer(2, 1, bar(16), 99)),
                BarFit.place(wanted(4), BASIS.with(Preference.LEAST_STEEL)));
        assertEquals(
                List.of(
                        new BarFit.Layer(1, 2, bar(16), 58),
                        new BarFit.Layer(1, 2, bar(16), 58),
                        new BarFit.Layer(2, 2, bar(16), 99)),
                BarFit.place(wanted(4), BASIS));
    }

    /** Five in each layer: with two of them through, three more in the first, and five over them in every further layer that is allowed. */
    @Test
    void layersAreFullWhereFiveLieInEach() {
        int most = 3 + 5 * (BASIS.bars().layersMost() - 1);
        assertEquals(
                most,
                BarFit.place(wanted(most), BASIS).stream()
                                .mapToInt(BarFit.Layer::count)
                                .sum()
                        - 2);
        assertNull(BarFit.place(wanted(most + 1), BASIS));
        assertNull(BarFit.place(wanted(44), BASIS));
    }

    /** The memory passes over what is more than ever fits: it must answer what placing anew answers, in whatever order it is asked. */
    @Test
    void theMemoryAnswersWhatPlacingAnewAnswers() {
        Random random = new Random(12);
        List<Bar> bars = BASIS.beamBarList();
        List<Bar> stirrups = BASIS.stirrupList();
        BarFit.Memo memo = new BarFit.Memo(BASIS);
        List<BarFit.Wanted> asked = new ArrayList<>();
        int none = 0;
        int alone = 0;
        for (int i = 0; i < 4000; i++) {
            BarFit.Wanted w = random.nextInt(4) == 0 && !asked.isEmpty()
                    ? asked.get(random.nextInt(asked.size()))
                    : new BarFit.Wanted(
                            150 + 50 * random.nextInt(8),
                            stirrups.get(random.nextInt(stirrups.size())),
                            2 + random.nextInt(4),
                            bars.get(random.nextInt(bars.size())),
                            random.nextInt(30),
                            bars.get(random.nextInt(bars.size())),
                            random.nextInt(5) == 0);
            asked.add(w);
            List<BarFit.Layer> anew = BarFit.place(w, BASIS);
            none += anew == null ? 1 : 0;
            assertEquals(anew, memo.place(w), w.toString());
            alone += alone(anew) ? 1 : 0;
        }
        assertTrue(none > 400 && none < 3600, none + " do not fit");
        assertEquals(0, alone, "bars alone over two or more");
    }

    /** Whether a bar lies alone over a layer that could have lent it another. */
    private static boolean alone(List<BarFit.Layer> layers) {
        if (layers == null || layers.size() < 3) {
            return false;
        }
        BarFit.Layer last = layers.get(layers.size() - 1);
        BarFit.Layer below = layers.get(layers.size() - 2);
        return last.number() > 1 && last.count() == 1 && (below.count() > 1 || below.number() == 1);
    }
}
