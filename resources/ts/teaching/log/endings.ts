import { isMark, type Log, type LogEvent, modelAt, type TaughtModel } from './log'
import type { Outcome } from './outcomes'
import { Seats } from './seats'

/** What the marks of a lesson say of how a learner ended with a model; null: nothing is recorded. */
export type Ending = (learner: number, model: TaughtModel) => Outcome | null

/** The mirror of core/Lesson/MarkedSeats.php. */
export function markedSeats(log: Log, models: readonly TaughtModel[], events: readonly LogEvent[]): Ending {
  const seats = new Seats(log, models, events)
  return (learner, { slug, first, steps }) => {
    const seat = seats.of(learner)
    const last = first + steps - 1
    const here = seat.was_in.includes(slug)
    if (seats.furthest < first && !seats.markedModels.has(slug)) return null
    if (here && log.marks === 'close' && !seat.marked) return null
    if (!here) return ['away', null, false]
    if (seat.done >= last) return [seat.helped_in.includes(slug) ? 'help' : 'alone', null, seat.looked >= last]
    return ['stopped', Math.max(1, seat.done - first + 2), false]
  }
}

interface Tally {
  seen: boolean
  done: Record<string, number>
  helped: Record<string, boolean>
}

/** The mirror of core/Lesson/EarlierMarks.php: lessons begun before it was asked how they are marked. */
export function earlierMarks(models: readonly TaughtModel[], events: readonly LogEvent[]): Ending {
  const found = new Map<number, Tally>()
  for (const event of events) {
    if (!isMark(event) || event.learner == null) continue
    const own = found.get(event.learner) ?? { seen: false, done: {}, helped: {} }
    found.set(event.learner, own)
    own.seen ||= event.kind !== 'away'
    const model = event.step == null ? undefined : modelAt(models, event.step)
    if (!model || event.step == null) continue
    const reached =
      event.kind === 'done' ? event.step - model.first + 1 : event.kind === 'finished-early' ? model.steps : 0
    own.done[model.slug] = Math.max(own.done[model.slug] ?? 0, reached)
    own.helped[model.slug] ||= event.kind === 'help' || event.kind === 'helped'
  }
  return (learner, model) => {
    const tally = found.get(learner)
    const done = tally?.done[model.slug] ?? 0
    if (!tally?.seen) return ['away', null, false]
    if (done >= model.steps) return [tally.helped[model.slug] ? 'help' : 'alone', null, true]
    return ['stopped', done + 1, false]
  }
}
