package kolonne.core.code.aci318;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import kolonne.core.basis.part.Ductility;
import kolonne.core.code.Bends;
import kolonne.core.code.CodeEntry;
import kolonne.core.code.Combinations;
import kolonne.core.code.DesignCode;
import kolonne.core.code.Parameter;

/** What both editions of ACI 318-19 share. */
abstract class Aci318Entry implements CodeEntry {
    @Override
    public boolean usual() {
        return true;
    }

    @Override
    public List<Parameter> parameters() {
        return List.of();
    }

    @Override
    public Map<Ductility, String> ductility() {
        Map<Ductility, String> out = new EnumMap<>(Ductility.class);
        out.put(Ductility.NONE, "none");
        out.put(Ductility.ORDINARY, "ordinary frames (18.3)");
        out.put(Ductility.INTERMEDIATE, "intermediate frames (18.4)");
        out.put(Ductility.SPECIAL, "special frames (18.6 to 18.8)");
        out.put(Ductility.OUTSIDE, "outside the seismic system (18.14)");
        return out;
    }

    @Override
    public Combinations combinations() {
        return new Combinations("ACI 318-19 table 5.3.1", AciCombinations::of);
    }

    @Override
    public Bends bends() {
        return new AciBends();
    }

    @Override
    public Map<String, String> remarks() {
        return Map.of(
                "fytMpa",
                "In shear no more than 420 MPa counts (20.2.2.4).",
                "aggregateMm",
                "Bars are at least 4/3 of it apart (25.2.1).",
                "liveDeflection",
                "360 for floors (24.2.2).",
                "roofDeflection",
                "180 (24.2.2).",
                "lastingDeflection",
                "240, or 480 where partitions are likely to be damaged; a deep span is then no substitute (24.2.2).",
                "redistribution",
                "At most 20 % (6.6.5).",
                "sway",
                "Moments of wind and earthquake are magnified (6.6.4.6).",
                "slabFlanges",
                "As wide as 6.3.2.1 lets them count.");
    }

    @Override
    public List<String> without() {
        return List.of();
    }

    @Override
    public DesignCode rules(Map<String, Double> national) {
        return usUnits() ? Aci318.US : Aci318.SI;
    }
}
