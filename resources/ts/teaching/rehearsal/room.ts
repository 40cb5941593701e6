import type { components } from '../../api/schema'

export type Cast = components['schemas']['CastData']

/** What a simulated learner does or asks, as it would stand in a lesson's log. */
export interface Happening {
  /** seconds from the beginning of the rehearsal */
  t: number
  kind: 'done' | 'help' | 'helped'
  learner: number
  /** place in the steps of the cast */
  place: number
}

interface Learner {
  /** place of the step to do next */
  next: number
  /** since when the own step before is done */
  since: number
  phase: 'waits' | 'folds' | 'asks' | 'is helped'
  /** end of folding or of help; since when help is asked for */
  at: number
  stops: boolean
}

/**
 * Learners who fold as the cast says, while somebody else decides when the next step is shown and whom to help: the
 * rules of core/Pacing/Rehearsal, with a lead who is not simulated. Time only moves on.
 */
export class Room {
  private readonly learners = new Map<number, Learner>()
  /** end of the demonstration, by place */
  private readonly shown = new Map<number, number>()
  private readonly helpers: number[]
  private now = 0

  constructor(private readonly cast: Cast) {
    for (const id of cast.learners) this.learners.set(id, { next: 0, since: 0, phase: 'waits', at: 0, stops: false })
    this.helpers = Array.from({ length: cast.helpers }, () => 0)
  }

  /** The lead begins to show a step; of one that was shown before it is another look. */
  show(place: number, t: number): Happening[] {
    const before = this.until(t)
    const step = this.cast.steps[place]
    if (step) this.shown.set(place, Math.max(this.shown.get(place) ?? 0, t + step.show))
    return before
  }

  /** The lead goes to a learner who asks; false where nobody asks. */
  help(id: number, t: number): Happening[] {
    const before = this.until(t)
    const learner = this.learners.get(id)
    if (learner?.phase === 'asks') this.serve(learner, t)
    return before
  }

  /** Who asks for help, the one who has waited longest first, with the place of the step. */
  asking(): { learner: number; place: number; since: number }[] {
    return [...this.learners]
      .filter(([, one]) => one.phase === 'asks')
      .map(([learner, one]) => ({ learner, place: one.next, since: one.at }))
      .sort((a, b) => a.since - b.since)
  }

  isHelped(id: number): boolean {
    return this.learners.get(id)?.phase === 'is helped'
  }

  /** All that happens until then, in order of time. */
  until(t: number): Happening[] {
    const happenings: Happening[] = []
    for (;;) {
      const next = this.earliest(t)
      if (!next) break
      this.now = Math.max(this.now, next.t)
      next.act(happenings)
    }
    this.now = Math.max(this.now, t)
    return happenings
  }

  private earliest(until: number): { t: number; act: (to: Happening[]) => void } | undefined {
    let best: { t: number; act: (to: Happening[]) => void } | undefined
    const offer = (t: number, act: (to: Happening[]) => void) => {
      if (t <= until && (!best || t < best.t)) best = { t, act }
    }
    for (const [id, one] of this.learners) {
      if (one.phase === 'waits') {
        const shown = this.shown.get(one.next)
        if (shown !== undefined) offer(Math.max(shown, one.since), () => this.fold(id, one, shown))
      } else if (one.phase === 'folds') {
        offer(one.at, (to) => this.folded(id, one, to))
      } else if (one.phase === 'is helped') {
        offer(one.at, (to) => {
          to.push({ t: one.at, kind: 'helped', learner: id, place: one.next })
          this.did(id, one, to)
        })
      }
    }
    const first = this.asking()[0]
    const free = Math.min(...this.helpers)
    if (first && this.helpers.length > 0) {
      offer(Math.max(free, first.since, this.now), () => {
        const asking = this.learners.get(first.learner)
        const begin = Math.max(free, first.since, this.now)
        if (asking) this.helpers[this.helpers.indexOf(free)] = this.serve(asking, begin)
      })
    }
    return best
  }

  private fold(id: number, one: Learner, shown: number) {
    const begin = Math.max(shown, one.since)
    const stops = one.since > shown ? this.cast.missed : this.cast.stuck
    one.stops = stops[String(id)]?.includes(one.next) ?? false
    one.at = begin + (this.cast.seconds[String(id)]?.[one.next] ?? 0)
    one.phase = 'folds'
  }

  private folded(id: number, one: Learner, to: Happening[]) {
    if (one.stops) {
      one.phase = 'asks'
      to.push({ t: one.at, kind: 'help', learner: id, place: one.next })
    } else {
      this.did(id, one, to)
    }
  }

  /** When the help ends. */
  private serve(one: Learner, begin: number): number {
    one.phase = 'is helped'
    one.at = begin + (this.cast.steps[one.next]?.help ?? 0)
    return one.at
  }

  private did(id: number, one: Learner, to: Happening[]) {
    to.push({ t: one.at, kind: 'done', learner: id, place: one.next })
    one.since = one.at
    one.next++
    one.phase = 'waits'
  }
}

export interface Review {
  /** seconds until the last was done; null: not all were */
  finish: number | null
  done: number
  /** minutes a learner waited for the next step, and for help, on average */
  idle: number
  queue: number
  /** the longest wait for help, minutes */
  longest: { learner: number; place: number; minutes: number } | null
  /** how often somebody was helped before one who had asked earlier */
  outOfTurn: number
}

/**
 * How it went, from what happened: moves of the lead by place, and what learners did; figures as core's Course.
 *
 * @param moved seconds at which each place was first shown
 */
export function reviewOf(cast: Cast, moved: ReadonlyMap<number, number>, happenings: readonly Happening[]): Review {
  let [idle, queue, outOfTurn] = [0, 0, 0]
  let longest: Review['longest'] = null
  const asked = new Map<number, number>()
  const done = new Map<number, number>()
  let finish = 0
  for (const { t, kind, learner, place } of happenings) {
    const step = cast.steps[place]
    if (kind === 'help') asked.set(learner, t)
    if (kind === 'helped') {
      const since = asked.get(learner) ?? t
      const begin = t - (step?.help ?? 0)
      asked.delete(learner)
      queue += Math.max(0, begin - since)
      const minutes = Math.max(0, begin - since) / 60
      if (!longest || minutes > longest.minutes) longest = { learner, place, minutes }
      if ([...asked.values()].some((other) => other < since)) outOfTurn++
    }
    if (kind === 'done') {
      done.set(learner, place)
      finish = Math.max(finish, t)
      const next = moved.get(place + 1)
      if (next !== undefined) idle += Math.max(0, next - t)
    }
  }
  const all = [...done.values()].filter((place) => place === cast.steps.length - 1).length
  const n = Math.max(1, cast.learners.length)
  return {
    finish: all === cast.learners.length ? finish : null,
    done: all,
    idle: idle / 60 / n,
    queue: queue / 60 / n,
    longest,
    outOfTurn,
  }
}
