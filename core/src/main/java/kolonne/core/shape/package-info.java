/** Outlines of members: their sizes, properties and strips. In: sizes [mm]. Out: {@link kolonne.core.shape.Shape}. */
package kolonne.core.shape;
