/** The design codes there are. A code is a package with a {@link kolonne.core.code.CodeEntry} and a line in META-INF/services. */
package kolonne.core.code.registry;
