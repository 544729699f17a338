package kolonne.core.code;

/**
 * A section as the shear rules see it.
 *
 * @param fc   f'c [MPa]
 * @param fyt  yield strength of stirrups [MPa]
 * @param bw   web width [mm]
 * @param d    effective depth [mm]
 * @param ag   gross area [mm2]
 * @param rhoW tension steel As / (bw d)
 * @param avs  area of stirrup legs per length Av/s [mm2/mm]
 * @param nu   axial force with the shear, compression positive [N]
 */
public record ShearInput(double fc, double fyt, double bw, double d, double ag, double rhoW, double avs, double nu) {
    /** With other legs. */
    ShearInput with(double avs) {
        return new ShearInput(fc, fyt, bw, d, ag, rhoW, avs, nu);
    }
}
