/**
 * Bars and ties of a column as they lie.
 */
package kolonne.core.column.cage;
