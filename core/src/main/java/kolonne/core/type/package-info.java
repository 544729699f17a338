/** Members that share one cage: types as people keep them, their design, and the curve of types against steel. */
package kolonne.core.type;
