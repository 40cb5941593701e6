import { useQueryClient } from '@tanstack/vue-query'
import { computed, onScopeDispose, watch } from 'vue'
import { answer, client, type LessonData } from '../api/client'
import { type EventKind, type LogEvent, logOf } from './log/log'
import { outcomesOf } from './log/outcomes'
import { standingOf } from './log/standing'
import { deviceName } from './outbox/device'
import { type LogData, useOutbox } from './outbox/outbox'
import type { EventInput } from './outbox/store'
import { useHeard } from './useHeard'
import { usePolling } from './usePolling'
import { useUnheard } from './useUnheard'

/** What the stage reads and writes: of a lesson that is taught, or of one that is only rehearsed. */
export type StageLog = Pick<
  ReturnType<typeof useLessonLog>,
  'log' | 'standing' | 'outcomes' | 'waiting' | 'taps' | 'now'
> & { add: (kind: EventKind, more?: Partial<EventInput>) => Promise<void> }

/**
 * The log of a lesson as this device knows it: what the server said, what came since, and what this device has still to
 * send. Everything a screen shows of a lesson is folded from it; nothing else is kept.
 */
export function useLessonLog(id: () => number, lesson: () => LessonData | undefined) {
  const cache = useQueryClient()
  const outbox = useOutbox()
  const moved = usePolling(async () => {
    if (lesson()) hear(await logAfter(id(), heard.newest.value), heard.asked)
  })
  const heard = useHeard(id, moved)
  const unheard = useUnheard(outbox, id, () => heard.events.value)

  /** What recounts the lesson's steps is read anew together with them. */
  function hear(log: LogData, take = heard.take) {
    if (heard.recounts(log)) void cache.invalidateQueries({ queryKey: ['lessons', id()] })
    else take(log)
  }
  watch(lesson, (data) => { if (data && data.card.id === id()) heard.take(data.log) }, { immediate: true })
  onScopeDispose(outbox.onAnswer((of, log) => { if (of === id()) hear(log) }))

  const models = computed(() => lesson()?.models ?? [])
  const learners = computed(() => lesson()?.group.learners.map((learner) => learner.id) ?? [])
  /** What waits counts as if it came next: number after number, now. */
  const log = computed(() => logOf([
    ...heard.events.value.values(),
    ...unheard.events.value.map((event, i) => ({
      ...event, number: heard.newest.value + 1 + i, at_ms: event.device_ms + heard.ahead.value,
    }) as LogEvent),
  ]))
  const standing = computed(() => standingOf(log.value, models.value))
  const outcomes = computed(() => outcomesOf(log.value, models.value, learners.value))

  function add(kind: EventKind, more: Partial<EventInput> = {}) {
    moved()
    return outbox.add(id(), eventOf(kind, { after: heard.newest.value, ...more }))
  }

  return {
    log, standing, outcomes, add, waiting: unheard.waiting, taps: unheard.taps, newest: heard.newest,
    /** the server's time now */
    now: () => Date.now() + heard.ahead.value,
  }
}

/** An event as this device sends it. */
export const eventOf = (kind: EventKind, more: Partial<EventInput> & Pick<EventInput, 'after'>): EventInput => ({
  key: crypto.randomUUID(), kind, device: deviceName(), device_ms: Date.now(), ...more,
})

const logAfter = (lesson: number, after: number) =>
  answer(client.GET('/api/lessons/{lesson}/events', { params: { path: { lesson }, query: { after } } }))
