import { describe, expect, it } from 'vitest'
import { decimal, figure, fromDecimal, length } from './measure'
import lengths from '../../../tests/Core/Paper/lengths.json'

describe('measure', () => {
  it('reads what the server reads, by one table', () => {
    expect(lengths).toHaveLength(60)
    for (const { mm, as_mm, as_cm, as_in } of lengths)
      expect((['mm', 'cm', 'in'] as const).map((unit) => `${figure(mm, unit)} ${unit}`)).toEqual([as_mm, as_cm, as_in])
  })

  it('reads off the ruler downward, never up', () => {
    expect(figure(210, 'in')).toBe('8 1/4')
    expect(figure(215.9, 'in')).toBe('8 1/2')
    expect(figure(22.3, 'in')).toBe('7/8')
    expect(figure(1, 'in')).toBe('0')
    for (let mm = 1; mm < 400; mm += 0.7) {
      const read = figure(mm, 'in')
        .split(' ')
        .reduce(
          (sum, part) =>
            sum + (part.includes('/') ? Number(part.split('/')[0]) / Number(part.split('/')[1]) : Number(part)),
          0,
        )
      expect(read * 25.4).toBeLessThanOrEqual(mm + 1e-6)
      expect(read * 25.4).toBeGreaterThan(mm - 25.4 / 16 - 1e-6)
    }
  })

  it('cuts cm and mm off instead of rounding up', () => {
    expect(figure(148.59, 'mm')).toBe('148.5')
    expect(figure(209.9, 'cm')).toBe('20.9')
  })

  it('takes decimals there and back, nearly', () => {
    expect(decimal(215.9, 'in')).toBe(8.5)
    expect(decimal(148.2, 'cm')).toBe(14.8)
    expect(fromDecimal('8.5', 'in')).toBeCloseTo(215.9)
    for (const unit of ['mm', 'cm', 'in'] as const)
      for (let mm = 10; mm < 300; mm += 3.3)
        expect(Math.abs(fromDecimal(decimal(mm, unit), unit) - mm)).toBeLessThan(0.51)
  })

  it('sends plain mm as numbers and everything else with its unit', () => {
    expect(length('21,5', 'mm')).toBe(21.5)
    expect(length('', 'in')).toBeNull()
    expect(length('8 1/2', 'in')).toBe('8 1/2 in')
    expect(length('21 cm', 'in')).toBe('21 cm')
    expect(length('8.5', 'in')).toBe('8.5 in')
  })
})
