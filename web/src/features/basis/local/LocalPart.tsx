import { useQuery } from '@tanstack/react-query'
import { Button, Popconfirm } from 'antd'
import { useEffect, useRef, useState } from 'react'
import { Link, useLocation, useNavigate } from 'react-router'
import { api, type Basis, type BasisChange, type Catalogue } from '../../../api/client'
import { type Units } from '../../../lib/units'
import { LocalDrawer } from './LocalDrawer'
import { localChange, localFields, valueWords, whereWords } from './local'

/** What the worklist hands over: ids of the lines and stacks that are to have settings of their own. */
export interface ForMembers {
  members?: string[]
}

/** Settings that hold for some members in place of the project's: a table, and a drawer to add and change them. */
export function LocalPart(p: {
  id: string
  basis: Basis
  code: Catalogue
  units: Units
  onChange: (local: NonNullable<BasisChange['local']>) => void
}) {
  const { state, hash } = useLocation()
  const asked = (state as ForMembers | null)?.members
  const here = useRef<HTMLElement>(null)
  useEffect(() => {
    if (hash === '#local') here.current?.scrollIntoView()
  }, [hash])
  const navigate = useNavigate()
  const [editing, setEditing] = useState<string | undefined>(asked ? '' : undefined)
  const rows = useQuery({
    queryKey: ['project', p.id, 'results', ''],
    queryFn: ({ signal }) => api.results(p.id, '', signal),
    retry: false,
  })
  const view = useQuery({ queryKey: ['project', p.id, 'view'], queryFn: ({ signal }) => api.view(p.id, signal) })
  const all = rows.data?.rows ?? []
  const marks = new Map(all.map((r) => [r.id, r.mark]))
  const fields = localFields(p.code.fields)
  const names = Object.keys(p.basis.local)
  const close = () => {
    setEditing(undefined)
    if (asked) void navigate('.', { replace: true, state: null })
  }
  return (
    <section className="local" ref={here} aria-label="Local settings">
      <h2>Local settings</h2>
      <p className="soft">
        Values that hold for some members in place of those above. A beam line and a column are built as one: what holds
        for one of their members holds for all of them. Where several hold, the lower one wins, value by value. Code,
        national values, seismic detailing and redistribution are those of the whole frame.
      </p>
      {names.length > 0 && (
        <table className="plain" aria-label="Local settings">
          <thead>
            <tr>
              <th>Name</th>
              <th>For</th>
              <th>In place of the project’s</th>
              <th className="num">Lines and columns</th>
              <td />
            </tr>
          </thead>
          <tbody>
            {names.map((name) => {
              const s = p.basis.local[name]!
              const held = all.filter((r) => r.local.includes(name)).length
              return (
                <tr key={name}>
                  <td>
                    <b>{name}</b>
                  </td>
                  <td>{whereWords(s, (m) => marks.get(m) ?? m)}</td>
                  <td>
                    {fields
                      .filter((f) => f.key in s.set)
                      .map((f) => (
                        <div key={f.key}>
                          <span className="soft">{f.name}</span> {valueWords(f, s.set[f.key], p.units)}
                        </div>
                      ))}
                  </td>
                  <td className="num">
                    {rows.data ? (
                      <Link to={`/p/${p.id}/results?q=${encodeURIComponent(`local:${name.replace(/\s/g, '')}`)}`}>
                        {held}
                      </Link>
                    ) : (
                      '–'
                    )}
                  </td>
                  <td className="num">
                    <Button size="small" onClick={() => setEditing(name)} aria-label={`Change ${name}`}>
                      Change
                    </Button>{' '}
                    <Popconfirm
                      title={`Take “${name}” away? Its members answer to the project’s basis again; Ctrl Z brings it back.`}
                      okText="Remove"
                      onConfirm={() => p.onChange({ [name]: null })}
                    >
                      <Button size="small" danger aria-label={`Take ${name} away`}>
                        Remove
                      </Button>
                    </Popconfirm>
                  </td>
                </tr>
              )
            })}
          </tbody>
        </table>
      )}
      <p>
        <Button onClick={() => setEditing('')}>Add local settings</Button>
      </p>
      {editing !== undefined && (
        <LocalDrawer
          key={editing}
          name={editing}
          given={p.basis.local[editing]}
          members={editing === '' ? (asked ?? []) : []}
          taken={names.filter((n) => n !== editing)}
          basis={p.basis}
          code={p.code}
          fields={fields}
          units={p.units}
          storeys={view.data?.storeys.map((s) => s.name) ?? []}
          rows={all}
          onClose={close}
          onTake={(name, now) => {
            p.onChange({
              ...(editing && editing !== name ? { [editing]: null } : {}),
              [name]: localChange(editing === name ? p.basis.local[name] : undefined, now),
            })
            close()
          }}
        />
      )}
    </section>
  )
}
