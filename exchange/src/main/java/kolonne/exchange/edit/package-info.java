/** What a change of a project brings with it, as it is stored; patches of the basis. */
package kolonne.exchange.edit;
