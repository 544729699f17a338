import * as THREE from 'three'
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js'
import type { View } from '../api/client'
import type { Tokens } from '../app/tokens'
import { STEPS } from './ramp'
import { spaceScene, type Box } from './spaceScene'

/** Draws the boxes with three.js, one draw call, only when something changed. Owns and disposes its geometry. */
export class SpaceRenderer {
  private readonly renderer = new THREE.WebGLRenderer({ antialias: window.devicePixelRatio > 1, preserveDrawingBuffer: true })
  private readonly scene = new THREE.Scene()
  private readonly camera = new THREE.PerspectiveCamera(35, 1, 0.5, 2000)
  private readonly controls: OrbitControls
  private readonly mesh: THREE.InstancedMesh
  private readonly boxes: Box[]
  private readonly observer: ResizeObserver
  private pending = 0

  constructor(private readonly host: HTMLElement, view: View, private readonly onPick: (mark: string | undefined) => void) {
    this.boxes = spaceScene(view)
    this.mesh = new THREE.InstancedMesh(new THREE.BoxGeometry(1, 1, 1), new THREE.MeshLambertMaterial(), this.boxes.length)
    this.boxes.forEach((b, i) => this.mesh.setMatrixAt(i, matrix(b)))
    const key = new THREE.DirectionalLight(0xffffff, 1.6)
    key.position.set(-0.6, -1, 1.4)
    this.scene.add(this.mesh, new THREE.AmbientLight(0xffffff, 1.7), key)
    this.controls = new OrbitControls(this.camera, this.renderer.domElement)
    this.controls.addEventListener('change', () => this.draw())
    host.append(this.renderer.domElement)
    this.frame()
    this.observer = new ResizeObserver(() => this.resize())
    this.observer.observe(host)
    this.resize()
    this.listen()
  }

  /** Colours by utilisation; members outside the query fade, the selected one is inked. */
  paint(t: Tokens, matching: Set<string>, selected?: string) {
    const ramp = [t.u0, t.u1, t.u2, t.u3, t.u4].map((c) => new THREE.Color(c))
    const over = new THREE.Color(t.over)
    const faded = new THREE.Color(t.hairline)
    const ink = new THREE.Color(t.ink)
    this.scene.background = new THREE.Color(t.ground)
    this.boxes.forEach((b, i) => {
      const step = STEPS.findIndex((s) => b.utilisation <= s + 1e-9)
      const own = !b.satisfied ? over : ramp[step < 0 ? ramp.length - 1 : step]!
      this.mesh.setColorAt(i, b.mark === selected ? ink : matching.has(b.mark) ? own : faded)
    })
    this.mesh.instanceColor!.needsUpdate = true
    this.draw()
  }

  private frame() {
    const box = new THREE.Box3()
    this.boxes.forEach((b) => box.expandByPoint(new THREE.Vector3(...b.centre)))
    const centre = box.getCenter(new THREE.Vector3())
    const size = box.getSize(new THREE.Vector3()).length() || 10
    this.camera.up.set(0, 0, 1)
    this.camera.position.set(centre.x - size * 0.85, centre.y - size * 1.3, centre.z + size * 0.6)
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
      if (Math.hypot(e.clientX - downX, e.clientY - downY) < 4) this.onPick(this.markAt(e))
    })
  }

  private markAt(e: PointerEvent): string | undefined {
    const r = this.renderer.domElement.getBoundingClientRect()
    const ray = new THREE.Raycaster()
    ray.setFromCamera(new THREE.Vector2(((e.clientX - r.left) / r.width) * 2 - 1, 1 - ((e.clientY - r.top) / r.height) * 2), this.camera)
    const hit = ray.intersectObject(this.mesh)[0]
    return hit?.instanceId === undefined ? undefined : this.boxes[hit.instanceId]?.mark
  }

  private resize() {
    const { clientWidth: w, clientHeight: h } = this.host
    if (w === 0 || h === 0) return
    this.camera.aspect = w / h
    this.camera.updateProjectionMatrix()
    this.renderer.setSize(w, h)
    this.draw()
  }

  private draw() {
    cancelAnimationFrame(this.pending)
    this.pending = requestAnimationFrame(() => this.renderer.render(this.scene, this.camera))
  }

  dispose() {
    cancelAnimationFrame(this.pending)
    this.observer.disconnect()
    this.controls.dispose()
    this.mesh.geometry.dispose()
    ;(this.mesh.material as THREE.Material).dispose()
    this.mesh.dispose()
    this.renderer.dispose()
    this.renderer.domElement.remove()
  }
}

function matrix(b: Box): THREE.Matrix4 {
  const [x, y, z] = b.axes.map((a) => new THREE.Vector3(a[0], a[1], a[2])) as [THREE.Vector3, THREE.Vector3, THREE.Vector3]
  const m = new THREE.Matrix4().makeBasis(x.multiplyScalar(b.size[0]), y.multiplyScalar(b.size[1]), z.multiplyScalar(b.size[2]))
  return m.setPosition(...b.centre)
}
