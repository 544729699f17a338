import * as THREE from 'three'
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js'
import type { View } from '../api/client'
import type { Tokens } from '../app/tokens'
import { STEPS } from './ramp'
import { shadeOf, type Shade } from './shade'
import type { arrows as arrowsOf, Triangles } from './spaceLayer'
import type { Under } from './under'
import { spaceScene, type Box } from './spaceScene'

/** Members from which on a turning building is drawn as sticks. */
const MANY = 2000

/** Draws the boxes with three.js, one draw call, only when something changed. Owns and disposes its geometry. */
export class SpaceRenderer {
  private readonly renderer = new THREE.WebGLRenderer({
    antialias: window.devicePixelRatio > 1,
    preserveDrawingBuffer: true,
  })
  private readonly scene = new THREE.Scene()
  private readonly camera = new THREE.PerspectiveCamera(35, 1, 0.5, 2000)
  private readonly controls: OrbitControls
  private readonly mesh: THREE.InstancedMesh
  /** the members as lines, which a large building is while it turns */
  private readonly sticks = new THREE.LineSegments(
    new THREE.BufferGeometry(),
    new THREE.LineBasicMaterial({ vertexColors: true }),
  )
  private readonly boxes: Box[]
  private readonly observer: ResizeObserver
  private readonly layer = new THREE.Mesh(
    new THREE.BufferGeometry(),
    new THREE.MeshBasicMaterial({ vertexColors: true, side: THREE.DoubleSide, transparent: true, opacity: 0.85 }),
  )
  private readonly arrowGroup = new THREE.Group()
  private readonly arrowMaterial = new THREE.MeshBasicMaterial()
  private readonly shaft = new THREE.CylinderGeometry(0.1, 0.1, 1, 10)
  private readonly cone = new THREE.ConeGeometry(0.34, 1, 14)
  private turned = false
  private pending = 0
  private hovering = 0

  constructor(
    private readonly host: HTMLElement,
    private readonly view: View,
    private readonly onPick: (mark: string | undefined, e: PointerEvent) => void,
    private readonly onHover: (hit: Under | undefined) => void,
  ) {
    this.boxes = spaceScene(view)
    this.mesh = new THREE.InstancedMesh(
      new THREE.BoxGeometry(1, 1, 1),
      new THREE.MeshLambertMaterial(),
      this.boxes.length,
    )
    this.boxes.forEach((b, i) => this.mesh.setMatrixAt(i, matrix(b)))
    this.sticks.geometry.setAttribute('position', new THREE.Float32BufferAttribute(this.boxes.flatMap(ends), 3))
    this.sticks.visible = false
    const key = new THREE.DirectionalLight(0xffffff, 1.6)
    key.position.set(-0.6, -1, 1.4)
    this.layer.visible = false
    this.layer.frustumCulled = false
    this.scene.add(this.mesh, this.sticks, this.layer, this.arrowGroup, new THREE.AmbientLight(0xffffff, 1.7), key)
    this.controls = new OrbitControls(this.camera, this.renderer.domElement)
    this.controls.addEventListener('change', () => this.draw())
    this.controls.addEventListener('start', () => this.move(true))
    this.controls.addEventListener('end', () => this.move(false))
    this.renderer.setPixelRatio(Math.min(window.devicePixelRatio, 2))
    host.append(this.renderer.domElement)
    this.observer = new ResizeObserver(() => this.resize())
    this.observer.observe(host)
    this.resize()
    this.listen()
  }

  /** Colours by use, by change (signed part of the largest) or plain; members outside the query fade, selected ones are inked. */
  paint(t: Tokens, matching: Set<string>, selected: ReadonlySet<string>, by: Shade | 'plain' | Map<string, number>) {
    const ramp = [t.u0, t.u1, t.u2, t.u3, t.u4].map((c) => new THREE.Color(c))
    const over = new THREE.Color(t.over)
    const faded = new THREE.Color(t.hairline)
    const ink = new THREE.Color(t.ink)
    const plain = new THREE.Color(t.support)
    const shade = (b: Box) => {
      const id = this.view.members[b.member]!.id
      if (by === 'plain') return plain
      if (typeof by !== 'string') {
        const part = by.get(id)
        return part === undefined
          ? plain
          : plain.clone().lerp(new THREE.Color(part > 0 ? t.accent : t.less), 0.2 + 0.8 * Math.sqrt(Math.abs(part)))
      }
      const u = shadeOf(this.view.members[b.member]!, by)
      const step = STEPS.findIndex((s) => u <= s + 1e-9)
      return !b.satisfied ? over : ramp[step < 0 ? ramp.length - 1 : step]!
    }
    this.scene.background = new THREE.Color(t.ground)
    const colors = new Float32Array(6 * this.boxes.length)
    this.boxes.forEach((b, i) => {
      const color = selected.has(b.mark) ? ink : matching.has(b.mark) ? shade(b) : faded
      this.mesh.setColorAt(i, color)
      color.toArray(colors, 6 * i)
      color.toArray(colors, 6 * i + 3)
    })
    this.mesh.instanceColor!.needsUpdate = true
    this.sticks.geometry.setAttribute('color', new THREE.BufferAttribute(colors, 3))
    this.draw()
  }

