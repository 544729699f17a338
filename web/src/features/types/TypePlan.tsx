import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import { api } from '../../api/client'
import { planScene } from '../../drawing/planScene'

/** Where members of a type are: the storey that has most of them, in plan. */
export function TypePlan({ id, marks }: { id: string; marks: string[] }) {
  const view = useQuery({ queryKey: ['project', id, 'view'], queryFn: ({ signal }) => api.view(id, signal) })
  const best = useMemo(() => {
    if (!view.data) return undefined
    const wanted = new Set(marks)
    const plans = view.data.storeys.map((s) => {
      const scene = planScene(view.data, s.elevationMm)
      return { s, scene, here: new Set(scene.members.filter((m) => wanted.has(m.mark)).map((m) => m.mark)) }
    })
    return plans.reduce<(typeof plans)[number] | undefined>(
      (a, b) => (!a || b.here.size > a.here.size ? b : a),
      undefined,
    )
  }, [view.data, marks])
  if (!best || best.here.size === 0) return null
  const b = best.scene.box
  return (
    <figure className="type-plan">
      <svg viewBox={`${b.x} ${b.y} ${b.width} ${b.height}`} role="img" aria-label={`Plan of ${best.s.name}`}>
        {best.scene.members.map((m) => (
          <line
            key={m.id}
            className={best.here.has(m.mark) ? 'in' : 'out'}
            x1={m.x1}
            y1={m.y1}
            x2={m.column ? m.x1 + 1 : m.x2}
            y2={m.column ? m.y1 : m.y2}
            strokeWidth={m.column ? b.width / 55 : b.width / 110}
          />
        ))}
      </svg>
      <figcaption className="soft">
        {best.s.name}: {best.here.size} of {marks.length}
      </figcaption>
    </figure>
  )
}
