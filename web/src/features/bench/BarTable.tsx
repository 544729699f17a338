import { Button, Select } from 'antd'
import { useState } from 'react'
import { NumberField } from '../../ui/NumberField'
import type { Bench, BenchBar } from './bench'
import { placesRound } from './outline'

/** Bars one by one or along lines, and laid round the section in one step. */
export function BarTable(p: {
  bench: Bench
  sizes: string[]
  size: string
  diameter: (label: string) => number
  onSize: (s: string) => void
  onChange: (bars: BenchBar[]) => void
}) {
  const { bench, sizes } = p
  const unit = bench.us ? 'in' : 'mm'
  const [apart, setApart] = useState(bench.us ? 10 : 250)
  const options = sizes.map((s) => ({ value: s, label: s }))
  const lay = () => {
    const by = bench.cover + (bench.stirrup.spacing > 0 ? p.diameter(bench.stirrup.bar) : 0) + p.diameter(p.size) / 2
    p.onChange(placesRound(bench.shape, by, apart).map(([x, z]) => ({ bar: p.size, count: 1, x, z, x2: x, z2: z })))
  }
  const put = (i: number, c: Partial<BenchBar>) => p.onChange(bench.bars.map((b, k) => (k === i ? { ...b, ...c } : b)))
  return (
    <section aria-label="Bars">
      <h2>Bars</h2>
      <div className="sketch-tools">
        <Select
          size="small"
          aria-label="Size of new bars"
          style={{ width: 78 }}
          value={p.size}
          options={options}
          onChange={p.onSize}
        />
        <Button size="small" onClick={lay}>
          Lay round the edge
        </Button>
        <span className="soft nowrap">at most</span>
        <NumberField
          small
          label="Bars apart"
          width={62}
          unit={unit}
          least={bench.us ? 1 : 30}
          value={apart}
          onChange={setApart}
        />
        <span className="soft nowrap">{unit} apart</span>
      </div>
      <p className="soft">A click in the section adds a bar of this size, or takes one away.</p>
      <table className="plain tight">
        <thead>
          <tr>
            <th>No.</th>
            <th>Size</th>
            <th>x, {unit}</th>
            <th>z, {unit}</th>
            <th>to x</th>
            <th>to z</th>
            <td />
          </tr>
        </thead>
        <tbody>
          {bench.bars.map((b, i) => (
            <tr key={i}>
              <td>
                <NumberField
                  small
                  live
                  whole
                  width={46}
                  label={`Number of bars ${i + 1}`}
                  least={1}
                  most={200}
                  value={b.count}
                  onChange={(count) => put(i, { count })}
                />
              </td>
              <td>
                <Select
                  size="small"
                  aria-label={`Size of bars ${i + 1}`}
                  style={{ width: 72 }}
                  value={b.bar}
                  options={options}
                  onChange={(bar) => put(i, { bar })}
                />
              </td>
              {(['x', 'z', 'x2', 'z2'] as const).map((k) => (
                <td key={k}>
                  {b.count > 1 || k.length === 1 ? (
                    <NumberField
                      small
                      live
                      width={66}
                      decimals={2}
                      label={`${k} of bars ${i + 1}`}
                      unit={unit}
                      value={b[k]}
                      onChange={(v) => put(i, { [k]: v })}
                    />
                  ) : (
                    <span className="soft">–</span>
                  )}
                </td>
              ))}
              <td>
                <button
                  type="button"
                  className="link"
                  aria-label={`Take bars ${i + 1} away`}
                  onClick={() => p.onChange(bench.bars.filter((_, k) => k !== i))}
                >
                  ×
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <Button
        size="small"
        onClick={() => p.onChange([...bench.bars, { bar: p.size, count: 2, x: 0, z: 0, x2: 0, z2: 0 }])}
      >
        Add a row of bars
      </Button>
    </section>
  )
}
