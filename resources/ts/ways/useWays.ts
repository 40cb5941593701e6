import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { answer, client, type LessonData } from '../api/client'
import { useSaveLesson } from '../api/lessons'
import { inputOf, modelsWith } from '../lessons/input'
import { useOutbox } from '../teaching/outbox/outbox'
import { useLessonLog } from '../teaching/useLessonLog'
import { changeWays, Unsent } from './changing'
import { usePicked } from './usePicked'

/**
 * The ways in which a model of a lesson is taught: those it is set to, those thought of, and setting them. A lesson
 * that is planned is saved; one that is being taught gets an event for each passage.
 */
export function useWays(id: () => number, slug: () => string, lesson: () => LessonData | undefined) {
  const cache = useQueryClient()
  const outbox = useOutbox()
  const save = useSaveLesson()
  const { picked, all, own, asked, passageOf, choose } = usePicked(id, slug, lesson)
  const { standing } = useLessonLog(id, lesson)
  const status = computed(() => {
    const { ended_ms, started_ms } = standing.value
    return ended_ms !== null ? 'taught' : started_ms !== null ? 'teaching' : 'planned'
  })
  const busy = ref(false)
  const problem = ref<string | null>(null)

  /** The step until which this passage can still be shown another way, where the group is past it; else null. */
  function past(passage: string): number | null {
    const options = passageOf(passage)?.options ?? []
    const parts = Math.min(...options.flatMap((one) => one.change?.spans[0]?.first ?? []))
    return status.value === 'teaching' && standing.value.step > parts ? parts : null
  }

  async function setPlanned(data: LessonData) {
    const passages = own.data.value?.passages.filter((one) => one.name in picked.value) ?? []
    const first = Math.min(...passages.map((one) => one.first))
    await save.mutateAsync({ id: id(), body: inputOf(data, { models: modelsWith(data, slug(), picked.value, first) }) })
  }

  /** Whether it was done; what stands in the way is in `problem`. */
  async function tried(what: () => Promise<unknown>, unsent: string): Promise<boolean> {
    problem.value = null
    try {
      await what()
      return true
    } catch (error) {
      problem.value = error instanceof Unsent ? unsent : error instanceof Error ? error.message : String(error)
      return false
    }
  }

  /** Whether the lesson is taught like this now. */
  async function teach(unsent: string): Promise<boolean> {
    const data = lesson()
    if (!data || busy.value) return false
    busy.value = true
    const done = await tried(async () => {
      if (Object.keys(picked.value).length > 0)
        await (status.value === 'teaching' ? changeWays(outbox, id(), slug(), picked.value) : setPlanned(data))
      picked.value = {}
    }, unsent)
    await cache.invalidateQueries({ queryKey: ['lessons', id()] })
    busy.value = false
    return done
  }

  /** Keeps these as the lead's own. */
  const keep = () => tried(async () => {
    await answer(client.PUT('/api/models/{model}/ways', {
      params: { path: { model: slug() } }, body: { ways: all.value },
    }))
    await cache.invalidateQueries({ queryKey: ['me'] })
  }, '')

  return { asked, own, status, picked, busy, problem, past, choose, teach, keep }
}
