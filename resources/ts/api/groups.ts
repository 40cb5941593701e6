import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { answer, client, type GroupInput } from './client'
import { saveVersioned } from './saving'

/** Who is signed in; an error with status 401 means nobody. */
export const useMe = () =>
  useQuery({ queryKey: ['me'], queryFn: () => answer(client.GET('/api/me')), staleTime: Infinity })

export const useGroups = () => useQuery({ queryKey: ['groups'], queryFn: () => answer(client.GET('/api/groups')) })

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

/** How a lesson with these models, one after the other, would go; asked again as it is chosen. */
export function useLessonFit(
  wanted: MaybeRefOrGetter<{ group: number | null; models: string[]; minutes: number; helpers: number }>,
) {
  const settled = refDebounced(computed(() => toValue(wanted)), 250)
  const isFair = ({ group, models, minutes, helpers }: typeof settled.value) =>
    group !== null && models.length > 0 && minutes >= 5 && Number.isInteger(helpers) && helpers >= 0
  return useQuery({
    queryKey: ['lesson-fit', settled],
    queryFn: () => {
      const { group, models, minutes, helpers } = settled.value
      return answer(
        client.GET('/api/groups/{group}/fit', {
          params: { path: { group: group ?? 0 }, query: { models: models.join(','), minutes, helpers } },
        }),
      )
    },
    enabled: computed(() => isFair(settled.value)),
    placeholderData: (before) => before,
  })
}

export function useWall(group: MaybeRefOrGetter<number>) {
  return useQuery({
    queryKey: ['wall', group],
    queryFn: () => answer(client.GET('/api/groups/{group}/wall', { params: { path: { group: toValue(group) } } })),
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
