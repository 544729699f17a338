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

/** ACI 318M-19, in SI units with metric bars. */
public final class Aci318MetricEntry extends Aci318Entry {
    @Override
    public String key() {
        return "aci-318m-19";
    }

    @Override
    public String name() {
        return "ACI 318M-19";
    }

    @Override
    public boolean usUnits() {
        return false;
    }

    @Override
    public BarCatalogue catalogue() {
        return BarCatalogue.METRIC;
    }

    @Override
    public Standard standard() {
        List<String> bars = List.of("T16", "T20", "T25", "T32");
        return new Standard(
                "Standard, SI",
                new Materials(420, 420, 40, 40, 20, Map.of()),
                new Bars(bars, bars, List.of("T10", "T12", "T16"), 2, 0.04, Preference.PRACTICAL, 12_000),
                new Stirrups(25, 75, 300, 3, 6),
                Frame.PLAIN,
                new BeamRules(
                        false,
                        false,
                        new DeflectionLimits(360, 180, 240),
                        new SectionLimits(0.7, 1, 200, 1500, 200, 900, 50)),
                Practice.METRIC);
    }

    /** 4700 √f'c (19.2.2.1 b). */
    @Override
    public double elasticModulus(double fc) {
        return UnitForm.SI.plainStress(4700, 57_000, fc);
    }
}
