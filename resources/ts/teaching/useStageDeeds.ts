import { computed, ref, type Ref } from 'vue'
import type { LessonData } from '../api/client'
import { counting, isLate, isMark, standingEvents } from './log/log'
import { seatOf } from './log/standing'
import type { StageLog } from './useLessonLog'

/** What a tap on a seat says. */
export type Mark = 'done' | 'help' | 'away'

/** All that is done in front of the class; each is an event of the log. */
export function useStageDeeds(
  { log, standing, add, waiting }: StageLog,
  lesson: () => LessonData | undefined,
  total: Readonly<Ref<number>>,
  send: () => Promise<void>,
) {
  const ending = ref(false)
  const begin = () => {
    if (standing.value.started_ms === null) void add('started', { marks: 'close' })
  }

  function go(to: number) {
    if (total.value === 0) return
    begin()
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
    begin()
    await add('ended')
    if (everybody === 'all' || everybody === 'none')
      for (const correction of endedAlike(lesson(), standing.value, total.value, everybody === 'all'))
        void add('corrected', correction)
    while (waiting.value > 0) {
      await send()
      await new Promise((resolve) => {
        setTimeout(resolve, waiting.value > 0 ? 300 : 0)
      })
    }
    ending.value = false
  }

  return { ending, untapped, go, mark, undo, end }
}

/** Everybody here ended like this, with each model: said at the end of a lesson in which nobody was tapped. */
function endedAlike(
  lesson: LessonData | undefined,
  standing: StageLog['standing']['value'],
  total: number,
  finished: boolean,
) {
  const reached = Math.min(standing.step, total)
  const here = lesson?.group.learners.filter(({ id }) => !seatOf(standing, id).away) ?? []
  return here.flatMap(({ id: learner }) =>
    (lesson?.models ?? []).map(({ slug: model, first, steps }) => ({
      learner,
      correction: finished
        ? { model, finish: 'alone' as const, step: null }
        : { model, finish: 'stopped' as const, step: Math.min(steps, Math.max(1, reached - first + 1)) },
    })),
  )
}
