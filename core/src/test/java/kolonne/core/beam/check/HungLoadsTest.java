package kolonne.core.beam.check;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.choice.BeamDesigner;
import kolonne.core.beam.line.BeamLines;
import kolonne.core.finding.Finding;
import kolonne.core.model.ModelBuilder;
import org.junit.jupiter.api.Test;

/** Loads that beams hang into the lower part of another. */
class HungLoadsTest {
    /** A beam of 6 m under 30 kN/m in strength hangs half its load at the middle of an 8 m beam. */
    private static List<Finding> notes(String secondary) {
        Analysis a = new ModelBuilder()
                .section("S", 350, 650)
                .section("D", 250, 600)
                .section("F", 300, 250)
                .joint("A", 0, 0, 0)
                .joint("M", 4000, 0, 0)
                .joint("B", 8000, 0, 0)
                .joint("F", 4000, 6000, 0)
                .beam("e1", "A", "M", "S")
                .beam("e2", "M", "B", "S")
                .beam("s", "M", "F", secondary)
                .fixed("A")
                .fixed("B")
                .pinned("F")
                .spread("s", 0, 6000, 30, 30)
                .solve();
        return BeamLines.find(a).stream()
                .filter(l -> l.id().startsWith("e"))
                .flatMap(l -> BeamDesigner.design(l, BeamContext.of(a, Basis.standard(false))).findings().stream())
                .filter(f -> f.code().equals("load.hung"))
                .toList();
    }

    @Test
    void aDeepBeamHangsItsLoad() {
        List<Finding> f = notes("D");
        assertEquals(1, f.size());
        assertTrue(f.get(0).what().startsWith("A beam hangs its load"), f.get(0).what());
        // the secondary beam is nearly simple at the twisting edge beam: a little less than half of 180 kN comes here
        double kn = Double.parseDouble(f.get(0).what().replaceAll(".*up to ([0-9.]+) kN.*", "$1"));
        double mm2 = Double.parseDouble(f.get(0).what().replaceAll(".*: ([0-9.]+) mm².*", "$1"));
        assertTrue(kn > 60 && kn < 115, f.get(0).what());
        assertEquals(kn * 1e3 / (0.75 * 420), mm2, 1);
    }

    @Test
    void aShallowBeamRestsOnTheUpperPart() {
        assertTrue(notes("F").isEmpty());
    }
}
