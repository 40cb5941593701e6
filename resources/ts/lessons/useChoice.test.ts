import { describe, expect, it } from 'vitest'
import { minutesBetween } from './useChoice'

describe('minutesBetween', () => {
  it('counts from one time of the day to another', () => {
    expect(minutesBetween('15:30', '16:15')).toBe(45)
    expect(minutesBetween('16:00', '15:00')).toBe(-60)
    expect(minutesBetween('16:00', '16:00')).toBe(0)
  })

  it('takes what is not typed yet as midnight', () => {
    expect(minutesBetween('', '01:10')).toBe(70)
  })
})
