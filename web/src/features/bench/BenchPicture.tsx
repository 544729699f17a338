import type { SectionAnswer, Strains } from '../../api/client'
import type { Bench } from './bench'
import { singles } from './bench'
import { ringsOf, type Point } from './outline'
import { neutralAxis } from './strains'

const W = 370
const H = 310
const PAD = 26

/** The section to scale with its bars and, for the chosen set, the neutral axis at the strength, at a point of the curve or under service load, with the bars that are pulled; a click places a bar or takes one away. */
export function BenchPicture(p: {
  bench: Bench
  /** diameter of a bar by its label, in the units of the section */
  diameter: (label: string) => number
  set?: SectionAnswer['sets'][number]
  /** of the set or of a point of the curve */
  strains?: Strains
  centroid?: Point
  /** grid that clicks snap to */
  snap: number
  onPlace: (at: Point) => void
  onTake: (index: number) => void
}) {
  const rings = ringsOf(p.bench.shape)
  const d = p.bench.shape.d
  const all: Point[] =
    p.bench.shape.shape === 'circle'
      ? [
          [-d / 2, 0],
          [d / 2, d],
        ]
      : rings.flat()
  if (all.length === 0) return <p className="notice">Give the corners of the polygon, x and z a line.</p>
  const xs = all.map((q) => q[0])
  const zs = all.map((q) => q[1])
  const [x0, x1, z0, z1] = [Math.min(...xs), Math.max(...xs), Math.min(...zs), Math.max(...zs)]
  const k = Math.min((W - 2 * PAD) / (x1 - x0), (H - 2 * PAD) / (z1 - z0))
  const px = (x: number) => W / 2 + k * (x - (x0 + x1) / 2)
  const pz = (z: number) => H / 2 - k * (z - (z0 + z1) / 2)
  const bars = singles(p.bench.bars)
  const place = (e: React.MouseEvent<SVGSVGElement>) => {
    const r = e.currentTarget.getBoundingClientRect()
    const x = (e.clientX - r.left - W / 2) / k + (x0 + x1) / 2
    const z = (H / 2 - (e.clientY - r.top)) / k + (z0 + z1) / 2
    p.onPlace([Math.round(x / p.snap) * p.snap, Math.round(z / p.snap) * p.snap])
  }
  return (
    <svg
      width={W}
      height={H}
      role="group"
      aria-label="Section; a click places a bar"
      className="bench-section"
      onClick={place}
    >
      {p.bench.shape.shape === 'circle' ? (
        <circle className="concrete" cx={px(0)} cy={pz(d / 2)} r={(k * d) / 2} />
      ) : (
        <path
          className="concrete"
          fillRule="evenodd"
          d={rings.map((r) => `M${r.map(([x, z]) => `${px(x)},${pz(z)}`).join('L')}Z`).join('')}
        />
      )}
      {p.strains && (
        <NeutralAxis
          {...p}
          px={px}
          pz={pz}
          all={all}
          strains={p.strains}
          about={p.centroid ?? [(x0 + x1) / 2, (z0 + z1) / 2]}
        />
      )}
      {p.centroid && <path className="centroid" d={`M${px(p.centroid[0]) - 5},${pz(p.centroid[1])}h10m-5,-5v10`} />}
      {bars.map((b, i) => (
        <circle
          key={i}
          className={(p.set?.stresses?.bars[i] ?? 0) > 0 ? 'bar pulled' : 'bar'}
          role="button"
          tabIndex={0}
          aria-label={`${b.bar} at ${b.x}, ${b.z}: remove`}
          cx={px(b.x)}
          cy={pz(b.z)}
          r={Math.max(2.5, (k * p.diameter(b.bar)) / 2)}
          onClick={(e) => {
            e.stopPropagation()
            p.onTake(i)
          }}
          onKeyDown={(e) => (e.key === 'Delete' || e.key === 'Enter') && p.onTake(i)}
        >
          <title>{`${b.bar} at x ${+b.x.toFixed(1)}, z ${+b.z.toFixed(1)}${stressWords(p.set?.stresses?.bars[i], p.bench.us)}: click to take it away`}</title>
        </circle>
      ))}
      <text x={px(x0)} y={pz(z0) + 18}>
        {+(x1 - x0).toFixed(1)} × {+(z1 - z0).toFixed(1)} {p.bench.us ? 'in' : 'mm'}
      </text>
    </svg>
  )
}

const stressWords = (mpa: number | undefined, us: boolean) =>
  mpa === undefined
    ? ''
    : `, ${us ? `${(Math.abs(mpa) / 6.894757).toFixed(1)} ksi` : `${Math.abs(mpa).toFixed(0)} MPa`} in ${mpa > 0 ? 'tension' : 'compression'}`

/** The line of no strain, and the side that is in compression. */
function NeutralAxis(p: {
  bench: Bench
  strains: Strains
  /** the line is drawn as far to either side of the place on it nearest to this */
  about: Point
  all: Point[]
  px: (x: number) => number
  pz: (z: number) => number
}) {
  const depth = neutralAxis(p.strains)
  if (depth === undefined) return null
  const c = p.bench.us ? depth / 25.4 : depth
  const a = (p.strains.towardsDeg * Math.PI) / 180
  const [ux, uz] = [Math.cos(a), Math.sin(a)]
  const along = ([x, z]: Point) => x * ux + z * uz
  const top =
    p.bench.shape.shape === 'circle'
      ? along([0, p.bench.shape.d / 2]) + p.bench.shape.d / 2
      : Math.max(...p.all.map(along))
  const size = Math.hypot(
    Math.max(...p.all.map((q) => q[0])) - Math.min(...p.all.map((q) => q[0])),
    Math.max(...p.all.map((q) => q[1])) - Math.min(...p.all.map((q) => q[1])),
  )
  // the place of the axis nearest to there
  const off = top - c - along(p.about)
  const [mx, mz] = [p.about[0] + off * ux, p.about[1] + off * uz]
  const half = 0.42 * size
  return (
    <g className="neutral-axis">
      <line x1={p.px(mx - half * -uz)} y1={p.pz(mz - half * ux)} x2={p.px(mx + half * -uz)} y2={p.pz(mz + half * ux)} />
      <line
        className="towards"
        x1={p.px(mx)}
        y1={p.pz(mz)}
        x2={p.px(mx + 0.12 * size * ux)}
        y2={p.pz(mz + 0.12 * size * uz)}
      />
    </g>
  )
}
