/** Sheets of details as files: DXF and PDF, the same lines and texts in both. */
package kolonne.exchange.drawing;
