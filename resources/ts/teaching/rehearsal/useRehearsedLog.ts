import { useIntervalFn } from '@vueuse/core'
import { computed, ref, shallowRef } from 'vue'
import type { LessonData } from '../../api/client'
import { type EventKind, type LogEvent, logOf } from '../log/log'
import { outcomesOf } from '../log/outcomes'
import { standingOf } from '../log/standing'
import type { EventInput } from '../outbox/store'
import type { StageLog } from '../useLessonLog'
import { type Cast, type Happening, reviewOf, Room } from './room'

/** How often the room is looked at, ms. */
const LOOK = 200

/**
 * The log of a lesson that is only rehearsed: what the lead does on the stage goes to a room of simulated learners, and
 * what they do comes back as marks. Nothing of it is kept or sent.
 */
export function useRehearsedLog(lesson: LessonData, cast: Cast) {
  const start = lesson.clock.bell_ms - 60_000 * lesson.card.minutes
  const room = new Room(cast)
  const speed = ref(1)
  /** seconds of the rehearsal so far */
  const elapsed = ref(0)
  const { events, write } = rehearsedEvents(start)
  const happenings: Happening[] = []
  const moved = new Map<number, number>()
  const asking = ref(room.asking())
  const isOver = ref(false)
  let looked = Date.now()

  const stepAt = (place: number) => cast.steps[place]?.step ?? 0
  function hear(all: readonly Happening[]) {
    for (const one of all) {
      happenings.push(one)
      write(one.kind, one.t, { learner: one.learner, step: stepAt(one.place) })
    }
    asking.value = room.asking()
  }
  function pass() {
    const real = Date.now()
    if (!isOver.value && moved.size > 0) elapsed.value += ((real - looked) / 1000) * speed.value
    looked = real
    hear(room.until(elapsed.value))
  }
  const ticking = useIntervalFn(pass, LOOK)

  function add(kind: EventKind, more: Partial<EventInput> = {}) {
    pass()
    if (isOver.value) return Promise.resolve()
    if (kind === 'moved') {
      const place = cast.steps.findIndex((one) => one.step === more.step)
      if (place >= 0) {
        hear(room.show(place, elapsed.value))
        if (!moved.has(place)) moved.set(place, elapsed.value)
      }
      write('moved', elapsed.value, { step: more.step ?? 0 })
    } else if ((kind === 'done' || kind === 'help') && more.learner != null) {
      hear(room.help(more.learner, elapsed.value))
    } else if (kind === 'ended') {
      isOver.value = true
      ticking.pause()
      write('ended', elapsed.value)
    }
    return Promise.resolve()
  }

  const log = computed(() => logOf(events.value))
  const stage: StageLog = {
    log,
    standing: computed(() => standingOf(log.value, lesson.models)),
    outcomes: computed(() => outcomesOf(log.value, lesson.models, cast.learners)),
    add,
    waiting: computed(() => 0),
    taps: computed(() => 0),
    now: () => start + 1000 * elapsed.value,
  }
  return { stage, speed, elapsed, asking, isOver, review: () => reviewOf(cast, moved, happenings) }
}

/** The events so far, and how one is written at a second of the rehearsal. */
function rehearsedEvents(start: number) {
  const events = shallowRef<LogEvent[]>([])
  function write(kind: EventKind, t: number, more: Partial<LogEvent> = {}) {
    const number = events.value.length + 1
    const at_ms = start + 1000 * t
    const event = { key: `r${number}`, kind, number, at_ms, device: 'rehearsal', after: number, ...more }
    events.value = [...events.value, event]
  }
  return { events, write }
}
