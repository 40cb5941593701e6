import { describe, expect, it } from 'vitest'
import { alongTheClock, pagesOf, sheetRows, type TimedLine } from './alongTheClock'

type Kind = TimedLine['kind']
const lines = (...of: [Kind, number][]): TimedLine[] => {
  let start = 0
  return of.map(([kind, seconds], i) => {
    const line = { kind, key: kind, step: kind === 'block' ? null : i, start, seconds }
    start += seconds
    return line
  })
}

describe('whole minutes', () => {
  it('add up along the clock', () => {
    // 0, 100 and 190 s begin at minute 0, 2 and 3; the last ends at 290 s, minute 5
    const rows = alongTheClock(lines(['block', 100], ['step', 90], ['step', 100]))
    expect(rows.map((row) => [row.minute, row.minutes])).toEqual([[0, 2], [2, 1], [3, 2]])
  })
  it('add up whatever the lengths: each begins where the one before ends', () => {
    let seed = 7
    for (let round = 0; round < 200; round++) {
      const of = Array.from({ length: 12 }, (): [Kind, number] => {
        seed = (seed * 48271) % 2147483647
        return ['step', seed % 400]
      })
      const rows = alongTheClock(lines(...of))
      rows.forEach((row, i) => {
        expect(row.minutes).toBeGreaterThanOrEqual(0)
        expect(row.minute + row.minutes).toBe(rows[i + 1]?.minute ?? row.minute + row.minutes)
      })
      const total = of.reduce((sum, [, seconds]) => sum + seconds, 0)
      expect(rows.reduce((sum, row) => sum + row.minutes, 0)).toBe(Math.round(total / 60))
    }
  })
  it('put a checkpoint with its step', () => {
    const given: TimedLine[] = [
      { kind: 'step', key: 'valley', step: 1, start: 0, seconds: 90 },
      { kind: 'checkpoint', key: 'checkpoint', step: 1, start: 90, seconds: 60 },
      { kind: 'block', key: 'clear', step: null, start: 150, seconds: 240 },
    ]
    expect(sheetRows(given).map((row) => [row.kind, row.minute, row.minutes, row.checkpoint])).toEqual([
      ['step', 0, 3, true], ['block', 3, 4, false],
    ])
  })
})

describe('pages', () => {
  const rows = (steps: number) => [
    { kind: 'block' }, ...Array.from({ length: steps }, () => ({ kind: 'step' })), { kind: 'block' },
  ]
  it('are one to seventeen steps, two from eighteen on, and hold every row', () => {
    expect([1, 17, 18, 34, 35].map((steps) => pagesOf(rows(steps)).length)).toEqual([1, 1, 2, 2, 3])
    for (const steps of [1, 17, 18, 35]) expect(pagesOf(rows(steps)).flat()).toHaveLength(steps + 2)
  })
})
