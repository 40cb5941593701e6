import { useInfiniteQuery, useMutation, useQueries, useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { answer, client, type LessonData, type LessonInput } from './client'
import { mannerOf } from './manner'
import { KeptTheirs, saveVersioned } from './saving'

export const useHome = () => useQuery({ queryKey: ['home'], queryFn: () => answer(client.GET('/api/home')) })

export interface LessonSearch {
  /** both, where it is left out */
  when?: 'coming' | 'past'
  group?: number
  words?: string
}

/** Lessons in pages, as far as they were asked for. */
export const useAllLessons = (search: MaybeRefOrGetter<LessonSearch>) =>
  useInfiniteQuery({
    queryKey: ['lessons', computed(() => toValue(search))],
    queryFn: ({ pageParam }) =>
      answer(client.GET('/api/lessons', { params: { query: { ...toValue(search), page: pageParam } } })),
    initialPageParam: 1,
    getNextPageParam: ({ page, pages }) => (page < pages ? page + 1 : undefined),
    placeholderData: (before) => before,
  })

/** Rehearsed anew whenever the lesson is saved. */
export function useForecast(lesson: MaybeRefOrGetter<LessonData>) {
  const id = computed(() => toValue(lesson).card.id)
  return useQuery({
    queryKey: ['forecast', id, computed(() => JSON.stringify([toValue(lesson).setting, toValue(lesson).models]))],
    queryFn: () =>
      answer(client.GET('/api/lessons/{lesson}/forecast', { params: { path: { lesson: id.value } } })),
  })
}

/** What the lead ticked as seen in a lesson; a tick is kept at once. */
export function useSightings(lesson: MaybeRefOrGetter<number | undefined>) {
  const cache = useQueryClient()
  const key = computed(() => ['sightings', toValue(lesson)])
  const path = () => ({ params: { path: { lesson: toValue(lesson) ?? 0 } } })
  const found = useQuery({
    queryKey: key,
    queryFn: () => answer(client.GET('/api/lessons/{lesson}/faults', path())),
    enabled: computed(() => toValue(lesson) !== undefined),
  })
  const tick = useMutation({
    mutationFn: (body: { model: string; step: number; kind: string; seen: boolean }) =>
      answer(client.PUT('/api/lessons/{lesson}/faults', { ...path(), body })),
    onSettled: () => cache.invalidateQueries({ queryKey: key.value }),
  })
  return { found, tick }
}

/** Learners to rehearse a lesson with. */
export const useCast = (lesson: MaybeRefOrGetter<number>, seed: MaybeRefOrGetter<number>) =>
  useQuery({
    queryKey: ['cast', lesson, seed],
    queryFn: () =>
      answer(
        client.GET('/api/lessons/{lesson}/cast', {
          params: { path: { lesson: toValue(lesson) }, query: { seed: toValue(seed) } },
        }),
      ),
    gcTime: 0,
  })

/** What taught lessons say of times. */
export const useLearned = () =>
  useQuery({ queryKey: ['learned'], queryFn: () => answer(client.GET('/api/learned')) })

/** The same lesson for another group or day. */
export function useCopyLesson() {
  const cache = useQueryClient()
  return useMutation({
    mutationFn: ({ id, body }: { id: number; body: { group_id: number; starts_at: string } }) =>
      answer(client.POST('/api/lessons/{lesson}/copies', { params: { path: { lesson: id } }, body })),
    onSuccess: () => cache.invalidateQueries(),
  })
}

/** A lesson that was odd is left out of learning, or taken in again; every time that rests on it is read anew. */
export function useOdd() {
  const cache = useQueryClient()
  return useMutation({
    mutationFn: ({ lesson, odd }: { lesson: number; odd: boolean }) =>
      answer(client.PUT('/api/lessons/{lesson}/odd', { params: { path: { lesson } }, body: { odd } })),
    onSuccess: () => cache.invalidateQueries(),
  })
}

/** Models for a first lesson, by one sentence about it. */
export function useFirstOffers(
  wish: MaybeRefOrGetter<{ learners: number; years: number; minutes: number; paper: string }>,
) {
  return useQuery({
    queryKey: ['first-lesson', wish],
    queryFn: () => answer(client.GET('/api/first-lesson', { params: { query: toValue(wish) } })),
    retry: false,
    placeholderData: (before) => before,
  })
}

export function useLesson(id: MaybeRefOrGetter<number>, isAsked: () => boolean = () => true) {
  return useQuery({
    queryKey: ['lessons', id],
    enabled: computed(isAsked),
    queryFn: () => answer(client.GET('/api/lessons/{lesson}', { params: { path: { lesson: toValue(id) } } })),
  })
}

/** The models of a lesson one after the other, their steps numbered through it; undefined until all are there. */
export function useProgramme(lesson: MaybeRefOrGetter<LessonData | undefined>) {
  const models = computed(() => toValue(lesson)?.models ?? [])
  const manner = computed(() => mannerOf(toValue(lesson)))
  const found = useQueries({
    queries: computed(() =>
      models.value.map(({ slug, ways }) => ({
        queryKey: ['models', slug, ways, ...Object.values(manner.value)],
        queryFn: () =>
          answer(
            client.GET('/api/models/{model}', {
              params: { path: { model: slug }, query: { ways, ...manner.value } },
            }),
          ),
        staleTime: Infinity,
      })),
    ),
    shallow: true,
  })
  const data = computed(() => {
    const all = found.value.map((one) => one.data)
    return all.length > 0 && all.length === models.value.length && all.every((one) => one !== undefined)
      ? all
      : undefined
  })
  const steps = computed(() =>
    (data.value ?? []).flatMap((model, i) =>
      model.steps.map((step) => ({ ...step, number: step.number + (models.value[i]?.first ?? 1) - 1 })),
    ),
  )
  const error = computed(() => found.value.find((one) => one.error)?.error ?? null)
  /** The model to which a step of the lesson belongs; the first before it begins, the last after its end. */
  const at = (step: number) =>
    [...(data.value ?? [])].reverse().find((_, i, all) => (models.value[all.length - 1 - i]?.first ?? 1) <= step) ??
    data.value?.[0]
  return { models: data, steps, error, at }
}

/** Saves a lesson; id undefined makes a new one. All lists that show lessons are read again. */
export function useSaveLesson() {
  const cache = useQueryClient()
  return useMutation({
    mutationFn: ({ id, body }: { id?: number; body: LessonInput }) =>
      saveVersioned(body, (given) =>
        answer(
          id === undefined
            ? client.POST('/api/lessons', { body: given })
            : client.PUT('/api/lessons/{lesson}', { params: { path: { lesson: id } }, body: given }),
        ),
      ),
    onSuccess: (lesson) => {
      cache.setQueryData(['lessons', lesson.card.id], lesson)
      void cache.invalidateQueries({ queryKey: ['home'] })
    },
    onError: (problem) => { if (problem instanceof KeptTheirs) void cache.invalidateQueries() },
  })
}
