import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { answer, client, type StockInput } from './client'
import { saveVersioned } from './saving'

export const useStocks = () => useQuery({ queryKey: ['stocks'], queryFn: () => answer(client.GET('/api/stocks')) })

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
