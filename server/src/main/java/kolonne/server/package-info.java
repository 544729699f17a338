/** Wiring: the command line and the server's start. */
package kolonne.server;
