package kolonne.core.basis;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import kolonne.core.basis.local.LocalSettings;
import kolonne.core.basis.part.Bars;
import kolonne.core.basis.part.BeamRules;
import kolonne.core.basis.part.DeflectionLimits;
import kolonne.core.basis.part.Ductility;
import kolonne.core.basis.part.Frame;
import kolonne.core.basis.part.Materials;
import kolonne.core.basis.part.Practice;
import kolonne.core.basis.part.Preference;
import kolonne.core.basis.part.Stirrups;
import kolonne.core.code.Bar;
import kolonne.core.code.CodeEntry;
import kolonne.core.code.DesignCode;
import kolonne.core.code.registry.Codes;
import kolonne.core.finding.Finding;

/**
 * Basis of design.
 *
 * @param code  key of the design code, one of {@link Codes}
 * @param local settings of some members only, on top of all else; the later ones win
 */
public record Basis(
        String name,
        String code,
        Materials materials,
        Bars bars,
        Stirrups stirrups,
        Frame frame,
        BeamRules beams,
        Practice practice,
        List<LocalSettings> local) {
    public Basis {
        local = List.copyOf(local);
    }

    /** The starting basis of a new project in SI or US customary units. */
    public static Basis standard(boolean usUnits) {
        return standard(Codes.usual(usUnits).key());
    }

    /** The starting basis of a code. */
    public static Basis standard(String code) {
        CodeEntry.Standard s = Codes.of(code).standard();
        return new Basis(
                s.name(), code, s.materials(), s.bars(), s.stirrups(), s.frame(), s.beams(), s.practice(), List.of());
    }

    /** The same basis under another name. */
    public Basis named(String other) {
        return new Basis(other, code, materials, bars, stirrups, frame, beams, practice, local);
    }

    public Basis with(Materials other) {
        return new Basis(name, code, other, bars, stirrups, frame, beams, practice, local);
    }

    public Basis with(Bars other) {
        return new Basis(name, code, materials, other, stirrups, frame, beams, practice, local);
    }

    public Basis with(Stirrups other) {
        return new Basis(name, code, materials, bars, other, frame, beams, practice, local);
    }

    public Basis with(Frame other) {
        return new Basis(name, code, materials, bars, stirrups, other, beams, practice, local);
    }

    public Basis with(BeamRules other) {
        return new Basis(name, code, materials, bars, stirrups, frame, other, practice, local);
    }

    public Basis with(Practice other) {
        return new Basis(name, code, materials, bars, stirrups, frame, beams, other, local);
    }

    /** The same basis with other local settings. */
    public Basis with(List<LocalSettings> other) {
        return new Basis(name, code, materials, bars, stirrups, frame, beams, practice, other);
    }

    /** The basis of a member for which some of the local settings hold, in their order; it has none itself. */
    public Basis of(List<LocalSettings> holding) {
        Basis out = with(List.of());
        for (LocalSettings l : holding) {
            out = new Overlaid(l.values()).on(out);
        }
        return out;
    }

    /** The same basis with another preference. */
    public Basis with(Preference p) {
        return with(new Bars(
                bars.beams(),
                bars.columns(),
                bars.stirrups(),
                bars.layersMost(),
                bars.practicalCap(),
                p,
                bars.stockLength()));
    }

    /** The same basis with a part of the hogging moments redistributed. */
    public Basis withRedistribution(double part) {
        return with(new Frame(
                frame.swayX(),
                frame.swayY(),
                part,
                frame.ductility(),
                frame.lengths(),
                frame.lengthX(),
                frame.lengthY()));
    }

    /** What is known of the code before a rule is asked. */
    public CodeEntry entry() {
        return Codes.of(code);
    }

    public boolean usUnits() {
        return entry().usUnits();
    }

    public DesignCode designCode() {
        return entry().rules(materials.national());
    }

    public double fy() {
        return materials.fy();
    }

    public double fyt() {
        return materials.fyt();
    }

    public double beamCover() {
        return materials.beamCover();
    }

    public double columnCover() {
        return materials.columnCover();
    }

    public double aggregate() {
        return materials.aggregate();
    }

    public DeflectionLimits deflection() {
        return beams.deflection();
    }

    public Ductility ductility() {
        return frame.ductility();
    }

    public double redistribution() {
        return frame.redistribution();
    }

    public Map<String, Double> national() {
        return materials.national();
    }

    /** Allowed longitudinal bars of beams, smallest first. */
    public List<Bar> beamBarList() {
        return allowed(bars.beams());
    }

    public List<Bar> columnBarList() {
        return allowed(bars.columns());
    }

    public List<Bar> stirrupList() {
        return allowed(bars.stirrups());
    }

    /** The smallest bar for stirrups and ties. */
    public Bar smallestStirrup() {
        for (Bar b : entry().catalogue().bars()) {
            if (bars.stirrups().contains(b.label())) {
                return b;
            }
        }
        throw new IllegalStateException("the basis allows no stirrups");
    }

    // by a loop: asked for at every place of every line
    private List<Bar> allowed(List<String> labels) {
        List<Bar> out = new ArrayList<>(labels.size());
        for (Bar b : entry().catalogue().bars()) {
            if (labels.contains(b.label())) {
                out.add(b);
            }
        }
        return Collections.unmodifiableList(out);
    }

    /** Everything wrong with the basis; empty if it can be designed to. */
    public List<Finding> check() {
        return new BasisCheck(this).run();
    }
}
