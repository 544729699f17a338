/**
 * Small models drawn up without a file: a continuous beam, a single column. In: spans or a height, supports, sections, loads
 * by case. Out: an ordinary {@link kolonne.core.model.Building} with the code's combinations.
 */
package kolonne.core.sketch;
