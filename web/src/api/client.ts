import type { components } from './generated'
import { person, signature, WINDOW } from './person'

type Schemas = components['schemas']
/** @param role of who asks; empty where everybody may do everything */
export type Project = Omit<Schemas['Project'], 'role'> & { role?: string }
/** A project that was deleted and rests until its time is over. */
export type DeletedProject = Schemas['Deleted']
export type State = Schemas['State']
/** Who is signed in, where people sign in at all. */
export type Session = Schemas['Session']
export type OwnAccount = Schemas['OwnAccount']
export type MadeToken = Schemas['MadeToken']
export type Account = Schemas['Account']
export type GivenAccount = Schemas['GivenAccount']
export type Deed = Schemas['Deed']
export type Sharing = Schemas['Sharing']
export type Totals = Schemas['Totals']
export type Job = Schemas['Job']
export type Finding = Schemas['Finding']
export type Problem = Schemas['Problem']
export type LocalSet = Partial<Schemas['LocalSet']>
/** Settings of some members: the server leaves out what they do not say. */
export type LocalSettings = Pick<Schemas['Local'], 'storeys' | 'members'> & { role?: string; set: LocalSet }
export type Basis = Omit<Schemas['Basis'], 'local'> & { local: Record<string, LocalSettings> }
export type ResultRow = Schemas['ResultRow']
export type ResultsPage = Schemas['ResultsPage']
export type Rung = Schemas['Rung']
export type View = Schemas['View']
export type ViewMember = Schemas['ViewMember']
export type Model = Schemas['Model']
export type Member = Schemas['Member']
export type Beam = Schemas['Beam']
export type Column = Schemas['Column']
export type Lift = Schemas['Lift']
export type Point = Schemas['Point']
export type Cut = Schemas['Cut']
export type Check = Schemas['Check']
export type Calculation = Schemas['Calculation']
export type Maths = Schemas['Maths']
export type Interaction = Schemas['Interaction']
export type Crowded = Schemas['Crowded']
export type Curves = Schemas['Curves']
export type Surface = Schemas['Surface']
export type CurvePoint = Schemas['CurvePoint']
export type Demand = Schemas['Demand']
export type SchedulePage = Schemas['SchedulePage']
export type Catalogue = Omit<Schemas['Catalogue'], 'standard'> & { standard: Basis }
export type AnalysisSummary = Schemas['Analysis']
export type Diagram = Schemas['Diagram']
export type MemberDiagram = Schemas['MemberDiagram']
export type Deflection = Schemas['Deflection']
export type Reactions = Schemas['Reactions']
export type Compare = Schemas['Compare']
export type Change = Schemas['Change']
export type History = Schemas['History']
export type Element = Schemas['Element']
export type Factors = Schemas['Factors']
export type Load = Schemas['Load']
export type Options = Schemas['Options']
export type Edit = Schemas['Edit']
export type BeamSketch = Schemas['BeamSketch']
export type ColumnSketch = Schemas['ColumnSketch']
export type SketchSection = Schemas['SketchSection']
export type SketchPreview = Schemas['SketchPreview']
export type Envelope = Schemas['Envelope']
export type ForceFile = Schemas['ForceFile']
export type Mapped = Schemas['Mapped']
export type Relief = Schemas['Relief']
export type Preferences = Schemas['Preferences']
export type Hand = Schemas['Hand']
export type HandAnswer = Schemas['HandSet']
export type HandLift = Schemas['HandLift']
export type HandLifts = Schemas['HandLifts']
export type Arrangements = Schemas['Arrangements']
export type HandColumnAnswer = Schemas['HandColumn']
export type Identical = Schemas['Identical']
export type Readings = Schemas['Readings']
export type StirrupsWeighed = Schemas['StirrupsWeighed']
export type ReliefOfAll = Schemas['ReliefOfAll']
export type SectionsTried = Schemas['Sections']
export type Parameter = Schemas['Parameter']
export type BasisField = Schemas['Field']
export type Revision = Schemas['Revision']
export type Steel = components['schemas']['Steel']
export type DrawingSheet = Schemas['Sheet']
export type ProjectData = Schemas['ProjectData']
export type ProjectText = Schemas['ProjectText']
export type IssuedRevision = Schemas['IssuedRevision']
export type StiffnessEdit = Schemas['StiffnessEdit']
export type EditedLoad = Schemas['EditedLoad']
export type PutSectionEdit = Schemas['PutSectionEdit']
export type OptionsEdit = Schemas['OptionsEdit']
export type RoleFactors = Schemas['RoleFactors']
export type ForcePreview = Schemas['Preview']
export type Types = Schemas['Types']
export type TypeRow = Schemas['Type']
export type TypeCurve = Schemas['TypeCurve']
export type TypesAt = Schemas['TypesAt']
export type TypeChange = Schemas['TypeChange']
export type TypePattern = Schemas['TypePattern']
export type Outcome = Schemas['Outcome']
export type ForceUse = Schemas['Use']

