import { beforeEach, describe, expect, it, vi } from 'vitest'
import { useHeard } from './useHeard'
import type { LogEvent } from './log/log'
import type { LogData } from './outbox/outbox'

vi.mock('./outbox/outbox', () => ({ seen: { now: () => undefined } }))
const kept = new Map<string, string>()
vi.stubGlobal('localStorage', {
  getItem: (key: string) => kept.get(key) ?? null,
  setItem: (key: string, value: string) => kept.set(key, value),
  removeItem: (key: string) => kept.delete(key),
})
const event = (number: number, key = `k${number}`) => ({ number, key, kind: 'moved', step: number }) as LogEvent
const log = (newest: number, ...events: LogEvent[]) => ({ newest, now_ms: Date.now(), events }) as unknown as LogData
const keep = (...events: LogEvent[]) =>
  kept.set('log-7', JSON.stringify({ newest: events.at(-1)?.number ?? 0, events }))
const keys = (heard: ReturnType<typeof useHeard>) => [...heard.events.value.keys()]

describe('what a device kept of a lesson', () => {
  beforeEach(() => { kept.clear() })

  it('is shown at once, and what is new comes to it', () => {
    keep(event(1), event(2))
    const heard = useHeard(() => 7, () => undefined)
    expect(keys(heard)).toEqual(['k1', 'k2'])
    heard.asked(log(3, event(3)))
    expect([keys(heard), heard.newest.value]).toEqual([['k1', 'k2', 'k3'], 3])
  })
  it('gives way to another lesson that got the same number', () => {
    keep(event(1), event(2))
    const heard = useHeard(() => 7, () => undefined)
    heard.take(log(1, event(1, 'other')))
    expect([keys(heard), heard.newest.value]).toEqual([['other'], 1])
  })
  it('gives way to a log that is shorter, once that is sure', () => {
    keep(event(1), event(2))
    const heard = useHeard(() => 7, () => undefined)
    heard.asked(log(0))
    expect(keys(heard)).toEqual(['k1', 'k2'])
    heard.asked(log(0))
    expect([keys(heard), heard.newest.value]).toEqual([[], 0])
  })
  it('stays when an older answer comes late', () => {
    keep(event(1))
    const heard = useHeard(() => 7, () => undefined)
    heard.take(log(2, event(2)))
    heard.asked(log(1))
    heard.asked(log(2))
    heard.asked(log(1))
    expect([keys(heard), heard.newest.value]).toEqual([['k1', 'k2'], 2])
  })
})
