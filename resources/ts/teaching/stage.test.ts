import { describe, expect, it } from 'vitest'
import { computed, ref, shallowRef } from 'vue'
import type { LessonData } from '../api/client'
import { type EventKind, type LogEvent, logOf } from './log/log'
import { outcomesOf } from './log/outcomes'
import { standingOf } from './log/standing'
import { columnsOf, tablesOf } from './seating'
import { useSeats } from './useSeats'
import { useShowing } from './useShowing'
import { useStageDeeds } from './useStageDeeds'
import { exceptionsOf, silentOf } from './wrapUp'

const MODEL = { slug: 'cup', first: 1, steps: 5 }
const lesson = {
  models: [MODEL],
  group: { learners: [{ id: 1, name: 'Ada' }, { id: 2, name: 'Bram' }, { id: 3, name: 'Cleo' }] },
  plan: { lines: [] }, rules: { enough: [0, 1, 2, 3], long_wait_seconds: 60 },
} as unknown as LessonData

/** A stage whose log is what was added to it. */
function stage(marks: 'exception' | 'close' = 'exception') {
  const events = shallowRef<LogEvent[]>([])
  const add = (kind: EventKind, more: Partial<LogEvent> = {}) => {
    const number = events.value.length + 1
    const event = { key: `k${number}`, kind, number, at_ms: 1000 * number, device: 'A', after: number - 1, ...more }
    events.value = [...events.value, event]
    return Promise.resolve()
  }
  const log = computed(() => logOf(events.value))
  const standing = computed(() => standingOf(log.value, [MODEL]))
  const deeds = useStageDeeds({ log, standing, add } as never, ref(5))
  deeds.wish.value = marks
  const showing = useShowing({ log, standing, add } as never, ref(5))
  const seats = useSeats({ standing, now: () => 600_000 } as never, () => lesson, () => false)
  return {
    ...deeds,
    ...showing,
    add,
    states: () => seats.seats.value.map((seat) => seat.state),
    staying: () => seats.staying.value.map((seat) => seat.name),
    kinds: () => events.value.map((event) => event.kind),
    last: () => events.value.at(-1),
    exceptions: () =>
      exceptionsOf(log.value, standing.value, outcomesOf(log.value, [MODEL], [1, 2, 3]), MODEL, [1, 2, 3])
        .map((one) => [one.learner, one.known.kind, one.known.step, one.outcome?.[0]]),
    silent: () => silentOf(outcomesOf(log.value, [MODEL], [1, 2, 3]), MODEL.slug, [1, 3]),
  }
}

describe('taps by exception', () => {
  it('say who is missing before the lesson begins, and take it back', () => {
    const s = stage()
    s.tap(3)
    expect(s.states()).toEqual(['along', 'along', 'away'])
    s.tap(3)
    expect([s.states()[2], s.kinds()]).toEqual(['along', ['away', 'came']])
  })

  it('go round: not yet, needs help, along again', () => {
    const s = stage()
    s.go(1)
    s.go(2)
    const seen = [1, 2, 3].map(() => {
      s.tap(2)
      return s.states()[1]
    })
    expect(seen).toEqual(['not-yet', 'help', 'along'])
    expect(s.kinds()).toEqual(['started', 'moved', 'moved', 'not-yet', 'help', 'along'])
  })

  it('leave one line of those who stopped with the lesson, and the rest to look at', () => {
    const s = stage()
    s.go(1)
    s.tap(2)
    s.go(2)
    s.go(3)
    void s.add('ended')
    expect(s.exceptions()).toEqual([[2, 'behind', 1, 'stopped']])
    expect(s.silent()).toEqual([{ outcome: ['stopped', 3, false], learners: [1, 3] }])
  })

  it('leave who is behind behind, with the step, and say who stays when the room goes on', () => {
    const s = stage()
    s.go(2)
    s.tap(1)
    expect(s.staying()).toEqual(['Ada'])
    s.go(4)
    expect(s.states()).toEqual(['not-yet', 'along', 'along'])
    s.tap(1)
    expect(s.last()).toMatchObject({ kind: 'help', learner: 1, step: 2 })
  })

  it('of all, or of a table, leave out who is away', () => {
    const s = stage()
    s.tap(3)
    s.go(2)
    s.table([2, 3])
    expect(s.last()).toMatchObject({ kind: 'table-done', learners: [2], step: 2 })
    expect(s.states()).toEqual(['along', 'looked', 'away'])
    s.all()
    expect(s.states()).toEqual(['looked', 'looked', 'away'])
    s.undo()
    expect(s.states()).toEqual(['along', 'looked', 'away'])
  })

  it('say nothing before the first step but who is there', () => {
    const s = stage()
    s.all()
    s.table([1, 2])
    s.say(1, 'done')
    expect(s.kinds()).toEqual([])
  })

  it('stand still in a pause, until the next step', () => {
    const s = stage()
    s.go(1)
    s.pause()
    expect(s.paused.value).toBe(true)
    s.go(2)
    expect([s.paused.value, s.kinds()]).toEqual([false, ['started', 'moved', 'paused', 'resumed', 'moved']])
  })
})

