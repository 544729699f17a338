/**
 * ACI 318-19, Building Code Requirements for Structural Concrete, in its SI (318M-19) and inch-pound editions.
 * Formulas with unit-dependent constants are evaluated in the edition's own form; values in and out are N, mm, MPa.
 * Normalweight concrete (λ = 1.0), uncoated bars, tied columns, non-seismic detailing (SDC A or B).
 */
package kolonne.core.code.aci318;
