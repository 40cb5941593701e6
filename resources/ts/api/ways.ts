import { useQuery } from '@tanstack/vue-query'
import { toValue, type MaybeRefOrGetter } from 'vue'
import { answer, client, type Ways } from './client'

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
