/** Settings that hold for some members only, on top of the basis of the project. */
package kolonne.core.basis.local;
