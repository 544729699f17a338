/** The command line: the same core without a server or database. Exit status 0 satisfied, 1 something fails, 2 bad input. */
package kolonne.server.command;
