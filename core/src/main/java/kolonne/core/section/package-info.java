/**
 * Shapes of concrete cross-sections and their gross properties.
 *
 * <p>Axes: y to the right along the width, z upwards along the depth, origin at the centroid. Units mm.
 * Symbols: A area, Iy second moment about y (major bending of an upright beam), Iz about z, J torsion constant.
 */
package kolonne.core.section;
