package kolonne.core.code;

import java.util.Optional;
import kolonne.core.basis.part.Ductility;

/** The rules of a design code, facet by facet. Units N, mm, MPa; strengths returned are design strengths, after reduction. */
public interface DesignCode
        extends Scope, SectionRules, Redistribution, BeamSteel, Flanges, ShearRules, StirrupRules, SpanRules {
    /** Name and edition, for instance {@code ACI 318M-19}. */
    String name();

    /** Rules for frames in earthquakes; empty for none. */
    Optional<DuctileFrame> ductile(Ductility kind);

    Torsion torsion();

    /** Rules for bars. */
    Detailing detailing();

    /** Rules for the steel of columns. */
    ColumnRules columns();

    /** Rules for columns inside spirals. */
    Spirals spirals();

    Serviceability serviceability();

    /** Rules for crack width and stresses, of codes that compute them. */
    Optional<CrackWidth> crackWidth();

    /** Second-order rules for columns. */
    Slenderness slenderness();

    /** The letters in which the code writes a calculation. */
    Notation notation();
}
