import { describe, expect, it } from 'vitest'
import { type Cast, type Happening, reviewOf, Room } from './room'

/** Two learners, one helper, two steps of 10 s shown and 30 s folded; both are stuck at the first (20 s of help). */
const cast: Cast = {
  learners: [7, 8],
  helpers: 1,
  steps: [
    { step: 1, show: 10, help: 20, checkpoint: false },
    { step: 2, show: 10, help: 20, checkpoint: false },
  ],
  seconds: { 7: [30, 30], 8: [30, 30] },
  stuck: { 7: [0], 8: [0] },
  missed: { 7: [0], 8: [0] },
  best: { finish: 110, idle: 0, queue: 1 / 6, gate: 0.5 },
}
const told = (all: Happening[]) => all.map((h) => `${h.t} ${h.kind} ${h.place} by ${h.learner}`)

describe('a rehearsed room', () => {
  it('tells the hour that the core tells (tests/Core/Pacing/TraceTest)', () => {
    const room = new Room(cast)
    const happenings = [...room.show(0, 0), ...room.until(79.9)]
    expect(told(happenings)).toEqual(['40 help 0 by 7', '40 help 0 by 8', '60 helped 0 by 7', '60 done 0 by 7'])
    expect(room.asking()).toEqual([])
    expect(room.isHelped(8)).toBe(true)
    happenings.push(...room.until(80), ...room.show(1, 80), ...room.until(500))
    expect(told(happenings).slice(4)).toEqual([
      '80 helped 0 by 8', '80 done 0 by 8', '120 done 1 by 7', '120 done 1 by 8',
    ])
    const review = reviewOf(cast, new Map([[0, 0], [1, 80]]), happenings)
    expect(review.finish).toBe(120)
    expect(review.idle).toBeCloseTo(20 / 60 / 2)
    expect(review.queue).toBeCloseTo(20 / 60 / 2)
    expect(review.longest).toEqual({ learner: 8, place: 0, minutes: 20 / 60 })
    expect(review.outOfTurn).toBe(0)
  })

  it('waits for the lead: nothing happens before it is shown, and a learner who asks waits where nobody helps', () => {
    const room = new Room({ ...cast, helpers: 0 })
    expect(room.until(1000)).toEqual([])
    expect(room.show(0, 1000)).toEqual([])
    expect(told(room.until(3000))).toEqual(['1040 help 0 by 7', '1040 help 0 by 8'])
    expect(room.asking().map((one) => one.learner)).toEqual([7, 8])
    // the lead goes to the second first
    room.help(8, 3000)
    expect(told(room.until(3020))).toEqual(['3020 helped 0 by 8', '3020 done 0 by 8'])
    room.help(7, 3030)
    const rest = room.until(4000)
    expect(told(rest)).toEqual(['3050 helped 0 by 7', '3050 done 0 by 7'])
    const all: Happening[] = [
      { t: 1040, kind: 'help', learner: 7, place: 0 },
      { t: 1040.5, kind: 'help', learner: 8, place: 0 },
      { t: 3020, kind: 'helped', learner: 8, place: 0 },
      ...rest,
    ]
    expect(reviewOf(cast, new Map([[0, 1000]]), all)).toMatchObject({ finish: null, done: 0, outOfTurn: 1 })
  })

  it('lets who is late go on at once, as one who missed it', () => {
    const room = new Room({ ...cast, stuck: { 7: [0], 8: [] }, missed: { 7: [0, 1], 8: [0, 1] } })
    room.show(0, 0)
    expect(told(room.until(45))).toEqual(['40 help 0 by 7', '40 done 0 by 8'])
    // shown at once: the one who is helped until 60 comes late and gets stuck, the other saw it
    room.show(1, 45)
    expect(told(room.until(200))).toEqual([
      '60 helped 0 by 7', '60 done 0 by 7', '85 done 1 by 8', '90 help 1 by 7', '110 helped 1 by 7', '110 done 1 by 7',
    ])
  })

  it('is the same in one look or in many', () => {
    const once = new Room(cast)
    const often = new Room(cast)
    once.show(0, 0)
    often.show(0, 0)
    const many: Happening[] = []
    for (let t = 0; t <= 300; t += 0.7) many.push(...often.until(t))
    expect(told(many)).toEqual(told(once.until(300)))
  })
})
