import type { GroupData, MarkData } from '../api/client'

export interface Seat { id: number; name: string; done: number; help: boolean }

/** Who is how far, from the taps: the furthest step done, and whether the last tap asked for help. */
export function seats(group: GroupData, marks: MarkData[]): Seat[] {
  return group.learners.map(({ id, name }) => {
    const own = marks.filter((m) => m.learner === id)
    const done = Math.max(0, ...own.filter((m) => m.kind === 'done').map((m) => m.step))
    return { id, name, done, help: own[own.length - 1]?.kind === 'help' }
  })
}
