import { computed, ref } from 'vue'
import type { LessonData, Ways } from '../api/client'
import { useWaysOfLesson } from './ways'

/** The ways a model of a lesson is set to, those thought of, and what would come of them. */
export function usePicked(id: () => number, slug: () => string, lesson: () => LessonData | undefined) {
  /** what was chosen here, by passage */
  const picked = ref<Ways>({})
  const set = computed<Ways>(() => lesson()?.models.find((model) => model.slug === slug())?.ways ?? {})
  const thought = computed<Ways | undefined>(() =>
    Object.keys(picked.value).length === 0 ? undefined : { ...set.value, ...picked.value },
  )
  const own = useWaysOfLesson(id, slug, undefined)
  const passageOf = (name: string) => own.data.value?.passages.find((one) => one.name === name)

  function choose(passage: string, option: string) {
    const now = passageOf(passage)?.options.find((one) => one.chosen)?.key
    const others = Object.fromEntries(Object.entries(picked.value).filter(([name]) => name !== passage))
    picked.value = now === option ? others : { ...others, [passage]: option }
  }

  return {
    picked,
    /** as it is set, with what was chosen here */
    all: computed<Ways>(() => ({ ...set.value, ...picked.value })),
    own,
    asked: useWaysOfLesson(id, slug, thought),
    passageOf,
    choose,
  }
}