  /** Draws triangles over the building, coloured by the sign of a value or by its size (0 to 1). */
  overlay(triangles: Triangles | undefined, t: Tokens, by: 'sign' | 'size') {
    this.layer.visible = triangles !== undefined
    // the building steps back behind what is drawn on it
    const material = this.mesh.material as THREE.MeshLambertMaterial
    material.transparent = triangles !== undefined
    material.opacity = triangles === undefined ? 1 : 0.35
    material.depthWrite = triangles === undefined
    material.needsUpdate = true
    if (triangles) {
      const colors = new Float32Array(triangles.values.length * 3)
      const signs = [new THREE.Color(t.less), new THREE.Color(t.accent)] as const
      const ramp = [t.u1, t.u2, t.u3, t.u4].map((c) => new THREE.Color(c))
      triangles.values.forEach((v, i) => {
        const c = by === 'sign' ? signs[v > 0 ? 1 : 0]! : ramp[Math.min(ramp.length - 1, Math.floor(v * ramp.length))]!
        c.toArray(colors, i * 3)
      })
      this.layer.geometry.dispose()
      this.layer.geometry = new THREE.BufferGeometry()
      this.layer.geometry.setAttribute('position', new THREE.Float32BufferAttribute(triangles.positions, 3))
      this.layer.geometry.setAttribute('color', new THREE.BufferAttribute(colors, 3))
    }
    this.draw()
  }

  /** Draws forces as arrows; an empty list removes them. */
  arrows(list: ReturnType<typeof arrowsOf>, t: Tokens) {
    this.arrowGroup.clear()
    this.arrowMaterial.color.set(t.accent)
    for (const a of list) {
      const direction = new THREE.Vector3(...(a.direction as [number, number, number]))
      const head = Math.min(0.9, 0.4 * a.length)
      const arrow = new THREE.Group()
      const shaft = new THREE.Mesh(this.shaft, this.arrowMaterial)
      shaft.scale.set(1, a.length - head, 1)
      shaft.position.y = -head - (a.length - head) / 2
      const tip = new THREE.Mesh(this.cone, this.arrowMaterial)
      tip.scale.set(1, head, 1)
      tip.position.y = -head / 2
      arrow.add(shaft, tip)
      arrow.quaternion.setFromUnitVectors(new THREE.Vector3(0, 1, 0), direction)
      arrow.position.set(...(a.tip as [number, number, number]))
      arrow.userData = { joint: a.joint, tip: a.tip }
      this.arrowGroup.add(arrow)
    }
    this.draw()
  }

  private frame() {
    const box = new THREE.Box3()
    this.boxes.forEach((b) => box.expandByPoint(new THREE.Vector3(...b.centre)))
    const centre = box.getCenter(new THREE.Vector3())
    this.camera.up.set(0, 0, 1)
    const from = new THREE.Vector3(-0.85, -1.3, 0.6).normalize()
    this.camera.position.copy(centre).addScaledVector(from, fitting(box, centre, from, this.camera))
    this.controls.target.copy(centre)
    this.controls.update()
  }

  private listen() {
    const canvas = this.renderer.domElement
    let downX = 0
    let downY = 0
    canvas.addEventListener('pointerdown', (e) => {
      downX = e.clientX
      downY = e.clientY
    })
    canvas.addEventListener('pointerup', (e) => {
      if (Math.hypot(e.clientX - downX, e.clientY - downY) < 4) this.onPick(this.hitAt(e)?.mark, e)
    })
    canvas.addEventListener('pointermove', (e) => {
      cancelAnimationFrame(this.hovering)
      if (e.buttons === 0) this.hovering = requestAnimationFrame(() => this.onHover(this.hitAt(e)))
    })
  }

