import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { Button, Checkbox } from 'antd'
import { useState } from 'react'
import { Link } from 'react-router'
import { change } from '../../api/changes'
import { api, type ApiError, type Project } from '../../api/client'
import { ErrorView } from '../../ui/ErrorView'

const WORDS = {
  line: { one: 'line', many: 'lines', same: 'No other line has the same spans, sections and supports.' },
  column: { one: 'column', many: 'columns', same: 'No other column has the same sections, concrete and heights.' },
}

/** Lines or columns of the same geometry, each checked with this cage; those chosen take it over by hand. */
export function CopyPanel({ id, mark, seen, of }: { id: string; mark: string; seen: number; of: 'line' | 'column' }) {
  const words = WORDS[of]
  const [open, setOpen] = useState(false)
  const [left, setLeft] = useState<string[]>([])
  const queries = useQueryClient()
  const q = useQuery({
    queryKey: ['project', id, 'identical', mark],
    enabled: open,
    queryFn: ({ signal }) => api.identical(id, mark, signal),
  })
  const copy = useMutation<Project, ApiError, string[]>({
    mutationFn: (marks) => change(id, seen, (v) => api.copyCage(id, mark, v, marks)),
    onSettled: () => queries.invalidateQueries({ queryKey: ['project', id] }),
  })
  const lines = q.data?.lines ?? []
  const chosen = lines.filter((l) => l.satisfied && !left.includes(l.mark)).map((l) => l.mark)
  return (
    <section aria-label={`Identical ${words.many}`}>
      <h2>Identical {words.many}</h2>
      {!open && (
        <Button size="small" onClick={() => setOpen(true)}>
          Find {words.many} that could share this cage
        </Button>
      )}
      {q.isError && <ErrorView error={q.error} />}
      {q.data && lines.length === 0 && <p className="soft">{words.same}</p>}
      {lines.length > 0 && (
        <>
          <table className="plain">
            <thead>
              <tr>
                <th>{words.one}</th>
                <th>{of === 'line' ? 'storey' : 'up to'}</th>
                <th className="num">its own</th>
                <th className="num">with this cage</th>
              </tr>
            </thead>
            <tbody>
              {lines.map((l) => (
                <tr key={l.mark}>
                  <td>
                    <Checkbox
                      aria-label={`Copy to ${l.mark}`}
                      disabled={!l.satisfied}
                      checked={chosen.includes(l.mark)}
                      onChange={(e) => setLeft(e.target.checked ? left.filter((m) => m !== l.mark) : [...left, l.mark])}
                    />{' '}
                    <Link to={`/p/${id}/sheet/${encodeURIComponent(l.mark)}`}>{l.mark}</Link>
                    {l.handSet && <span className="soft"> ✎</span>}
                  </td>
                  <td>{l.storey}</td>
                  <td className="num">{l.now.toFixed(2)}</td>
                  <td className={l.satisfied ? 'num' : 'num over-ink'}>
                    {l.utilisation.toFixed(2)}
                    {!l.satisfied && ' fails'}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <Button
            size="small"
            type="primary"
            disabled={chosen.length === 0}
            loading={copy.isPending}
            onClick={() => copy.mutate(chosen)}
          >
            Copy the cage to {chosen.length === 1 ? `one ${words.one}` : `${chosen.length} ${words.many}`}
          </Button>
          {copy.isSuccess && <span className="soft"> Copied; it is set by hand there.</span>}
          {copy.isError && <ErrorView error={copy.error} />}
        </>
      )}
    </section>
  )
}
