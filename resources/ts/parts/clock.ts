/** "16:05" from a local date and time such as "2026-11-24T16:00" plus seconds. */
export function clock(start: string, seconds = 0): string {
  const at = new Date(start)
  at.setSeconds(at.getSeconds() + seconds)
  return at.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })
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

/** The local date and time that many minutes later, in the form the server takes. */
export function later(start: string, minutes: number): string {
  const at = new Date(start)
  at.setMinutes(at.getMinutes() + minutes)
  const two = (n: number) => String(n).padStart(2, '0')
  const date = [at.getFullYear(), two(at.getMonth() + 1), two(at.getDate())].join('-')
  return `${date}T${two(at.getHours())}:${two(at.getMinutes())}`
}
