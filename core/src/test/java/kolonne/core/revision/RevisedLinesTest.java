package kolonne.core.revision;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import kolonne.core.analysis.Analysis;
import kolonne.core.beam.cage.CarriedCages;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.BeamLines;
import kolonne.core.design.BuildingMarks;
import kolonne.core.mark.Marks;
import kolonne.core.model.Member;
import kolonne.core.model.ModelBuilder;
import org.junit.jupiter.api.Test;

/** A line of two spans, 6 and 8 m, the second of two members; the newer model cuts, joins and turns them. */
class RevisedLinesTest {
    private static ModelBuilder joints() {
        ModelBuilder b = new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("P", 2000, 0, 0)
                .joint("B", 6000, 0, 0)
                .joint("Q", 9000, 0, 0)
                .joint("C", 14_000, 0, 0);
        List.of("A", "B", "C").forEach(b::pinned);
        return b;
    }

    private static List<List<String>> revised(Analysis older, Analysis newer) {
        List<BeamLine> lines = BeamLines.find(
                older, BuildingMarks.follow(Marks.NONE, older.index()).marks());
        MemberMatching m = MemberMatching.of(older.index(), newer.index());
        CarriedCages.Lines out = RevisedLines.of(lines, older.index(), newer.index(), m);
        assertEquals(1, out.all().size());
        return out.all().get(0).spans().stream()
                .map(s -> s.members().stream().map(Member::id).toList())
                .toList();
    }

    @Test
    void theMembersOfTheNewerModelStandInOrderAlongTheLine() {
        ModelBuilder a = joints();
        a.joints.removeIf(j -> j.id().equals("P"));
        Analysis older = a.beam("m1", "B", "A")
                .beam("m2", "B", "Q")
                .beam("m3", "Q", "C")
                .spread("m2", 0, 3000, 20, 20)
                .solve();
        ModelBuilder b = joints();
        Analysis newer = b.beam("x", "P", "B")
                .beam("y", "A", "P")
                .beam("z", "Q", "B")
                .beam("w", "C", "Q")
                .spread("z", 0, 3000, 20, 20)
                .solve();
        assertEquals(List.of(List.of("y", "x"), List.of("z", "w")), revised(older, newer));
        // and back: the cut member is whole again within its span
        assertEquals(List.of(List.of("m1"), List.of("m2", "m3")), revised(newer, older));
    }

    @Test
    void membersJoinedAcrossASupportHaveNoPlace() {
        Analysis older = joints().beam("m1", "A", "P")
                .beam("m2", "P", "B")
                .beam("m3", "B", "Q")
                .beam("m4", "Q", "C")
                .spread("m3", 0, 3000, 20, 20)
                .solve();
        ModelBuilder b = joints();
        b.joints.removeIf(j -> List.of("P", "B", "Q").contains(j.id()));
        b.supports.removeIf(s -> s.joint().equals("B"));
        Analysis newer = b.beam("n", "A", "C").spread("n", 0, 3000, 20, 20).solve();
        assertEquals(List.of(List.of(), List.of()), revised(older, newer));
    }
}
