/**
 * Station forces solved elsewhere, from CSV or XLSX with any headers. In: a table and a mapping of its columns. Out: station
 * forces in core units and signs, with a finding for every row that could not be used.
 */
package kolonne.exchange.forces;
