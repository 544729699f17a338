package kolonne.audit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.basis.Basis;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.DesignedDemo;
import kolonne.core.design.JointFits;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Joint;
import kolonne.core.model.LocalAxes;
import kolonne.core.model.Member;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Bars of beams between those of columns, by a raster of half millimetres across every beam at every joint of the drawings. */
class JointFitAuditTest {
    private static final double RASTER = 0.5;

    private BuildingDesign d;
    private Sheet.Basis basis;
    private Materials m;
    private int ends;

    @ParameterizedTest
    @ValueSource(strings = {"aci-318m-19", "aci-318-19", "en-1992-1-1"})
    void everyJoint(String code) {
        Basis b = Basis.standard(code);
        d = DesignedDemo.by(DesignedDemo.SMALL, b);
        basis = Drawn.basis(b);
        m = new Materials(basis);
        Map<String, Sheet.Lift> lifts = new HashMap<>();
        BuildingIndex index = d.analysis().index();
        for (ColumnDesign c : d.columns()) {
            for (int i = 0; i < c.lifts().size(); i++) {
                Member column = index.member(c.stack().lifts().get(i).member());
                lifts.put(index.upper(column).id(), Drawn.lift(c, i, b));
            }
        }
        List<String> read = new ArrayList<>();
        for (BeamDesign beam : d.beams()) {
            Sheet.Line line = Drawn.line(beam, b);
            for (Sheet.Span s : line.spans()) {
                int number = line.spans().indexOf(s);
                for (boolean left : new boolean[] {true, false}) {
                    BeamLine.Support at = beam.line().supports().get(number + (left ? 0 : 1));
                    BeamLine.Support other = beam.line().supports().get(number + (left ? 1 : 0));
                    Sheet.Lift lift = (left ? s.columnLeft() : s.columnRight()) ? lifts.get(at.joint()) : null;
                    if (lift != null) {
                        end(line, number, left ? s.faceFrom() : s.faceTo(), lift, at.joint(), other.joint(), read);
                    }
                }
            }
        }
        List<String> told = new ArrayList<>();
        for (JointFits.Misfit q : JointFits.of(d).all()) {
            told.add(q.beam() + " in " + q.column() + (q.top() ? " above " : " below ") + q.bars() + " of " + q.room());
        }
        Collections.sort(read);
        Collections.sort(told);
        assertEquals(read, told);
        assertTrue(ends > 150 && told.size() > 5 && told.size() < ends, told.size() + " of " + ends + " layers");
    }

    private void end(
            Sheet.Line line, int span, double face, Sheet.Lift lift, String at, String other, List<String> read) {
        Sheet.Span s = line.spans().get(span);
        Sheet.Cut cut = line.cuts().stream()
                .filter(c -> c.span() == span && Math.abs(c.x() - face) < 1e-6)
                .findFirst()
                .orElseThrow();
        double stirrup = line.stirrups().stream()
                .filter(z -> z.span() == span && z.from() <= face + 1e-6 && z.to() >= face - 1e-6)
                .mapToDouble(Sheet.Stirrups::d)
                .findFirst()
                .orElse(0);
        double half = s.bw() / 2 - basis.beamCover() - stirrup;
        boolean[] blocked = blocked(lift, across(lift, at, other), half);
        for (boolean top : new boolean[] {true, false}) {
            for (int layer = 0; layer < 4; layer++) {
                int row = layer;
                List<Sheet.Spot> bars = cut.spots().stream()
                        .filter(q -> q.top() == top && q.layer() == row)
                        .toList();
                double thick = bars.stream().mapToDouble(Sheet.Spot::d).max().orElse(0);
                ends += bars.isEmpty() ? 0 : 1;
                int room = bars.isEmpty() ? 0 : room(blocked, thick);
                if (bars.size() > room) {
                    read.add(line.mark() + " in " + lift.mark().replaceAll(" lift.*", "")
                            + (top ? " above " : " below ") + bars.size() + " of " + room);
                }
            }
        }
    }

    /** Square to a beam, in the axes of the column. */
    private double[] across(Sheet.Lift lift, String from, String to) {
        BuildingIndex index = d.analysis().index();
        Member column = index.building().members().get(lift.member());
        double[][] axes = LocalAxes.of(index.joint(column.start()), index.joint(column.end()), column.angle());
        Joint a = index.joint(from);
        Joint o = index.joint(to);
        double run = Math.hypot(o.x() - a.x(), o.y() - a.y());
        double nx = -(o.y() - a.y()) / run;
        double ny = (o.x() - a.x()) / run;
        return new double[] {nx * axes[1][0] + ny * axes[1][1], nx * axes[2][0] + ny * axes[2][1]};
    }

    private boolean[] blocked(Sheet.Lift lift, double[] across, double half) {
        boolean[] out = new boolean[(int) Math.floor(2 * half / RASTER + 1e-6)];
        for (int i = 0; i < out.length; i++) {
            double t = -half + (i + 0.5) * RASTER;
            for (Sheet.Dot p : lift.bars()) {
                out[i] |= Math.abs(across[0] * p.x() + across[1] * p.y() - t) < p.d() / 2;
            }
        }
        return out;
    }

    /** From one side to the other, every bar in the first place that it finds. */
    private int room(boolean[] blocked, double d) {
        int wide = (int) Math.ceil(d / RASTER - 1e-6);
        int apart = (int) Math.ceil(m.clear(d) / RASTER - 1e-6);
        int out = 0;
        int i = 0;
        while (i + wide <= blocked.length) {
            boolean free = true;
            for (int k = i; k < i + wide; k++) {
                free &= !blocked[k];
            }
            out += free ? 1 : 0;
            i += free ? wide + apart : 1;
        }
        return out;
    }
}
