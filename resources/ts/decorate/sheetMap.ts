import type { SheetMapData } from '../api/client'

export type Part = SheetMapData['parts'][number]
export type View = Part['view']
export type Side = Part['side']
type Pair = readonly [number, number]

/** mm: numbers are sent rounded, so neighbours may part by a little. */
const NEAR = 0.02

const cross = (o: Pair, a: Pair, b: Pair) => (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0])
const pair = (p: number[] | undefined): Pair => [p?.[0] ?? 0, p?.[1] ?? 0]

/** Whether a point lies in a convex polygon, whichever way round its corners are listed. */
export function within(polygon: number[][], p: Pair): boolean {
  const off = polygon.map((corner, i) => {
    const [a, b] = [pair(corner), pair(polygon[(i + 1) % polygon.length])]
    return cross(a, b, p) / Math.max(1e-9, Math.hypot(b[0] - a[0], b[1] - a[1]))
  })
  return off.every((t) => t >= -NEAR) || off.every((t) => t <= NEAR)
}

/** A place of one picture of a piece in its other one: both have the same corners, so it is the same share of them. */
export function moved(from: number[][], to: number[][], p: Pair): Pair {
  const [a, b, c] = corners(from)
  const whole = cross(a, b, c)
  const [v, w] = [cross(a, p, c) / whole, cross(a, b, p) / whole]
  const at = ([i, j, k]: [Pair, Pair, Pair], axis: 0 | 1) =>
    i[axis] + v * (j[axis] - i[axis]) + w * (k[axis] - i[axis])
  const there = corners(to, from)
  return [at(there, 0), at(there, 1)]
}

/** Three corners that do not lie on a line; of `like` where another polygon says which. */
function corners(polygon: number[][], like = polygon): [Pair, Pair, Pair] {
  let best = 2
  for (let i = 2; i < like.length; i++) {
    const area = (k: number) => Math.abs(cross(pair(like[0]), pair(like[1]), pair(like[k])))
    if (area(i) > area(best)) best = i
  }
  return [pair(polygon[0]), pair(polygon[1]), pair(polygon[best])]
}

/** The place of the sheet that is seen at a place of the model, and on which side; undefined beside the model. */
export function onSheet(parts: Part[], view: View, p: Pair): { side: Side; at: Pair; part: Part } | undefined {
  const part = parts.find((one) => one.view === view && within(one.model, p))
  return part && { side: part.side, at: moved(part.model, part.sheet, p), part }
}

/** Where a place of one side of the sheet is seen on the model; undefined where it is hidden. */
export function onModel(parts: Part[], side: Side, p: Pair): { view: View; at: Pair; part: Part } | undefined {
  const part = parts.find((one) => one.side === side && within(one.sheet, p))
  return part && { view: part.view, at: moved(part.sheet, part.model, p), part }
}
