/** Reads small models drawn up in the application: a continuous beam, a single column. In: JSON. Out: a sketch, or findings. */
package kolonne.exchange.sketch;
