import { useNow } from '@vueuse/core'
import { computed } from 'vue'
import type { LessonData } from '../api/client'
import { adviceOf } from './log/advice'
import { driftOf } from './log/drift'
import { seatOf } from './log/standing'
import type { StageLog } from './useLessonLog'

/** A learner's place as the stage shows it. */
export interface Seat {
  id: number
  name: string
  done: number
  /** minutes of waiting; null: does not wait */
  help: number | null
  away: boolean
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
  const seats = computed<Seat[]>(() =>
    learners.value.map(({ id, name }) => {
      const { done, help_ms, away } = seatOf(standing.value, id)
      const help = help_ms === null ? null : Math.max(0, Math.floor((clock.value - help_ms) / 60_000))
      return { id, name, done, help, away }
    }),
  )
  const advice = computed(() =>
    adviceOf(
      standing.value,
      total.value,
      learners.value.map((learner) => learner.id),
      checkpoint(standing.value.step),
      lesson()?.rules ?? { enough: [], long_wait_seconds: 0 },
    ),
  )
  const drift = computed(() => driftOf(standing.value, lesson()?.plan.lines ?? [], clock.value))
  const nameOf = (learner: number | undefined) => learners.value.find((one) => one.id === learner)?.name ?? ''
  return { clock, total, learners, seats, advice, drift, nameOf }
}
