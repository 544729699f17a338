package kolonne.exchange.model;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Stream;
import kolonne.core.model.AnalysisOptions;
import kolonne.core.model.Building;
import kolonne.core.model.Combination;
import kolonne.core.model.Direction;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.ModelEdit;
import kolonne.core.model.Release;
import kolonne.core.model.Section;
import kolonne.core.model.StationForces;
import kolonne.core.model.StiffnessFactors;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Edits as JSON in the units of their model, and every way in which they can be bad. */
class EditFileTest {
    private static Building building(String units) {
        boolean us = units.equals("US");
        return ModelReader.read(("""
            {"format":"kolonne-model","version":1,"name":"n","units":"%s",
             "joints":[{"id":"A","x":0,"y":0,"z":3},{"id":"B","x":6,"y":0,"z":3}],
             "materials":[{"id":"C","fc":%s}],
             "sections":[{"id":"S","shape":"rectangle","b":%s,"h":%s}],
             "members":[{"id":"M","role":"beam","start":"A","end":"B","section":"S","material":"C"}],
             "supports":[{"joint":"A","held":["ux","uy","uz","rx","ry","rz"]}],
             "loadCases":[{"id":"P","kind":"live"}],
             "memberLoads":[{"case":"P","member":"M","from":0,"to":6,"value":-10}],
             "combinations":[{"id":"K","purpose":"strength","terms":{"P":1.6}}]}""")
                        .formatted(units, us ? 4 : 30, us ? 12 : 300, us ? 24 : 600)
                        .getBytes(StandardCharsets.UTF_8))
                .building();
    }

    private static EditFile.Read read(String edit, Building b) {
        return EditFile.read(("{\"edits\":[" + edit + "]}").getBytes(StandardCharsets.UTF_8), b);
    }

    private static <T extends ModelEdit> T one(String edit, Building b, Class<T> type) {
        EditFile.Read r = read(edit, b);
        assertTrue(r.sound(), r.findings().toString());
        return assertInstanceOf(type, r.edits().get(0));
    }

    @Test
    void everyKindIsReadInCoreUnits() {
        Building b = building("SI");
        assertEquals(
                List.of("M"),
                one("{\"kind\":\"section\",\"members\":[\"M\"],\"section\":\"S\"}", b, ModelEdit.SetSection.class)
                        .members());
        assertEquals(
                new Shape.Rectangle(350, 700),
                one(
                                "{\"kind\":\"put-section\",\"id\":\"T\",\"shape\":\"rectangle\",\"b\":350,\"h\":700}",
                                b,
                                ModelEdit.PutSection.class)
                        .section()
                        .shape());
        assertEquals(
                0.01,
                one(
                                "{\"kind\":\"stiffness\",\"members\":[\"M\"],\"factorTorsion\":0.01}",
                                b,
                                ModelEdit.SetStiffness.class)
                        .factors()
                        .torsion());
        assertNull(
                one("{\"kind\":\"stiffness\",\"members\":[\"M\"]}", b, ModelEdit.SetStiffness.class)
                        .factors(),
                "the role's again");
        ModelEdit.SetReleases ends = one(
                "{\"kind\":\"releases\",\"members\":[\"M\"],\"releaseStart\":[\"my\"],\"releaseEnd\":[\"my=5000\"]}",
                b,
                ModelEdit.SetReleases.class);
        assertTrue(ends.atStart().frees(4));
        assertEquals(5e9, ends.atEnd().my(), 1, "kNm/rad in Nmm/rad");
        assertEquals(Release.RIGID, ends.atEnd().mz());
        ModelEdit.SetMemberLoads loads = one(
                "{\"kind\":\"member-loads\",\"member\":\"M\",\"case\":\"P\",\"loads\":[{\"kind\":\"point\","
                        + "\"direction\":\"global-z\",\"from\":2.5,\"value\":-40}]}",
                b,
                ModelEdit.SetMemberLoads.class);
        MemberLoad p = loads.loads().get(0);
        assertEquals(2500, p.from());
        assertEquals(-40_000, p.w1());
        assertEquals(Direction.GLOBAL_Z, p.direction());
        ModelEdit.SetOptions o = one(
                "{\"kind\":\"options\",\"analysis\":{\"shearDeformation\":\"yes\",\"rigidEnds\":0.5,\"pDelta\":{\"P\":1.2}},"
                        + "\"roleStiffness\":[{\"role\":\"beam\",\"factorIy\":0.35}]}",
                b,
                ModelEdit.SetOptions.class);
        assertTrue(o.options().shearDeformation());
        assertEquals(0.35, o.options().beams().iy());
        assertEquals(1.2, o.options().pDelta().get(0).factor());
        assertEquals(
                List.of(),
                one("{\"kind\":\"forces\",\"rows\":[]}", b, ModelEdit.UseForces.class)
                        .forces());
    }

