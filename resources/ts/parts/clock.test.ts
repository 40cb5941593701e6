import { describe, expect, it } from 'vitest'
import { clock, day, later } from './clock'

describe('clock', () => {
  it('adds seconds to a local time', () => {
    expect(clock('2026-11-24T16:00', 65 * 60)).toBe('17:05')
  })

  it('says today and tomorrow by the calendar, not by 24 hours', () => {
    const words = { today: 'Today', tomorrow: 'Tomorrow' }
    const evening = new Date(2026, 10, 24, 23, 50)
    expect(day('2026-11-24T00:05', words, evening)).toBe('Today')
    expect(day('2026-11-25T00:05', words, evening)).toBe('Tomorrow')
    expect(day('2026-11-27T12:30', words, evening)).toBe('Fri 27 Nov')
  })

  it('moves over midnight', () => {
    expect(later('2026-12-31T23:30', 60)).toBe('2027-01-01T00:30')
  })
})
