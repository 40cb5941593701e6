import { Problem } from '../../api/client'
import type { EventInput, Store, StoredDeed } from './store'

/** Deeds sent in one request; the server takes a hundred. */
const BATCH = 50

export interface Outside<A> {
  store: Store
  /** sends deeds of one lesson in their order; throws a Problem when they are not acknowledged */
  send: (lesson: number, events: EventInput[]) => Promise<A>
  /** told what the server answered */
  acknowledged: (lesson: number, answer: A) => void
}
export type Sent = 'all' | 'later' | 'signed-out'

/**
 * The deed of a batch that the server refused in our own words, and why; null for anything else, which is tried again.
 * Whatever stands between (a proxy's 403, 404 or 408, a 500, a lost line) is no refusal.
 */
export function refusedAt(problem: unknown, size: number): { index: number | 'lesson'; why: string } | null {
  if (!(problem instanceof Problem) || ![409, 410, 422].includes(problem.status)) return null
  for (const [at, why] of Object.entries(problem.fields)) {
    const index = /^events\/(\d+)(\/|$)/.exec(at)?.[1]
    if (index !== undefined && Number(index) < size) return { index: Number(index), why }
    if (at === 'lesson') return { index: 'lesson', why }
  }
  return null
}

/**
 * Sends what waits, in order, lesson by lesson. A deed that fails for a passing reason holds back only deeds of its own
 * lesson that take it back; one that is refused is set aside and shown; nothing is dropped.
 */
export async function sendAll<A>(owner: string, { store, send, acknowledged }: Outside<A>): Promise<Sent> {
  const waiting = (await store.of(owner)).filter((deed) => deed.aside === undefined)
  let result: Sent = 'all'
  for (const lesson of new Set(waiting.map((deed) => deed.lesson))) {
    let own = waiting.filter((deed) => deed.lesson === lesson)
    const stuck = new Set<string>()
    let size = BATCH
    while (own.length > 0) {
      const batch = own.slice(0, size)
      try {
        const answer = await send(
          lesson,
          batch.map((deed) => deed.event),
        )
        await store.remove(batch.map((deed) => deed.id))
        acknowledged(lesson, answer)
        own = own.slice(batch.length)
      } catch (problem) {
        if (problem instanceof Problem && (problem.status === 401 || problem.status === 419)) return 'signed-out'
        const refused = refusedAt(problem, batch.length)
        if (refused) {
          const gone = refused.index === 'lesson' ? own : [batch[refused.index] as StoredDeed]
          for (const deed of gone) await store.setAside(deed.id, refused.why)
          own = own.filter((deed) => !gone.includes(deed))
        } else if (isWorthTryingOthers(problem) && batch.length > 1) {
          size = 1 // find the one that fails
        } else if (isWorthTryingOthers(problem)) {
          stuck.add((batch[0] as StoredDeed).event.key)
          own = own.slice(1).filter((deed) => !stuck.has(deed.event.cancels ?? ''))
          result = 'later'
        } else {
          return 'later'
        }
      }
    }
  }
  return result
}

/** The server answered for these deeds, so others may fare better; without an answer nothing else would get through. */
const isWorthTryingOthers = (problem: unknown) =>
  problem instanceof Problem && problem.status >= 500 && problem.status !== 503
