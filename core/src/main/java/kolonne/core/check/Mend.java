package kolonne.core.check;

import kolonne.core.finding.Cause;

/** How to mend a member whose check is not met. */
public final class Mend {
    private Mend() {}

    /** An action; empty where there is none to tell. */
    public static String of(CheckKind kind, Cause cause) {
        if (!kind.mend().isEmpty()) {
            return kind.mend();
        }
        return kind.ofColumn() ? column(cause) : beam(cause);
    }

    private static String beam(Cause cause) {
        return switch (cause) {
            case FLEXURE -> "Add bars or a larger size, or make the section deeper.";
            case FLEXURE_COMPRESSION ->
                "Make the section deeper or wider, use stronger concrete, or add compression bars.";
            case SHEAR -> "Use more legs, a larger stirrup or a closer spacing, or make the section deeper.";
            case TORSION ->
                "Use larger stirrups or a closer spacing and more bars round the perimeter, make the section larger, or reduce its "
                        + "torsional stiffness if equilibrium allows.";
            case SHEAR_TORSION_LIMIT ->
                "Make the section wider or deeper, use stronger concrete, or reduce its torsional stiffness if equilibrium allows.";
            case SHEAR_LIMIT -> "Make the section deeper or wider, or use stronger concrete.";
            case STEEL_BELOW_MINIMUM -> "Add bars or stirrups.";
            case BARS_DO_NOT_FIT -> "Use fewer, larger bars or another layer, or make the section wider.";
            case BAR_SPACING_WIDE -> "Use more, smaller bars.";
            case STIRRUP_SPACING -> "Bring the stirrups or their legs closer.";
            case DEFLECTION -> "Make the span deeper, add tension or compression bars, or use stronger concrete.";
            case CRACK -> "Add bars or use smaller ones closer together, or make the section deeper.";
            case STEEL_OVER_CAP -> "Make the section larger, or use stronger concrete or steel.";
            case ANCHORAGE -> "Use smaller bars at the end, a deeper support, or stronger concrete.";
            case SLENDERNESS -> "Brace the frame or make its columns larger.";
            case TIE_ARRANGEMENT -> "Use more legs, or fewer and larger bars.";
            case GEOMETRY -> "Make the beam shallower, or the span longer.";
            case OUT_OF_SCOPE -> "Design the member for this action by hand, or take the action out of it.";
            default -> "";
        };
    }

    private static String column(Cause cause) {
        return switch (cause) {
            case AXIAL_BENDING -> "Make the section larger, use stronger concrete, or more steel where the caps allow.";
            case AXIAL_LIMIT -> "Make the section larger or use stronger concrete.";
            case SHEAR, SHEAR_LIMIT -> "Make the section larger, or use more or closer ties.";
            case TORSION ->
                "Use larger or closer ties and more bars all round, make the section larger, or reduce its torsional stiffness if equilibrium allows.";
            case SHEAR_TORSION_LIMIT ->
                "Make the section larger, use stronger concrete, or reduce its torsional stiffness if equilibrium allows.";
            case STEEL_OVER_PRACTICAL, STEEL_OVER_CAP -> "Make the section larger or use stronger concrete.";
            case SLENDERNESS -> "Make the section larger, shorten the lift, or brace the frame.";
            case BARS_DO_NOT_FIT -> "Use fewer, larger bars, or make the section larger.";
            case TIE_ARRANGEMENT, STIRRUP_SPACING -> "Use a larger tie bar, closer ties or more legs.";
            case STEEL_BELOW_MINIMUM -> "Use more or larger bars or ties.";
            case OUT_OF_SCOPE -> "Design the column by hand.";
            default -> "";
        };
    }
}
