package kolonne.server.project;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ResultQueryTest {
    private static final List<String> STOREYS = List.of("Ground", "L1", "L2", "L3", "Roof Deck");
    private static final List<ResultRow> ROWS = List.of(
            row("L1-B01", "beam", List.of("L1"), "300 × 600", 0.95, List.of()),
            row("L2-B07", "beam", List.of("L2"), "T 300 × 500", 1.2, List.of("shear")),
            row("C-D3", "column", List.of("L1", "L2", "Roof Deck"), "Ø 500", 0.40, List.of("slenderness")));

    private static ResultRow row(
            String mark, String role, List<String> storeys, String section, double u, List<String> causes) {
        return new ResultRow(
                "m-" + mark,
                mark,
                role,
                storeys,
                section,
                "Shear",
                "",
                u,
                "",
                "",
                causes.isEmpty(),
                u > 1,
                "",
                "",
                causes,
                "",
                0,
                1,
                0,
                mark.equals("L1-B01"),
                mark.equals("L2-B07") ? "TB3" : "",
                mark.equals("C-D3") ? List.of("Car park") : List.of(),
                mark.equals("C-D3") ? 2 : 0);
    }

    @ParameterizedTest(name = "{0} -> {1}")
    @CsvSource(delimiter = '|', textBlock = """
        ''                  | L1-B01 L2-B07 C-D3
        beam                | L1-B01 L2-B07
        column              | C-D3
        crowded             | C-D3
        fails               | L2-B07 C-D3
        over                | L2-B07
        hand                | L1-B01
        storey:L2           | L2-B07 C-D3
        storey:l1..L2 beam  | L1-B01 L2-B07
        storey:RoofDeck     | C-D3
        util>0.9            | L1-B01 L2-B07
        util<=0.95          | L1-B01 C-D3
        util=0.95           | L1-B01
        util>0,9            | L1-B01 L2-B07
        UTIL >= 0.95 beam   | L1-B01 L2-B07
        util ≤ ,4           | C-D3
        cause:shear         | L2-B07
        section:300x600     | L1-B01
        section:300×500     | L2-B07
        mark:b0             | L1-B01 L2-B07
        type:tb3            | L2-B07
        local               | C-D3
        local:carpark       | C-D3
        d3                  | C-D3
        beam util>2         | ''
        """)
    void findsRows(String query, String marks) {
        ResultQuery q = ResultQuery.of(query == null ? "" : query, STOREYS);
        assertEquals(
                marks == null ? "" : marks.strip(),
                String.join(
                        " ",
                        ROWS.stream().filter(q::matches).map(ResultRow::mark).toList()));
    }

    @Test
    void aWordThatIsNotUnderstoodIsExplained() {
        for (String bad : List.of("storey:L9", "util>x", "util", "colour:red", "cause:sheer")) {
            String said = assertThrows(IllegalArgumentException.class, () -> ResultQuery.of(bad, STOREYS))
                    .getMessage();
            assertTrue(said.endsWith(".") && said.contains("“"), said);
        }
    }
}
