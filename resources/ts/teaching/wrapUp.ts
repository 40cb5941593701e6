import { counting, type Log, type TaughtModel } from './log/log'
import type { Outcome, Outcomes } from './log/outcomes'
import { seatOf, type Standing } from './log/standing'

/** What the log says of a learner of whom not all was silence, in a model, and at which step. */
export interface Known {
  kind: 'away' | 'left' | 'helped' | 'behind' | 'late' | 'along' | 'said' | 'unknown'
  step: number | null
}

export interface Exception {
  learner: number
  outcome: Outcome | undefined
  known: Known
}

/** Those of whom there is nothing to look at, all of one end. */
export interface Silent {
  outcome: Outcome
  learners: number[]
}

/** Of whom nothing is to be looked at, by how they ended; most of one end first. */
export function silentOf({ records }: Outcomes, slug: string, learners: readonly number[]): Silent[] {
  const groups = new Map<string, Silent>()
  for (const learner of learners) {
    const outcome = records[learner]?.[slug]
    if (!outcome) continue
    const key = `${outcome[0]} ${outcome[1] ?? ''}`
    const group = groups.get(key) ?? { outcome, learners: [] }
    group.learners.push(learner)
    groups.set(key, group)
  }
  return [...groups.values()].sort((a, b) => b.learners.length - a.learners.length)
}

/** Largest doubt first; away, of whom there is nothing to decide, last. */
const DOUBT: Record<Known['kind'], number> = {
  unknown: 0, behind: 1, late: 2, along: 3, helped: 4, left: 5, said: 6, away: 7,
}

/**
 * Of whom something else than silence is known in a model of a lesson that is marked by exception, largest doubt first;
 * everybody else has come as far as the lesson: has finished, presumed or looked at, or stopped where it was ended.
 * Steps are those of the lesson.
 */
export function exceptionsOf(
  log: Log,
  standing: Standing,
  { records }: Outcomes,
  model: TaughtModel,
  learners: readonly number[],
): Exception[] {
  const found = learners.flatMap((learner): Exception[] => {
    const outcome = records[learner]?.[model.slug]
    const known = knownOf(log, standing, model, learner)
    if (known) return [{ learner, outcome, known }]
    return outcome ? [] : [{ learner, outcome, known: { kind: 'unknown', step: null } }]
  })
  return found.sort((a, b) => DOUBT[a.known.kind] - DOUBT[b.known.kind])
}

function knownOf(log: Log, standing: Standing, model: TaughtModel, learner: number): Known | null {
  const own = counting(log).filter((event) => event.learner === learner)
  const within = (step: number) => step >= model.first && step < model.first + model.steps
  const seat = seatOf(standing, learner)
  const marked = own.filter((event) => event.step != null && within(event.step))
  const slow = marked.filter((event) => event.kind === 'not-yet' || event.kind === 'help').at(-1)
  const helped = marked.filter((event) => event.kind === 'help' || event.kind === 'helped').at(-1)
  if (!seat.was_in.includes(model.slug)) return { kind: 'away', step: null }
  if (own.some((event) => event.kind === 'corrected' && event.correction?.model === model.slug))
    return { kind: 'said', step: null }
  if (seat.behind !== null && within(seat.behind)) return { kind: slow ? 'behind' : 'late', step: seat.behind }
  if (own.at(-1)?.kind === 'left') return { kind: 'left', step: Math.min(seat.done + 1, model.first + model.steps - 1) }
  if (helped) return { kind: 'helped', step: helped.step ?? 0 }
  return slow ? { kind: 'along', step: slow.step ?? 0 } : null
}
