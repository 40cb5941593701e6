import { describe, expect, it } from 'vitest'
import { adviceOf } from './advice'
import { driftOf } from './drift'
import { type LogEvent, logOf, type TaughtModel } from './log'
import { outcomesOf } from './outcomes'
import { blankSeat } from './seats'
import { type Standing, standingOf } from './standing'

interface Case {
  name: string
  programme: { slug: string; steps: number }[]
  learners: number[]
  events: LogEvent[]
  standing: Standing
  outcomes: unknown
}
/**
 * The tables of cases, and 2,000 random logs with the core's answers (npm run unit writes them: bin/lib/random-
 * logs.php).
 */
const files = import.meta.glob<unknown>(['/tests/cases/*.json', '/var/random-logs.json'], {
  eager: true,
  import: 'default',
})
const read = <T,>(file: string) => files[file] as T

function numbered(programme: Case['programme']): TaughtModel[] {
  let next = 1
  return programme.map(({ slug, steps }) => {
    const first = next
    next += steps
    return { slug, first, steps }
  })
}

function check({ programme, learners, events, standing, outcomes }: Case) {
  const models = numbered(programme)
  const log = logOf(events)
  expect(standingOf(log, models)).toEqual(standing)
  expect(outcomesOf(log, models, learners)).toEqual(outcomes)
}

describe('the log, as the core reads it', () => {
  for (const one of read<Case[]>('/tests/cases/lesson-log.json'))
    it(one.name, () => {
      check(one)
    })

  it('of 2,000 random logs', () => {
    const cases = read<Case[]>('/var/random-logs.json')
    expect(cases).toHaveLength(2000)
    for (const one of cases) check(one)
  }, 60_000) // of a busy machine: half a second on an idle one
})

/** A standing that the table gives in part: what it leaves out is as it is before anything was said. */
const whole = (of: Partial<Standing>) => ({
  marks: null,
  ...of,
  others: { ...blankSeat, ...of.others },
  seats: Object.fromEntries(
    Object.entries(of.seats ?? {}).map(([id, seat]) => [id, Object.assign({}, blankSeat, { looked: seat.done }, seat)]),
  ),
}) as Standing

describe('advice and drift, as the core gives them', () => {
  interface AdviceCase {
    name: string
    standing: Pick<Standing, 'step' | 'seats'> & Partial<Standing>
    steps: number
    learners: number[]
    checkpoint: boolean
    enough: number[]
    advice: unknown
  }
  for (const one of read<AdviceCase[]>('/tests/cases/advice.json')) {
    it(one.name, () => {
      const rules = { enough: one.enough, long_wait_seconds: 60 }
      expect(adviceOf(whole(one.standing), one.steps, one.learners, one.checkpoint, rules)).toEqual(one.advice)
    })
  }
  interface DriftCase {
    name: string
    standing: Standing
    lines: never[]
    slot: { start_ms: number; minutes: number }
    now_ms: number
    drift: unknown
  }
  for (const one of read<DriftCase[]>('/tests/cases/drift.json')) {
    it(one.name, () => {
      const { start_ms, minutes } = one.slot
      const slot = { start_ms, bell_ms: start_ms + 60_000 * minutes }
      expect(driftOf(one.standing, one.lines, one.now_ms, slot)).toEqual(one.drift)
    })
  }
})
