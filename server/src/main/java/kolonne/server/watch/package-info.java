/** What an office needs to watch a server: figures in the open text form that monitoring systems read, and logs in files that take turns. */
package kolonne.server.watch;
