import { earlierMarks, markedSeats } from './endings'
import { counting, late, type Log, type LogEvent, standingEvents, type TaughtModel } from './log'

export type Finish = 'alone' | 'help' | 'stopped' | 'away'
/** How one learner ended with one model, at which of its own steps when stopped, and whether the finish was seen. */
export type Outcome = readonly [Finish, number | null, boolean]
export interface Offer {
  learner: number
  model: string
  /** null where nothing is recorded */
  from: Outcome | null
  to: Outcome
}
export interface Outcomes {
  records: Record<string, Record<string, Outcome>>
  offers: Offer[]
}

/** The one answer to "has this learner finished the model?", as core/Lesson/Finish.php gives it. */
export const isFinished = (finish: string) => finish === 'alone' || finish === 'help'
const same = (a: Outcome | null, b: Outcome) => a !== null && a[0] === b[0] && a[1] === b[1]

/** How every learner ended with every model: the mirror of core/Lesson/Outcomes.php. */
export function outcomesOf(log: Log, models: readonly TaughtModel[], learners: readonly number[]): Outcomes {
  const ending = (events: readonly LogEvent[]) =>
    log.marks ? markedSeats(log, models, events) : earlierMarks(models, events)
  const corrections = correctionsOf(log)
  const counted = ending(counting(log))
  const withLate = ending(standingEvents(log))
  const lateAt = new Map<number, number>()
  for (const event of late(log))
    for (const learner of event.learner == null ? (event.learners ?? []) : [event.learner])
      lateAt.set(learner, event.number)
  const records: Outcomes['records'] = {}
  const offers: Offer[] = []
  for (const learner of learners) {
    for (const model of models) {
      const correction = corrections.get(`${learner} ${model.slug}`)
      const marked = log.ended === null ? null : counted(learner, model)
      const record = correction?.outcome ?? marked
      if (record) (records[learner] ??= {})[model.slug] = record
      const last = lateAt.get(learner)
      const lateOne = last === undefined ? null : withLate(learner, model)
      if (!lateOne || log.ended === null || (correction && correction.number > (last ?? 0))) continue
      if (!same(marked, lateOne) && !same(record, lateOne))
        offers.push({ learner, model: model.slug, from: record, to: lateOne })
    }
  }
  return { records, offers }
}

/** The last correction of each learner and model, with its number. */
function correctionsOf(log: Log) {
  const last = new Map<string, { number: number; outcome: Outcome }>()
  for (const { kind, correction, learner, number } of standingEvents(log))
    if (kind === 'corrected' && correction && learner != null) {
      const finish = correction.finish as Finish
      const outcome = [finish, correction.step, isFinished(finish)] as const
      last.set(`${learner} ${correction.model}`, { number, outcome })
    }
  return last
}
