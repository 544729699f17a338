package kolonne.core.code.en1992;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.code.Parameter;

/** Nationally determined parameters by name, with the recommended values of EN 1992-1-1. */
public final class EnParameters {
    /** Values of {@code secondOrder}. */
    static final int CURVATURE = 1;

    static final int STIFFNESS = 2;

    public static final List<Parameter> ALL = List.of(
            new Parameter("gammaC", "γC, partial factor of concrete", "2.4.2.4", 1.5, 1, 2),
            new Parameter("gammaS", "γS, partial factor of steel", "2.4.2.4", 1.15, 1, 1.5),
            new Parameter("alphaCc", "αcc, long-term strength in compression", "3.1.6(1)", 1.0, 0.7, 1),
            new Parameter("alphaCt", "αct, long-term strength in tension", "3.1.6(2)", 1.0, 0.7, 1),
            new Parameter("cRdc", "γC CRd,c, shear without links", "6.2.2(1)", 0.18, 0.05, 0.3),
            new Parameter("vMin", "factor of vmin", "6.2.2(1)", 0.035, 0, 0.1),
            new Parameter("k1Shear", "k1, axial stress in shear", "6.2.2(1)", 0.15, 0, 0.3),
            new Parameter("nu", "factor of ν and ν1, concrete cracked in shear", "6.2.2(6)", 0.6, 0.3, 0.9),
            new Parameter("cotMost", "largest cot θ", "6.2.3(2)", 2.5, 1, 3),
            new Parameter("linkMinimum", "factor of the least links", "9.2.2(5)", 0.08, 0, 0.2),
            new Parameter(
                    "beamMinimum", "factor of fctm / fyk in the least tension steel", "9.2.1.1(1)", 0.26, 0.1, 0.6),
            new Parameter("beamMaximum", "most steel of a beam's face over Ac", "9.2.1.1(3)", 0.04, 0.01, 0.08),
            new Parameter("bottomIntoSupport", "part of bottom steel into supports", "9.2.1.4(1)", 0.25, 0, 1),
            new Parameter("columnMinimum", "least steel of a column over Ac", "9.5.2(2)", 0.002, 0.001, 0.02),
            new Parameter("columnMinimumForce", "part of NEd that the least steel carries", "9.5.2(2)", 0.10, 0, 0.3),
            new Parameter("columnMaximum", "most steel of a column over Ac", "9.5.2(3)", 0.04, 0.02, 0.1),
            new Parameter("tieMost", "largest tie spacing [mm]", "9.5.3(3)", 400, 100, 600),
            new Parameter("crackWidth", "wmax, quasi-permanent [mm]", "7.3.1(5)", 0.3, 0.05, 0.5),
            new Parameter("k3Crack", "k3, crack spacing", "7.3.4(3)", 3.4, 0, 5),
            new Parameter("k4Crack", "k4, crack spacing", "7.3.4(3)", 0.425, 0, 1),
            new Parameter("steelStress", "k3, steel stress over fyk, characteristic", "7.2(5)", 0.8, 0.4, 1),
            new Parameter(
                    "concreteStress",
                    "k1, concrete stress over fck, characteristic; 0.6 in exposure classes XD, XF, XS",
                    "7.2(2)",
                    1.0,
                    0.3,
                    1),
            new Parameter("slenderness", "factor of λlim", "5.8.3.1(1)", 20, 5, 30),
            new Parameter(
                    "secondOrder",
                    "second order of columns: 1 by nominal curvature, 2 by nominal stiffness",
                    "5.8.5(1)",
                    CURVATURE,
                    CURVATURE,
                    STIFFNESS,
                    true),
            new Parameter("gammaCE", "γCE, modulus of elasticity in second order", "5.8.6(3)", 1.2, 1, 1.5),
            new Parameter("creep", "φ(∞, t0), creep coefficient", "3.1.4", 2.0, 0, 4),
            new Parameter("shrinkage", "εcs, total shrinkage in thousandths", "3.1.4(6)", 0.3, 0, 1));

    private final Map<String, Double> values;

    private EnParameters(Map<String, Double> given) {
        values = new HashMap<>(RECOMMENDED);
        values.putAll(given);
    }

    /** Recommended values, less those given. */
    public static EnParameters of(Map<String, Double> given) {
        return new EnParameters(given);
    }

    double get(String key) {
        return values.get(key);
    }

    private static final Map<String, Double> RECOMMENDED = recommended();

    private static Map<String, Double> recommended() {
        Map<String, Double> out = new LinkedHashMap<>();
        ALL.forEach(p -> out.put(p.key(), p.recommended()));
        return out;
    }
}
