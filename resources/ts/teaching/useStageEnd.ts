import { computed, ref, type Ref } from 'vue'
import type { LessonData } from '../api/client'
import { counting, isMark } from './log/log'
import { seatOf, type Standing } from './log/standing'
import type { StageLog } from './useLessonLog'

/** The end of a lesson, and what is kept of it. */
export function useStageEnd(
  { log, standing, add, waiting }: StageLog,
  lesson: () => LessonData | undefined,
  total: Readonly<Ref<number>>,
  { close, begin, send }: { close: Readonly<Ref<boolean>>; begin: () => void; send: () => Promise<void> },
) {
  const ending = ref(false)

  /** Nothing was said of how anybody did: a close lesson would keep nothing but who is away. */
  const untapped = computed(() => close.value && !counting(log.value).some((event) =>
    event.kind === 'corrected' || (isMark(event) && event.step != null)))

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

  return { ending, untapped, end }
}

/** Everybody here ended like this, with each model: said at the end of a close lesson in which nobody was tapped. */
function endedAlike(lesson: LessonData | undefined, standing: Standing, total: number, finished: boolean) {
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
