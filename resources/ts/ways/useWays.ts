import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { answer, client, type LessonData, Problem, type Ways } from '../api/client'
import { useSaveLesson } from '../api/lessons'
import { useWaysOfLesson, waysOfLesson } from './ways'
import { deviceName } from '../teaching/queue/device'
import { seen, useDeeds } from '../teaching/queue/deeds'
import { useLessonLog } from '../teaching/useLessonLog'
import { inputOf, modelsWith } from '../lessons/input'

/**
 * The ways in which a model of a lesson is taught: those it is set to, those thought of, and setting them. A lesson
 * that is planned is saved; one that is being taught gets an event for each passage, after every mark this device still
 * has, so that marks keep their place.
 */
export function useWays(id: () => number, slug: () => string, lesson: () => LessonData | undefined) {
  const cache = useQueryClient()
  const deeds = useDeeds()
  const save = useSaveLesson()
  /** what was chosen here, by passage */
  const picked = ref<Ways>({})
  const set = computed<Ways>(() => lesson()?.models.find((model) => model.slug === slug())?.ways ?? {})
  const thought = computed<Ways | undefined>(() =>
    Object.keys(picked.value).length === 0 ? undefined : { ...set.value, ...picked.value },
  )
  const own = useWaysOfLesson(id, slug, undefined)
  const asked = useWaysOfLesson(id, slug, thought)
  const { standing, waiting } = useLessonLog(id, lesson)
  const status = computed(() => {
    const { ended_ms, started_ms } = standing.value
    return ended_ms !== null ? 'taught' : started_ms !== null ? 'teaching' : 'planned'
  })
  const busy = ref(false)
  const problem = ref<string | null>(null)

  /** The step until which this passage can still be shown another way, where the group is past it; else null. */
  function past(passage: string): number | null {
    const options = own.data.value?.passages.find((one) => one.name === passage)?.options ?? []
    const parts = Math.min(...options.flatMap((one) => one.change?.spans[0]?.first ?? []))
    return status.value === 'teaching' && standing.value.step > parts ? parts : null
  }

  async function setPlanned(data: LessonData) {
    const passages = own.data.value?.passages.filter((one) => one.name in picked.value) ?? []
    const first = Math.min(...passages.map((one) => one.first))
    const models = modelsWith(data, slug(), picked.value, first)
    await save.mutateAsync({ id: id(), body: inputOf(data, { models }) })
  }

  /** One event for each passage: the count of steps after one is what the next is reckoned from. */
  async function show(unsent: string) {
    await deeds.send()
    if (waiting.value > 0) throw new Problem(0, unsent, {})
    for (const [passage, option] of Object.entries(picked.value)) {
      const passages = (await waysOfLesson(id(), slug())).passages
      const way = passages.find((one) => one.name === passage)?.options.find((one) => one.key === option)?.change
      if (!way) continue
      const event = {
        key: crypto.randomUUID(),
        kind: 'way-changed' as const,
        // A name of its own: nobody counts by the new way before the server has told it, this tab neither.
        device: `${deviceName()}.${crypto.randomUUID().slice(0, 8)}`,
        device_ms: Date.now(),
        after: seen.of(id()),
        way,
      }
      const log = await answer(
        client.POST('/api/lessons/{lesson}/events', {
          params: { path: { lesson: id() } },
          body: { after: seen.of(id()), events: [event] },
        }),
      )
      seen.now(id(), log.newest)
    }
  }

  /** Whether the lesson is taught like this now; what stands in the way is in `problem`. */
  async function teach(unsent: string): Promise<boolean> {
    const data = lesson()
    if (!data || busy.value) return false
    busy.value = true
    problem.value = null
    try {
      if (thought.value) await (status.value === 'teaching' ? show(unsent) : setPlanned(data))
      picked.value = {}
      return true
    } catch (error) {
      problem.value = error instanceof Error ? error.message : String(error)
      return false
    } finally {
      await cache.invalidateQueries({ queryKey: ['lessons', id()] })
      busy.value = false
    }
  }

  async function keep() {
    problem.value = null
    try {
      await answer(
        client.PUT('/api/models/{model}/ways', {
          params: { path: { model: slug() } },
          body: { ways: { ...set.value, ...picked.value } },
        }),
      )
      await cache.invalidateQueries({ queryKey: ['me'] })
      return true
    } catch (error) {
      problem.value = error instanceof Error ? error.message : String(error)
      return false
    }
  }

  const choose = (passage: string, option: string) => {
    const now = own.data.value?.passages.find((one) => one.name === passage)?.options.find((one) => one.chosen)?.key
    const others = Object.fromEntries(Object.entries(picked.value).filter(([name]) => name !== passage))
    picked.value = now === option ? others : { ...others, [passage]: option }
  }

  return { asked, own, status, picked, busy, problem, past, choose, teach, keep }
}
