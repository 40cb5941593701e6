/**
 * A date and time as the clock on the wall shows it, "2026-11-24T16:00"; counted without the zone of this device, so
 * that a lesson in the night in which clocks are changed is as long as it is planned.
 */
const wall = (start: string) => new Date(start.endsWith('Z') ? `${wallNow(new Date(start))}Z` : `${start}Z`)

/** "16:05" from a date and time on the wall plus seconds. */
export function clock(start: string, seconds = 0): string {
  return new Date(wall(start).getTime() + 1000 * seconds).toISOString().slice(11, 16)
}

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
  return at.toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short' })
}

/** The date and time on the wall that many minutes later, in the form the server takes. */
export function later(start: string, minutes: number): string {
  return new Date(wall(start).getTime() + 60_000 * minutes).toISOString().slice(0, 16)
}
