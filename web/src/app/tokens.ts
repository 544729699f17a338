/** Colours and type of the product: the one source of the CSS variables and of the component library's theme. */
export const LIGHT = {
  ground: '#FAF8F3',
  panel: '#FFFFFF',
  rail: '#F4F1E9',
  ink: '#1D2528',
  inkSoft: '#5F6B70',
  hairline: '#E3DED3',
  accent: '#1F5F6B',
  accentSoft: '#E4EEEF',
  over: '#D2541B',
  overInk: '#A93C0C',
  overSoft: '#FBE3D6',
  demand: '#C7D9DB',
  less: '#A8804A',
  concrete: '#F7F4EC',
  support: '#E9E5D9',
  u0: '#E2EAEA',
  u1: '#BCD2D5',
  u2: '#8AB3BA',
  u3: '#538D98',
  u4: '#266271',
}
export const DARK: typeof LIGHT = {
  ground: '#171C1E',
  panel: '#1E2527',
  rail: '#1A2022',
  ink: '#E8E6DF',
  inkSoft: '#9AA6A9',
  hairline: '#333D40',
  accent: '#6DB3BF',
  accentSoft: '#233A3F',
  over: '#E0713B',
  overInk: '#F09A6C',
  overSoft: '#43281B',
  demand: '#33545A',
  less: '#C9A36B',
  concrete: '#252D2F',
  support: '#3A4244',
  u0: '#2C3638',
  u1: '#34525A',
  u2: '#427480',
  u3: '#5E9CA8',
  u4: '#9ACFD8',
}
export type Tokens = typeof LIGHT

export const FONT = "'IBM Plex Sans', system-ui, sans-serif"

/** Sets the CSS variables, for instance --ink-soft. */
export function applyTokens(t: Tokens, root: HTMLElement = document.documentElement) {
  for (const [name, value] of Object.entries(t)) {
    root.style.setProperty('--' + name.replace(/[A-Z]/g, (c) => '-' + c.toLowerCase()), value)
  }
}
