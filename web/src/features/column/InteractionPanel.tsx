import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { Button, Segmented } from 'antd'
import { useState } from 'react'
import { api, type Demand } from '../../api/client'
import type { Units } from '../../lib/units'
import { ErrorView } from '../../ui/ErrorView'
import { Loading } from '../../ui/Loading'
import { ForceMomentPlot } from './ForceMomentPlot'
import { PartTable } from './MomentParts'
import { MomentsPlot } from './MomentsPlot'
import { SurfacePlot } from './SurfacePlot'

type View = 'N – M' | 'Mx – My' | 'surface'

interface Props {
  id: string
  mark: string
  lift: number
  demands: Demand[]
  picked: Demand | undefined
  units: Units
  onPick: (d: Demand) => void
}

/** The strength of a lift's section with every combination: at an angle of moments, all round under one axial force, or as a surface. */
export function InteractionPanel(p: Props) {
  if (!p.picked) return <div className="notice">No combination for strength acts on this lift.</div>
  return <Panel {...p} picked={p.picked} />
}

function Panel({ id, mark, lift, demands, picked, units, onPick }: Props & { picked: Demand }) {
  const [view, setView] = useState<View>('N – M')
  const [turned, setTurned] = useState<number>()
  const own = Math.round((Math.atan2(Math.abs(picked.mx), Math.abs(picked.my)) * 180) / Math.PI)
  const at = { lift, combination: picked.combinationNumber, demand: picked.number }
  const curves = useQuery({
    queryKey: ['project', id, 'curves', mark, at, turned],
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => api.curves(id, mark, turned === undefined ? at : { ...at, angle: turned }, signal),
  })
  const surface = useQuery({
    enabled: view === 'surface',
    queryKey: ['project', id, 'surface', mark, lift],
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => api.surface(id, mark, lift, signal),
  })
  const asked = view === 'surface' ? surface : curves
  const plot = { demands, picked, units, onPick }
  return (
    <div className="interaction-panel">
      <div className="interaction-tools">
        <Segmented<View> size="small" options={['N – M', 'Mx – My', 'surface']} value={view} onChange={setView} />
        {view === 'N – M' && (
          <>
            <input
              type="range"
              min={0}
              max={90}
              value={turned ?? own}
              aria-label="Angle of the moments in degrees"
              title="0° all My, 90° all Mx"
              onChange={(e) => setTurned(Number(e.target.value))}
            />
            {turned === undefined ? (
              <span className="soft">{own}°, of this combination</span>
            ) : (
              <Button size="small" type="text" onClick={() => setTurned(undefined)}>
                {turned}° · back to {own}°
              </Button>
            )}
          </>
        )}
      </div>
      {asked.isError ? (
        <ErrorView error={asked.error} onRetry={() => void asked.refetch()} />
      ) : view === 'surface' && surface.data && surface.data.meridians.length > 0 ? (
        <SurfacePlot surface={surface.data} demands={demands} picked={picked} onPick={onPick} />
      ) : view !== 'surface' && curves.data && curves.data.design.length > 0 ? (
        view === 'N – M' ? (
          <ForceMomentPlot {...plot} curves={curves.data} />
        ) : (
          <MomentsPlot {...plot} curves={curves.data} />
        )
      ) : (
        <Loading words="Working out the surface" />
      )}
      {curves.data && <PartTable parts={curves.data.parts} units={units} />}
    </div>
  )
}
