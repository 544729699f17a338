/** Long work with progress that a browser follows and may cancel. */
package kolonne.server.jobs;
