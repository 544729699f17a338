// What an independent reader finds in an IFC file, as JSON, for the tests: numbers of instances, and by kind of product the volume of its solids and the box
// about them, in metres. Problems are ids that come twice and references that lead nowhere or to a thing of another kind.
import { readFileSync } from 'node:fs'
import * as WebIFC from 'web-ifc'

const api = new WebIFC.IfcAPI()
await api.Init()
api.SetLogLevel(WebIFC.LogLevel.LOG_LEVEL_OFF)
const text = readFileSync(process.argv[2])
const model = api.OpenModel(new Uint8Array(text), { COORDINATE_TO_ORIGIN: false })

const counts = {}
const names = new Map()
for (const [, number, name] of text.toString('latin1').matchAll(/^#(\d+)=(\w+)\(/gm)) {
  counts[name] = (counts[name] ?? 0) + 1
  names.set(Number(number), name)
}

const problems = []
const ids = new Set()
const products = new Map()
for (const [number, name] of names) {
  const line = api.GetLine(model, number)
  if (!line) problems.push(`#${number} ${name} is not read`)
  else if (line.GlobalId) {
    if (ids.has(line.GlobalId.value)) problems.push(`id ${line.GlobalId.value} comes twice`)
    ids.add(line.GlobalId.value)
    products.set(number, name)
  }
  for (const v of Object.values(line ?? {}).flat())
    if (v?.type === 5 && Number.isInteger(v.value) && v.value > 0 && !names.has(v.value))
      problems.push(`#${number} ${name} leads to #${v.value}, which is not there`)
}

/** Signed volume of a closed mesh, whose points are 6 numbers each, moved by a matrix. */
function volume(points, index, m, box) {
  const at = (i) => {
    const [x, y, z] = points.subarray(6 * i, 6 * i + 3)
    const p = [0, 1, 2].map((k) => m[k] * x + m[4 + k] * y + m[8 + k] * z + m[12 + k])
    p.forEach((v, k) => {
      box[k] = Math.min(box[k], v)
      box[3 + k] = Math.max(box[3 + k], v)
    })
    return p
  }
  let sum = 0
  for (let i = 0; i < index.length; i += 3) {
    const [a, b, c] = [at(index[i]), at(index[i + 1]), at(index[i + 2])]
    sum += a[0] * (b[1] * c[2] - b[2] * c[1]) - a[1] * (b[0] * c[2] - b[2] * c[0]) + a[2] * (b[0] * c[1] - b[1] * c[0])
  }
  return sum / 6
}

const solids = {}
api.StreamAllMeshes(model, (mesh) => {
  const name = products.get(mesh.expressID)
  const of = (solids[name] ??= { number: 0, volume: 0, box: [1e9, 1e9, 1e9, -1e9, -1e9, -1e9] })
  of.number++
  for (let i = 0; i < mesh.geometries.size(); i++) {
    const placed = mesh.geometries.get(i)
    const g = api.GetGeometry(model, placed.geometryExpressID)
    const points = api.GetVertexArray(g.GetVertexData(), g.GetVertexDataSize())
    const index = api.GetIndexArray(g.GetIndexData(), g.GetIndexDataSize())
    of.volume += Math.abs(volume(points, index, placed.flatTransformation, of.box))
    g.delete()
  }
})
console.log(JSON.stringify({ schema: api.GetModelSchema(model), counts, solids, problems: problems.slice(0, 20) }))
