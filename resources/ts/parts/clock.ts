/**
 * A date and time as the clock on the wall shows it, "2026-11-24T16:00"; counted without the zone of this device, so
 * that a lesson in the night in which clocks are changed is as long as it is planned.
 */
const wall = (start: string) => new Date(start.endsWith('Z') ? `${wallNow(new Date(start))}Z` : `${start}Z`)

/** "16:05" from a date and time on the wall plus seconds. */
export function clock(start: string, seconds = 0): string {
  return new Date(wall(start).getTime() + 1000 * seconds).toISOString().slice(11, 16)
}

/** Made once: to make one takes longer than all else that a screen does with it. */
const hourAndMinute = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' })
const weekdayAndDay = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short' })
const monthAndYear = new Intl.DateTimeFormat('en-GB', { month: 'long', year: 'numeric' })

/** "16:05" of a moment, ms since 1970. */
export const timeOf = (ms: number) => hourAndMinute.format(ms)

/** "Tue 24 Nov". */
export const dayOf = (at: Date) => weekdayAndDay.format(at)

/** "November 2026". */
export const monthOf = (at: Date) => monthAndYear.format(at)

/** The date and time that the clock on the wall shows now. */
export function wallNow(now = new Date()): string {
  return new Date(now.getTime() - 60_000 * now.getTimezoneOffset()).toISOString().slice(0, 16)
}

/** "Tue 24 Nov", or the words given for today and tomorrow. */
export function day(start: string, words: { today: string; tomorrow: string }, now = new Date()): string {
  const at = new Date(start)
  const midnight = (d: Date) => new Date(d.getFullYear(), d.getMonth(), d.getDate()).getTime()
  const apart = Math.round((midnight(at) - midnight(now)) / 86_400_000)
  if (apart === 0) return words.today
  if (apart === 1) return words.tomorrow
  return dayOf(at)
}

/** The date and time on the wall that many minutes later, in the form the server takes. */
export function later(start: string, minutes: number): string {
  return new Date(wall(start).getTime() + 60_000 * minutes).toISOString().slice(0, 16)
}
