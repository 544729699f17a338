import { Select } from 'antd'
import { useState } from 'react'
import { DownloadButton } from '../../ui/DownloadButton'
import { TextBox } from '../../ui/TextBox'

/** Whose calculations the report holds. */
const CALCULATIONS = [
  { value: 'named', label: 'these marks' },
  { value: 'failing', label: 'all that fails' },
  { value: 'cages', label: 'one of each cage' },
]

/** What can be taken away. @param marks to which the schedules are narrowed */
export function Downloads({ id, marks }: { id: string; marks: string }) {
  const [sheets, setSheets] = useState('')
  const [which, setWhich] = useState('named')
  const selected = { ...(marks && { marks }) }
  return (
    <>
      <h2>Downloads</h2>
      <DownloadButton id={id} file="schedules.pdf" asked={selected}>
        Schedules, PDF
      </DownloadButton>
      <DownloadButton id={id} file="schedules.xlsx" asked={selected}>
        Schedules, XLSX
      </DownloadButton>
      <DownloadButton id={id} file="quantities.csv">
        Quantities, CSV
      </DownloadButton>
      <h2>Utilisation report</h2>
      <p className="soft">
        Summary, plans of every storey, what fails, every member’s governing checks and the basis in full. With the
        calculations of
      </p>
      <Select
        value={which}
        options={CALCULATIONS}
        aria-label="Calculations in the report"
        className="wide"
        onChange={setWhich}
      />
      {which === 'named' && (
        <TextBox
          width="100%"
          value={sheets}
          onChange={(e) => setSheets(e.target.value)}
          placeholder="L3-B02, C-D3"
          aria-label="Marks for calculation sheets"
        />
      )}
      <DownloadButton
        id={id}
        file="report.pdf"
        primary
        asked={{ calculations: which, ...(which === 'named' && sheets.trim() && { sheets: sheets.trim() }) }}
      >
        Report, PDF
      </DownloadButton>
      <h2>Building model</h2>
      <p className="soft">
        IFC 4 with storeys, sections, materials, quantities and the use of every member, and each bar bent and placed.
      </p>
      <DownloadButton id={id} file="building.ifc">
        Concrete and bars, IFC
      </DownloadButton>
      <DownloadButton id={id} file="building.ifc" asked={{ bars: 'no' }}>
        Concrete alone, IFC
      </DownloadButton>
      <h2>For cutting and bending</h2>
      <p className="soft">Every line of the bar list with its straights, bends and mandrel.</p>
      <DownloadButton id={id} file="bending.json">
        Bending data, JSON
      </DownloadButton>
      <DownloadButton id={id} file="bending.csv">
        Bending data, CSV
      </DownloadButton>
      <h2>For other programs</h2>
      <p className="soft">Sections, every bar, stirrups, forces and checks: enough to check the design again.</p>
      <DownloadButton id={id} file="results.json">
        Results, JSON
      </DownloadButton>
      <DownloadButton id={id} file="checks.csv">
        Checks, CSV
      </DownloadButton>
      <DownloadButton id={id} file="project.zip" asked={{ results: 'yes' }}>
        Project with results, ZIP
      </DownloadButton>
    </>
  )
}