    @Test
    void usUnitsAreConverted() {
        Building b = building("US");
        ModelEdit.SetMemberLoads loads = one(
                "{\"kind\":\"member-loads\",\"member\":\"M\",\"case\":\"P\",\"loads\":[{\"kind\":\"distributed\","
                        + "\"from\":0,\"to\":6,\"value\":-1}]}",
                b,
                ModelEdit.SetMemberLoads.class);
        assertEquals(-14.5939, loads.loads().get(0).w1(), 1e-4);
        assertEquals(6 * 304.8, loads.loads().get(0).to(), 1e-9);
    }

    @Test
    void forcesGoThereAndBack() {
        for (String units : List.of("SI", "US")) {
            Building b = building(units);
            List<StationForces> forces = List.of(
                    new StationForces("M", "P", 0, -1e5, 10, 2e4, 3e6, -4e7, 5e6),
                    new StationForces("M", "P", b.joints().get(1).x(), 0, 0, -2e4, 0, 4e7, 0));
            EditFile.Read r = EditFile.read(EditWriter.bytes(List.of(new ModelEdit.UseForces(forces)), b), b);
            assertTrue(r.sound(), r.findings().toString());
            List<StationForces> back = assertInstanceOf(
                            ModelEdit.UseForces.class, r.edits().get(0))
                    .forces();
            for (int i = 0; i < 2; i++) {
                assertEquals(forces.get(i).my(), back.get(i).my(), 1e-6 * 4e7);
                assertEquals(forces.get(i).n(), back.get(i).n(), 1e-6 * 1e5);
                assertEquals(forces.get(i).x(), back.get(i).x(), 1e-6 * 6000);
            }
        }
    }

    static Stream<Arguments> bad() {
        return Stream.of(
                Arguments.of("{\"kind\":\"section\",\"members\":[\"Q\"],\"section\":\"S\"}", "no member Q"),
                Arguments.of("{\"kind\":\"section\",\"members\":[],\"section\":\"S\"}", "names no members"),
                Arguments.of("{\"kind\":\"paint\"}", "no edit of the kind"),
                Arguments.of("{\"kind\":\"put-section\",\"id\":\"T\",\"shape\":\"rectangle\",\"b\":-3,\"h\":700}", ""),
                Arguments.of("{\"kind\":\"releases\",\"members\":[\"M\"],\"releaseStart\":[\"bending\"]}", "bending"),
                Arguments.of(
                        "{\"kind\":\"member-loads\",\"member\":\"M\",\"case\":\"P\",\"loads\":[{\"from\":0}]}",
                        "value"),
                Arguments.of("{\"kind\":\"stiffness\",\"members\":[\"M\"],\"factorIy\":\"half\"}", ""));
    }

