import { useMutation, useQueries, useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, type MaybeRefOrGetter, toValue } from 'vue'
import {
  answer,
  client,
  type GroupInput,
  type LessonData,
  type LessonInput,
  type StockInput,
  type Ways,
} from './client'
import { mannerOf } from '../lessons/manner'
import { KeptTheirs, saveVersioned } from '../parts/saving'

/** Who is signed in; an error with status 401 means nobody. */
export const useMe = () =>
  useQuery({ queryKey: ['me'], queryFn: () => answer(client.GET('/api/me')), staleTime: Infinity })
export const useHome = () => useQuery({ queryKey: ['home'], queryFn: () => answer(client.GET('/api/home')) })
export const useModels = () =>
  useQuery({ queryKey: ['models'], queryFn: () => answer(client.GET('/api/models')), staleTime: Infinity })
export const useGroups = () => useQuery({ queryKey: ['groups'], queryFn: () => answer(client.GET('/api/groups')) })
export const useStocks = () => useQuery({ queryKey: ['stocks'], queryFn: () => answer(client.GET('/api/stocks')) })

export function useModel(slug: MaybeRefOrGetter<string | undefined>, ways: MaybeRefOrGetter<Ways> = {}) {
  return useQuery({
    queryKey: ['models', slug, ways],
    queryFn: () =>
      answer(
        client.GET('/api/models/{model}', {
          params: { path: { model: toValue(slug) ?? '' }, query: { ways: toValue(ways) } },
        }),
      ),
    enabled: computed(() => !!toValue(slug)),
    staleTime: Infinity,
    placeholderData: (before) => (before?.summary.slug === toValue(slug) ? before : undefined),
  })
}

/** Rehearsed anew whenever the lesson is saved. */
export function useForecast(lesson: MaybeRefOrGetter<LessonData>) {
  const id = computed(() => toValue(lesson).card.id)
  return useQuery({
    queryKey: ['forecast', id, computed(() => JSON.stringify([toValue(lesson).setting, toValue(lesson).models]))],
    queryFn: () =>
      answer(client.GET('/api/lessons/{lesson}/forecast', { params: { path: { lesson: id.value } } })),
  })
}

/** How one step of a model moves; asked for only when it is wanted, for it may have to be worked out first. */
export function useMotion(
  slug: MaybeRefOrGetter<string>,
  ways: MaybeRefOrGetter<Ways>,
  step: MaybeRefOrGetter<number>,
  wanted: MaybeRefOrGetter<boolean>,
) {
  return useQuery({
    queryKey: ['motion', slug, ways, step],
    queryFn: () =>
      answer(
        client.GET('/api/models/{model}/steps/{step}/motion', {
          params: { path: { model: toValue(slug), step: String(toValue(step)) }, query: { ways: toValue(ways) } },
        }),
      ),
    enabled: computed(() => toValue(wanted)),
    staleTime: Infinity,
  })
}

