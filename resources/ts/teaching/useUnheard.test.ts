import { describe, expect, it } from 'vitest'
import { computed, ref } from 'vue'
import type { LogEvent } from './log/log'
import type { Outbox } from './outbox/outbox'
import type { StoredDeed } from './outbox/store'
import { useUnheard } from './useUnheard'

const deed = (key: string, kind: 'done' | 'moved' | 'way-changed' = 'done', lesson = 7) =>
  ({ id: 1, owner: '1', lesson, event: { key, kind, device: 'A', device_ms: 0, after: 0 } }) as StoredDeed

/** An outbox that holds what it is given, and a server that has said what it is given. */
function room() {
  const waiting = ref<StoredDeed[]>([])
  const refused = ref<StoredDeed[]>([])
  const heard = ref<string[]>([])
  const outbox = { waiting: computed(() => waiting.value), refused: computed(() => refused.value) }
  const of = useUnheard(
    outbox as unknown as Outbox,
    () => 7,
    () => new Map(heard.value.map((key) => [key, {} as LogEvent])),
  )
  return { waiting, refused, heard, of, keys: () => of.events.value.map((event) => event.key) }
}

describe('what the server has not told of', () => {
  it('is what waits, of this lesson alone', () => {
    const { waiting, of, keys } = room()
    waiting.value = [deed('a'), deed('b', 'done', 8), deed('c')]
    expect(keys()).toEqual(['a', 'c'])
    expect(of.waiting.value).toBe(2)
  })
  it('counts taps and steps apart', () => {
    const { waiting, of } = room()
    waiting.value = [deed('a', 'moved'), deed('b'), deed('c', 'moved')]
    expect([of.waiting.value, of.taps.value]).toEqual([3, 1])
  })
  it('counts on between being sent and being told', () => {
    const { waiting, heard, keys, of } = room()
    waiting.value = [deed('a'), deed('b')]
    waiting.value = [deed('b')]
    expect(keys()).toEqual(['a', 'b'])
    expect(of.waiting.value).toBe(1)
    heard.value = ['a']
    expect(keys()).toEqual(['b'])
  })
  it('ends when it is refused', () => {
    const { waiting, refused, keys } = room()
    waiting.value = [deed('a')]
    refused.value = [deed('a')]
    waiting.value = []
    expect(keys()).toEqual([])
  })
  it('is never a change of way: the steps change with it', () => {
    const { waiting, of, keys } = room()
    waiting.value = [deed('w', 'way-changed'), deed('a')]
    expect(keys()).toEqual(['a'])
    expect(of.waiting.value).toBe(2)
  })
})
