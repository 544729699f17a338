/** Long work: how far it has come, and how it is stopped. */
package kolonne.core.work;
