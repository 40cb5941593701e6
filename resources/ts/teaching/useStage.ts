import { useNow } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { LessonData } from '../api/client'
import { adviceOf } from './log/advice'
import { driftOf } from './log/drift'
import { isLate, isMark, standingEvents } from './log/log'
import { seatOf } from './log/standing'
import { useDeeds } from './queue/deeds'
import { type StageLog, useLessonLog } from './useLessonLog'

/** A learner's place as the stage shows it. */
export interface Seat {
  id: number
  name: string
  done: number
  help: number | null
  away: boolean
}

/**
 * The stage: what it shows is read from the log, what is done in front of the class is added to it. State is read-only;
 * the verbs are the only way to change it.
 */
export function useStage(
  id: () => number,
  lesson: () => LessonData | undefined,
  checkpoint: (step: number) => boolean,
  rehearsed?: StageLog,
) {
  const { log, standing, outcomes, add, waiting, now } = rehearsed ?? useLessonLog(id, lesson)
  const deeds = useDeeds()
  const tick = useNow({ interval: 1000 })
  const ending = ref(false)

  const total = computed(() => lesson()?.models.reduce((sum, model) => sum + model.steps, 0) ?? 0)
  const at = computed(() => (lesson() ? standing.value.step : null))
  const learners = computed(() => lesson()?.group.learners ?? [])
  const seats = computed<Seat[]>(() =>
    learners.value.map(({ id: learner, name }) => {
      const { done, help_ms, away } = seatOf(standing.value, learner)
      const minutes =
        help_ms === null
          ? null
          : Math.max(0, Math.floor((tick.value.getTime() - Date.now() + now() - help_ms) / 60_000))
      return { id: learner, name, done, help: minutes, away }
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
  const drift = computed(() =>
    driftOf(standing.value, lesson()?.plan.lines ?? [], tick.value.getTime() - Date.now() + now()),
  )
  const nameOf = (learner: number | undefined) => learners.value.find((one) => one.id === learner)?.name ?? ''

  function go(to: number) {
    if (total.value === 0) return
    void add('moved', { step: Math.min(total.value + 1, Math.max(0, to)) })
  }

  function mark(learner: number, kind: 'done' | 'help') {
    const step = Math.min(standing.value.step, total.value)
    if (step >= 1) void add(kind, { learner, step })
  }

  /** Takes the latest mark back: whoever made it, the lead may. */
  function undo() {
    const last = standingEvents(log.value)
      .filter((event) => isMark(event) && !isLate(log.value, event))
      .at(-1)
    if (last) void add('taken-back', { cancels: last.key })
  }

  /** Ends the lesson after everything that waits; resolves when the server has it all. */
  async function end(): Promise<void> {
    ending.value = true
    await add('ended')
    while (waiting.value > 0) {
      await deeds.send()
      await new Promise((resolve) => {
        setTimeout(resolve, waiting.value > 0 ? 300 : 0)
      })
    }
    ending.value = false
  }

  return {
    at,
    total,
    seats,
    advice,
    drift,
    outcomes,
    standing,
    waiting,
    ending,
    nameOf,
    lastRefused: computed(() => deeds.aside.value.filter((deed) => deed.lesson === id())),
    signedOut: deeds.signedOut,
    storageFailed: deeds.storageFailed,
    /** the time in the room, ms */
    clock: computed(() => tick.value.getTime() - Date.now() + now()),
    go,
    mark,
    undo,
    end,
    again: deeds.again,
    drop: deeds.drop,
  }
}
