import { computed } from 'vue'
import { useRoute } from 'vue-router'
import type { Ways } from '../api/client'

/** The ways as an address names them ("base:squash,legs:pages"). */
export function useAskedWays() {
  const route = useRoute()
  return computed<Ways>(() =>
    Object.fromEntries(
      String(route.query['ways'] ?? '')
        .split(',')
        .filter((pair) => pair.includes(':'))
        .map((pair) => pair.split(':') as [string, string]),
    ),
  )
}
