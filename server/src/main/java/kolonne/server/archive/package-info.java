/** Projects as files: one project to take away and bring back, and all of them as a backup. Knows the store and no pages. */
package kolonne.server.archive;
