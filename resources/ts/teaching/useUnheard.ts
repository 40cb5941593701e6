import { computed, shallowRef, watch } from 'vue'
import { isMark, type LogEvent } from './log/log'
import type { Outbox } from './outbox/outbox'
import type { StoredDeed } from './outbox/store'

/**
 * Deeds of a lesson that the server has not told of yet: what waits here, and what another tab has sent meanwhile,
 * which counts on so that nothing falls back for a moment. A change of way counts only when the server has it, since
 * the lesson's steps change with it.
 */
export function useUnheard(outbox: Outbox, lesson: () => number, heard: () => ReadonlyMap<string, LogEvent>) {
  const waiting = computed(() => outbox.waiting.value.filter((deed) => deed.lesson === lesson()))
  const passed = shallowRef<readonly StoredDeed[]>([])
  watch(waiting, (now, before) => {
    const there = new Set([...now, ...outbox.refused.value].map((deed) => deed.event.key))
    const gone = before.filter((deed) => !there.has(deed.event.key))
    if (gone.length + passed.value.length === 0) return
    passed.value = [...passed.value, ...gone].filter((deed) => !heard().has(deed.event.key))
  }, { flush: 'sync' })
  const events = computed(() =>
    [...passed.value, ...waiting.value]
      .map((deed) => deed.event)
      .filter((event) => event.kind !== 'way-changed' && !heard().has(event.key)),
  )
  const taps = computed(() => waiting.value.filter((deed) => isMark(deed.event)).length)
  return { waiting: computed(() => waiting.value.length), taps, events }
}
