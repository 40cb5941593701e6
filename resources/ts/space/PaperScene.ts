import {
  AmbientLight,
  BackSide,
  BufferAttribute,
  BufferGeometry,
  DirectionalLight,
  FrontSide,
  Group,
  Mesh,
  MeshLambertMaterial,
  OrthographicCamera,
  Scene,
  WebGLRenderer,
} from 'three'
import { LineMaterial } from 'three/addons/lines/LineMaterial.js'
import { LineSegments2 } from 'three/addons/lines/LineSegments2.js'
import { LineSegmentsGeometry } from 'three/addons/lines/LineSegmentsGeometry.js'
import { bounds, ending, pose, standing, type Moving } from './moments'

/** How far one layer lies over the next, as a share of the shorter side: seen as an edge, small against any flap. */
const LAYER = 0.0012
/** The whole stack is never thicker than this share. */
const STACK = 0.012
/** Room left round the model. */
const MARGIN = 1.04
const INK = '#17252D'
/** Widths of lines on the screen, px: a crease and a raw edge. */
const WIDTHS = [1.3, 2.6] as const

/** One step of a model as paper in space, as the folder sees it, drawn by the screen's graphics; angles in radians. */
export class PaperScene {
  private readonly renderer: WebGLRenderer
  private readonly scene = new Scene()
  private readonly camera = new OrthographicCamera()
  private readonly model = new Group()
  private readonly table = new Group()
  private readonly materials: { front: MeshLambertMaterial; back: MeshLambertMaterial }
  private readonly lines: { segments: LineSegments2; material: LineMaterial }[]
  private readonly pieces: { moving: Moving; geometry: BufferGeometry; points: Float32Array }[]
  private readonly layer: number
  /** Half the room the model needs across and up, however it is turned one way. */
  private readonly room: { across: number; up: number }

  /**
   * Throws where the device has no graphics to draw with. `roll` is given for a finished form: the model is turned on
   * the table by it, and comes nearer as it grows compact.
   */
  constructor(
    private readonly canvas: HTMLCanvasElement,
    moving: Moving[],
    side: number,
    colours: { front: string; back: string },
    private readonly roll?: number,
  ) {
    this.renderer = new WebGLRenderer({ canvas, antialias: true, alpha: true })
    const deepest = Math.max(1, ...moving.flatMap((p) => [...p.ranks, ...p.ranksEnd]).map(Math.abs))
    this.layer = side * Math.min(LAYER, STACK / deepest)
    const offset = { polygonOffset: true, polygonOffsetFactor: 1, polygonOffsetUnits: 1 }
    this.materials = {
      front: new MeshLambertMaterial({ color: colours.front, side: FrontSide, flatShading: true, ...offset }),
      back: new MeshLambertMaterial({ color: colours.back, side: BackSide, flatShading: true, ...offset }),
    }
    this.pieces = moving.map((piece) => {
      const geometry = new BufferGeometry()
      geometry.setAttribute('position', new BufferAttribute(new Float32Array(3 * piece.corners.length), 3))
      return { moving: piece, geometry, points: new Float32Array(3 * piece.vertices) }
    })
    this.lines = WIDTHS.map((linewidth) => {
      const material = new LineMaterial({ color: INK, linewidth })
      return { segments: new LineSegments2(new LineSegmentsGeometry(), material), material }
    })
    const sun = new DirectionalLight('#ffffff', 1.5)
    sun.position.set(-0.4, 0.5, 1)
    this.table.rotation.z = roll ?? 0
    this.table.add(this.model)
    this.scene.add(new AmbientLight('#ffffff', 1.8), sun, this.table)
    const last = moving.at(-1)
    const { least, most } = roll !== undefined && last ? bounds([ending(last)]) : bounds(moving)
    this.model.position.set(...(least.map((x, i) => -(x + (most[i] ?? 0)) / 2) as [number, number, number]))
    if (roll === undefined) this.model.position.z = 0
    const deep = Math.max(Math.abs(least[2]), Math.abs(most[2]))
    this.room = {
      across: Math.hypot((most[0] - least[0]) / 2, deep) * MARGIN,
      up: Math.hypot((most[1] - least[1]) / 2, deep) * MARGIN,
    }
  }

  /** Draws the model at a share of its way, turned to the left by `yaw` and tipped away by `pitch`. */
  draw(share: number, yaw: number, pitch: number): void {
    const at = standing(this.pieces.map((p) => p.moving), share)
    const piece = this.pieces[at.piece]
    if (!piece) return
    pose(piece.moving, at.share, piece.points)
    const lifted = this.lift(piece, at.share)
    this.model.clear()
    for (const material of [this.materials.front, this.materials.back]) {
      this.model.add(new Mesh(piece.geometry, material))
    }
    for (const [kind, { segments }] of this.lines.entries()) {
      const ends = this.ends(piece.moving, lifted, WIDTHS.length - 1 - kind)
      if (ends.length > 0) {
        segments.geometry.dispose()
        segments.geometry = new LineSegmentsGeometry().setPositions(ends)
        this.model.add(segments)
      }
    }
    this.aim(yaw, pitch, this.roll === undefined ? this.room : this.needed(at, yaw, pitch))
    this.renderer.render(this.scene, this.camera)
  }

