import type { StepData } from '../api/client'
import type { Seat } from './useSeats'

/** What a rescue can read of the lesson; steps are numbered through it. */
export interface Rescued {
  seats: readonly Seat[]
  /** learners at a table */
  table: number
  steps: readonly StepData[]
  /** the step at hand */
  at: number
  /** the first step of the model that is folded */
  first: number
  /** spare sheets of its kit */
  spares: number
  /** passages of the model that can be shown another way, by their first step in the lesson */
  passages: readonly number[]
  /** the model that comes after this one in the lesson */
  next: string | null
}

/** One thing to do, as words of `rescue` with what stands in them. */
export interface Tip {
  key: string
  with: Record<string, string | number>
}

/** Those who sit at one table with a learner, who have the step at hand before them as they should. */
function neighbours(seat: Seat, { seats, table }: Rescued): Seat[] {
  const place = seats.findIndex((one) => one.id === seat.id)
  const from = Math.floor(place / Math.max(1, table)) * Math.max(1, table)
  const near = seats.slice(from, from + Math.max(1, table)).filter((one) => one.id !== seat.id)
  return near.sort((a, b) => Math.abs(seats.indexOf(a) - place) - Math.abs(seats.indexOf(b) - place))
}

/**
 * For who is lost, the surest first: undo to the last state that rests by itself, a spare that is folded so far, a
 * neighbour who has it, the other way.
 */
export function rescueOf(seat: Seat, of: Rescued): Tip[] {
  const done = Math.max(of.first - 1, seat.done)
  const tips: Tip[] = []
  const sure = lastSure(done, of)
  if (sure < done) {
    const undo = of.steps.slice(sure, done).reverse().map((step) => step.name)
    tips.push({ key: 'undo', with: { n: sure, names: undo.slice(0, 3).join(', ') } })
  } else if (sure < of.first) {
    tips.push({ key: 'anew', with: {} })
  }
  const ahead = of.at - done - 1
  if (ahead > 1 && of.spares > 0) tips.push({ key: 'spare', with: { n: of.spares, step: of.at } })
  const near = neighbours(seat, of).find((one) => one.state === 'along' || one.state === 'looked')
  if (near) tips.push({ key: 'neighbour', with: { name: near.name } })
  if (of.passages.some((first) => first <= done + 1 && first >= sure)) tips.push({ key: 'otherWay', with: {} })
  return tips
}

/** The last step done after which the paper rests by itself, or all were waited for; before the first: none. */
function lastSure(done: number, { steps, first }: Rescued): number {
  for (let number = done; number >= first; number--) {
    const step = steps[number - 1]
    if (step && (step.resting || step.checkpoint)) return number
  }
  return first - 1
}

/** For who is done before the others: somebody near who is not, what there is to find at this step, what comes next. */
export function tasksOf(seat: Seat, of: Rescued): Tip[] {
  const tips: Tip[] = []
  const slow = neighbours(seat, of).find((one) => one.state === 'help' || one.state === 'not-yet')
  if (slow) tips.push({ key: 'showTo', with: { name: slow.name } })
  const step = of.steps[of.at - 1]
  if (step && step.layers > 2) tips.push({ key: 'layers', with: { n: step.layers } })
  if (step && step.front_above > 0.02 && step.front_above < 0.98) {
    tips.push({ key: 'colour', with: { percent: Math.round(step.front_above * 10) * 10 } })
  }
  const last = of.steps.length
  if (of.at >= last && of.next) tips.push({ key: 'nextModel', with: { title: of.next } })
  if (of.at >= last) tips.push({ key: 'secondOne', with: {} })
  return tips.slice(0, 3)
}