/** A section of a list (docs/formats/sections.md): what is left out takes the standard value. */
export type SectionEntry = Partial<Omit<Schemas['Entry'], 'shape' | 'bars' | 'stirrups' | 'forces'>> & {
  shape: Partial<Schemas['ShapeEntry']>
  bars: Partial<Schemas['BarEntry']>[]
  stirrups?: Partial<Schemas['StirrupEntry']>
  forces: Partial<Schemas['ForceEntry']>[]
}
export type KeptSection = Omit<Schemas['KeptSection'], 'section'> & { section: SectionEntry }
export type Strains = Schemas['Strains']
export type SectionAnswer = Schemas['SectionAnswer']

/** A basis kept for all projects. */
export type KeptBasis = Omit<Schemas['KeptBasis'], 'basis'> & { basis: Basis }
export type BasesCompared = Omit<Schemas['BasesCompared'], 'basis'> & { basis: Basis }

/** Local settings to change; a value of null is the project's again. */
export type LocalChange = Omit<LocalSettings, 'role' | 'set'> & {
  role: string | null
  set: { [K in keyof LocalSet]: LocalSet[K] | null }
}

/** Fields of the basis to change; a national value of null is the recommended one again, local settings of null are taken away. */
export type BasisChange = Partial<Omit<Basis, 'national' | 'local'>> & {
  national?: Record<string, number | null>
  local?: Record<string, LocalChange | null>
}

/** A request that failed, in the engineer's words. */
export class ApiError extends Error {
  readonly status: number
  readonly detail: string
  readonly findings: Finding[]

  constructor(status: number, title: string, detail: string, findings: Finding[] = []) {
    super(title)
    this.status = status
    this.detail = detail
    this.findings = findings
  }
}

/** What a refused request says. */
export async function failure(r: Response): Promise<ApiError> {
  try {
    const p = (await r.json()) as Problem
    return new ApiError(r.status, p.title, p.detail, p.findings ?? [])
  } catch {
    return new ApiError(r.status, `The server answered ${r.status}.`, 'Try again in a moment.')
  }
}

async function answered(path: string, init: RequestInit): Promise<Response> {
  let r: Response
  try {
    r = await fetch(path, init)
  } catch (e) {
    if ((e as Error).name === 'AbortError') throw e
    throw new ApiError(0, 'The server cannot be reached.', 'Check that Kolonne is running, then try again.')
  }
  if (!r.ok) throw await failure(r)
  return r
}

export async function request<T>(path: string, init: RequestInit = {}): Promise<T> {
  const r = await answered(path, init)
  return r.status === 204 ? (undefined as T) : ((await r.json()) as T)
}

/** A file as it is; what a browser takes it for would be refused as a form of another page. */
const upload = (file: File): RequestInit => ({
  method: 'POST',
  body: file,
  headers: { 'Content-Type': 'application/octet-stream' },
})
export const send = (method: string, body: unknown): RequestInit => ({
  method,
  body: JSON.stringify(body),
  headers: { 'Content-Type': 'application/json' },
})
export const post = (body: unknown) => send('POST', body)
const query = (q: Record<string, string | number>) =>
  new URLSearchParams(Object.entries(q).map(([k, v]) => [k, String(v)])).toString()
