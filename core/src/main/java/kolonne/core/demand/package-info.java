/**
 * Forces that act together: each combination at each station, formed on the fly from the load cases. In: an analysis and
 * the model's combinations. Out: components in the signs of {@code analysis}.
 */
package kolonne.core.demand;
