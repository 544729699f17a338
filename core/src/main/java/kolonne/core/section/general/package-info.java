/** Sections of any outline with bars anywhere, under axial force and biaxial bending. */
package kolonne.core.section.general;
