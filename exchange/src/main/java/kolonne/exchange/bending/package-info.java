/** The bar list for cutting and bending machines, docs/formats/bending.md. In: a design. Out: JSON and CSV. */
package kolonne.exchange.bending;
