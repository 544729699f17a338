/** Types of a project as JSON. */
package kolonne.exchange.type;
