import { computed, ref, shallowRef } from 'vue'
import { keepLog, keptLog } from '../offline'
import type { LogEvent } from './log/log'
import { type LogData, seen } from './outbox/outbox'

/** One answer may have been on its way while this device said more. */
const TWICE = 2

/** What the server has said of a lesson's log, and how far its clock is from the device's. */
export function useHeard(id: () => number, moved: () => void) {
  const kept = keptLog(id())
  const events = shallowRef<ReadonlyMap<string, LogEvent>>(new Map(kept?.events.map((event) => [event.key, event])))
  const newest = ref(kept?.newest ?? 0)
  const ahead = ref(0)
  let older = 0

  /** The server has another, younger log: what is kept here is of a lesson that is gone (its number was given anew). */
  function isAnother(log: LogData) {
    const keys = new Set(log.events.map((event) => event.key))
    const contradicts = (event: LogEvent) =>
      log.events.some((one) => one.number === event.number) && !keys.has(event.key)
    return [...events.value.values()].some(contradicts)
  }

  function forget() {
    events.value = new Map()
    newest.value = 0
    older = 0
  }

  /** An answer to "what comes after": twice less than is known here, and it is another log. */
  function asked(log: LogData) {
    older = log.newest < newest.value ? older + 1 : 0
    if (older >= TWICE) forget()
    take(log)
  }

  function take(log: LogData) {
    ahead.value = log.now_ms - Date.now()
    if (isAnother(log)) forget()
    if (log.events.some((event) => !events.value.has(event.key))) {
      const more = new Map(events.value)
      for (const event of log.events) more.set(event.key, event)
      events.value = more
      moved()
    }
    if (log.newest > newest.value) {
      newest.value = log.newest
      keepLog(id(), { newest: newest.value, events: [...events.value.values()] })
    }
    seen.now(id(), newest.value)
  }

  return {
    events,
    newest: computed(() => newest.value),
    /** the server's clock over the device's, ms */
    ahead: computed(() => ahead.value),
    take,
    asked,
    /** A passage shown another way changes the lesson's steps with its log. */
    recounts: (log: LogData) =>
      log.events.some((event) => event.kind === 'way-changed' && !events.value.has(event.key)),
  }
}
