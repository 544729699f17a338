import { Checkbox, Tooltip } from 'antd'
import type { ReactNode } from 'react'
import type { ForcePreview } from '../../../api/client'
import { force } from '../../../lib/format'
import { ErrorView } from '../../../ui/ErrorView'
import { FindingList } from '../../../ui/FindingList'

const VERDICTS: Record<string, { words: string; bad: boolean }> = {
  agrees: { words: 'agrees', bad: false },
  'opposite-sign': { words: 'opposite sign?', bad: true },
  'other-unit': { words: 'another unit?', bad: true },
  differs: { words: 'differs', bad: true },
  nothing: { words: 'next to nothing', bad: false },
}

/** The first rows as they will be used, all rows beside the own analysis, and what is missing. */
export function PreviewPane({
  preview,
  error,
  us,
  incomplete,
  onIncomplete,
}: {
  preview?: ForcePreview
  error: Error | null
  us: boolean
  incomplete: boolean
  onIncomplete: (v: boolean) => void
}) {
  if (error) return <ErrorView error={error} />
  if (!preview) return <p className="soft">Reading…</p>
  return (
    <div>
      <b>First rows as they will be used</b> <span className="soft">{us ? 'kip, kip·ft' : 'kN, kNm'}</span>
      <table className="plain">
        <thead>
          <tr>
            <th>member</th>
            <th>case</th>
            <th className="num">{us ? 'ft' : 'm'}</th>
            {['N', 'Vy', 'Vz', 'T', 'My', 'Mz'].map((n) => (
              <th key={n} className="num">
                {n}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {preview.rows.slice(0, 4).map((r, i) => (
            <tr key={i}>
              <td>{r.member}</td>
              <td>{r.loadCase}</td>
              <td className="num">{(r.xM / (us ? 0.3048 : 1)).toFixed(2)}</td>
              {r.forces.map((v, k) => (
                <td key={k} className="num">
                  {force(v)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
        {preview.totals.length > 0 && <Totals totals={preview.totals} />}
      </table>
      <p>
        {preview.used} of {preview.total} rows can be used.
      </p>
      {preview.without.length > 0 && (
        <p className="over-ink">
          {preview.without.length} member{preview.without.length > 1 ? 's have' : ' has'} fewer than two stations and
          cannot be designed: {preview.without.slice(0, 6).join(', ')}
          {preview.without.length > 6 && ' …'}. Add their rows to the table.
        </p>
      )}
      {preview.gaps.length > 0 && (
        <div className="over-ink">
          {preview.gaps.map((g) => (
            <div key={g.loadCase}>
              {g.members === 1 ? 'One member has' : `${g.members} members have`} no forces in {g.loadCase}:{' '}
              {g.first.slice(0, 4).join(', ')}
              {g.members > 4 && ' …'}
            </div>
          ))}
          <Checkbox checked={incomplete} onChange={(e) => onIncomplete(e.target.checked)}>
            Zero is meant there
          </Checkbox>
        </div>
      )}
      <div className="scroll-findings">
        <FindingList findings={preview.findings} />
      </div>
    </div>
  )
}

/** All rows beside the own analysis of the model: a wrong unit or sign stands out. */
function Totals({ totals }: { totals: ForcePreview['totals'] }) {
  const row = (words: string, says: string, cell: (t: ForcePreview['totals'][number]) => ReactNode) => (
    <tr>
      <td colSpan={3} className="soft">
        <Tooltip title={says}>
          <span>{words}</span>
        </Tooltip>
      </td>
      {totals.map((t) => (
        <td key={t.component} className="num">
          {cell(t)}
        </td>
      ))}
    </tr>
  )
  return (
    <tfoot>
      {row('all rows', 'Root of the sum of squares of all rows', (t) => force(t.read))}
      {row('Kolonne’s own', 'The same of Kolonne’s own analysis at the same places', (t) => force(t.own))}
      {row('table to own', 'By which the own forces fit the table best', (t) =>
        t.verdict === 'nothing' ? '–' : force(t.factor),
      )}
      {row('', '', (t) => (
        <span className={VERDICTS[t.verdict]!.bad ? 'over-ink' : 'soft'}>{VERDICTS[t.verdict]!.words}</span>
      ))}
    </tfoot>
  )
}