    @ParameterizedTest(name = "{index} {1}")
    @MethodSource("bad")
    void aBadEditSaysWhatAndWhere(String edit, String words) {
        Building b = building("SI");
        EditFile.Read r = read(edit, b);
        // sizes that no section can have are found by the check of the whole model that follows every edit
        boolean whole = r.sound()
                && kolonne.core.model.ModelCheck.run(ModelEdit.apply(b, r.edits())).stream()
                        .anyMatch(f -> f.severity() == kolonne.core.finding.Severity.FAILS);
        assertFalse(r.sound() && !whole, edit);
        assertTrue(
                r.sound()
                        || r.findings().stream()
                                .anyMatch(f -> (f.what() + f.where()).contains(words)
                                        && !f.mend().isBlank()),
                r.findings().toString());
    }

    @Test
    void whatIsNotJsonIsRefused() {
        Building b = building("SI");
        for (String s : List.of("", "hello", "{", "{\"edits\":[]}", "[]", "{\"edits\":7}")) {
            assertFalse(EditFile.read(s.getBytes(StandardCharsets.UTF_8), b).sound(), s);
        }
        for (String s : List.of("{\"edits\":[5]}", "{\"edits\":[null]}", "{\"edits\":[\"x\"]}")) {
            assertFalse(EditFile.read(s.getBytes(StandardCharsets.UTF_8), b).sound(), s);
        }
    }

    /** What an edit does is the same after it was written and read, in both units. */
    @Test
    void editsOfEveryKindGoThereAndBack() {
        for (String units : List.of("SI", "US")) {
            Building b = building(units);
            List<ModelEdit> edits = List.of(
                    new ModelEdit.PutSection(new Section("T", new Shape.Tee(300, 700, 1200, 150))),
                    new ModelEdit.SetSection(List.of("M"), "T"),
                    new ModelEdit.SetMaterial(List.of("M"), b.materials().get(0).id()),
                    new ModelEdit.SetStiffness(List.of("M"), new StiffnessFactors(1, 0.5, 1, 0.35, 0.25, 0.1)),
                    new ModelEdit.SetReleases(List.of("M"), Release.PIN, Release.NONE),
                    new ModelEdit.SetMemberLoads(
                            "M",
                            "P",
                            List.of(
                                    new MemberLoad(
                                            "P", "M", MemberLoad.Kind.DISTRIBUTED, Direction.LOCAL_Z, 100, 900, -5, -7),
                                    new MemberLoad(
                                            "P", "M", MemberLoad.Kind.POINT, Direction.GLOBAL_X, 400, 400, 1e4, 0))),
                    new ModelEdit.SetOptions(new AnalysisOptions(
                            true,
                            StiffnessFactors.GROSS,
                            new StiffnessFactors(1, 0.7, 0.7, 0.2),
                            0.5,
                            List.of(new Combination.Term("P", 1.2)),
                            false,
                            0.004)));
            EditFile.Read r = EditFile.read(EditWriter.bytes(edits, b), b);
            assertTrue(r.sound(), r.findings().toString());
            assertEquals(edits.size(), r.edits().size());
            Building one = ModelEdit.apply(b, edits);
            Building two = ModelEdit.apply(b, r.edits());
            assertEquals(one.members(), two.members());
            assertEquals(one.options(), two.options());
            for (int i = 0; i < 2; i++) {
                MemberLoad x = one.memberLoads().get(one.memberLoads().size() - 1 - i);
                MemberLoad y = two.memberLoads().get(two.memberLoads().size() - 1 - i);
                assertEquals(x.direction(), y.direction());
                assertEquals(x.kind(), y.kind());
                assertEquals(x.w1(), y.w1(), 1e-9 * Math.abs(x.w1()));
                assertEquals(x.from(), y.from(), 1e-6);
            }
        }
    }

    @Test
    void theStandardAnalysisAndTheFactorsOfTheRoleAreWrittenAsWell() {
        Building b = building("SI");
        List<ModelEdit> edits = List.of(
                new ModelEdit.SetOptions(AnalysisOptions.STANDARD), new ModelEdit.SetStiffness(List.of("M"), null));
        assertEquals(edits, EditFile.read(EditWriter.bytes(edits, b), b).edits());
    }
}
