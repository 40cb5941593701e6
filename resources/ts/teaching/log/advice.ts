import type { components } from '../../api/schema'
import { isOpen, queueOf, seatOf, type Standing } from './standing'

export type Rules = components['schemas']['TeachingRules']
/** The one thing to do now; see core/Lesson/Advice.php. */
export interface Advice {
  kind: 'none' | 'help' | 'all' | 'ask' | 'wait' | 'go' | 'gather'
  done: number
  room: number
  learners: number[]
}

/** The mirror of core/Lesson/Advice.php; thresholds come from the server with the lesson. */
export function adviceOf(
  standing: Standing,
  steps: number,
  learners: readonly number[],
  checkpoint: boolean,
  rules: Rules,
): Advice {
  const { step } = standing
  const here = learners.filter((l) => !seatOf(standing, l).away)
  const behind = here.filter((l) => isOpen(standing, l))
  // Of whom nothing was ever said is perhaps not there at all: nobody is called for before those who are.
  const open = [
    ...behind.filter((l) => seatOf(standing, l).seen), ...behind.filter((l) => !seatOf(standing, l).seen),
  ]
  const [room, done] = [here.length, here.length - open.length]
  const queue = queueOf(standing, here)
  const say = (kind: Advice['kind'], about: number[] = []): Advice => ({
    kind,
    done,
    room,
    learners: about.slice(0, 3),
  })
  if (step < 1 || step > steps || standing.ended_ms !== null || room === 0) return say('none')
  if (queue.length > 0) return say('help', queue)
  const looked = here.every((l) => seatOf(standing, l).looked >= step)
  if (open.length === 0) return say(checkpoint && !looked ? 'ask' : 'all')
  if (checkpoint) return say('wait', open)
  return done >= (rules.enough[room] ?? room) ? say('go') : say('gather')
}
