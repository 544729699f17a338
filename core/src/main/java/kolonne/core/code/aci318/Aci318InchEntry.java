package kolonne.core.code.aci318;

import java.util.List;
import java.util.Map;
import kolonne.core.basis.part.Bars;
import kolonne.core.basis.part.BeamRules;
import kolonne.core.basis.part.DeflectionLimits;
import kolonne.core.basis.part.Frame;
import kolonne.core.basis.part.Materials;
import kolonne.core.basis.part.Practice;
import kolonne.core.basis.part.Preference;
import kolonne.core.basis.part.SectionLimits;
import kolonne.core.basis.part.Stirrups;
import kolonne.core.code.BarCatalogue;

/** ACI 318-19, in US customary units with inch-pound bars. */
public final class Aci318InchEntry extends Aci318Entry {
    private static final double GRADE_60 = 60_000 * UnitForm.PSI;

    @Override
    public String key() {
        return "aci-318-19";
    }

    @Override
    public String name() {
        return "ACI 318-19";
    }

    @Override
    public boolean usUnits() {
        return true;
    }

    @Override
    public BarCatalogue catalogue() {
        return BarCatalogue.US;
    }

    @Override
    public Standard standard() {
        return new Standard(
                "Standard, US",
                new Materials(GRADE_60, GRADE_60, 38.1, 38.1, 19.05, Map.of()),
                new Bars(
                        List.of("#5", "#6", "#7", "#8", "#9"),
                        List.of("#6", "#7", "#8", "#9", "#10", "#11"),
                        List.of("#3", "#4", "#5"),
                        2,
                        0.04,
                        Preference.PRACTICAL,
                        12_192),
                new Stirrups(25.4, 76.2, 304.8, 3, 6),
                Frame.PLAIN,
                new BeamRules(
                        false,
                        false,
                        new DeflectionLimits(360, 180, 240),
                        new SectionLimits(0.7, 1, 203.2, 1524, 203.2, 914.4, 50.8)),
                Practice.INCHES);
    }

    /** 57 000 √f'c in psi (19.2.2.1 b). */
    @Override
    public double elasticModulus(double fc) {
        return UnitForm.US.plainStress(4700, 57_000, fc);
    }
}
