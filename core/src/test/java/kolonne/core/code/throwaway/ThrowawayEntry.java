package kolonne.core.code.throwaway;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Proxy;
import java.util.List;
import java.util.Map;
import kolonne.core.basis.part.Ductility;
import kolonne.core.code.BarCatalogue;
import kolonne.core.code.Bends;
import kolonne.core.code.CodeEntry;
import kolonne.core.code.Combinations;
import kolonne.core.code.DesignCode;
import kolonne.core.code.Parameter;
import kolonne.core.code.ShearInput;
import kolonne.core.code.ShearStrength;
import kolonne.core.code.aci318.Aci318;
import kolonne.core.code.registry.Codes;
import kolonne.core.explain.Clause;

/** A made-up code, to prove that one package and one row are enough: half the shear strength of ACI, a parameter of its own, clauses of its own. */
public final class ThrowawayEntry implements CodeEntry {
    private static final CodeEntry LIKE = new kolonne.core.code.aci318.Aci318MetricEntry();

    @Override
    public String key() {
        return "throw-away-1";
    }

    @Override
    public String name() {
        return "Throw-away code";
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
        return new BarCatalogue("two bars", List.of(BarCatalogue.METRIC.find("T10"), BarCatalogue.METRIC.find("T25")));
    }

    @Override
    public Standard standard() {
        Standard s = LIKE.standard();
        List<String> bars = List.of("T25");
        return new Standard(
                "Standard, thrown away",
                s.materials(),
                new kolonne.core.basis.part.Bars(
                        bars, bars, List.of("T10"), 2, 0.04, s.bars().preference(), 12_000),
                s.stirrups(),
                s.frame(),
                s.beams(),
                s.practice());
    }

    @Override
    public List<Parameter> parameters() {
        return List.of(new Parameter("shearPart", "part of the shear strength", "T.2", 0.5, 0.1, 1));
    }

    @Override
    public Map<Ductility, String> ductility() {
        return Map.of(Ductility.NONE, "none");
    }

    @Override
    public Combinations combinations() {
        return new Combinations("T.3", cases -> LIKE.combinations().of(cases));
    }

    @Override
    public double elasticModulus(double fc) {
        return 1000 * fc;
    }

    @Override
    public Bends bends() {
        return LIKE.bends();
    }

    @Override
    public Map<String, String> remarks() {
        return Map.of("aggregateMm", "The throw-away code says so (T.4).");
    }

    @Override
    public List<String> without() {
        return List.of("roofDeflection");
    }

    @Override
    public DesignCode rules(Map<String, Double> national) {
        double part = national.getOrDefault("shearPart", 0.5);
        return (DesignCode) Proxy.newProxyInstance(
                ThrowawayEntry.class.getClassLoader(), new Class<?>[] {DesignCode.class}, (proxy, m, args) -> {
                    if (m.getName().equals("name")) {
                        return name();
                    }
                    if (m.getName().equals("flexureClause")) {
                        return Clause.of("T.1");
                    }
                    try {
                        Object out = m.invoke(Aci318.SI, args);
                        return m.getName().equals("shear") && args[0] instanceof ShearInput
                                ? less((ShearStrength) out, part)
                                : out;
                    } catch (InvocationTargetException e) {
                        throw e.getCause();
                    }
                });
    }

    private static ShearStrength less(ShearStrength s, double part) {
        return new ShearStrength(part * s.concrete(), part * s.total(), part * s.limit(), s.minimumAvs(), s.highVs());
    }

    /** The row that the registry has read. */
    static CodeEntry registered() {
        return Codes.of("throw-away-1");
    }
}
