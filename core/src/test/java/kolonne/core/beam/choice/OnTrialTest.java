package kolonne.core.beam.choice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.Varied;
import kolonne.core.basis.part.Ductility;
import kolonne.core.basis.part.Preference;
import kolonne.core.beam.check.BeamContext;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.BeamLines;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.DesignedDemo;
import kolonne.core.design.RandomFrame;
import kolonne.core.model.BuildingIndex;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A section on trial is given up earlier than one that is designed, and never where a cage serves. */
class OnTrialTest {
    /** Lines as they are drawn, and with webs of less depth, of which many are too small. */
    private static List<BeamLine> lines(Analysis a) {
        List<BeamLine> out = new ArrayList<>();
        for (BeamLine l : BeamLines.find(a)) {
            out.add(l);
            Shape s = l.spans().get(0).section().shape();
            for (double part : new double[] {0.9, 0.75, 0.6}) {
                if (s instanceof Shape.Rectangle) {
                    out.add(l.with(s, new Shape.Rectangle(s.width(), 25 * Math.rint(part * s.depth() / 25))));
                }
            }
        }
        return out;
    }

    @ParameterizedTest
    @CsvSource({"aci-318m-19, NONE", "aci-318m-19, SPECIAL", "en-1992-1-1, NONE"})
    void servesWhereADesignServes(String code, Ductility kind) {
        Basis basis = Varied.ductile(Basis.standard(code), kind);
        int failing = 0;
        int serving = 0;
        for (int seed = 1; seed <= 3; seed++) {
            Analysis a = FrameAnalysis.solve(new BuildingIndex(new RandomFrame(seed).building(false)));
            BeamContext context = BeamContext.of(a, basis);
            for (BeamLine l : lines(a)) {
                BeamDesign designed = BeamDesigner.design(l, context);
                BeamDesign tried = BeamDesigner.onTrial(l, context);
                assertEquals(designed.satisfied(), tried.satisfied(), "frame " + seed + ", " + l.mark());
                if (designed.satisfied()) {
                    assertEquals(designed.cage(), tried.cage());
                    serving++;
                } else {
                    failing++;
                    noneByLeastSteel(l, context);
                }
            }
        }
        assertTrue(failing > 3 && serving > 3, failing + " fail, " + serving + " serve");
    }

    /** Rules of practice give way where only other bars serve. */
    private static void noneByLeastSteel(BeamLine l, BeamContext context) {
        BeamContext least = context.with(context.basis().with(Preference.LEAST_STEEL));
        assertFalse(BeamDesigner.design(l, least).satisfied(), l.mark());
    }

    /** Where whole bars through wide supports ask for legs or crowd them, letting them end mends what the section seems too small for. */
    @Test
    void deeperSectionsOfWhatFails() {
        BuildingDesign demo = DesignedDemo.by(Basis.standard(false));
        int serving = 0;
        for (BeamDesign d : demo.beams()) {
            Set<Shape> shapes = new LinkedHashSet<>();
            d.line().spans().forEach(s -> shapes.add(s.section().shape()));
            for (Shape s : d.satisfied() ? Set.<Shape>of() : shapes) {
                for (int k = 1; k <= 3 && s instanceof Shape.Rectangle; k++) {
                    BeamLine l = d.line().with(s, new Shape.Rectangle(s.width(), s.depth() + 50 * k));
                    BeamContext context = demo.contexts().of(l);
                    BeamDesign designed = BeamDesigner.design(l, context);
                    BeamDesign tried = BeamDesigner.onTrial(l, context);
                    assertEquals(designed.satisfied(), tried.satisfied(), l.mark() + " " + s.label());
                    serving += designed.satisfied() ? 1 : 0;
                    if (!designed.satisfied()) {
                        noneByLeastSteel(l, context);
                    }
                }
            }
        }
        assertTrue(serving > 5, serving + " serve");
    }
}