/** What goes wrong at a step of a model; asked for only when it is wanted, for it may have to be worked out first. */
export function useFaults(
  slug: MaybeRefOrGetter<string>,
  ways: MaybeRefOrGetter<Ways>,
  step: MaybeRefOrGetter<number>,
  wanted: MaybeRefOrGetter<boolean>,
) {
  return useQuery({
    queryKey: ['faults', slug, ways, step],
    queryFn: () =>
      answer(
        client.GET('/api/models/{model}/steps/{step}/faults', {
          params: { path: { model: toValue(slug), step: String(toValue(step)) }, query: { ways: toValue(ways) } },
        }),
      ),
    enabled: computed(() => toValue(wanted)),
    staleTime: Infinity,
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

/** Where the flat sheet of a model ends up. */
export function useSheetMap(slug: MaybeRefOrGetter<string>, ways: MaybeRefOrGetter<Ways>) {
  return useQuery({
    queryKey: ['sheet-map', slug, ways],
    queryFn: () =>
      answer(
        client.GET('/api/models/{model}/sheet-map', {
          params: { path: { model: toValue(slug) }, query: { ways: toValue(ways) } },
        }),
      ),
    staleTime: Infinity,
  })
}

/** What a teacher says of every kind of fold. */
export const useFolds = () =>
  useQuery({ queryKey: ['folds'], queryFn: () => answer(client.GET('/api/folds')), staleTime: Infinity })
export const useFoldPictures = () =>
  useQuery({
    queryKey: ['fold-pictures'],
    queryFn: () => answer(client.GET('/api/fold-pictures')),
    staleTime: Infinity,
  })
export const useFold = (kind: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['folds', kind],
    queryFn: () => answer(client.GET('/api/folds/{kind}', { params: { path: { kind: toValue(kind) } } })),
    staleTime: Infinity,
  })

/** What another way of teaching each passage of a model changes, for a group. */
export function useWaysOfTeaching(
  slug: MaybeRefOrGetter<string>,
  ways: MaybeRefOrGetter<Ways>,
  group: MaybeRefOrGetter<number | undefined>,
) {
  return useQuery({
    queryKey: ['ways', slug, ways, group],
    queryFn: () => {
      const id = toValue(group)
      return answer(
        client.GET('/api/models/{model}/ways', {
          params: {
            path: { model: toValue(slug) },
            query: { ways: toValue(ways), ...(id === undefined ? {} : { group: id }) },
          },
        }),
      )
    },
    placeholderData: (before) => before,
  })
}

/** The same for a model of a lesson; without ways as the lesson is set, with what a change now would do. */
export function useWaysOfLesson(
  id: MaybeRefOrGetter<number>,
  slug: MaybeRefOrGetter<string>,
  ways: MaybeRefOrGetter<Ways | undefined>,
) {
  return useQuery({
    queryKey: ['lessons', id, 'ways', slug, ways],
    queryFn: () => waysOfLesson(toValue(id), toValue(slug), toValue(ways)),
    placeholderData: (before) => before,
  })
}
export const waysOfLesson = (lesson: number, model: string, ways?: Ways) =>
  answer(
    client.GET('/api/lessons/{lesson}/ways/{model}', {
      params: { path: { lesson, model }, query: ways === undefined ? {} : { ways } },
    }),
  )

/** How many of a group have made each kind of fold. */
export function useFoldStanding(group: MaybeRefOrGetter<number | null>) {
  return useQuery({
    queryKey: ['fold-standing', group],
    queryFn: () =>
      answer(client.GET('/api/groups/{group}/folds', { params: { path: { group: toValue(group) ?? 0 } } })),
    enabled: computed(() => toValue(group) !== null),
  })
}

/** What a group could fold next, and why. */
export const useNextModels = (group: MaybeRefOrGetter<number>) =>
  useQuery({
    queryKey: ['next-models', group],
    queryFn: () => answer(client.GET('/api/groups/{group}/next', { params: { path: { group: toValue(group) } } })),
  })

/** Minutes a lesson with each model takes a group. */
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

/** How each model would go with a group in so many minutes. */
export function useTimes(group: MaybeRefOrGetter<number | null>, minutes: MaybeRefOrGetter<number>) {
  const slot = computed(() => Math.min(480, Math.max(5, Math.round(Number(toValue(minutes)) || 60))))
  return useQuery({
    queryKey: ['times', group, slot],
    queryFn: () =>
      answer(
        client.GET('/api/groups/{group}/times', {
          params: { path: { group: toValue(group) ?? 0 }, query: { minutes: slot.value } },
        }),
      ),
    enabled: computed(() => toValue(group) !== null),
    placeholderData: (before) => before,
  })
}

/** What the planned lessons take together, by stock. */
export const usePaperNeeds = () =>
  useQuery({ queryKey: ['paper-needs'], queryFn: () => answer(client.GET('/api/paper-needs')) })

/** Each model against each stock, for the hands of a group. */
export function usePaperTable(group: MaybeRefOrGetter<number | null>) {
  return useQuery({
    queryKey: ['paper-table', group],
    queryFn: () =>
      answer(client.GET('/api/groups/{group}/paper', { params: { path: { group: toValue(group) ?? 0 } } })),
    enabled: computed(() => toValue(group) !== null),
  })
}

/** Folds and checks the text of a FOLD file; nothing is kept. */
export const usePattern = () =>
  useMutation({ mutationFn: (document: string) => answer(client.POST('/api/patterns', { body: { document } })) })

export function useWall(group: MaybeRefOrGetter<number>) {
  return useQuery({
    queryKey: ['wall', group],
    queryFn: () => answer(client.GET('/api/groups/{group}/wall', { params: { path: { group: toValue(group) } } })),
  })
}

export function useLesson(id: MaybeRefOrGetter<number>) {
  return useQuery({
    queryKey: ['lessons', id],
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

export function useSaveGroup() {
  const cache = useQueryClient()
  return useMutation({
    mutationFn: ({ id, body }: { id?: number; body: GroupInput }) =>
      saveVersioned(body, (given) =>
        answer(
          id === undefined
            ? client.POST('/api/groups', { body: given })
            : client.PUT('/api/groups/{group}', { params: { path: { group: id } }, body: given }),
        ),
      ),
    onSettled: () => cache.invalidateQueries(),
  })
}

export function useSaveStock() {
  const cache = useQueryClient()
  return useMutation({
    mutationFn: ({ id, body }: { id?: number; body: StockInput }) =>
      saveVersioned(body, (given) =>
        answer(
          id === undefined
            ? client.POST('/api/stocks', { body: given })
            : client.PUT('/api/stocks/{stock}', { params: { path: { stock: id } }, body: given }),
        ),
      ),
    onSettled: () => cache.invalidateQueries(),
  })
}
