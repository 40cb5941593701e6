import { useDocumentVisibility, useTimeoutFn } from '@vueuse/core'
import { computed, ref } from 'vue'

/** How often the log is asked for what is new: while it moves, when quiet, when nobody looks (ms). */
const POLL = { moving: 1000, quiet: 5000, hidden: 15_000 } as const
const QUIET_AFTER_MS = 20_000

/**
 * Asks again and again, one question at a time: less often when nothing moves, when nobody looks, and when nothing
 * answers. Returns what is called when something moved.
 */
export function usePolling(ask: () => Promise<void>): () => void {
  const visibility = useDocumentVisibility()
  const failures = ref(0)
  let movedAt = Date.now()
  const pause = computed(() => {
    if (visibility.value === 'hidden') return POLL.hidden
    const usual = Date.now() - movedAt > QUIET_AFTER_MS ? POLL.quiet : POLL.moving
    return Math.min(POLL.hidden, usual * 2 ** failures.value)
  })
  const poll = useTimeoutFn(async () => {
    try {
      await ask()
      failures.value = 0
    } catch {
      failures.value = Math.min(4, failures.value + 1)
    }
    poll.start()
  }, pause)
  return () => {
    movedAt = Date.now()
  }
}
