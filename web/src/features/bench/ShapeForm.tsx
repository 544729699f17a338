import { Input, Select } from 'antd'
import { NumberField } from '../../ui/NumberField'
import type { Bench, BenchShape } from './bench'
import { polygons } from './outline'

const ROUND = [
  { value: false, label: 'hoops' },
  { value: true, label: 'a spiral' },
]

const SHAPES = [
  { value: 'rectangle', label: 'rectangle' },
  { value: 'circle', label: 'circle' },
  { value: 'tee', label: 'tee' },
  { value: 'ell', label: 'ell' },
  { value: 'inverted-tee', label: 'inverted tee' },
  { value: 'polygon', label: 'any polygon' },
]
type Size = 'b' | 'h' | 'bw' | 'bf' | 'hf' | 'd'
const SIZES: Record<BenchShape['shape'], [Size, string][]> = {
  rectangle: [
    ['b', 'Width'],
    ['h', 'Depth'],
  ],
  circle: [['d', 'Diameter']],
  tee: flanged(),
  ell: flanged(),
  'inverted-tee': flanged(),
  polygon: [],
}

function flanged(): [Size, string][] {
  return [
    ['bw', 'Web'],
    ['h', 'Depth'],
    ['bf', 'Flange, wide'],
    ['hf', 'Flange, deep'],
  ]
}

/** Use, outline and strengths of the section. */
export function ShapeForm(p: { bench: Bench; sizes: string[]; onChange: (c: Partial<Bench>) => void }) {
  const { bench } = p
  const unit = bench.us ? 'in' : 'mm'
  const stress = bench.us ? 'ksi' : 'MPa'
  const shape = (c: Partial<BenchShape>) => p.onChange({ shape: { ...bench.shape, ...c } })
  const number = (label: string, value: number, onChange: (v: number) => void, u = unit) => (
    <label className="bench-size" key={label}>
      <span>{label}</span>
      <NumberField small live showUnit width={92} label={label} unit={u} least={0} value={value} onChange={onChange} />
    </label>
  )
  return (
    <section aria-label="Section">
      <h2>Section</h2>
      <div className="bench-sizes">
        <label className="bench-size">
          <span>Use</span>
          <Select
            size="small"
            aria-label="Use"
            value={bench.use}
            style={{ width: 92 }}
            options={[
              { value: 'column', label: 'column' },
              { value: 'beam', label: 'beam' },
            ]}
            onChange={(use) => p.onChange({ use })}
          />
        </label>
        <label className="bench-size">
          <span>Shape</span>
          <Select
            size="small"
            aria-label="Shape"
            value={bench.shape.shape}
            style={{ width: 116 }}
            options={
              bench.use === 'column' ? SHAPES : SHAPES.filter((s) => s.value !== 'circle' && s.value !== 'polygon')
            }
            onChange={(s) => shape({ shape: s as BenchShape['shape'] })}
          />
        </label>
        {SIZES[bench.shape.shape].map(([k, name]) => number(name, bench.shape[k], (v) => shape({ [k]: v })))}
        {number('Concrete', bench.fc, (fc) => p.onChange({ fc }), stress)}
        {number('Steel', bench.fy, (fy) => p.onChange({ fy }), stress)}
        {number('Cover', bench.cover, (cover) => p.onChange({ cover }))}
        <label className="bench-size">
          <span>Stirrups</span>
          <Select
            size="small"
            aria-label="Size of stirrups"
            style={{ width: 72 }}
            value={bench.stirrup.bar}
            options={p.sizes.map((s) => ({ value: s, label: s }))}
            onChange={(bar) => p.onChange({ stirrup: { ...bench.stirrup, bar } })}
          />
        </label>
        {number('Spacing, 0 for none', bench.stirrup.spacing, (spacing) =>
          p.onChange({ stirrup: { ...bench.stirrup, spacing } }),
        )}
        {bench.shape.shape === 'circle' ? (
          <label className="bench-size">
            <span>Round it</span>
            <Select
              size="small"
              aria-label="What encloses the bars"
              value={!!bench.stirrup.spiral}
              options={ROUND}
              onChange={(spiral) => p.onChange({ stirrup: { ...bench.stirrup, spiral } })}
            />
          </label>
        ) : (
          number('Legs', bench.stirrup.legs, (legs) => p.onChange({ stirrup: { ...bench.stirrup, legs } }), '')
        )}
      </div>
      {bench.shape.shape === 'polygon' && (
        <Input.TextArea
          aria-label="Corners of the polygon"
          rows={6}
          value={bench.shape.corners}
          status={polygons(bench.shape.corners) ? undefined : 'error'}
          placeholder={'x z, a corner a line, in order; a blank line before each opening'}
          onChange={(e) => shape({ corners: e.target.value })}
        />
      )}
    </section>
  )
}
