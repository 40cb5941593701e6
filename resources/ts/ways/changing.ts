import type { Ways } from '../api/client'
import { deviceName } from '../teaching/outbox/device'
import { type Outbox, seen } from '../teaching/outbox/outbox'
import { eventOf } from '../teaching/useLessonLog'
import { waysOfLesson } from './ways'

/** A change that could not be sent yet; it waits in the outbox like every mark. */
export class Unsent extends Error {}

/**
 * Passages of a lesson that is being taught shown another way, one event each: the count of steps after one is what the
 * next begins from. Marks that wait go first, so that they keep their place.
 */
export async function changeWays(outbox: Outbox, lesson: number, slug: string, picked: Ways): Promise<void> {
  let newest = seen.of(lesson)
  const stop = outbox.onAnswer((of, log) => {
    if (of === lesson) newest = Math.max(newest, log.newest)
  })
  try {
    await outbox.send()
    if (outbox.waiting.value.some((deed) => deed.lesson === lesson)) throw new Unsent()
    for (const [passage, option] of Object.entries(picked)) {
      const { passages } = await waysOfLesson(lesson, slug)
      const way = passages.find((one) => one.name === passage)?.options.find((one) => one.key === option)?.change
      if (!way) continue
      // A name of its own: nobody counts by the new way before the server has told it, this tab neither.
      const device = `${deviceName()}.${crypto.randomUUID().slice(0, 8)}`
      const event = eventOf('way-changed', { after: newest, device, way })
      await outbox.add(lesson, event)
      const refused = await outbox.delivered(event.key)
      if (refused === undefined) throw new Unsent()
      if (refused !== null) {
        const deed = outbox.refused.value.find((one) => one.event.key === event.key)
        if (deed) await outbox.drop(deed.id) // it is said here; nothing is left to decide
        throw new Error(refused)
      }
    }
  } finally {
    stop()
  }
}
