package kolonne.core.beam.line;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.check.BeamContext;
import kolonne.core.beam.choice.BeamDesigner;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Member;
import kolonne.core.model.StiffnessFactors;
import org.junit.jupiter.api.Test;

/** Two cantilevers that bend unlike twist the beam across their tips, which bends the tips in turn. */
class TwistedTipTest {
    private static final StiffnessFactors STIFF = new StiffnessFactors(1, 0.35, 0.35, 0.6);

    @Test
    void theTipIsBentFromTheFaceOfTheBeamAcrossItOn() {
        Building b = DemoBuilding.generate(new DemoOptions(7, 4, 4, 3, true));
        List<Member> members = new ArrayList<>(b.members());
        members.replaceAll(m -> m.start().contains("-T") && m.end().contains("-T") ? m.withStiffness(STIFF) : m);
        Analysis a = FrameAnalysis.solve(new BuildingIndex(b.withMembers(members)));
        BeamContext context = BeamContext.of(a, Basis.standard("en-1992-1-1"));
        int bent = 0;
        for (BeamLine line : BeamLines.find(a)) {
            BeamLine.Support tip = line.supports().get(0);
            if (tip.kind() != BeamLine.SupportKind.FREE || !tip.joint().contains("-T")) {
                continue;
            }
            assertEquals(300, tip.depth(), 1e-9, "width of the beam across");
            LineDemands told = context.of(line).demands();
            BeamLine.Station end = line.stations().get(0);
            BeamLine.Station face = line.stations().stream()
                    .filter(s -> Math.abs(s.x() - 150) < 1)
                    .findFirst()
                    .orElseThrow();
            for (int c = 0; c < told.count(); c++) {
                double twist = context.strength().at(end.memberNumber(), end.station(), c, Analysis.MY);
                bent += Math.abs(twist) > line.spans().get(0).negligibleMoment() ? 1 : 0;
                assertEquals(0, told.at(end, c, Analysis.MY));
                // statics from the tip to the face; the load of the slab grows along the way
                double at = told.at(face, c, Analysis.MY);
                double v0 = told.at(end, c, Analysis.VZ);
                double v1 = told.at(face, c, Analysis.VZ);
                assertEquals(twist + 150 * (v0 + v1) / 2, at, 150 * Math.abs(v0 - v1) / 2 + 1, line.mark());
            }
            assertTrue(
                    BeamDesigner.design(line, context).checks().stream()
                            .noneMatch(r -> r.x() < 150 && r.utilisation() > 1),
                    line.mark());
        }
        assertTrue(bent > 10, bent + " combinations bend a tip");
    }
}
