/** Causes in words, as the strip and tooltips show them. */
export const CAUSE_WORDS: Record<string, string> = {
  flexure: 'flexure', 'flexure-compression': 'section too small in flexure', 'axial-bending': 'axial with bending',
  'axial-limit': 'axial limit', shear: 'shear', 'shear-limit': 'shear limit', torsion: 'torsion',
  'shear-torsion-limit': 'shear with torsion', 'steel-over-cap': 'steel over cap', 'steel-over-practical': 'steel over practical cap',
  'steel-below-minimum': 'steel below minimum', 'bars-do-not-fit': 'bars do not fit', 'bar-spacing-wide': 'bars too far apart',
  'stirrup-spacing': 'stirrup spacing', 'tie-arrangement': 'tie arrangement', slenderness: 'slenderness', deflection: 'deflection',
  crack: 'crack width', anchorage: 'anchorage', 'joint-strength': 'joint strength', 'joint-shear': 'joint shear', geometry: 'proportions',
  'out-of-scope': 'out of scope',
}
