/** Marks of lines and stacks: given once, kept whatever becomes of the model, changed only by people. */
package kolonne.core.mark;
