import { useQuery } from '@tanstack/vue-query'
import { computed, ref, toValue, watch, type MaybeRefOrGetter } from 'vue'
import { answer, client, type Ways, type WaysData } from '../api/client'

/**
 * Ways in two parts: the question that is shown first alone, since each option is a model that may have to be folded,
 * then all of them. What was known before stays until there is more.
 */
function inParts(
  key: readonly unknown[],
  ready: () => boolean,
  read: (only: 'first' | undefined) => Promise<WaysData>,
) {
  /** All were there once: from then on what was known stays until all are there anew. */
  const begun = ref(false)
  const first = useQuery({
    queryKey: [...key, 'first'],
    queryFn: () => read('first'),
    enabled: computed(() => ready() && !begun.value),
  })
  const whole = useQuery({
    queryKey: [...key, 'all'],
    queryFn: () => read(undefined),
    placeholderData: (before: WaysData | undefined) => before,
    enabled: computed(() => ready() && (begun.value || !first.isPending.value)),
  })
  watch(whole.data, (data) => { if (data) begun.value = true }, { immediate: true })
  return {
    data: computed(() => whole.data.value ?? first.data.value),
    /** the others are being worked out */
    coming: computed(() => whole.data.value === undefined && first.data.value !== undefined && !whole.isError.value),
    error: computed(() => whole.error.value ?? first.error.value),
    refetch: () => (first.isError.value ? first.refetch() : whole.refetch()),
  }
}

/**
 * What another way of teaching each passage of a model changes, for a group; asked when it is settled which group that
 * is.
 */
export function useWaysOfTeaching(
  slug: MaybeRefOrGetter<string>,
  ways: MaybeRefOrGetter<Ways>,
  group: MaybeRefOrGetter<number | undefined>,
  settled: () => boolean,
) {
  return inParts(['ways', slug, ways, group], settled, (only) => {
    const id = toValue(group)
    return answer(
      client.GET('/api/models/{model}/ways', {
        params: {
          path: { model: toValue(slug) },
          query: { ways: toValue(ways), ...(id === undefined ? {} : { group: id }), ...(only ? { only } : {}) },
        },
      }),
    )
  })
}

/** The same for a model of a lesson; without ways as the lesson is set, with what a change now would do. */
export function useWaysOfLesson(
  id: MaybeRefOrGetter<number>,
  slug: MaybeRefOrGetter<string>,
  ways: MaybeRefOrGetter<Ways | undefined>,
) {
  return inParts(
    ['lessons', id, 'ways', slug, ways],
    () => true,
    (only) => waysOfLesson(toValue(id), toValue(slug), toValue(ways), only),
  )
}

export const waysOfLesson = (lesson: number, model: string, ways?: Ways, only?: 'first') =>
  answer(
    client.GET('/api/lessons/{lesson}/ways/{model}', {
      params: { path: { lesson, model }, query: { ...(ways ? { ways } : {}), ...(only ? { only } : {}) } },
    }),
  )
