/**
 * IFC 4 (ISO 16739-1:2018, files by ISO 10303-21): the building with its bars, and its analysis model. In: a design or a model. Out: text; and back for analysis
 * models.
 */
package kolonne.exchange.ifc;
