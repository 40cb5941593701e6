import { useNow } from '@vueuse/core'
import { computed } from 'vue'
import type { LessonData } from '../api/client'
import { adviceOf } from './log/advice'
import { driftOf } from './log/drift'
import { isOpen, seatOf } from './log/standing'
import type { StageLog } from './useLessonLog'

/** What is known of a learner at the step at hand. */
export type SeatState = 'away' | 'help' | 'not-yet' | 'looked' | 'along'

/** A learner's place as the stage shows it. */
export interface Seat {
  id: number
  name: string
  /** furthest step that counts as done */
  done: number
  /** the step not yet done; null for who is along */
  behind: number | null
  /** minutes of waiting; null: does not wait */
  help: number | null
  state: SeatState
}

/** What the stage shows of a log as time goes by: every learner's place, one line of advice, early or late. */
export function useSeats(
  { standing, now }: Pick<StageLog, 'standing' | 'now'>,
  lesson: () => LessonData | undefined,
  checkpoint: (step: number) => boolean,
) {
  const tick = useNow({ interval: 1000 })
  /** the time in the room, ms */
  const clock = computed(() => tick.value.getTime() - Date.now() + now())
  const total = computed(() => lesson()?.models.reduce((sum, model) => sum + model.steps, 0) ?? 0)
  const learners = computed(() => lesson()?.group.learners ?? [])
  const at = computed(() => Math.min(standing.value.step, total.value))
  const seats = computed<Seat[]>(() =>
    learners.value.map(({ id, name }) => {
      const { done, looked, behind, help_ms, away } = seatOf(standing.value, id)
      const help = help_ms === null ? null : Math.max(0, Math.floor((clock.value - help_ms) / 60_000))
      const state = away ? 'away'
        : help !== null ? 'help'
        : behind !== null && behind <= at.value ? 'not-yet'
        : at.value > 0 && looked >= at.value ? 'looked'
        : 'along'
      return { id, name, done, behind, help, state }
    }),
  )
  const here = computed(() => seats.value.filter((seat) => seat.state !== 'away'))
  /** Who would stay behind if the room went on now. */
  const staying = computed(() => here.value.filter((seat) => isOpen(standing.value, seat.id)))
  const advice = computed(() =>
    adviceOf(
      standing.value,
      total.value,
      learners.value.map((learner) => learner.id),
      checkpoint(standing.value.step),
      lesson()?.rules ?? { enough: [], long_wait_seconds: 0 },
    ),
  )
  const drift = computed(() => {
    const { plan, clock: slot } = lesson() ?? {}
    return driftOf(standing.value, plan?.lines ?? [], clock.value, slot ?? { start_ms: 0, bell_ms: 0 })
  })
  const nameOf = (learner: number | undefined) => learners.value.find((one) => one.id === learner)?.name ?? ''
  return { clock, total, learners, seats, here, staying, advice, drift, nameOf }
}
