package kolonne.core.space;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import kolonne.core.basis.Basis;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.DesignedDemo;
import kolonne.core.finding.Finding;
import kolonne.core.work.Progress;
import org.junit.jupiter.api.Test;

/** Hooks that are higher than their beam has room for: told, and laid over where they are drawn. */
class HooksInSpaceTest {
    private static final BuildingDesign DEMO = DesignedDemo.by(Basis.standard(false));

    private static List<Finding> told(List<Finding> findings) {
        return findings.stream().filter(f -> f.code().equals("hook.room")).toList();
    }

    /** T25 in a beam 450 deep: 75 bend, 25 bar, 300 straight are 400 high; 450 less 40 cover twice, 10 stirrup, 25 first layer and 25 clear leave 310. */
    @Test
    void byHand() {
        List<Finding> told = DEMO.beams().stream()
                .filter(b -> b.line().mark().equals("L3-B22"))
                .flatMap(b -> told(b.findings()).stream())
                .toList();
        assertTrue(
                told.stream().anyMatch(f -> f.what().contains("top T25 of layer 2 are 400 mm high, 90 mm more")),
                told.toString());
    }

    @Test
    void theyAreToldWhereTheyAreLaidOver() {
        Set<String> told = new TreeSet<>();
        Set<String> over = new TreeSet<>();
        BuildingInSpace.each(DEMO, Progress.NONE, p -> {
            if (p.beam() && !told(p.findings()).isEmpty()) {
                told.add(p.mark());
            }
            for (SpaceBar b : p.placed().bars()) {
                List<Point3> q = b.shape().points();
                boolean hooked =
                        b.use() == SpaceBar.Use.MAIN && !b.item().shape().equals("00");
                boolean from = hooked && Math.abs(q.get(0).x() - q.get(1).x()) < 1;
                Point3 a = from ? q.get(0) : q.get(q.size() - 1);
                Point3 e = from ? q.get(1) : q.get(q.size() - 2);
                if (p.beam() && hooked && Math.abs(a.y() - e.y()) > 5) {
                    over.add(p.mark());
                }
            }
        });
        assertEquals(told, over);
        assertEquals(7, told.size(), told.toString());
    }
}
