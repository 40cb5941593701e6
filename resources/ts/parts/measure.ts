import { computed } from 'vue'
import { useMe } from '../api/groups'

export type Unit = 'mm' | 'cm' | 'in'

/** The largest mark of the ruler that is not longer, to a sixteenth of an inch. */
function underRuler(mm: number): string {
  const ticks = Math.floor((mm / 25.4) * 16 + 1e-9)
  let [top, bottom] = [ticks % 16, 16]
  while (top > 0 && top % 2 === 0) {
    top /= 2
    bottom /= 2
  }
  const whole = Math.floor(ticks / 16)
  return `${whole > 0 || top === 0 ? whole : ''}${top > 0 ? ` ${top}/${bottom}` : ''}`.trim()
}

/** A length for reading, without its unit; never more than it is. */
export function figure(mm: number, unit: Unit): string {
  if (unit === 'in') return underRuler(mm)
  return unit === 'cm' ? (Math.floor(mm + 1e-9) / 10).toFixed(1) : String(Math.floor(mm * 10 + 1e-9) / 10)
}

const perUnit = { mm: 1, cm: 10, in: 25.4 } as const
/** A length as a plain decimal number of the unit, for fields that are counted with while they are typed. */
export const decimal = (mm: number, unit: Unit) => Number((mm / perUnit[unit]).toFixed({ mm: 0, cm: 1, in: 2 }[unit]))
export const fromDecimal = (value: number | string, unit: Unit) => Number(value) * perUnit[unit]

/** The unit in which a volume is said, and how many mm³ it has. */
export const cubic = (unit: Unit) =>
  unit === 'in' ? { name: 'in³', mm3: 25.4 ** 3 } : { name: 'cm³', mm3: 1000 }

/** Lengths in the units of whoever is signed in. */
export function useMeasure() {
  const me = useMe()
  const unit = computed<Unit>(() => me.data.value?.unit ?? 'mm')
  return {
    unit,
    plain: (mm: number) => figure(mm, unit.value),
    say: (...mm: number[]) => `${mm.map((one) => figure(one, unit.value)).join(' × ')} ${unit.value}`,
  }
}

/**
 * A length that was shown as text and comes back: what was not changed keeps its exact value, however it was rounded
 * for the eye.
 */
export function keptLength(text: string | number, was: number | null, shown: (mm: number) => string, unit: Unit) {
  return was !== null && String(text).trim() === shown(was) ? was : length(text, unit)
}

/**
 * What was typed for a length: a number of mm, or text with its unit ("8 1/2 in"), which the server reads. Nothing:
 * null.
 */
export function length(text: string | number, unit: Unit): number | string | null {
  const plain = String(text).trim()
  if (plain === '') return null
  const number = Number(plain.replace(',', '.'))
  if (unit === 'mm' && Number.isFinite(number)) return number
  return /[a-z"″]$/i.test(plain) ? plain : `${plain} ${unit}`
}
