import { describe, expect, it } from 'vitest'
import type { StepData } from '../api/client'
import { type Rescued, rescueOf, tasksOf } from './rescue'
import type { Seat, SeatState } from './useSeats'

const seat = (id: number, state: SeatState, done = 5): Seat =>
  ({ id, name: `L${id}`, done, behind: state === 'not-yet' ? done + 1 : null, help: null, state })
const step = (number: number, of: Partial<StepData> = {}) => ({
  number, name: `Fold ${number}`, layers: 2, front_above: 1, resting: false, checkpoint: false, ...of,
}) as StepData
/** Eight steps; the paper rests after the second, all are waited for after the fourth. Tables of three. */
const room = (of: Partial<Rescued> = {}): Rescued => ({
  seats: [seat(1, 'along'), seat(2, 'not-yet', 5), seat(3, 'help', 2), seat(4, 'along')],
  table: 3,
  steps: [1, 2, 3, 4, 5, 6, 7, 8].map((n) => step(n, { resting: n === 2, checkpoint: n === 4 })),
  at: 8,
  first: 1,
  spares: 0,
  passages: [],
  next: null,
  ...of,
})
const keys = (tips: { key: string }[]) => tips.map((tip) => tip.key)

describe('who is lost', () => {
  it('undoes to the last state that was sure, the last fold first', () => {
    const lost = seat(2, 'not-yet', 7)
    expect(rescueOf(lost, room())[0]).toEqual({ key: 'undo', with: { n: 4, names: 'Fold 7, Fold 6, Fold 5' } })
    expect(rescueOf(seat(2, 'not-yet', 3), room())[0]).toEqual({ key: 'undo', with: { n: 2, names: 'Fold 3' } })
  })
  it('has nothing to undo where the state at hand is sure', () => {
    expect(keys(rescueOf(seat(2, 'not-yet', 4), room()))).toEqual(['neighbour'])
  })
  it('begins anew before the first sure state of the model', () => {
    expect(rescueOf(seat(2, 'help', 0), room())[0]?.key).toBe('anew')
    const second = room({ first: 5, at: 6 })
    expect(keys(rescueOf(seat(2, 'help', 4), second))[0]).toBe('anew')
  })
  it('gets a spare folded so far when two steps behind, if there is one', () => {
    expect(keys(rescueOf(seat(2, 'not-yet', 4), room({ spares: 2 })))).toContain('spare')
    expect(keys(rescueOf(seat(2, 'not-yet', 6), room({ spares: 2 })))).not.toContain('spare')
  })
  it('is shown by the nearest at the table who has it, never by one of another table', () => {
    const tips = rescueOf(seat(2, 'not-yet'), room())
    expect(tips.find((tip) => tip.key === 'neighbour')?.with).toEqual({ name: 'L1' })
    const alone = room({ seats: [seat(1, 'help'), seat(2, 'not-yet'), seat(3, 'away'), seat(4, 'along')] })
    expect(keys(rescueOf(seat(2, 'not-yet'), alone))).not.toContain('neighbour')
  })
  it('may go another way where one begins after what is sure', () => {
    expect(keys(rescueOf(seat(2, 'not-yet', 5), room({ passages: [5] })))).toContain('otherWay')
    expect(keys(rescueOf(seat(2, 'not-yet', 5), room({ passages: [1] })))).not.toContain('otherWay')
    expect(keys(rescueOf(seat(2, 'not-yet', 5), room({ passages: [8] })))).not.toContain('otherWay')
  })
})

describe('the quick', () => {
  it('show a neighbour who is behind', () => {
    expect(tasksOf(seat(1, 'looked', 8), room())[0]).toEqual({ key: 'showTo', with: { name: 'L2' } })
    expect(keys(tasksOf(seat(4, 'looked', 8), room({ at: 3 })))).toEqual([])
  })
  it('count what there is to count', () => {
    const steps = [step(1, { layers: 6, front_above: 0.47 })]
    const quick = room({ seats: [seat(1, 'looked', 1)], steps, at: 1 })
    expect(tasksOf(seat(1, 'looked', 1), quick)).toEqual([
      { key: 'layers', with: { n: 6 } }, { key: 'colour', with: { percent: 50 } }, { key: 'secondOne', with: {} },
    ])
  })
  it('go on to the next model only after the last step', () => {
    const next = { next: 'Whale', seats: [seat(1, 'looked', 8)] }
    expect(keys(tasksOf(seat(1, 'looked', 8), room(next)))).toEqual(['nextModel', 'secondOne'])
    expect(keys(tasksOf(seat(1, 'looked', 7), room({ ...next, at: 7 })))).toEqual([])
  })
})
