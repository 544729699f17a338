package kolonne.core.basis;

import kolonne.core.basis.local.LocalValues;
import kolonne.core.basis.part.Bars;
import kolonne.core.basis.part.BeamRules;
import kolonne.core.basis.part.Ductility;
import kolonne.core.basis.part.EffectiveLengths;
import kolonne.core.basis.part.Frame;
import kolonne.core.basis.part.Materials;
import kolonne.core.basis.part.Practice;
import kolonne.core.basis.part.Stirrups;

/** Local values over those of a basis. */
final class Overlaid {
    private final LocalValues v;

    Overlaid(LocalValues v) {
        this.v = v;
    }

    /** A basis with local values in place of its own. */
    Basis on(Basis b) {
        return b.with(materials(b.materials()))
                .with(bars(b.bars()))
                .with(stirrups(b.stirrups()))
                .with(practice(b.practice()))
                .with(frame(b.frame()))
                .with(beams(b.beams()));
    }

    private Materials materials(Materials m) {
        return new Materials(
                or(v.materials().fy(), m.fy()),
                or(v.materials().fyt(), m.fyt()),
                or(v.materials().beamCover(), m.beamCover()),
                or(v.materials().columnCover(), m.columnCover()),
                or(v.materials().aggregate(), m.aggregate()),
                m.national());
    }

    private Bars bars(Bars b) {
        return new Bars(
                or(v.bars().beams(), b.beams()),
                or(v.bars().columns(), b.columns()),
                or(v.stirrups().allowed(), b.stirrups()),
                or(v.bars().layersMost(), b.layersMost()),
                or(v.bars().practicalCap(), b.practicalCap()),
                or(v.bars().preference(), b.preference()),
                b.stockLength());
    }

    private Stirrups stirrups(Stirrups s) {
        return new Stirrups(
                s.step(),
                or(v.stirrups().least(), s.least()),
                or(v.stirrups().most(), s.most()),
                or(v.stirrups().zonesMost(), s.zonesMost()),
                or(v.stirrups().legsMost(), s.legsMost()));
    }

    private Practice practice(Practice p) {
        return new Practice(
                or(v.practice().sizesApart(), p.sizesApart()),
                or(v.practice().columnBarsApart(), p.columnBarsApart()),
                p.columnBarsEvery(),
                p.columnLapsEvery(),
                or(v.practice().lengthModule(), p.lengthModule()),
                p.vibrator(),
                p.costs(),
                p.splices(),
                p.roundTies(),
                p.spacersEvery(),
                p.starters());
    }

    private Frame frame(Frame f) {
        return new Frame(
                or(v.sway().x(), f.swayX()),
                or(v.sway().y(), f.swayY()),
                f.redistribution(),
                ductility(f.ductility()),
                lengths(v.sway(), f.lengths()),
                or(v.sway().lengthX(), f.lengthX()),
                or(v.sway().lengthY(), f.lengthY()));
    }

    /** Beside a special frame members must follow its drift; beside others, which buildings of less exposed places have, nothing is asked of them. */
    private Ductility ductility(Ductility usual) {
        if (!Boolean.TRUE.equals(v.outside())) {
            return usual;
        }
        return usual == Ductility.SPECIAL || usual == Ductility.OUTSIDE ? Ductility.OUTSIDE : Ductility.NONE;
    }

    /** A factor that somebody gave for members counts there, wherever others take theirs from. */
    private static EffectiveLengths lengths(LocalValues.OfSway s, EffectiveLengths usual) {
        boolean given = s.lengths() == null && (s.lengthX() != null || s.lengthY() != null);
        return given ? EffectiveLengths.GIVEN : or(s.lengths(), usual);
    }

    private BeamRules beams(BeamRules r) {
        return new BeamRules(r.slabFlanges(), or(v.bars().bundles(), r.bundles()), r.deflection(), r.advice());
    }

    private static <T> T or(T given, T usual) {
        return given == null ? usual : given;
    }
}
