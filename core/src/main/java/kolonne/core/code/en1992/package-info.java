/**
 * EN 1992-1-1:2004 + A1:2014, recommended values unless a national parameter says otherwise. Concrete is given by its characteristic
 * cylinder strength fck, which the material calls f'c. Partial factors stand in the material strengths, so that the reduction factor of
 * the other codes is 1 here. Units N, mm, MPa.
 */
package kolonne.core.code.en1992;