describe('taps in a close lesson', () => {
  it('say done, once', () => {
    const s = stage('close')
    s.go(2)
    s.tap(1)
    s.tap(1)
    expect(s.kinds()).toEqual(['started', 'moved', 'done'])
    expect(s.states()).toEqual(['looked', 'along', 'along'])
  })
})

describe('the wrap-up', () => {
  it('shows who is to be looked at, largest doubt first, and nobody else', () => {
    const s = stage()
    s.tap(3)
    s.go(1)
    s.go(2)
    s.say(1, 'help')
    s.say(1, 'done')
    s.go(3)
    s.tap(2)
    s.go(6)
    void s.add('ended')
    expect(s.exceptions()).toEqual([
      [2, 'behind', 3, 'stopped'], [1, 'helped', 2, 'help'], [3, 'away', null, 'away'],
    ])
  })
  it('has nothing to show where nobody was tapped', () => {
    const s = stage()
    s.go(1)
    s.go(6)
    void s.add('ended')
    expect(s.exceptions()).toEqual([])
  })
})

describe('seats by table', () => {
  it('are filled in their order, and none is lost', () => {
    const tables = tablesOf([1, 2, 3, 4, 5, 6, 7], 3)
    expect(tables.map((one) => one.seats)).toEqual([[1, 2, 3], [4, 5, 6], [7]])
    expect(tables.map((one) => one.number)).toEqual([1, 2, 3])
    expect(tablesOf([], 4)).toEqual([])
  })
  it('stand in rows that a name fits into', () => {
    expect([1, 2, 3, 4, 5, 6, 8, 9, 12].map(columnsOf)).toEqual([2, 2, 3, 4, 3, 3, 3, 3, 3])
  })
})

describe('that a step is shown', () => {
  it('may be said once at each step, from its beginning on', () => {
    const s = stage()
    expect(s.mayShow.value).toBe(false)
    s.go(1)
    expect(s.mayShow.value).toBe(true)
    s.sayShown()
    expect([s.mayShow.value, s.last()]).toMatchObject([false, { kind: 'shown', step: 1 }])
    s.tap(2)
    expect(s.mayShow.value).toBe(false)
    s.go(2)
    expect(s.mayShow.value).toBe(true)
  })

  it('is no matter before the first step, in a pause, after the last step and after the end', () => {
    const s = stage()
    s.go(0)
    expect(s.mayShow.value).toBe(false)
    s.go(1)
    s.pause()
    expect(s.mayShow.value).toBe(false)
    s.pause()
    expect(s.mayShow.value).toBe(true)
    s.go(6)
    expect(s.mayShow.value).toBe(false)
    s.go(5)
    void s.add('ended')
    expect(s.mayShow.value).toBe(false)
  })

  it('takes nothing from what is known of anybody', () => {
    const s = stage()
    s.go(1)
    s.tap(2)
    const before = s.states()
    s.sayShown()
    expect([s.states(), s.staying()]).toEqual([before, ['Bram']])
  })
})
