import { useQueryClient } from '@tanstack/vue-query'
import { useDocumentVisibility, useTimeoutFn } from '@vueuse/core'
import { computed, onScopeDispose, readonly, ref, shallowRef, watch } from 'vue'
import { answer, client, type LessonData } from '../api/client'
import { type EventKind, type LogEvent, logOf } from './log/log'
import { outcomesOf } from './log/outcomes'
import { standingOf } from './log/standing'
import { type LogData, seen, useDeeds } from './queue/deeds'
import { deviceName } from './queue/device'
import type { EventInput, StoredDeed } from './queue/store'

/** How often the log is asked for what is new: while it moves, when quiet, when nobody looks (ms). */
const POLL = { moving: 1000, quiet: 5000, hidden: 15_000 } as const
const QUIET_AFTER_MS = 20_000

/** What the stage reads and writes: of a lesson that is taught, or of one that is only rehearsed. */
export type StageLog = Pick<
  ReturnType<typeof useLessonLog>,
  'log' | 'standing' | 'outcomes' | 'waiting' | 'now'
> & { add: (kind: EventKind, more?: Partial<EventInput>) => Promise<void> }

/**
 * The log of a lesson as this device knows it: what the server said, what came since, and what this device has still to
 * send. Everything a screen shows of a lesson is folded from it; nothing else is kept.
 */
export function useLessonLog(id: () => number, lesson: () => LessonData | undefined) {
  const cache = useQueryClient()
  const deeds = useDeeds()
  const known = shallowRef(new Map<string, LogEvent>())
  const newest = ref(0)
  const ahead = ref(0) // the server's clock over the device's, ms
  const visibility = useDocumentVisibility()
  let movedAt = Date.now()

  function take(log: LogData) {
    ahead.value = log.now_ms - Date.now()
    if (log.events.some((event) => !known.value.has(event.key))) {
      const more = new Map(known.value)
      for (const event of log.events) more.set(event.key, event)
      known.value = more
      movedAt = Date.now()
    }
    newest.value = Math.max(newest.value, log.newest)
    seen.now(id(), newest.value)
  }
  watch(lesson, (data) => { if (data && data.card.id === id()) take(data.log) }, { immediate: true })
  /** A passage shown another way changes the lesson's steps with its log, so both are read anew together. */
  function hear(log: LogData) {
    const recounts = log.events.some((event) => event.kind === 'way-changed' && !known.value.has(event.key))
    if (recounts) void cache.invalidateQueries({ queryKey: ['lessons', id()] })
    else take(log)
  }
  onScopeDispose(deeds.onAnswer((of, log) => { if (of === id()) hear(log) }))

  const failures = ref(0)
  const pause = computed(() => {
    if (visibility.value === 'hidden') return POLL.hidden
    const usual = Date.now() - movedAt > QUIET_AFTER_MS ? POLL.quiet : POLL.moving
    return Math.min(POLL.hidden, usual * 2 ** failures.value)
  })
  const poll = useTimeoutFn(async () => {
    if (lesson()) {
      try {
        hear(await answer(client.GET('/api/lessons/{lesson}/events', {
          params: { path: { lesson: id() }, query: { after: newest.value } },
        })))
        failures.value = 0
      } catch {
        failures.value = Math.min(4, failures.value + 1)
      }
    }
    poll.start()
  }, pause)

  const own = computed(() => deeds.waiting.value.filter((deed) => deed.lesson === id()))
  /** Sent by another tab, and not yet in what this tab was told: counts on, so that nothing falls back for a moment. */
  const passed = shallowRef<readonly StoredDeed[]>([])
  watch(own, (now, before) => {
    const there = new Set([...now, ...deeds.aside.value].map((deed) => deed.event.key))
    const gone = before.filter((deed) => !there.has(deed.event.key))
    if (gone.length + passed.value.length === 0) return
    passed.value = [...passed.value, ...gone].filter((deed) => !known.value.has(deed.event.key))
  }, { flush: 'sync' })
  const models = computed(() => lesson()?.models ?? [])
  const learners = computed(() => lesson()?.group.learners.map((learner) => learner.id) ?? [])
  /** What waits counts as if it came next: number after number, now. */
  const log = computed(() => logOf([
    ...known.value.values(),
    ...[...passed.value, ...own.value]
      .filter((deed) => !known.value.has(deed.event.key))
      .map(({ event }, i) => ({
        ...event, number: newest.value + 1 + i, at_ms: event.device_ms + ahead.value,
      }) as LogEvent),
  ]))
  const standing = computed(() => standingOf(log.value, models.value))
  const outcomes = computed(() => outcomesOf(log.value, models.value, learners.value))

  function add(kind: EventKind, more: Partial<EventInput> = {}) {
    const event: EventInput = {
      key: crypto.randomUUID(), kind, device: deviceName(), device_ms: Date.now(), after: newest.value, ...more,
    }
    movedAt = Date.now()
    return deeds.add(id(), event)
  }

  return {
    log, standing, outcomes, add, waiting: computed(() => own.value.length), newest: readonly(newest),
    /** the server's time now */
    now: () => Date.now() + ahead.value,
  }
}
