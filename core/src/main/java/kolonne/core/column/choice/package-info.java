/**
 * What proposes a cage for a column stack.
 */
package kolonne.core.column.choice;
