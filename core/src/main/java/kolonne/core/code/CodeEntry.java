package kolonne.core.code;

import java.util.List;
import java.util.Map;
import kolonne.core.basis.part.Bars;
import kolonne.core.basis.part.BeamRules;
import kolonne.core.basis.part.Ductility;
import kolonne.core.basis.part.Frame;
import kolonne.core.basis.part.Materials;
import kolonne.core.basis.part.Practice;
import kolonne.core.basis.part.Stirrups;

/** A design code as a row of the registry: everything that is known of it before a rule is asked. */
public interface CodeEntry {
    /** In files, for instance {@code aci-318m-19}. */
    String key();

    /** Name and edition, for instance {@code ACI 318M-19}. */
    String name();

    /** Whether values are shown in US customary units. */
    boolean usUnits();

    /** Whether it is taken where a file names no code; one for each system of units. */
    boolean usual();

    BarCatalogue catalogue();

    /** With what a new basis begins. */
    Standard standard();

    /** What the code leaves to nations; empty for none. */
    List<Parameter> parameters();

    /** Kinds of ductile frames that are covered, with words for a reader; NONE among them. */
    Map<Ductility, String> ductility();

    Combinations combinations();

    /** Modulus of elasticity of concrete [MPa]. */
    double elasticModulus(double fc);

    Bends bends();

    /** What the code says of a field of the basis by its key, or of deflection as a whole: sentences with their clauses. */
    Map<String, String> remarks();

    /** Keys of the numbers of a basis that mean nothing by this code. */
    List<String> without();

    /** The rules. @param national in place of recommended values, by key; keys and bounds checked */
    DesignCode rules(Map<String, Double> national);

    /** With what a new basis begins. @param name of that basis */
    record Standard(
            String name,
            Materials materials,
            Bars bars,
            Stirrups stirrups,
            Frame frame,
            BeamRules beams,
            Practice practice) {}
}
