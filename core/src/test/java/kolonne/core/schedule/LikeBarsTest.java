package kolonne.core.schedule;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import java.util.List;
import java.util.stream.IntStream;
import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import kolonne.core.detail.BarItem;
import org.junit.jupiter.api.Test;

class LikeBarsTest {
    private static final Bar T16 = BarCatalogue.METRIC.find("T16");
    private static final Bar T20 = BarCatalogue.METRIC.find("T20");

    private static BarItem item(String what, Bar bar, int number, double length) {
        return new BarItem(what, "00", bar, number, List.of(length), length);
    }

    @Test
    void barsAlikeAreOneItemWhereverTheyLie() {
        List<BarItem> list = LikeBars.of(List.of(
                item("bottom, through", T20, 2, 9600),
                item("top", T16, 2, 9600),
                item("bottom, through, layer 2", T20, 3, 9600),
                item("bottom, through, layer 3", T20, 2, 9600),
                item("top", T20, 2, 9650)));
        assertEquals(List.of(7, 2, 2), list.stream().map(BarItem::number).toList());
        assertEquals("bottom, through; bottom, through, layer 2, 3", list.get(0).what());
        assertEquals(2, LikeBars.place(list, item("anywhere", T20, 1, 9650)));
        assertThrows(IllegalArgumentException.class, () -> LikeBars.place(list, item("anywhere", T20, 1, 9700)));
    }

    @Test
    void numbersOfPlacesAreSaidTogether() {
        assertEquals(
                "stirrups, span 1, 2, 10",
                LikeBars.words(List.of("stirrups, span 2", "stirrups, span 10", "stirrups, span 1")));
        assertEquals(
                "stirrups, span 1, 3, inner; top",
                LikeBars.words(List.of("stirrups, span 3, inner", "top", "stirrups, span 1, inner")));
        assertEquals(
                "spacers, span 1–3, 5, 6, top",
                LikeBars.words(IntStream.of(6, 2, 1, 5, 3)
                        .mapToObj(n -> "spacers, span " + n + ", top")
                        .toList()));
    }

    /** One mark for all lifts of a stack; lifts that follow one another are said from and to. */
    @Test
    void barsOfLiftsAreOneItem() {
        List<BarItem> tie = List.of(item("ties", T16, 10, 1000));
        List<BarItem> both = List.of(item("ties", T16, 12, 1000), item("corner bars", T20, 4, 5000));
        List<BarItem> all =
                LikeBars.ofLifts(List.of(both, tie, tie, both, List.of()), List.of("L1", "L2", "L3", "L4", "top"));
        assertEquals(
                List.of("ties, to L1–L4", "corner bars, to L1, L4"),
                all.stream().map(BarItem::what).toList());
        assertEquals(List.of(44, 8), all.stream().map(BarItem::number).toList());
    }
}