  private hitAt(e: PointerEvent): Under | undefined {
    const r = this.renderer.domElement.getBoundingClientRect()
    const at = { x: e.clientX - r.left, y: e.clientY - r.top }
    const joint = this.jointAt(at.x, at.y, r.width, r.height)
    if (joint) return { joint, part: 0, ...at }
    const ray = new THREE.Raycaster()
    ray.setFromCamera(new THREE.Vector2((at.x / r.width) * 2 - 1, 1 - (at.y / r.height) * 2), this.camera)
    const hit = ray.intersectObject(this.mesh)[0]
    const box = hit?.instanceId === undefined ? undefined : this.boxes[hit.instanceId]
    if (!hit || !box) return undefined
    const along = hit.point
      .clone()
      .sub(new THREE.Vector3(...box.centre))
      .dot(new THREE.Vector3(...(box.axes[0] as [number, number, number])))
    return {
      member: this.view.members[box.member]!.id,
      mark: box.mark,
      part: Math.max(0, Math.min(1, along / box.size[0] + 0.5)),
      ...at,
    }
  }

  /** The joint with an arrow within a finger's width of the cursor. */
  private jointAt(x: number, y: number, w: number, h: number): string | undefined {
    for (const a of this.arrowGroup.children) {
      const data = a.userData as { joint: string; tip: [number, number, number] }
      const s = new THREE.Vector3(...data.tip).project(this.camera)
      if (Math.hypot(((s.x + 1) / 2) * w - x, ((1 - s.y) / 2) * h - y) < 9) return data.joint
    }
    return undefined
  }

  private resize() {
    const { clientWidth: w, clientHeight: h } = this.host
    if (w === 0 || h === 0) return
    this.camera.aspect = w / h
    this.camera.updateProjectionMatrix()
    this.renderer.setSize(w, h)
    // until somebody turns it, the whole building is in view whatever the window
    if (!this.turned) this.frame()
    this.draw()
  }

  /** While a large building moves its members are lines, so that it follows the hand. */
  private move(moving: boolean) {
    this.turned = true
    this.sticks.visible = moving && this.boxes.length > MANY
    this.mesh.visible = !this.sticks.visible
    this.draw()
  }

  private draw() {
    cancelAnimationFrame(this.pending)
    this.pending = requestAnimationFrame(() => this.renderer.render(this.scene, this.camera))
  }

  dispose() {
    cancelAnimationFrame(this.pending)
    cancelAnimationFrame(this.hovering)
    this.shaft.dispose()
    this.cone.dispose()
    this.arrowMaterial.dispose()
    this.layer.geometry.dispose()
    this.layer.material.dispose()
    this.observer.disconnect()
    this.controls.dispose()
    this.sticks.geometry.dispose()
    this.sticks.material.dispose()
    this.mesh.geometry.dispose()
    ;(this.mesh.material as THREE.Material).dispose()
    this.mesh.dispose()
    this.renderer.dispose()
    this.renderer.domElement.remove()
  }
}

/** How far the camera must stand off so that every corner of the building is in view. */
function fitting(box: THREE.Box3, centre: THREE.Vector3, from: THREE.Vector3, camera: THREE.PerspectiveCamera): number {
  const half = Math.tan(THREE.MathUtils.degToRad(camera.fov / 2))
  const right = new THREE.Vector3().crossVectors(new THREE.Vector3(0, 0, 1), from).normalize()
  const up = new THREE.Vector3().crossVectors(from, right)
  let most = 10
  for (const x of [box.min.x, box.max.x])
    for (const y of [box.min.y, box.max.y])
      for (const z of [box.min.z, box.max.z]) {
        const d = new THREE.Vector3(x, y, z).sub(centre)
        const across = Math.max(Math.abs(d.dot(up)) / half, Math.abs(d.dot(right)) / (half * camera.aspect))
        most = Math.max(most, d.dot(from) + across)
      }
  return most * 1.06
}

/** Where the axis of a member begins and ends. */
const ends = (b: Box) => [-0.5, 0.5].flatMap((k) => b.centre.map((c, i) => c + k * b.size[0] * b.axes[0][i]!))

function matrix(b: Box): THREE.Matrix4 {
  const [x, y, z] = b.axes.map((a) => new THREE.Vector3(a[0], a[1], a[2])) as [
    THREE.Vector3,
    THREE.Vector3,
    THREE.Vector3,
  ]
  const m = new THREE.Matrix4().makeBasis(
    x.multiplyScalar(b.size[0]),
    y.multiplyScalar(b.size[1]),
    z.multiplyScalar(b.size[2]),
  )
  return m.setPosition(...b.centre)
}
