import { theme as antTheme, type ThemeConfig } from 'antd'
import { DARK, FONT, LIGHT, type Tokens } from './tokens'

export type Mode = 'light' | 'dark'

export function tokensOf(mode: Mode): Tokens {
  return mode === 'dark' ? DARK : LIGHT
}

/** The component library's theme from our tokens; still where the reader wishes less motion. */
export function antdTheme(mode: Mode): ThemeConfig {
  const t = tokensOf(mode)
  return {
    algorithm: mode === 'dark' ? antTheme.darkAlgorithm : antTheme.defaultAlgorithm,
    token: {
      colorPrimary: t.accent,
      colorInfo: t.accent,
      colorLink: t.accent,
      colorError: t.over,
      colorWarning: t.over,
      colorBgBase: t.panel,
      colorBgLayout: t.ground,
      colorTextBase: t.ink,
      // what stands on the accent: the dark theme's accent is light
      colorTextLightSolid: mode === 'dark' ? '#0E1416' : '#FFFFFF',
      colorTextPlaceholder: t.inkSoft,
      colorBgElevated: t.panel,
      colorBgContainer: t.panel,
      colorBorder: t.hairline,
      colorBorderSecondary: t.hairline,
      fontFamily: FONT,
      fontSize: 13,
      borderRadius: 5,
      controlHeight: 28,
      motion: !matchMedia('(prefers-reduced-motion: reduce)').matches,
    },
  }
}

export function savedMode(): Mode {
  return localStorage.getItem('kolonne.mode') === 'dark' ? 'dark' : 'light'
}
