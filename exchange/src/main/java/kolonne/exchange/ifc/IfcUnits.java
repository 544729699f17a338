package kolonne.exchange.ifc;

import java.util.ArrayList;
import java.util.List;

/** The units of a file: those that the numbers in it are written in. */
final class IfcUnits {
    private IfcUnits() {}

    private static StepWriter.Ref si(StepWriter w, String kind, String prefix, String name) {
        return w.add(
                "IFCSIUNIT",
                StepWriter.DERIVED,
                new StepWriter.Word(kind),
                prefix == null ? null : new StepWriter.Word(prefix),
                new StepWriter.Word(name));
    }

    /** Millimetres, square and cubic metres, radians, kilograms, pascals. */
    static StepWriter.Ref ofBuilding(StepWriter w) {
        return w.add(
                "IFCUNITASSIGNMENT",
                List.of(
                        si(w, "LENGTHUNIT", "MILLI", "METRE"),
                        si(w, "AREAUNIT", null, "SQUARE_METRE"),
                        si(w, "VOLUMEUNIT", null, "CUBIC_METRE"),
                        si(w, "PLANEANGLEUNIT", null, "RADIAN"),
                        si(w, "MASSUNIT", "KILO", "GRAM"),
                        si(w, "FORCEUNIT", null, "NEWTON"),
                        si(w, "PRESSUREUNIT", null, "PASCAL")));
    }

    /** Metres, newtons and what is made of them. */
    static StepWriter.Ref ofAnalysis(StepWriter w) {
        StepWriter.Ref metre = si(w, "LENGTHUNIT", null, "METRE");
        StepWriter.Ref newton = si(w, "FORCEUNIT", null, "NEWTON");
        StepWriter.Ref radian = si(w, "PLANEANGLEUNIT", null, "RADIAN");
        StepWriter.Ref kilogram = si(w, "MASSUNIT", "KILO", "GRAM");
        List<Object> all = new ArrayList<>(List.of(
                metre,
                newton,
                radian,
                kilogram,
                si(w, "AREAUNIT", null, "SQUARE_METRE"),
                si(w, "VOLUMEUNIT", null, "CUBIC_METRE"),
                si(w, "PRESSUREUNIT", null, "PASCAL")));
        StepWriter.Ref n = power(w, newton, 1);
        all.add(derived(w, "TORQUEUNIT", n, power(w, metre, 1)));
        all.add(derived(w, "LINEARFORCEUNIT", n, power(w, metre, -1)));
        all.add(derived(w, "LINEARMOMENTUNIT", n));
        all.add(derived(w, "PLANARFORCEUNIT", n, power(w, metre, -2)));
        all.add(derived(w, "LINEARSTIFFNESSUNIT", n, power(w, metre, -1)));
        all.add(derived(w, "ROTATIONALSTIFFNESSUNIT", n, power(w, metre, 1), power(w, radian, -1)));
        all.add(derived(w, "MODULUSOFELASTICITYUNIT", n, power(w, metre, -2)));
        all.add(derived(w, "MASSDENSITYUNIT", power(w, kilogram, 1), power(w, metre, -3)));
        return w.add("IFCUNITASSIGNMENT", all);
    }

    private static StepWriter.Ref power(StepWriter w, StepWriter.Ref unit, int exponent) {
        return w.add("IFCDERIVEDUNITELEMENT", unit, exponent);
    }

    private static StepWriter.Ref derived(StepWriter w, String kind, StepWriter.Ref... elements) {
        return w.add("IFCDERIVEDUNIT", List.of((Object[]) elements), new StepWriter.Word(kind), null);
    }
}
