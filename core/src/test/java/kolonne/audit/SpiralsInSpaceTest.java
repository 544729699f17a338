package kolonne.audit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.basis.Basis;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.DesignedDemo;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Role;
import kolonne.core.space.BuildingInSpace;
import kolonne.core.space.SpaceBar;
import kolonne.core.work.Progress;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Spirals read out of the space model point by point, by somebody who knows only the section, the beams and the bar list: within the cover, from the floor to the
 * lowest bars of the beams, at one pitch with one and a half flat turns at each end (ACI 318-19 10.7.6.3, 25.7.3), as long as they are listed; hoops stand in the joints alone.
 */
class SpiralsInSpaceTest {
    private final List<String> faults = new ArrayList<>();
    private int read;

    @ParameterizedTest
    @CsvSource({"aci-318m-19,false", "aci-318-19,true", "en-1992-1-1,false"})
    void everySpiral(String code, boolean us) {
        BuildingDesign d = DesignedDemo.spirals(Basis.standard(code));
        Map<String, List<BuildingInSpace.Piece>> pieces = new HashMap<>();
        BuildingInSpace.each(d, Progress.NONE, p -> {
            if (!p.beam()) {
                pieces.computeIfAbsent(p.mark(), k -> new ArrayList<>()).add(p);
            }
        });
        for (ColumnDesign c : d.columns()) {
            for (int i = 0; i < c.lifts().size(); i++) {
                lift(d, c, i, pieces.get(c.stack().mark()).get(i));
            }
        }
        assertEquals(List.of(), faults);
        assertTrue(read > 20, read + " spirals");
    }

    private void lift(BuildingDesign d, ColumnDesign c, int i, BuildingInSpace.Piece p) {
        ColumnStack.Lift l = c.stack().lifts().get(i);
        String where = c.stack().mark() + " lift " + (i + 1);
        BuildingIndex index = d.analysis().index();
        double floor = deepest(index, index.lower(index.member(l.member())).id()) / 2;
        double soffit = l.top()
                - l.base()
                - deepest(index, index.upper(index.member(l.member())).id()) / 2;
        // 10.7.6.3.2: to the level of the lowest bars of the beams
        double head = soffit + (soffit < l.top() - l.base() ? d.basis().beamCover() : 0);
        double outside = l.section().shape().width() - 2 * d.basis().columnCover();
        for (SpaceBar s : p.placed().bars()) {
            if (s.use() != SpaceBar.Use.TIE) {
                continue;
            }
            double[][] points = s.shape().moved(s.at()).points().stream()
                    .map(q -> new double[] {q.x(), q.y(), q.z()})
                    .toArray(double[][]::new);
            if (s.item().shape().equals("75")) {
                check(where, points[0][0] < floor + 0.1 || points[0][0] > soffit - 0.1, "a hoop between the joints");
            } else {
                read++;
                spiral(
                        where,
                        s,
                        points,
                        floor,
                        head,
                        outside,
                        c.lifts().get(i).cage().ties().middle());
            }
        }
    }

    private void spiral(
            String where, SpaceBar s, double[][] at, double floor, double head, double outside, double pitch) {
        double d = s.item().bar().diameter();
        double turned = 0;
        double flat = 0;
        double steep = 0;
        for (int i = 0; i < at.length; i++) {
            double r = Math.hypot(at[i][1], at[i][2]);
            check(where, Math.abs(r + d / 2 - outside / 2) < 1, "lies at " + r);
            if (i > 0) {
                double angle = Math.atan2(at[i][2], at[i][1]) - Math.atan2(at[i - 1][2], at[i - 1][1]);
                double part = (angle + 2 * Math.PI) % (2 * Math.PI) / (2 * Math.PI);
                double rise = (at[i][0] - at[i - 1][0]) / part;
                turned += part;
                flat += rise < 1.01 * d ? part : 0;
                steep = Math.max(steep, rise);
                check(where, rise > 0.99 * d, "turns lie in one another");
            }
        }
        check(where, at[0][0] >= floor && at[0][0] < floor + d, "begins at " + at[0][0]);
        double end = at[at.length - 1][0];
        check(where, end <= head && end > head - 1.1 * d, "ends at " + end + " of " + head);
        check(where, steep < pitch + 0.01, "rises by " + steep + " a turn");
        // an eighth of a turn at each end of the flat ones may rise to both
        check(where, flat >= 3 - 0.26, "flat turns: " + flat);
        check(where, Math.abs(turned - s.item().dims().get(2)) < 0.01, turned + " turns");
        check(where, Math.abs(s.item().dims().get(1) - pitch) < 0.06, "listed pitch");
        double length = s.shape().length();
        double listed = s.item().cutLength();
        check(where, listed > length - 5 && listed < 1.02 * length + 5, "listed " + listed + ", drawn " + length);
    }

    private void check(String where, boolean holds, String what) {
        if (!holds) {
            faults.add(where + ": " + what);
        }
    }

    private static double deepest(BuildingIndex index, String joint) {
        return index.membersAt(joint).stream()
                .filter(o -> o.role() == Role.BEAM)
                .mapToDouble(o -> index.sectionOf(o).shape().depth())
                .max()
                .orElse(0);
    }
}
