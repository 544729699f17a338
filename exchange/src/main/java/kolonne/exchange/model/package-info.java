/**
 * The model file: Kolonne's JSON format and the same content as CSV tables. In: bytes. Out: a building in core units, or
 * findings that say what is wrong, where and how to mend it; all at once.
 */
package kolonne.exchange.model;
