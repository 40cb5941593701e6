import { counting, isMark, late, type Log, type LogEvent, modelAt, type TaughtModel } from './log'

/** How far one learner is: the mirror of core/Lesson/SeatStanding.php. */
export interface SeatStanding {
  /** furthest step of the lesson done, 0 for none */
  done: number
  /** since when the learner waits for help, the server's clock; null when not waiting */
  help_ms: number | null
  help_step: number | null
  away: boolean
  seen: boolean
}

/** Where a lesson is: the mirror of core/Lesson/Standing.php. */
export interface Standing {
  step: number
  started_ms: number | null
  ended_ms: number | null
  paused_ms: number
  pause_ms: number | null
  seats: Record<string, SeatStanding>
  late: string[]
  newest: number
}

export const blankSeat: SeatStanding = { done: 0, help_ms: null, help_step: null, away: false, seen: false }
export const seatOf = (standing: Standing, learner: number) => standing.seats[learner] ?? blankSeat

export function standingOf(log: Log, models: readonly TaughtModel[]): Standing {
  const seats: Record<string, SeatStanding> = {}
  const moves = new Map<string, number>()
  const at: Omit<Standing, 'seats' | 'late' | 'newest'> =
    { step: 0, started_ms: null, ended_ms: null, paused_ms: 0, pause_ms: null }
  for (const event of counting(log)) {
    const open = log.ended === null || event.number <= log.ended
    if (isMark(event) && event.learner != null) {
      seats[event.learner] = after(seats[event.learner] ?? blankSeat, event, models)
    } else if (event.kind === 'moved' && open && !isStale(event, moves)) {
      at.step = event.step ?? 0
      at.started_ms ??= event.at_ms
      moves.set(event.device, event.number)
    } else if (event.kind === 'started') {
      at.started_ms ??= event.at_ms
    } else if (event.number === log.ended) {
      at.ended_ms = event.at_ms
    } else if (event.kind === 'paused') {
      at.pause_ms ??= event.at_ms
    } else if (event.kind === 'resumed' && at.pause_ms !== null) {
      at.paused_ms += Math.max(0, event.at_ms - at.pause_ms)
      at.pause_ms = null
    }
  }
  return { ...at, seats, late: late(log).map((event) => event.key), newest: log.events.at(-1)?.number ?? 0 }
}

/** Who waits for help, longest first. */
export function queueOf(standing: Standing, learners: readonly number[]): number[] {
  const since = (learner: number) => seatOf(standing, learner).help_ms ?? 0
  return learners
    .filter((learner) => seatOf(standing, learner).help_ms !== null)
    .sort((a, b) => since(a) - since(b) || a - b)
}

function after(seat: SeatStanding, event: LogEvent, models: readonly TaughtModel[]): SeatStanding {
  const step = event.step ?? 0
  const fresh = { ...blankSeat, done: seat.done, seen: true }
  switch (event.kind) {
    case 'done':
      return { ...fresh, done: Math.max(seat.done, step) }
    case 'finished-early': {
      const model = modelAt(models, step)
      return { ...fresh, done: Math.max(seat.done, model ? model.first + model.steps - 1 : step) }
    }
    case 'help':
      return { ...fresh, help_ms: seat.help_ms ?? event.at_ms, help_step: step }
    case 'helped':
    case 'came':
      return fresh
    case 'left':
      return { ...fresh, away: true }
    case 'away':
      return { ...fresh, away: true, seen: seat.seen }
    default:
      return seat
  }
}

/** A device that did not know of another's move does not pull the room back. */
function isStale(move: LogEvent, moves: ReadonlyMap<string, number>): boolean {
  return [...moves].some(([device, number]) => device !== move.device && number > move.after)
}
