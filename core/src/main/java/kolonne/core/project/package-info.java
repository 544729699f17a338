/** What title blocks and heads of pages tell of a project. */
package kolonne.core.project;
