import type { components } from '../../api/schema'

type Schemas = components['schemas']
export type EventKind = Schemas['EventKind']
/** One line of a lesson's log; what the server leaves out may be missing. */
export type LogEvent = Pick<Schemas['EventData'], 'key' | 'kind' | 'number' | 'at_ms' | 'device' | 'after'> &
  Partial<Pick<
    Schemas['EventData'],
    'learner' | 'learners' | 'step' | 'cancels' | 'correction' | 'text' | 'way' | 'marks' | 'by'
  >>
export type WayChange = Schemas['WayChange']
export interface TaughtModel {
  slug: string
  first: number
  steps: number
}

const marks: ReadonlySet<EventKind> = new Set([
  'done', 'help', 'helped', 'away', 'came', 'left', 'finished-early', 'all-done', 'table-done', 'not-yet', 'along',
])
export const isMark = (event: Pick<LogEvent, 'kind'>) => marks.has(event.kind)
/** What goes with a beginning that was none. */
const ofABeginning: ReadonlySet<EventKind> = new Set([
  'started', 'moved', 'paused', 'resumed', 'shown', 'ended', 'reopened',
])
/** A step that these speak of is done. */
const dones: ReadonlySet<EventKind> = new Set(['done', 'all-done', 'table-done'])
const mayBeTakenBack = (event: LogEvent) => isMark(event) || event.kind === 'corrected' || event.kind === 'noted'

/**
 * The events of a lesson in the server's order, each key once, with what was taken back and what came late decided: the
 * mirror of core/Lesson/Log.php. tests/cases/lesson-log.json holds both to the same answers.
 */
export interface Log {
  events: LogEvent[]
  /** number of the end that stands; null while the lesson is open */
  ended: number | null
  /** what the first start said; null in lessons begun before it was asked */
  marks: LogEvent['marks'] | null
  takenBack: ReadonlySet<string>
}

export function logOf(given: readonly LogEvent[]): Log {
  const byKey = new Map<string, LogEvent>()
  for (const event of [...given].sort((a, b) => a.number - b.number))
    if (!byKey.has(event.key)) byKey.set(event.key, event)
  const none = Math.max(0, ...[...byKey.values()].filter((event) => event.kind === 'unbegun').map((one) => one.number))
  for (const [key, event] of byKey) if (event.number < none && ofABeginning.has(event.kind)) byKey.delete(key)
  const changes = [...byKey.values()].filter((event) => event.way)
  for (const [key, event] of byKey) byKey.set(key, counted(event, changes))
  const events = [...byKey.values()]
  let ended: number | null = null
  for (const event of events) {
    if (event.kind === 'ended') ended ??= event.number
    if (event.kind === 'reopened') ended = null
  }
  const takenBack = new Set<string>()
  for (const event of events) {
    const named = event.kind === 'taken-back' ? byKey.get(event.cancels ?? '') : undefined
    if (!named || !mayBeTakenBack(named)) continue
    if (ended === null || event.number < ended || named.number > ended || !isMark(named)) takenBack.add(named.key)
  }
  const marks = events.find((event) => event.marks)?.marks ?? null
  return { events, ended, marks, takenBack }
}

/** An event with its step as the lesson counts them now, whatever way was shown when it was done. */
function counted(event: LogEvent, changes: readonly LogEvent[]): LogEvent {
  const unknown = changes.filter((change) => change !== event && !knows(event, change))
  return unknown.reduce((now, { way }) => (way ? renumbered(now, way) : now), event)
}

const knows = (event: LogEvent, change: LogEvent) =>
  event.after >= change.number || (event.number > change.number && event.device === change.device)

function renumbered(event: LogEvent, way: WayChange): LogEvent {
  const { correction } = event
  const before = way.begins - 1
  return {
    ...event,
    ...(event.step == null ? {} : { step: stepAfter(way, event.step, dones.has(event.kind)) }),
    ...(correction?.step != null && correction.model === way.model
      ? { correction: { ...correction, step: stepAfter(way, correction.step + before, false) - before } }
      : {}),
  }
}

/** A step by the count after a change of way: the mirror of core/Lesson/WayChange.php, done() and at(). */
export function stepAfter(way: WayChange, step: number, done: boolean): number {
  let shift = 0
  for (const { first, was, now } of way.spans) {
    if (step < first) break
    if (step < first + was) {
      const place = first + shift
      const folded = step === first + was - 1 ? place + now - 1 : place - 1
      if (done) return folded < way.begins ? 0 : folded
      return now === 0 ? Math.max(way.begins, place - 1) : place
    }
    shift += now - was
  }
  return step + shift
}

export const isLate = (log: Log, event: LogEvent) => log.ended !== null && event.number > log.ended && isMark(event)
/** What was not taken back, late marks included. */
export const standingEvents = (log: Log) => log.events.filter((event) => !log.takenBack.has(event.key))
/** What counts: not taken back, not late. */
export const counting = (log: Log) => standingEvents(log).filter((event) => !isLate(log, event))
export const late = (log: Log) => standingEvents(log).filter((event) => isLate(log, event))
export const modelAt = (models: readonly TaughtModel[], step: number) =>
  models.find((m) => step >= m.first && step < m.first + m.steps)
