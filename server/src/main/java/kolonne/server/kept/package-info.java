/** Designs as bytes, so that a restart or another server need not design again what is designed. */
package kolonne.server.kept;
