import { describe, expect, it } from 'vitest'
import { bounds, ending, pose, standing, unpack, type Piece } from './moments'

/** One triangle, two moments: its third corner goes from (0, 10, 0) to (0, 0, 10); numbers in 0.1 mm. */
function piece(moments: number[][]): Piece {
  const numbers = moments.flat().map((mm) => Math.round(mm * 10))
  const bytes = new Uint8Array(numbers.length * 2)
  const view = new DataView(bytes.buffer)
  numbers.forEach((n, i) => { view.setInt16(2 * i, n, true) })
  return {
    corners: [0, 1, 2],
    ranks: [0],
    ranks_end: [0],
    lines: [],
    vertices: 3,
    moments: moments.length,
    at: btoa(String.fromCharCode(...bytes)),
  }
}
const flat = [0, 0, 0, 10, 0, 0, 0, 10, 0]
const upright = [0, 0, 0, 10, 0, 0, 0, -2.5, 10]

describe('a packed motion', () => {
  it('is read as it was sent, also below nothing', () => {
    const moving = unpack(piece([flat, upright]))
    expect([...moving.at.slice(9)].map((x) => Math.round(x * 10) / 10)).toEqual(upright)
  })

  it('goes straight between two moments and stays at its ends', () => {
    const moving = unpack(piece([flat, upright]))
    expect(pose(moving, 0)[7]).toBeCloseTo(10)
    expect(pose(moving, 0.5)[7]).toBeCloseTo(3.75)
    expect(pose(moving, 0.5)[8]).toBeCloseTo(5)
    expect(pose(moving, 1)[8]).toBeCloseTo(10)
  })

  it('gives every moment of every piece the same time', () => {
    const pieces = [unpack(piece([flat, upright, flat])), unpack(piece([flat, upright]))]
    // two spans and one: the second piece begins after two thirds
    expect(standing(pieces, 0)).toEqual({ piece: 0, share: 0 })
    expect(standing(pieces, 1 / 3)).toEqual({ piece: 0, share: 0.5 })
    expect(standing(pieces, 5 / 6).piece).toBe(1)
    expect(standing(pieces, 5 / 6).share).toBeCloseTo(0.5)
    expect(standing(pieces, 1)).toEqual({ piece: 1, share: 1 })
    expect(standing(pieces, 7)).toEqual({ piece: 1, share: 1 })
  })

  it('knows the room it takes', () => {
    const { least, most } = bounds([unpack(piece([flat, upright]))])
    expect(least).toEqual([0, -2.5, 0])
    expect(most.map((x) => Math.round(x))).toEqual([10, 10, 10])
  })

  it('ends with its last moment, whose box is smaller than that of the way', () => {
    const moving = {
      corners: [0, 1, 2], ranks: [0], ranksEnd: [0], lines: [], vertices: 3, moments: 2,
      at: new Float32Array([0, 0, 0, 9, 0, 0, 0, 9, 0, 0, 0, 5, 1, 0, 5, 0, 1, 5]),
    }
    expect(ending(moving).moments).toBe(1)
    expect(bounds([ending(moving)])).toEqual({ least: [0, 0, 5], most: [1, 1, 5] })
    expect(bounds([moving]).most).toEqual([9, 9, 5])
  })
})
