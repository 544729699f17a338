/** JSON as it is read from people: one strict reader, and its troubles told in their words. */
package kolonne.exchange.json;
