import { describe, expect, it, vi } from 'vitest'
import { clock, day, later, wallNow } from './clock'

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

  it('is as long as planned in the night in which clocks are changed', () => {
    vi.stubEnv('TZ', 'Europe/London')
    expect(later('2027-03-28T00:30', 60)).toBe('2027-03-28T01:30')
    expect(clock('2027-03-28T00:30', 90 * 60)).toBe('02:00')
    expect(later('2027-10-31T00:30', 120)).toBe('2027-10-31T02:30')
    expect(wallNow(new Date('2027-07-01T11:00:00Z'))).toBe('2027-07-01T12:00')
    expect(clock('2027-07-01T11:00:00Z')).toBe('12:00')
    vi.unstubAllEnvs()
  })

  it('moves over midnight', () => {
    expect(later('2026-12-31T23:30', 60)).toBe('2027-01-01T00:30')
  })
})
