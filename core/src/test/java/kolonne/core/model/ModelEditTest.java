package kolonne.core.model;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;

/** Every edit changes what it names and nothing else. */
class ModelEditTest {
    private static Building building() {
        ModelBuilder b = new ModelBuilder()
                .section("S", 300, 600)
                .section("T", 400, 800)
                .joint("A", 0, 0, 0)
                .joint("B", 5000, 0, 0)
                .joint("E", 9000, 0, 0)
                .beam("m", "A", "B")
                .beam("n", "B", "E")
                .fixed("A")
                .fixed("E")
                .spread("m", 0, 5000, 10, 10)
                .point("n", 2000, 5e4);
        b.panels.add(new SlabPanel("P1", List.of("A", "B", "E"), 150, 0, false, 0));
        b.areaLoads.add(new AreaLoad("P", "P1", 4e-3));
        return b.building();
    }

    @Test
    void aSectionGoesToTheNamedMembersOnly() {
        Building b = building();
        Building c = new ModelEdit.SetSection(List.of("n"), "T").applyTo(b);
        assertEquals("S", c.members().get(0).section());
        assertEquals("T", c.members().get(1).section());
        assertEquals(b.memberLoads(), c.memberLoads());
    }

    @Test
    void aNewSectionIsAddedAndAnOldOneKeepsItsPlace() {
        Building b = building();
        Shape shape = new Shape.Rectangle(350, 700);
        assertEquals(List.of("S", "T", "U"), ids(new ModelEdit.PutSection(new Section("U", shape)).applyTo(b)));
        Building c = new ModelEdit.PutSection(new Section("S", shape)).applyTo(b);
        assertEquals(List.of("S", "T"), ids(c));
        assertSame(shape, c.sections().get(0).shape());
    }

    private static List<String> ids(Building b) {
        return b.sections().stream().map(Section::id).toList();
    }

    @Test
    void stiffnessAndConnectionsAreSetAndTakenBack() {
        Building b = building();
        Building c = ModelEdit.apply(
                b,
                List.of(
                        new ModelEdit.SetStiffness(List.of("m", "n"), new StiffnessFactors(1, 1, 1, 0.35, 0.35, 0.01)),
                        new ModelEdit.SetReleases(List.of("m"), Release.PIN, Release.NONE),
                        new ModelEdit.SetStiffness(List.of("n"), null)));
        assertEquals(0.01, c.members().get(0).stiffness().torsion());
        assertTrue(c.members().get(0).startRelease().frees(4));
        assertNull(c.members().get(1).stiffness());
    }

    @Test
    void loadsOfAMemberAndOfAPanelAreReplaced() {
        Building b = building();
        MemberLoad load = new MemberLoad("P", "m", MemberLoad.Kind.POINT, Direction.GLOBAL_Z, 1000, 1000, -3e4, 0);
        Building c = new ModelEdit.SetMemberLoads("m", "P", List.of(load)).applyTo(b);
        assertEquals(2, c.memberLoads().size());
        assertTrue(c.memberLoads().contains(load)
                && c.memberLoads().stream().anyMatch(l -> l.member().equals("n")));
        assertEquals(
                6e-3,
                new ModelEdit.SetAreaLoad("P1", "P", 6e-3)
                        .applyTo(b)
                        .areaLoads()
                        .get(0)
                        .pressure());
        assertEquals(
                List.of(), new ModelEdit.SetAreaLoad("P1", "P", 0).applyTo(b).areaLoads());
    }

    @Test
    void everyEditSaysWhatItDid() {
        List<ModelEdit> all = List.of(
                new ModelEdit.SetSection(List.of("m"), "T"),
                new ModelEdit.SetStiffness(List.of("m", "n"), null),
                new ModelEdit.SetReleases(List.of("m"), Release.PIN, Release.PIN),
                new ModelEdit.SetMemberLoads("m", "P", List.of()),
                new ModelEdit.SetAreaLoad("P1", "P", 0),
                new ModelEdit.SetOptions(AnalysisOptions.STANDARD),
                new ModelEdit.UseForces(List.of()));
        assertEquals(all.size(), all.stream().map(ModelEdit::summary).distinct().count());
        assertTrue(all.get(0).summary().contains("member m")
                && all.get(1).summary().contains("2 members"));
    }
}
