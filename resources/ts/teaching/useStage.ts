import { useNow } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { LessonData } from '../api/client'
import { adviceOf } from './log/advice'
import { driftOf } from './log/drift'
import { counting, isLate, isMark, standingEvents } from './log/log'
import { seatOf } from './log/standing'
import { useDeeds } from './queue/deeds'
import { type StageLog, useLessonLog } from './useLessonLog'

/** What a tap on a seat says. */
export type Mark = 'done' | 'help' | 'away'

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
    if (standing.value.started_ms === null) void add('started', { marks: 'close' })
    void add('moved', { step: Math.min(total.value + 1, Math.max(0, to)) })
  }

  /** Marks a learner at the step at hand; a second press on what is said already says nothing new. */
  function mark(learner: number, kind: Mark) {
    const step = Math.min(standing.value.step, total.value)
    const seat = seatOf(standing.value, learner)
    const here = !seat.away
    if (kind === 'away') {
      void add(here ? 'away' : 'came', { learner })
    } else if (kind === 'done') {
      if (step >= 1 && !(here && seat.done >= step && seat.help_ms === null)) void add('done', { learner, step })
    } else if (step >= 1 && !(here && seat.help_ms !== null)) {
      void add('help', { learner, step })
    }
  }

  /** Nothing was said of how anybody did: an end would keep nothing of the lesson but who is away. */
  const untapped = computed(() =>
    !counting(log.value).some(({ kind }) => ['done', 'help', 'helped', 'finished-early', 'corrected'].includes(kind)),
  )

  /** Everybody here ended like this, with each model: said at the end of a lesson in which nobody was tapped. */
  function allEnded(finished: boolean) {
    const reached = Math.min(standing.value.step, total.value)
    for (const learner of learners.value.filter(({ id: one }) => !seatOf(standing.value, one).away)) {
      for (const model of lesson()?.models ?? []) {
        const step = finished ? null : Math.min(model.steps, Math.max(1, reached - model.first + 1))
        const finish = finished ? ('alone' as const) : ('stopped' as const)
        void add('corrected', { learner: learner.id, correction: { model: model.slug, finish, step } })
      }
    }
  }

  /** Takes the latest mark back: whoever made it, the lead may. */
  function undo() {
    const last = standingEvents(log.value)
      .filter((event) => isMark(event) && !isLate(log.value, event))
      .at(-1)
    if (last) void add('taken-back', { cancels: last.key })
  }

  /** Ends the lesson after everything that waits; resolves when the server has it all. */
  async function end(everybody?: 'all' | 'none' | 'each'): Promise<void> {
    ending.value = true
    if (standing.value.started_ms === null) void add('started', { marks: 'close' })
    await add('ended')
    if (everybody === 'all' || everybody === 'none') allEnded(everybody === 'all')
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
    untapped,
    nameOf,
    lastRefused: computed(() => deeds.aside.value.filter((deed) => deed.lesson === id())),
    signedOut: deeds.signedOut,
    unreachable: deeds.unreachable,
    stalled: deeds.stalled,
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
