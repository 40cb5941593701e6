import { useQuery } from '@tanstack/vue-query'
import { answer, client } from '../api/client'

/** The key under which the bodies of a lesson are kept. */
export const measuresOf = (lesson: number) => ['measures', lesson] as const

/** Every body of a lesson with its predicted sizes, and what was read off rulers. */
export const useMeasures = (lesson: number) =>
  useQuery({
    queryKey: measuresOf(lesson),
    queryFn: () => answer(client.GET('/api/lessons/{lesson}/measures', { params: { path: { lesson } } })),
  })
