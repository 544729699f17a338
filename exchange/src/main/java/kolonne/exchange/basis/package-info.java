/** The basis of design as JSON, with units in the names of fields. */
package kolonne.exchange.basis;
