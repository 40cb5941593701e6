import { counting, late, type Log, type LogEvent, type TaughtModel } from './log'
import { Seats, type SeatStanding } from './seats'

/** Where a lesson is: the mirror of core/Lesson/Standing.php. */
export interface Standing {
  step: number
  started_ms: number | null
  ended_ms: number | null
  paused_ms: number
  pause_ms: number | null
  seats: Record<string, SeatStanding>
  /** of whom nothing was said */
  others: SeatStanding
  late: string[]
  newest: number
  marks: LogEvent['marks']
}

export const seatOf = (standing: Standing, learner: number) => standing.seats[learner] ?? standing.others

export function standingOf(log: Log, models: readonly TaughtModel[]): Standing {
  const events = counting(log)
  const seats = new Seats(log, models, events)
  const at: Pick<Standing, 'ended_ms' | 'paused_ms' | 'pause_ms'> = { ended_ms: null, paused_ms: 0, pause_ms: null }
  for (const event of events) {
    if (event.number === log.ended) {
      at.ended_ms = event.at_ms
    } else if (event.kind === 'paused') {
      at.pause_ms ??= event.at_ms
    } else if (event.kind === 'resumed' && at.pause_ms !== null) {
      at.paused_ms += Math.max(0, event.at_ms - at.pause_ms)
      at.pause_ms = null
    }
  }
  return {
    step: seats.step,
    started_ms: seats.began_ms,
    ...at,
    seats: Object.fromEntries(seats.known),
    others: seats.others,
    late: late(log).map((event) => event.key),
    newest: log.events.at(-1)?.number ?? 0,
    marks: log.marks ?? null,
  }
}

/** Whether the step at hand is not yet done: by exception, whether the learner is behind at it or before. */
export function isOpen(standing: Standing, learner: number): boolean {
  const { done, behind } = seatOf(standing, learner)
  return standing.marks === 'exception' ? behind !== null && behind <= standing.step : done < standing.step
}

/** Who waits for help, longest first. */
export function queueOf(standing: Standing, learners: readonly number[]): number[] {
  const since = (learner: number) => seatOf(standing, learner).help_ms ?? 0
  return learners
    .filter((learner) => seatOf(standing, learner).help_ms !== null)
    .sort((a, b) => since(a) - since(b) || a - b)
}
