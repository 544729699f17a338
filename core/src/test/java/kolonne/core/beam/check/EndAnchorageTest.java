package kolonne.core.beam.check;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.Varied;
import kolonne.core.basis.part.Ductility;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.choice.BeamDesigner;
import kolonne.core.beam.line.BeamLines;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.SlabPanel;
import org.junit.jupiter.api.Test;

/** Bottom bars at end supports: straight where the moment leaves room for it, bent up where more is asked of them. */
class EndAnchorageTest {
    /** Three frames of one bay of 7 m on columns, 4 m apart, slabs between them; the middle one is no edge beam. */
    private static Analysis floor(double columns) {
        ModelBuilder b = new ModelBuilder().section("S", 300, 600).section("K", columns, columns);
        for (int k = 0; k < 3; k++) {
            for (int i = 0; i < 2; i++) {
                b.joint("f" + k + i, 7000 * i, 4000 * k, 0)
                        .joint("t" + k + i, 7000 * i, 4000 * k, 3500)
                        .fixed("f" + k + i)
                        .column("c" + k + i, "f" + k + i, "t" + k + i);
            }
        }
        b.members.replaceAll(m -> m.withSection("K"));
        for (int k = 0; k < 3; k++) {
            b.beam("m" + k, "t" + k + "0", "t" + k + "1").spread("m" + k, 0, 7000, 35, 35);
        }
        for (int k = 0; k < 2; k++) {
            b.panels.add(new SlabPanel(
                    "p" + k,
                    List.of("t" + k + "0", "t" + k + "1", "t" + (k + 1) + "1", "t" + (k + 1) + "0"),
                    150,
                    25e-6,
                    false,
                    0));
        }
        return b.solve();
    }

    private static BeamDesign design(Analysis a, String member, Basis basis) {
        return BeamDesigner.design(
                BeamLines.find(a).stream()
                        .filter(l -> l.id().equals(member))
                        .findFirst()
                        .orElseThrow(),
                BeamContext.of(a, basis));
    }

    private static boolean bent(BeamDesign d, BeamCage.Face face) {
        return d.cage().groups().stream()
                .filter(g -> g.face() == face && g.through())
                .anyMatch(g -> g.hookFrom() || g.hookTo());
    }

    @Test
    void bottomBarsOfAnInnerBeamEndStraightByEurocodeAndAreBentUpAtColumnsByAci() {
        Analysis a = floor(500);
        Basis s = Basis.standard(false);
        BeamDesign inner = design(a, "m1", Basis.standard("en-1992-1-1"));
        assertTrue(inner.satisfied(), inner.findings().toString());
        assertFalse(bent(inner, BeamCage.Face.BOTTOM));
        assertTrue(
                bent(design(a, "m1", s), BeamCage.Face.BOTTOM),
                "a quarter of the bottom bars yields at columns (9.7.3.8.2)");
        assertTrue(bent(inner, BeamCage.Face.TOP), "top bars are in tension at the columns");
        assertTrue(
                bent(design(a, "m0", s), BeamCage.Face.BOTTOM),
                "integrity steel is anchored for its strength (9.7.7.5)");
        Basis special = Varied.ductile(s, Ductility.SPECIAL);
        assertTrue(
                bent(design(a, "m1", special), BeamCage.Face.BOTTOM), "bars of a ductile frame yield at the columns");
    }

    /** Thick bars that end straight 155 mm inside a column develop a tenth of their strength: less than a quarter of the bottom steel at yield (9.7.3.8.2). */
    @Test
    void straightBarsAtAColumnAreFound() {
        Analysis a = floor(500);
        BeamDesign d = design(a, "m1", Basis.standard(false));
        List<BeamCage.Group> straight = d.cage().groups().stream()
                .map(g -> g.face() == BeamCage.Face.TOP
                        ? g
                        : new BeamCage.Group(
                                g.face(),
                                g.layer(),
                                g.count(),
                                kolonne.core.code.BarCatalogue.METRIC.find("T32"),
                                g.offset(),
                                250 - 155,
                                6750 + 155,
                                false,
                                false,
                                true))
                .toList();
        BeamDesign bad = BeamCheck.run(
                d.line(),
                new BeamCage(straight, d.cage().zones(), d.cage().sideBars()),
                BeamContext.of(a, Basis.standard(false)));
        assertTrue(d.checks().stream().anyMatch(c -> c.kind().id().equals("bottom-into-support") && c.satisfied()));
        assertTrue(
                bad.checks().stream().anyMatch(c -> c.kind().id().equals("bottom-into-support") && !c.satisfied()),
                bad.checks().toString());
    }

    /** A support that leaves less than 150 mm, or a third of the development, asks for a bend. */
    @Test
    void aShallowSupportAsksForABend() {
        assertTrue(bent(design(floor(220), "m1", Basis.standard(false)), BeamCage.Face.BOTTOM));
    }

    /** The moment of a pinned end is nothing, but its shear puts a force into the bars by EN 1992-1-1 9.2.1.4. */
    @Test
    void theShiftedMomentAtAnEndIsAnchored() {
        Analysis a = floor(500);
        BeamDesign d = design(a, "m1", Basis.standard("en-1992-1-1"));
        assertTrue(
                d.checks().stream()
                        .filter(c -> c.kind().id().startsWith("tension-shift"))
                        .allMatch(c -> c.satisfied()),
                d.findings().toString());
        assertEquals(
                2,
                d.cage().groups().stream()
                        .filter(g -> g.through())
                        .map(BeamCage.Group::face)
                        .distinct()
                        .count());
    }
}
