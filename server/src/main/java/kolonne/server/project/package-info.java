/** Projects at work: the model, analysis and design in memory, kept in step with what is stored. */
package kolonne.server.project;
