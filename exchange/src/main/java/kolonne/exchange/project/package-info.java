/** Project data and logos as files. */
package kolonne.exchange.project;
