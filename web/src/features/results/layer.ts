import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import { api, type Compare, type Deflection, type Diagram, type Reactions } from '../../api/client'
import { SIDE } from '../../drawing/diagram'

/** What the view shows: how far members are used, or what the analysis found. */
export type Show = 'utilisation' | 'forces' | 'shape' | 'reactions' | 'change'

export const SHOWS: { value: Show; label: string; says: string }[] = [
  { value: 'utilisation', label: 'Utilisation', says: 'How far every member is used' },
  { value: 'forces', label: 'Forces', says: 'Diagrams along the members' },
  { value: 'shape', label: 'Deflected shape', says: 'How the frame moves, exaggerated' },
  { value: 'reactions', label: 'Reactions', says: 'What the ground gives back' },
  { value: 'change', label: 'Change', says: 'What an edit moved, member by member' },
]

/** Choices of a layer as the address keeps them. */
export interface LayerChoice {
  show: Show
  /** case:ID, combination:ID or envelope:strength */
  of: string
  component: string
  from: number
  to: number
}

/** Stands for the newest version. */
const NEWEST = 2_147_483_647

export function choiceOf(params: URLSearchParams): LayerChoice {
  const show = SHOWS.some((s) => s.value === params.get('show')) ? (params.get('show') as Show) : 'utilisation'
  const component = params.get('comp') ?? 'my'
  return {
    show,
    of: params.get('of') ?? (show === 'forces' ? 'envelope:strength' : ''),
    component: component in SIDE ? component : 'my',
    from: Number(params.get('from')) || 0,
    to: Number(params.get('to')) || NEWEST,
  }
}

export interface Layer extends LayerChoice {
  diagram?: Diagram
  shape?: Deflection
  reactions?: Reactions
  compare?: Compare
  error?: Error
  loading: boolean
}

/** Fetches what the chosen layer shows. */
export function useLayer(id: string, c: LayerChoice): Layer {
  const of = c.of
  const base = ['project', id, 'layer'] as const
  const common = { placeholderData: keepPreviousData, staleTime: 0 }
  const diagram = useQuery({
    ...common,
    queryKey: [...base, 'diagram', of, c.component],
    queryFn: ({ signal }) => api.diagram(id, of, c.component, signal),
    enabled: c.show === 'forces' && of !== '',
  })
  const shape = useQuery({
    ...common,
    queryKey: [...base, 'shape', of],
    queryFn: ({ signal }) => api.deflection(id, of, signal),
    enabled: c.show === 'shape' && of !== '',
  })
  const reactions = useQuery({
    ...common,
    queryKey: [...base, 'reactions', of],
    queryFn: ({ signal }) => api.reactions(id, of, signal),
    enabled: c.show === 'reactions' && of !== '',
  })
  const compare = useQuery({
    ...common,
    queryKey: [...base, 'compare', c.from, c.to, c.component],
    queryFn: ({ signal }) => api.compare(id, c.from, c.to, c.component, signal),
    enabled: c.show === 'change' && c.from > 0,
  })
  const now = { utilisation: undefined, forces: diagram, shape, reactions, change: compare }[c.show]
  const { show, component, from, to } = c
  return useMemo(
    () => ({
      show,
      of,
      component,
      from,
      to,
      diagram: show === 'forces' ? diagram.data : undefined,
      shape: show === 'shape' ? shape.data : undefined,
      reactions: show === 'reactions' ? reactions.data : undefined,
      compare: show === 'change' ? compare.data : undefined,
      error: now?.error ?? undefined,
      loading: now?.isFetching ?? false,
    }),
    [
      show,
      of,
      component,
      from,
      to,
      diagram.data,
      shape.data,
      reactions.data,
      compare.data,
      now?.error,
      now?.isFetching,
    ],
  )
}
