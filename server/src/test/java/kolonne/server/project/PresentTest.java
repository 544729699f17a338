package kolonne.server.project;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class PresentTest {
    private final Present present = new Present();
    private final List<List<String>> zoe = new ArrayList<>();
    private final List<List<String>> someone = new ArrayList<>();

    private static Author at(String person, String window) {
        return new Author(person, window, null, "");
    }

    @Test
    void everyoneIsToldWhoComesAndGoesInTheirProject() {
        Runnable zoeLeaves = present.enters("p", at("Zoë", "w1"), zoe::add);
        assertEquals(List.of(List.of()), zoe);
        Runnable someoneLeaves = present.enters("p", at("", "w2"), someone::add);
        assertEquals(List.of("Zoë"), someone.get(0));
        assertEquals(List.of(""), zoe.get(1), "a person without a name");
        present.enters("another", at("Ana", "w3"), names -> {});
        assertEquals(2, zoe.size(), "who is elsewhere is not told of");
        Runnable ana = present.enters("p", at("Ana", "w4"), names -> {});
        assertEquals(List.of("", "Ana"), zoe.get(2));
        ana.run();
        someoneLeaves.run();
        assertEquals(List.of(), zoe.get(zoe.size() - 1));
        zoeLeaves.run();
        int told = zoe.size();
        present.enters("p", at("Ana", "w5"), names -> assertEquals(List.of(), names));
        assertEquals(told, zoe.size(), "who has gone is not told");
    }

    @Test
    void onesOwnWindowsAreNobodyElse() {
        present.enters("p", at("Zoë", "w1"), zoe::add);
        present.enters("p", at("Zoë", "w2"), someone::add);
        // a stream that is opened again before the old one has ended
        present.enters("p", at("Zoë", "w1"), names -> {});
        assertEquals(List.of(), zoe.get(zoe.size() - 1));
        assertEquals(List.of(), someone.get(someone.size() - 1));
    }
}
