/**
 * Checks of a given cage of a column, each of which also explains itself. Out: {@link kolonne.core.column.check.ColumnDesign}.
 */
package kolonne.core.column.check;
