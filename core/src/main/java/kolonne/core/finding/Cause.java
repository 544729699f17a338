package kolonne.core.finding;

import java.util.Locale;

/** The closed list of reasons for which a member fails. */
public enum Cause {
    FLEXURE("flexure"),
    FLEXURE_COMPRESSION("flexure, section too small"),
    AXIAL_BENDING("axial force with bending"),
    AXIAL_LIMIT("axial limit"),
    SHEAR("shear"),
    SHEAR_LIMIT("shear, limit of the concrete"),
    TORSION("torsion"),
    SHEAR_TORSION_LIMIT("shear with torsion, limit of the concrete"),
    STEEL_OVER_CAP("steel over the code's cap"),
    STEEL_OVER_PRACTICAL("steel over the practical cap"),
    STEEL_BELOW_MINIMUM("steel below the minimum"),
    BARS_DO_NOT_FIT("bars do not fit"),
    BAR_SPACING_WIDE("bars too far apart"),
    STIRRUP_SPACING("stirrup spacing"),
    TIE_ARRANGEMENT("tie arrangement"),
    SLENDERNESS("slenderness"),
    DEFLECTION("deflection"),
    CRACK("crack width"),
    ANCHORAGE("anchorage"),
    JOINT_STRENGTH("column to beam strength"),
    JOINT_SHEAR("joint shear"),
    GEOMETRY("proportions"),
    OUT_OF_SCOPE("out of scope");

    private final String words;

    Cause(String words) {
        this.words = words;
    }

    /** Key used in files, queries and addresses, for instance {@code shear-limit}. */
    public String id() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** The cause in words a reader sees. */
    public String words() {
        return words;
    }

    /** Whether exceeding this requirement means a strength utilisation above 1.00 (overstressed, not only failing). */
    public boolean isStrength() {
        return switch (this) {
            case FLEXURE,
                    FLEXURE_COMPRESSION,
                    AXIAL_BENDING,
                    AXIAL_LIMIT,
                    SHEAR,
                    SHEAR_LIMIT,
                    TORSION,
                    SHEAR_TORSION_LIMIT,
                    JOINT_SHEAR -> true;
            default -> false;
        };
    }
}
