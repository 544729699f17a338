import { Button } from 'antd'
import type { IssuedRevision } from '../../api/client'
import { SavedText } from '../../ui/SavedText'

const COLUMNS: { key: keyof IssuedRevision; name: string; longest: number; width: string }[] = [
  { key: 'index', name: 'rev', longest: 8, width: '12%' },
  { key: 'date', name: 'date', longest: 40, width: '20%' },
  { key: 'what', name: 'what was revised', longest: 80, width: '52%' },
  { key: 'by', name: 'by', longest: 8, width: '12%' },
]

/** The index after one: A, B, … Z, AA; 1, 2, …; P1, P2, … */
export function nextIndex(last: string | undefined): string {
  if (!last) return 'A'
  const number = /\d+$/.exec(last)?.[0]
  if (number) return last.slice(0, -number.length) + String(Number(number) + 1)
  const end = last.slice(-1)
  if (/[Zz]/.test(end)) return `${last.slice(0, -1)}AA`
  return /[A-Ya-y]/.test(end) ? last.slice(0, -1) + String.fromCharCode(end.charCodeAt(0) + 1) : ''
}

/** The table of revisions: the newest stands last and gives the sheets their revision. */
export function Revisions({
  revisions,
  onSave,
}: {
  revisions: IssuedRevision[]
  onSave: (next: IssuedRevision[]) => Promise<unknown>
}) {
  const today = new Date().toISOString().slice(0, 10)
  const add = () =>
    void onSave([...revisions, { index: nextIndex(revisions.at(-1)?.index), date: today, what: '', by: '' }]).catch(
      () => undefined,
    )
  return (
    <section className="revisions" aria-label="Revisions">
      <h2>Revisions</h2>
      {revisions.length === 0 ? (
        <p className="soft">None yet. The newest one gives every sheet its revision; the last four stand on it.</p>
      ) : (
        <table>
          <colgroup>
            {COLUMNS.map((c) => (
              <col key={c.key} style={{ width: c.width }} />
            ))}
            <col />
          </colgroup>
          <thead>
            <tr>
              {COLUMNS.map((c) => (
                <th key={c.key}>{c.name}</th>
              ))}
              <td />
            </tr>
          </thead>
          <tbody>
            {revisions.map((r, i) => (
              <tr key={i}>
                {COLUMNS.map((c) => (
                  <td key={c.key}>
                    <SavedText
                      value={r[c.key]}
                      label={`${c.name} of revision ${i + 1}`}
                      longest={c.longest}
                      onSave={(v) => onSave(revisions.map((o, k) => (k === i ? { ...o, [c.key]: v } : o)))}
                    />
                  </td>
                ))}
                <td>
                  <Button
                    type="text"
                    size="small"
                    aria-label={`Remove revision ${r.index || i + 1}`}
                    onClick={() => void onSave(revisions.filter((_, k) => k !== i)).catch(() => undefined)}
                  >
                    ×
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <Button size="small" onClick={add}>
        Add a revision
      </Button>
    </section>
  )
}
