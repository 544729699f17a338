package kolonne.core.basis;

import java.util.List;
import java.util.Map;
import kolonne.core.basis.part.Bars;
import kolonne.core.basis.part.BeamRules;
import kolonne.core.basis.part.DeflectionLimits;
import kolonne.core.basis.part.Ductility;
import kolonne.core.basis.part.Frame;
import kolonne.core.basis.part.Materials;
import kolonne.core.basis.part.SectionLimits;
import kolonne.core.basis.part.Stirrups;

/** Bases with one value changed. */
public final class Varied {
    private Varied() {}

    public static Basis fy(Basis b, double fy) {
        Materials m = b.materials();
        return b.with(new Materials(fy, m.fyt(), m.beamCover(), m.columnCover(), m.aggregate(), m.national()));
    }

    public static Basis beamCover(Basis b, double cover) {
        Materials m = b.materials();
        return b.with(new Materials(m.fy(), m.fyt(), cover, m.columnCover(), m.aggregate(), m.national()));
    }

    public static Basis national(Basis b, Map<String, Double> national) {
        Materials m = b.materials();
        return b.with(new Materials(m.fy(), m.fyt(), m.beamCover(), m.columnCover(), m.aggregate(), national));
    }

    public static Basis beamBars(Basis b, String... labels) {
        Bars r = b.bars();
        return b.with(new Bars(
                List.of(labels),
                r.columns(),
                r.stirrups(),
                r.layersMost(),
                r.practicalCap(),
                r.preference(),
                r.stockLength()));
    }

    public static Basis stirrupBars(Basis b, List<String> labels) {
        Bars r = b.bars();
        return b.with(new Bars(
                r.beams(), r.columns(), labels, r.layersMost(), r.practicalCap(), r.preference(), r.stockLength()));
    }

    public static Basis layers(Basis b, int most) {
        Bars r = b.bars();
        return b.with(new Bars(
                r.beams(), r.columns(), r.stirrups(), most, r.practicalCap(), r.preference(), r.stockLength()));
    }

    public static Basis practicalCap(Basis b, double cap) {
        Bars r = b.bars();
        return b.with(
                new Bars(r.beams(), r.columns(), r.stirrups(), r.layersMost(), cap, r.preference(), r.stockLength()));
    }

    public static Basis stock(Basis b, double length) {
        Bars r = b.bars();
        return b.with(new Bars(
                r.beams(), r.columns(), r.stirrups(), r.layersMost(), r.practicalCap(), r.preference(), length));
    }

    public static Basis zonesAndLegs(Basis b, int zones, int legs) {
        Stirrups s = b.stirrups();
        return b.with(new Stirrups(s.step(), s.least(), s.most(), zones, legs));
    }

    public static Basis ductile(Basis b, Ductility kind) {
        Frame f = b.frame();
        return b.with(new Frame(f.swayX(), f.swayY(), f.redistribution(), kind, f.lengths(), f.lengthX(), f.lengthY()));
    }

    public static Basis slabFlanges(Basis b) {
        BeamRules r = b.beams();
        return b.with(new BeamRules(true, r.bundles(), r.deflection(), r.advice()));
    }

    public static Basis bundles(Basis b, boolean on) {
        BeamRules r = b.beams();
        return b.with(new BeamRules(r.slabFlanges(), on, r.deflection(), r.advice()));
    }

    public static Basis deflection(Basis b, double live, double roof, double lasting) {
        BeamRules r = b.beams();
        return b.with(
                new BeamRules(r.slabFlanges(), r.bundles(), new DeflectionLimits(live, roof, lasting), r.advice()));
    }

    public static Basis advice(Basis b, SectionLimits limits) {
        BeamRules r = b.beams();
        return b.with(new BeamRules(r.slabFlanges(), r.bundles(), r.deflection(), limits));
    }
}
