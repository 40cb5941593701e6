import { useQueryClient } from '@tanstack/vue-query'
import { readonly, ref, shallowRef } from 'vue'
import { answer, type BinEntry, Problem } from '../api/client'
import { i18n } from '../i18n'
import { ask } from '../parts/asking'

const last = shallowRef<BinEntry | null>(null)
/** What was removed last, while it can be put back with one press (BinNote). */
export const removed = readonly(last)
export const forgetRemoved = () => { last.value = null }

type Call = (sure: boolean) => Promise<{ data?: BinEntry; error?: unknown; response: Response }>

/** Removing puts into the bin; what goes with it is named and asked for first. */
export function useRemoving(call: Call) {
  const cache = useQueryClient()
  const error = ref('')

  /** Whether it lies in the bin now. */
  async function remove(sure = false): Promise<boolean> {
    error.value = ''
    try {
      last.value = await answer(call(sure))
      await cache.invalidateQueries()
      return true
    } catch (problem) {
      if (problem instanceof Problem && 'sure' in problem.fields) {
        const { t } = i18n.global
        const choice = await ask({
          title: t('bin.ask'),
          text: problem.message,
          choices: [{ key: 'remove', label: t('ask.intoTheBin'), danger: true }],
        })
        return choice === 'remove' ? remove(true) : false
      }
      error.value = problem instanceof Error ? problem.message : String(problem)
      return false
    }
  }

  return { remove, error: readonly(error) }
}
