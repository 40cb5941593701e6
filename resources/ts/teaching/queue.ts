import { useIntervalFn, useLocalStorage } from '@vueuse/core'
import { computed, readonly, ref } from 'vue'
import { answer, client, type MarkData, Problem } from '../api/client'

export type Deed =
  | { type: 'mark'; lesson: number; mark: MarkData }
  | { type: 'unmark'; lesson: number; key: string }
  | { type: 'step'; lesson: number; step: number }

/**
 * What the lead does in front of the class: kept on the device first, then sent in order, again and again until the
 * server has it. Sending twice is harmless: marks carry their own key, a position is only set.
 */
export function useDeeds() {
  const waiting = useLocalStorage<Deed[]>('cathedra.deeds', [])
  const refused = ref('')
  const signedOut = ref(false)
  let busy = false

  async function send() {
    if (busy) return
    busy = true
    try {
      while (waiting.value[0]) {
        await deliver(waiting.value[0])
        waiting.value = waiting.value.slice(1)
        signedOut.value = false
      }
    } catch (problem) {
      const status = problem instanceof Problem ? problem.status : 0
      signedOut.value = status === 401 || status === 419
      if (status >= 400 && status < 500 && !signedOut.value && status !== 429) {
        refused.value = problem instanceof Error ? problem.message : ''
        waiting.value = waiting.value.slice(1)
      }
    } finally {
      busy = false
    }
  }

  function deliver(deed: Deed): Promise<unknown> {
    const lesson = deed.lesson
    if (deed.type === 'mark')
      return answer(client.POST('/api/lessons/{lesson}/marks', { params: { path: { lesson } }, body: deed.mark }))
    if (deed.type === 'unmark')
      return answer(client.DELETE('/api/lessons/{lesson}/marks/{key}', { params: { path: { lesson, key: deed.key } } }))
    return answer(
      client.PUT('/api/lessons/{lesson}/position', { params: { path: { lesson } }, body: { step: deed.step } }),
    )
  }

  function add(deed: Deed) {
    refused.value = ''
    waiting.value = [...waiting.value, deed]
    void send()
  }

  useIntervalFn(() => {
    if (waiting.value.length > 0) void send()
  }, 3000)
  return {
    add,
    send,
    waiting: readonly(waiting),
    count: computed(() => waiting.value.length),
    refused: readonly(refused),
    signedOut: readonly(signedOut),
  }
}

/** The marks as they will be once everything that waits has been sent. */
export function withWaiting(marks: MarkData[], waiting: readonly Deed[], lesson: number): MarkData[] {
  let result = [...marks]
  for (const deed of waiting) {
    if (deed.lesson !== lesson) continue
    if (deed.type === 'mark' && !result.some((m) => m.key === deed.mark.key)) result.push(deed.mark)
    if (deed.type === 'unmark') result = result.filter((m) => m.key !== deed.key)
  }
  return result
}
