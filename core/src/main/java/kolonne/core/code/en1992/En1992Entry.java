package kolonne.core.code.en1992;

import java.util.List;
import java.util.Map;
import kolonne.core.basis.part.Bars;
import kolonne.core.basis.part.BeamRules;
import kolonne.core.basis.part.DeflectionLimits;
import kolonne.core.basis.part.Ductility;
import kolonne.core.basis.part.Frame;
import kolonne.core.basis.part.Materials;
import kolonne.core.basis.part.Practice;
import kolonne.core.basis.part.Preference;
import kolonne.core.basis.part.SectionLimits;
import kolonne.core.basis.part.Stirrups;
import kolonne.core.code.BarCatalogue;
import kolonne.core.code.Bends;
import kolonne.core.code.CodeEntry;
import kolonne.core.code.Combinations;
import kolonne.core.code.DesignCode;
import kolonne.core.code.Parameter;

/** EN 1992-1-1 with the combinations of EN 1990. */
public final class En1992Entry implements CodeEntry {
    @Override
    public String key() {
        return "en-1992-1-1";
    }

    @Override
    public String name() {
        return "EN 1992-1-1";
    }

    @Override
    public boolean usUnits() {
        return false;
    }

    @Override
    public boolean usual() {
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
                "Standard, EN",
                new Materials(500, 500, 35, 35, 20, Map.of()),
                new Bars(bars, bars, List.of("T8", "T10", "T12"), 2, 0.04, Preference.PRACTICAL, 12_000),
                new Stirrups(25, 75, 300, 3, 6),
                Frame.PLAIN,
                new BeamRules(
                        false,
                        false,
                        new DeflectionLimits(250, 250, 250),
                        new SectionLimits(0.7, 1, 200, 1500, 200, 900, 50)),
                Practice.METRIC);
    }

    @Override
    public List<Parameter> parameters() {
        return EnParameters.ALL;
    }

    @Override
    public Map<Ductility, String> ductility() {
        return Map.of(Ductility.NONE, "none");
    }

    @Override
    public Combinations combinations() {
        return new Combinations("EN 1990 (6.10)", EnCombinations::of);
    }

    @Override
    public double elasticModulus(double fc) {
        return EnConcrete.ecm(fc);
    }

    @Override
    public Bends bends() {
        return new EnBends();
    }

    @Override
    public Map<String, String> remarks() {
        return Map.of(
                "aggregateMm",
                "Bars are at least it and 5 mm apart (8.2(2)).",
                "deflection",
                "Under sustained load the deflection is at most the span over 250 (7.4.1). What comes after the partitions is limited where they are "
                        + "likely to be damaged: give 480 or more.",
                "redistribution",
                "At most 30 % (5.5(4)).",
                "ductility",
                "Add the rules of EN 1998-1 by hand.",
                "sway",
                "Moments of wind and earthquake are magnified (5.8.7.3).",
                "slabFlanges",
                "As wide as 5.3.2.1 lets them count.");
    }

    /** The total deflection under sustained load is limited by the code itself (7.4.1(4)). */
    @Override
    public List<String> without() {
        return List.of("liveDeflection", "roofDeflection");
    }

    @Override
    public DesignCode rules(Map<String, Double> national) {
        return En1992.of(national);
    }
}
