import type { MotionData } from '../api/client'

export type Piece = MotionData['pieces'][number]

/** A piece whose numbers are unpacked: x, y, z in mm of every vertex of every moment. */
export interface Moving {
  corners: number[]
  ranks: number[]
  ranksEnd: number[]
  lines: number[]
  vertices: number
  moments: number
  at: Float32Array
}

/** mm in one number that was sent. */
const GRAIN = 0.1

export function unpack(piece: Piece): Moving {
  const bytes = Uint8Array.from(atob(piece.at), (c) => c.charCodeAt(0))
  const numbers = new DataView(bytes.buffer)
  const at = new Float32Array(bytes.length / 2)
  for (let i = 0; i < at.length; i++) at[i] = numbers.getInt16(2 * i, true) * GRAIN
  const { corners, ranks, ranks_end: ranksEnd, lines, vertices, moments } = piece
  return { corners, ranks, ranksEnd, lines, vertices, moments, at }
}

/** Where a motion of several pieces stands at a share of the whole way; every moment takes as long as any other. */
export function standing(pieces: Moving[], share: number): { piece: number; share: number } {
  const spans = pieces.map((p) => Math.max(1, p.moments - 1))
  let left = Math.min(1, Math.max(0, share)) * spans.reduce((a, b) => a + b, 0)
  for (const [piece, span] of spans.entries()) {
    if (left <= span || piece === spans.length - 1) return { piece, share: Math.min(1, left / span) }
    left -= span
  }
  return { piece: 0, share: 0 }
}

/** Every vertex of a piece at a share of its way: between two moments they go straight. */
export function pose(piece: Moving, share: number, into?: Float32Array): Float32Array {
  const out = into ?? new Float32Array(3 * piece.vertices)
  const exact = share * (piece.moments - 1)
  const before = Math.min(piece.moments - 1, Math.floor(exact))
  const after = Math.min(piece.moments - 1, before + 1)
  const between = exact - before
  const size = 3 * piece.vertices
  for (let i = 0; i < size; i++) {
    const from = piece.at[before * size + i] ?? 0
    const to = piece.at[after * size + i] ?? 0
    out[i] = from + (to - from) * between
  }
  return out
}

/** The last moment of a piece, as a piece of its own. */
export const ending = (piece: Moving): Moving => ({
  ...piece,
  moments: 1,
  at: piece.at.subarray(3 * piece.vertices * (piece.moments - 1)),
})

/** The box that holds every moment: least and largest x, y, z. */
export function bounds(pieces: Moving[]): { least: [number, number, number]; most: [number, number, number] } {
  const least: [number, number, number] = [Infinity, Infinity, Infinity]
  const most: [number, number, number] = [-Infinity, -Infinity, -Infinity]
  for (const { at } of pieces) {
    for (let i = 0; i < at.length; i += 3) {
      for (const c of [0, 1, 2] as const) {
        const x = at[i + c] ?? 0
        if (x < least[c]) least[c] = x
        if (x > most[c]) most[c] = x
      }
    }
  }
  return { least, most }
}
