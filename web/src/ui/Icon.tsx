const PATHS = {
  model: 'M4 9 10 4 16 9 V17 H4 Z M4 9 H16 M10 4 V17',
  basis: 'M4 5 H16 M4 9 H12 M4 13 H15 M4 17 H9',
  results: 'M4 17 V11 M8 17 V7 M12 17 V9 M16 17 V4',
  types: 'M3 4 C4 13 8 15 17 16 M9 8 A1.6 1.6 0 1 0 9.1 8 M3 17 H17',
  schedules: 'M3 5 H17 V16 H3 Z M3 9 H17 M8 9 V16',
} as const

export type IconName = keyof typeof PATHS

export function Icon({ name }: { name: IconName }) {
  return (
    <svg width="20" height="20" viewBox="0 0 20 20" fill="none" stroke="currentColor" strokeWidth="1.4" aria-hidden>
      <path d={PATHS[name]} />
    </svg>
  )
}
