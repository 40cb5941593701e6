import { describe, expect, it } from 'vitest'
import { moved, onModel, onSheet, within, type Part } from './sheetMap'

/** The left 30 of a square of 100 folded over to the right, from the front: seen are its back and the rest. */
const parts: Part[] = [
  {
    view: 'front', side: 'back', group: 0, up: [0, 1],
    sheet: [[0, 0], [30, 0], [30, 100], [0, 100]],
    model: [[60, 0], [30, 0], [30, 100], [60, 100]],
  },
  {
    view: 'front', side: 'front', group: 1, up: [0, 1],
    sheet: [[60, 0], [100, 0], [100, 100], [60, 100]],
    model: [[60, 0], [100, 0], [100, 100], [60, 100]],
  },
]

describe('where the flat sheet ends up', () => {
  it('finds a point in a polygon, whichever way round it is', () => {
    expect(within([[0, 0], [10, 0], [0, 10]], [2, 2])).toBe(true)
    expect(within([[0, 10], [10, 0], [0, 0]], [2, 2])).toBe(true)
    expect(within([[0, 0], [10, 0], [0, 10]], [8, 8])).toBe(false)
  })

  it('goes from the model to the sheet: what was folded over lies mirrored', () => {
    const found = onSheet(parts, 'front', [50, 20])
    expect(found?.side).toBe('back')
    expect(found?.at[0]).toBeCloseTo(10)
    expect(found?.at[1]).toBeCloseTo(20)
    expect(onSheet(parts, 'front', [10, 20])).toBeUndefined()
  })

  it('goes from the sheet to the model, and knows what is hidden', () => {
    expect(onModel(parts, 'front', [80, 50])?.at).toEqual([80, 50])
    expect(onModel(parts, 'front', [40, 50])).toBeUndefined()
  })

  it('goes there and back', () => {
    for (const one of parts) {
      const there = moved(one.model, one.sheet, [41, 77])
      expect(moved(one.sheet, one.model, there)[0]).toBeCloseTo(41)
      expect(moved(one.sheet, one.model, there)[1]).toBeCloseTo(77)
    }
  })
})
