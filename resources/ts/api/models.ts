import { useMutation, useQuery } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { answer, client, type Ways } from './client'

export const useModels = () =>
  useQuery({ queryKey: ['models'], queryFn: () => answer(client.GET('/api/models')), staleTime: Infinity })

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

/** How one step of a model moves. */
export const motionQuery = (slug: string, ways: Ways, step: number) => ({
  queryKey: ['motion', slug, ways, step],
  queryFn: () =>
    answer(
      client.GET('/api/models/{model}/steps/{step}/motion', {
        params: { path: { model: slug, step: String(step) }, query: { ways } },
      }),
    ),
  staleTime: Infinity,
})

/** Asked for only when it is wanted, for it may have to be worked out first. */
export const useMotion = (
  slug: MaybeRefOrGetter<string>,
  ways: MaybeRefOrGetter<Ways>,
  step: MaybeRefOrGetter<number>,
  wanted: MaybeRefOrGetter<boolean>,
) =>
  useQuery(computed(() => ({
    ...motionQuery(toValue(slug), toValue(ways), toValue(step)), enabled: toValue(wanted),
  })))

/** What goes wrong at a step of a model. */
export const faultsQuery = (slug: string, ways: Ways, step: number) => ({
  queryKey: ['faults', slug, ways, step],
  queryFn: () =>
    answer(
      client.GET('/api/models/{model}/steps/{step}/faults', {
        params: { path: { model: slug, step: String(step) }, query: { ways } },
      }),
    ),
  staleTime: Infinity,
})

/** Asked for only when it is wanted, for it may have to be worked out first. */
export const useFaults = (
  slug: MaybeRefOrGetter<string>,
  ways: MaybeRefOrGetter<Ways>,
  step: MaybeRefOrGetter<number>,
  wanted: MaybeRefOrGetter<boolean>,
) =>
  useQuery(computed(() => ({
    ...faultsQuery(toValue(slug), toValue(ways), toValue(step)), enabled: toValue(wanted),
  })))

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

/** Folds and checks the text of a FOLD file; nothing is kept. */
export const usePattern = () =>
  useMutation({ mutationFn: (document: string) => answer(client.POST('/api/patterns', { body: { document } })) })
