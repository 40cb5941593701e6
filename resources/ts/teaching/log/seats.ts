import type { Log, LogEvent, TaughtModel } from './log'
import { isMark, modelAt } from './log'

/** How far one learner is: the mirror of core/Lesson/SeatStanding.php. Steps are those of the lesson. */
export interface SeatStanding {
  /** furthest step that counts as done, 0 for none */
  done: number
  /** furthest step that somebody saw done; a step that is only presumed is not looked at */
  looked: number
  /** the step not yet done; null for who is along */
  behind: number | null
  /** since when the learner waits for help, the server's clock; null when not waiting */
  help_ms: number | null
  help_step: number | null
  away: boolean
  /** something was said of this learner while here */
  seen: boolean
  /** a step of the lesson was said of this learner */
  marked: boolean
  helped_in: readonly string[]
  was_in: readonly string[]
}

export const blankSeat: SeatStanding = {
  done: 0, looked: 0, behind: null, help_ms: null, help_step: null, away: false, seen: false, marked: false,
  helped_in: [], was_in: [],
}

const here = (seat: SeatStanding) => ({ ...seat, away: false, seen: true })
const with1 = (list: readonly string[], model: string) => (list.includes(model) ? list : [...list, model])
const wasIn = (seat: SeatStanding, model?: string) =>
  model === undefined ? seat : { ...seat, was_in: with1(seat.was_in, model) }
const helpedIn = (seat: SeatStanding, model?: string) =>
  model === undefined ? seat : { ...seat, marked: true, helped_in: with1(seat.helped_in, model) }
const present = (seat: SeatStanding, model?: string) =>
  model === undefined ? here(seat) : { ...wasIn(here(seat), model), marked: true }

const done = (seat: SeatStanding, step: number, model?: string): SeatStanding => ({
  ...present(seat, model),
  done: Math.max(seat.done, step),
  looked: Math.max(seat.looked, step),
  behind: seat.behind !== null && seat.behind <= step ? null : seat.behind,
  help_ms: null,
  help_step: null,
})
const notYet = (seat: SeatStanding, step: number, model?: string): SeatStanding => ({
  ...present(seat, model),
  done: Math.min(seat.done, step - 1),
  looked: Math.min(seat.looked, step - 1),
  behind: step,
})
const presumed = (seat: SeatStanding, step: number) =>
  seat.away || seat.behind !== null ? seat : { ...seat, done: Math.max(seat.done, step) }
const late = (seat: SeatStanding) => ({ ...seat, behind: seat.behind ?? seat.done + 1 })
const unhelped = { help_ms: null, help_step: null }

/**
 * All seats of a room as events are told, one after the other in the server's order: the mirror of
 * core/Lesson/Seats.php. Of whom nothing was said yet is one seat, `others`.
 */
export class Seats {
  readonly known = new Map<number, SeatStanding>()
  others = blankSeat
  step = 0
  furthest = 0
  began_ms: number | null = null
  readonly markedModels = new Set<string>()
  private readonly moves = new Map<string, number>()

  constructor(
    private readonly log: Log,
    private readonly models: readonly TaughtModel[],
    events: readonly LogEvent[],
  ) {
    for (const event of events) this.tell(event)
  }

  of = (learner: number) => this.known.get(learner) ?? this.others

  private tell(event: LogEvent) {
    if (isMark(event)) {
      this.mark(event)
    } else if (event.kind === 'moved' && this.counts(event)) {
      this.began_ms ??= event.at_ms
      this.moves.set(event.device, event.number)
      this.moved(event.step ?? 0)
    } else if (event.kind === 'started') {
      this.began_ms ??= event.at_ms
    } else if (event.kind === 'ended') {
      const model = modelAt(this.models, this.step)
      if (this.log.marks === 'exception' && model && model.first + model.steps - 1 === this.step)
        this.forAllHere((seat) => presumed(seat, this.step))
    }
  }

  /** A device that did not know of another's move does not pull the room back. */
  private counts(move: LogEvent) {
    const stale = [...this.moves].some(([device, number]) => device !== move.device && number > move.after)
    return !stale && (this.log.ended === null || move.number <= this.log.ended)
  }

  private moved(step: number) {
    this.step = step
    this.furthest = Math.max(this.furthest, step)
    if (!this.log.marks) return
    const reached = this.log.marks === 'exception' ? step - 1 : 0
    const model = modelAt(this.models, step)?.slug
    this.forAllHere((seat) => wasIn(presumed(seat, reached), model))
  }

  private mark(event: LogEvent) {
    const model = event.step == null ? undefined : modelAt(this.models, event.step)?.slug
    if (model !== undefined) this.markedModels.add(model)
    const step = event.step ?? 0
    if (event.kind === 'all-done') {
      if (this.log.marks) this.forAllHere((seat) => done(seat, step, model))
    } else if (event.kind === 'table-done') {
      for (const learner of this.log.marks ? (event.learners ?? []) : [])
        if (!this.of(learner).away) this.known.set(learner, done(this.of(learner), step, model))
    } else if (event.learner != null) {
      const seat = this.of(event.learner)
      this.known.set(event.learner, this.log.marks ? this.told(seat, event, model) : this.earlier(seat, event))
    }
  }

  private lastOf(step: number) {
    const model = modelAt(this.models, step)
    return model ? model.first + model.steps - 1 : step
  }

  private told(seat: SeatStanding, event: LogEvent, model?: string): SeatStanding {
    const step = event.step ?? 0
    const loose = this.log.marks === 'exception'
    switch (event.kind) {
      case 'done':
        return done(seat, step, model)
      case 'finished-early':
        return done(seat, this.lastOf(step), model)
      case 'not-yet':
        return notYet(seat, step, model)
      case 'help':
        return { ...helpedIn(notYet(seat, step, model), model), help_ms: seat.help_ms ?? event.at_ms, help_step: step }
      case 'helped':
        return { ...helpedIn(here(seat), model), ...unhelped }
      case 'along':
        return { ...here(seat), ...unhelped, done: Math.max(seat.done, loose ? this.step - 1 : 0), behind: null }
      case 'came':
        return loose && this.step >= 2 ? late(here(seat)) : here(seat)
      case 'left':
        return { ...seat, ...unhelped, away: true, seen: true }
      case 'away':
        return { ...seat, ...unhelped, away: true }
      default:
        return seat
    }
  }

  /** Lessons begun before it was asked how they are marked: a done ends help wherever it was asked for. */
  private earlier(seat: SeatStanding, event: LogEvent): SeatStanding {
    const step = event.step ?? 0
    const reached = event.kind === 'done' ? step : event.kind === 'finished-early' ? this.lastOf(step) : 0
    const furthest = Math.max(seat.done, reached)
    const fresh = { ...blankSeat, done: furthest, looked: furthest, seen: true }
    switch (event.kind) {
      case 'done':
      case 'finished-early':
      case 'helped':
      case 'came':
        return fresh
      case 'help':
        return { ...fresh, help_ms: seat.help_ms ?? event.at_ms, help_step: step }
      case 'left':
        return { ...fresh, away: true }
      case 'away':
        return { ...fresh, away: true, seen: seat.seen }
      default:
        return seat
    }
  }

  private forAllHere(to: (seat: SeatStanding) => SeatStanding) {
    for (const [learner, seat] of this.known) if (!seat.away) this.known.set(learner, to(seat))
    this.others = to(this.others)
  }
}