  dispose(): void {
    for (const { geometry } of this.pieces) geometry.dispose()
    for (const { segments, material } of this.lines) {
      segments.geometry.dispose()
      material.dispose()
    }
    this.materials.front.dispose()
    this.materials.back.dispose()
    this.renderer.dispose()
    this.renderer.forceContextLoss()
  }

  /** Sets every triangle off along its front by the layers over it, so that none flickers through another. */
  private lift({ moving, geometry, points }: (typeof this.pieces)[number], share: number): Float32Array {
    const attribute = geometry.getAttribute('position') as BufferAttribute
    const out = attribute.array as Float32Array
    for (let t = 0; t < moving.ranks.length; t++) {
      const [p, q, r] = [0, 1, 2].map((k) => 3 * (moving.corners[3 * t + k] ?? 0)) as [number, number, number]
      const of = (v: number, c: number) => points[v + c] ?? 0
      const u = [0, 1, 2].map((c) => of(q, c) - of(p, c)) as [number, number, number]
      const w = [0, 1, 2].map((c) => of(r, c) - of(p, c)) as [number, number, number]
      const n = [u[1] * w[2] - u[2] * w[1], u[2] * w[0] - u[0] * w[2], u[0] * w[1] - u[1] * w[0]] as const
      const rank = (moving.ranks[t] ?? 0) * (1 - share) + (moving.ranksEnd[t] ?? 0) * share
      const by = (this.layer * rank) / Math.max(1e-9, Math.hypot(...n))
      for (const [k, v] of [p, q, r].entries()) {
        for (const c of [0, 1, 2] as const) out[9 * t + 3 * k + c] = of(v, c) + by * n[c]
      }
    }
    attribute.needsUpdate = true
    geometry.computeBoundingSphere()
    return out
  }

  /** The ends of the lines of one kind, where their triangle lies now. */
  private ends(moving: Moving, lifted: Float32Array, kind: number): number[] {
    const ends: number[] = []
    for (let i = 0; i < moving.lines.length; i += 4) {
      if (moving.lines[i + 3] !== kind) continue
      const t = moving.lines[i] ?? 0
      for (const vertex of [moving.lines[i + 1], moving.lines[i + 2]]) {
        const k = [0, 1, 2].find((corner) => moving.corners[3 * t + corner] === vertex) ?? 0
        ends.push(lifted[9 * t + 3 * k] ?? 0, lifted[9 * t + 3 * k + 1] ?? 0, lifted[9 * t + 3 * k + 2] ?? 0)
      }
    }
    return ends
  }

  /** Half the room that this moment and all after it need, seen from here. */
  private needed(at: { piece: number; share: number }, yaw: number, pitch: number): { across: number; up: number } {
    const [sy, cy, sp, cp] = [Math.sin(yaw), Math.cos(yaw), Math.sin(pitch), Math.cos(pitch)]
    const [sr, cr] = [Math.sin(this.roll ?? 0), Math.cos(this.roll ?? 0)]
    const { x: mx, y: my, z: mz } = this.model.position
    const room = { across: 0, up: 0 }
    for (const [i, { moving }] of this.pieces.entries()) {
      if (i < at.piece) continue
      const from = i === at.piece ? Math.floor(at.share * (moving.moments - 1)) : 0
      for (let k = 3 * from * moving.vertices; k < moving.at.length; k += 3) {
        const [x, y, z] = [(moving.at[k] ?? 0) + mx, (moving.at[k + 1] ?? 0) + my, (moving.at[k + 2] ?? 0) + mz]
        const [u, v] = [cr * x - sr * y, sr * x + cr * y]
        room.across = Math.max(room.across, Math.abs(cy * u - sy * z) * MARGIN)
        room.up = Math.max(room.up, Math.abs(cp * v + sp * (sy * u + cy * z)) * MARGIN)
      }
    }
    return room
  }

  private aim(yaw: number, pitch: number, room: { across: number; up: number }): void {
    const { clientWidth: width, clientHeight: height } = this.canvas
    this.renderer.setPixelRatio(Math.min(2, window.devicePixelRatio))
    this.renderer.setSize(width, height, false)
    for (const { material } of this.lines) material.resolution.set(width, height)
    const mm = Math.max(room.across / Math.max(1, width), room.up / Math.max(1, height))
    const [x, y, far] = [mm * width, mm * height, 10 * (this.room.across + this.room.up + room.across + room.up)]
    Object.assign(this.camera, { left: -x, right: x, top: y, bottom: -y, near: -far, far })
    this.camera.position.set(Math.sin(yaw) * Math.cos(pitch), -Math.sin(pitch), Math.cos(yaw) * Math.cos(pitch))
    this.camera.up.set(0, Math.cos(pitch) > 0 ? 1 : -1, 0)
    this.camera.lookAt(0, 0, 0)
    this.camera.updateProjectionMatrix()
  }
}