const deletedPath = (id: string) => `/api/deleted-projects/${encodeURIComponent(id)}`
export const p = (id: string) => `/api/projects/${encodeURIComponent(id)}`
const json = (method: string, body: unknown, version: number): RequestInit => ({
  method,
  body: JSON.stringify(body),
  headers: { 'Content-Type': 'application/json', 'If-Match': `"${version}"`, ...signature() },
})

export const api = {
  session: (signal?: AbortSignal) => request<Session>('/api/session', { signal }),
  projects: (signal?: AbortSignal) => request<{ projects: Project[] }>('/api/projects', { signal }),
  upload: (file: File) => request<Job>(`/api/projects?fileName=${encodeURIComponent(file.name)}`, upload(file)),
  job: (id: string) => request<Job>(`/api/jobs/${id}`),
  cancelJob: (id: string) => request<Job>(`/api/jobs/${id}`, { method: 'DELETE' }),
  project: (id: string, signal?: AbortSignal) => request<Project>(p(id), { signal }),
  rename: (id: string, version: number, name: string) => request<Project>(p(id), json('PATCH', { name }, version)),
  remove: (id: string) => request<void>(p(id), { method: 'DELETE', headers: signature() }),
  deleted: (signal?: AbortSignal) => request<{ projects: DeletedProject[] }>('/api/deleted-projects', { signal }),
  bringBack: (id: string) => request<Project>(deletedPath(id), { method: 'POST' }),
  removeForGood: (id: string) => request<void>(deletedPath(id), { method: 'DELETE' }),
  catalogue: (signal?: AbortSignal) => request<{ codes: Catalogue[] }>('/api/catalogue', { signal }),
  basis: (id: string, signal?: AbortSignal) => request<Basis>(`${p(id)}/basis`, { signal }),
  state: (id: string) => request<State>(`${p(id)}/state`),
  changeBasis: (id: string, version: number, fields: BasisChange) =>
    request<Project>(`${p(id)}/basis`, json('PATCH', fields, version)),
  model: (id: string, signal?: AbortSignal) => request<Model>(`${p(id)}/model`, { signal }),
  /** @param along point of the curve whose strains are asked for, in place of those of the set */
  trySection: (entry: SectionEntry, set: number, along: number | undefined, signal?: AbortSignal) =>
    request<SectionAnswer>(`/api/sections/try?set=${set}${along === undefined ? '' : `&along=${along}`}`, {
      method: 'POST',
      body: JSON.stringify(entry),
      headers: { 'Content-Type': 'application/json' },
      signal,
    }),
  sectionPaper: async (entry: SectionEntry) => (await answered('/api/sections/pdf', post(entry))).blob(),
  keptSections: (signal?: AbortSignal) => request<{ sections: KeptSection[] }>('/api/sections', { signal }),
  keepSection: (entry: SectionEntry) => request<{ sections: KeptSection[] }>('/api/sections', send('PUT', entry)),
  forgetSection: (name: string) =>
    request<{ sections: KeptSection[] }>(`/api/sections?name=${encodeURIComponent(name)}`, { method: 'DELETE' }),
  bases: (signal?: AbortSignal) => request<{ bases: KeptBasis[] }>('/api/bases', { signal }),
  keepBasis: (basis: Basis) => request<{ bases: KeptBasis[] }>('/api/bases', send('PUT', basis)),
  forgetBasis: (name: string) =>
    request<{ bases: KeptBasis[] }>(`/api/bases?name=${encodeURIComponent(name)}`, { method: 'DELETE' }),
  /** @param basis as its file has it, so that what is wrong with it is told by the server */
  compareBasis: (id: string, basis: string, signal?: AbortSignal) =>
    request<BasesCompared>(`${p(id)}/basis/compare`, {
      method: 'POST',
      body: basis,
      headers: { 'Content-Type': 'application/json' },
      signal,
    }),
  results: (id: string, q: string, signal?: AbortSignal) =>
    request<ResultsPage>(`${p(id)}/results?size=5000&q=${encodeURIComponent(q)}`, { signal }),
  view: (id: string, signal?: AbortSignal) => request<View>(`${p(id)}/view`, { signal }),
  member: (id: string, mark: string, signal?: AbortSignal) =>
    request<Member>(`${p(id)}/members/${encodeURIComponent(mark)}`, { signal }),
  calculation: (id: string, mark: string, at: Record<string, string | number>, signal?: AbortSignal) =>
    request<Calculation>(`${p(id)}/members/${encodeURIComponent(mark)}/calculation?${query(at)}`, { signal }),
  interaction: (id: string, mark: string, lift: number, signal?: AbortSignal) =>
    request<Interaction>(`${p(id)}/members/${encodeURIComponent(mark)}/interaction?lift=${lift}`, { signal }),
  curves: (
    id: string,
    mark: string,
    at: { lift: number; combination: number; demand: number; angle?: number },
    signal?: AbortSignal,
  ) => request<Curves>(`${p(id)}/members/${encodeURIComponent(mark)}/curves?${query(at)}`, { signal }),
  surface: (id: string, mark: string, lift: number, signal?: AbortSignal) =>
    request<Surface>(`${p(id)}/members/${encodeURIComponent(mark)}/surface?lift=${lift}`, { signal }),
  schedule: (id: string, kind: string, marks: string, page: number, size: number, signal?: AbortSignal) =>
    request<SchedulePage>(`${p(id)}/schedules/${kind}?${query({ marks, page, size })}`, { signal }),
  steel: (id: string, signal?: AbortSignal) => request<Steel>(`${p(id)}/steel`, { signal }),
  columnSchedule: (id: string, marks: string, sheet: number, signal?: AbortSignal) =>
    request<DrawingSheet>(`${p(id)}/column-schedule?${query({ marks, sheet })}`, { signal }),
  analysis: (id: string, signal?: AbortSignal) => request<AnalysisSummary>(`${p(id)}/analysis`, { signal }),
  diagram: (id: string, of: string, component: string, signal?: AbortSignal) =>
    request<Diagram>(`${p(id)}/analysis/diagram?${query({ of, component })}`, { signal }),
  deflection: (id: string, of: string, signal?: AbortSignal) =>
    request<Deflection>(`${p(id)}/analysis/deflection?${query({ of })}`, { signal }),
  reactions: (id: string, of: string, signal?: AbortSignal) =>
    request<Reactions>(`${p(id)}/analysis/reactions?${query({ of })}`, { signal }),
  compare: (id: string, from: number, to: number, component: string, signal?: AbortSignal) =>
    request<Compare>(`${p(id)}/analysis/compare?${query({ from, to, component })}`, { signal }),
  edits: (id: string, signal?: AbortSignal) => request<History>(`${p(id)}/edits`, { signal }),
  edit: (id: string, version: number, edits: Edit[]) =>
    request<Project>(`${p(id)}/edits`, json('POST', { edits }, version)),
  editEffects: (id: string, edits: Edit[], signal?: AbortSignal) =>
    request<{ effects: string[] }>(`${p(id)}/edits/preview`, { ...post({ edits }), signal }),
  setMark: (id: string, version: number, mark: string, to: string) =>
    request<Project>(`${p(id)}/members/${encodeURIComponent(mark)}/mark`, json('PUT', { mark: to }, version)),
  undo: (id: string, version: number) => request<Project>(`${p(id)}/undo`, json('POST', {}, version)),
  redo: (id: string, version: number) => request<Project>(`${p(id)}/redo`, json('POST', {}, version)),
  element: (id: string, member: string, signal?: AbortSignal) =>
    request<Element>(`${p(id)}/elements/${encodeURIComponent(member)}`, { signal }),
  elements: (id: string, members: string[], signal?: AbortSignal) =>
    request<{ elements: Element[] }>(`${p(id)}/elements`, { ...post({ members }), signal }),
  resized: (id: string, members: string[], deeper: number, wider: number) =>
    request<{ edits: Edit[] }>(`${p(id)}/resized`, post({ members, deeper, wider })),
  handOfMany: (id: string, version: number, marks: string[], release: boolean, torsion: string | null) =>
    request<Project>(`${p(id)}/hand`, json('POST', { marks, release, torsion }, version)),
  outcome: (id: string) => request<Outcome>(`${p(id)}/outcome`),
  preferences: (id: string, mark: string, signal?: AbortSignal) =>
    request<Preferences>(`${p(id)}/members/${encodeURIComponent(mark)}/preferences`, { signal }),
  stirrups: (id: string, mark: string, span: number, signal?: AbortSignal) =>
    request<StirrupsWeighed>(`${p(id)}/members/${encodeURIComponent(mark)}/stirrups?span=${span}`, { signal }),
  sections: (id: string, mark: string, lift?: number, signal?: AbortSignal) =>
    request<SectionsTried>(
      lift === undefined
        ? `${p(id)}/members/${encodeURIComponent(mark)}/sections`
        : `${p(id)}/columns/${encodeURIComponent(mark)}/sections?lift=${lift}`,
      { signal },
    ),
  tryHand: (id: string, mark: string, hand: Hand, signal?: AbortSignal) =>
    request<Beam>(`${p(id)}/members/${encodeURIComponent(mark)}/try`, { ...post(hand), signal }),
  handSet: (id: string, mark: string, version: number, hand: Hand) =>
    request<HandAnswer>(`${p(id)}/members/${encodeURIComponent(mark)}/hand`, json('PUT', hand, version)),
  tryColumn: (id: string, mark: string, hand: HandLifts, signal?: AbortSignal) =>
    request<Column>(`${p(id)}/columns/${encodeURIComponent(mark)}/try`, { ...post(hand), signal }),
  arrangements: (id: string, mark: string, lift: number, signal?: AbortSignal) =>
    request<Arrangements>(`${p(id)}/columns/${encodeURIComponent(mark)}/arrangements?lift=${lift}`, { signal }),
  columnSet: (id: string, mark: string, version: number, hand: HandLifts) =>
    request<HandColumnAnswer>(`${p(id)}/columns/${encodeURIComponent(mark)}/hand`, json('PUT', hand, version)),
  identical: (id: string, mark: string, signal?: AbortSignal) =>
    request<Identical>(`${p(id)}/members/${encodeURIComponent(mark)}/identical`, { signal }),
  copyCage: (id: string, mark: string, version: number, marks: string[]) =>
    request<Project>(`${p(id)}/members/${encodeURIComponent(mark)}/copy`, json('POST', { marks }, version)),
  readings: (id: string, mark: string, station: number, signal?: AbortSignal) =>
    request<Readings>(`${p(id)}/members/${encodeURIComponent(mark)}/readings?station=${station}`, { signal }),
  types: (id: string, signal?: AbortSignal) => request<Types>(`${p(id)}/types`, { signal }),
  changeTypes: (id: string, version: number, c: TypeChange) =>
    request<Project>(`${p(id)}/types`, json('PUT', c, version)),
  typeCurve: (id: string, role: string, signal?: AbortSignal) =>
    request<TypeCurve>(`${p(id)}/types/curve/${role}`, { signal }),
  makeTypeCurve: (id: string, role: string) => request<Job>(`${p(id)}/types/curve/${role}`, { method: 'POST' }),
  typesAt: (id: string, role: string, types: number, signal?: AbortSignal) =>
    request<TypesAt>(`${p(id)}/types/curve/${role}/${types}`, { signal }),
  typePattern: (id: string, role: string, pattern: string, signal?: AbortSignal) =>
    request<TypePattern>(`${p(id)}/types/pattern/${role}?${query({ pattern })}`, { signal }),
  revise: (id: string, file: File) =>
    request<Job>(`${p(id)}/revisions?${query({ fileName: file.name })}`, upload(file)),
  revision: (id: string, revision: string, keepOwn: boolean, signal?: AbortSignal) =>
    request<Revision>(`${p(id)}/revisions/${encodeURIComponent(revision)}?${query({ own: keepOwn ? 'yes' : 'no' })}`, {
      signal,
    }),
  adopt: (id: string, revision: string, version: number, keepOwn: boolean) =>
    request<Project>(`${p(id)}/revisions/${encodeURIComponent(revision)}`, json('POST', { keepOwn }, version)),
  drawing: (id: string, paper: string, marks: string, sheet: number, signal?: AbortSignal) =>
    request<DrawingSheet>(`${p(id)}/drawings?${query({ paper, marks, sheet: String(sheet) })}`, { signal }),
  titleBlock: (id: string, paper: string, signal?: AbortSignal) =>
    request<DrawingSheet>(`${p(id)}/title-block?${query({ paper })}`, { signal }),
  projectData: (id: string, signal?: AbortSignal) => request<ProjectData>(`${p(id)}/project-data`, { signal }),
  changeText: (id: string, key: string, was: string, text: string) =>
    request<ProjectData>(`${p(id)}/project-data`, { ...post({ key, was, text }), method: 'PUT' }),
  changeRevisions: (id: string, was: IssuedRevision[], revisions: IssuedRevision[]) =>
    request<ProjectData>(`${p(id)}/project-data/revisions`, { ...post({ was, revisions }), method: 'PUT' }),
  putLogo: (id: string, file: File) => request<ProjectData>(`${p(id)}/logo`, { ...upload(file), method: 'PUT' }),
  removeLogo: (id: string) => request<ProjectData>(`${p(id)}/logo`, { method: 'DELETE' }),
  logoUrl: (id: string, version: number) => `${p(id)}/logo?${query({ version })}`,
  reliefOfAll: (id: string) => request<ReliefOfAll>(`${p(id)}/torsion-relief`, { method: 'POST' }),
  torsionRelief: (id: string, mark: string, signal?: AbortSignal) =>
    request<Relief>(`${p(id)}/members/${encodeURIComponent(mark)}/torsion-relief`, { method: 'POST', signal }),
  options: (id: string, signal?: AbortSignal) => request<Options>(`${p(id)}/options`, { signal }),
  sketchPreview: (kind: 'beam' | 'column', sketch: BeamSketch | ColumnSketch, signal?: AbortSignal) =>
    request<SketchPreview>(`/api/sketches/${kind}/preview`, { ...post(sketch), signal }),
  sketchCreate: (kind: 'beam' | 'column', sketch: BeamSketch | ColumnSketch) =>
    request<Project>(`/api/sketches/${kind}`, post(sketch)),
  forceFile: (id: string, file: File) =>
    request<ForceFile>(`${p(id)}/force-files?${query({ fileName: file.name })}`, upload(file)),
  forceSheet: (id: string, file: string, sheet: string) =>
    request<ForceFile>(`${p(id)}/force-files/${file}?${query({ sheet })}`),
  forcePreview: (id: string, file: string, sheet: string, mapping: Mapped[], signal?: AbortSignal) =>
    request<ForcePreview>(`${p(id)}/force-files/${file}/preview`, {
      ...post({ sheet, mapping, name: '', incomplete: false }),
      signal,
    }),
  forceImport: (id: string, file: string, version: number, use: ForceUse) =>
    request<Project>(`${p(id)}/force-files/${file}/import`, json('POST', use, version)),
  exportUrl: (id: string, file: string) => `${p(id)}/exports/${file}`,
  makeExport: (id: string, file: string, asked: Record<string, string>) =>
    request<Job>(`${p(id)}/exports/${file}?${query(asked)}`, { method: 'POST' }),
  madeUrl: (job: string) => `/api/jobs/${job}/file`,
  projectEvents: (id: string) => new EventSource(`${p(id)}/events?${query({ person: person(), window: WINDOW })}`),
  jobEvents: (id: string) => new EventSource(`/api/jobs/${id}/events`),
}
