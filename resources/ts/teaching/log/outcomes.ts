import { counting, isMark, late, type Log, type LogEvent, modelAt, standingEvents, type TaughtModel } from './log'

export type Finish = 'alone' | 'help' | 'stopped' | 'away'
/** How one learner ended with one model, and at which of its own steps when stopped. */
export type Outcome = readonly [Finish, number | null]
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
interface Tally {
  seen: boolean
  done: Record<string, number>
  helped: Record<string, boolean>
}

/** The one answer to "has this learner finished the model?", as core/Lesson/Finish.php gives it. */
export const isFinished = (finish: string) => finish === 'alone' || finish === 'help'
const same = (a: Outcome, b: Outcome) => a[0] === b[0] && a[1] === b[1]

/** How every learner ended with every model: the mirror of core/Lesson/Outcomes.php. */
export function outcomesOf(log: Log, models: readonly TaughtModel[], learners: readonly number[]): Outcomes {
  const corrections = new Map<string, LogEvent>()
  for (const event of standingEvents(log)) {
    if (event.kind === 'corrected' && event.correction)
      corrections.set(`${event.learner} ${event.correction.model}`, event)
  }
  const counted = tallies(counting(log), models)
  const withLate = tallies(standingEvents(log), models)
  const lateAt = new Map(late(log).map((event) => [event.learner, event.number]))
  const records: Outcomes['records'] = {}
  const offers: Offer[] = []
  for (const learner of learners) {
    for (const model of models) {
      const correction = corrections.get(`${learner} ${model.slug}`)
      const marked = outcome(counted.get(learner), model)
      const record = correction?.correction
        ? ([correction.correction.finish as Finish, correction.correction.step] as const)
        : log.ended === null
          ? null
          : log.marks && !counted.has(learner)
            ? null // silence is not absence
            : marked
      if (record) (records[learner] ??= {})[model.slug] = record
      if (log.ended === null) continue
      const lateOne = outcome(withLate.get(learner), model)
      const last = lateAt.get(learner)
      const settled = correction !== undefined && correction.number > (last ?? 0)
      if (last !== undefined && !settled && !same(lateOne, marked) && !(record && same(lateOne, record))) {
        offers.push({ learner, model: model.slug, from: record, to: lateOne })
      }
    }
  }
  return { records, offers }
}

function tallies(events: readonly LogEvent[], models: readonly TaughtModel[]): Map<number, Tally> {
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
  return found
}

function outcome(tally: Tally | undefined, model: TaughtModel): Outcome {
  const done = tally?.done[model.slug] ?? 0
  if (!tally?.seen) return ['away', null]
  if (done >= model.steps) return [tally.helped[model.slug] ? 'help' : 'alone', null]
  return ['stopped', done + 1]
}
