import { expect, it } from 'vitest'
import { byMonth } from './byMonth'

it('puts lessons under their months, in the order they come in', () => {
  const at = (starts_at: string) => ({ starts_at })
  const days = ['2026-12-01T00:00', '2026-12-31T23:59', '2027-01-01T00:00', '2026-11-30T10:00']
  const found = byMonth(days.map(at))
  expect(found.map((month) => [month.name, month.lessons.length])).toEqual([
    ['December 2026', 2],
    ['January 2027', 1],
    ['November 2026', 1],
  ])
  expect(byMonth([])).toEqual([])
})
