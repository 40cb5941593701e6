import 'fake-indexeddb/auto'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Problem } from '../api/client'
import { type LogData, Outbox } from '../teaching/outbox/outbox'
import { type EventInput, openStore } from '../teaching/outbox/store'
import { changeWays, Unsent } from './changing'

const asked: string[] = []
vi.mock('./ways', () => ({
  waysOfLesson: (lesson: number, model: string) => {
    asked.push(`${lesson} ${model}`)
    const option = (key: string, first: number) =>
      ({ key, change: { model, begins: 1, spans: [{ first, was: 1, now: 2 }] } })
    return Promise.resolve({
      passages: [
        { name: 'base', options: [option('squash', 2), { key: 'usual', change: null }] },
        { name: 'legs', options: [option('tucked', 7)] },
      ],
    })
  },
}))

let stores = 0
const sent: EventInput[] = []
/** An outbox before a server that answers with the numbers it gives; `no` may throw instead. */
async function outboxTo(no: (event: EventInput) => void = () => undefined) {
  const outbox = new Outbox(openStore(`ways ${++stores}`), (_, events): Promise<LogData> => {
    for (const event of events) {
      no(event)
      if (!sent.some((one) => one.key === event.key)) sent.push(event)
    }
    return Promise.resolve({ newest: 40 + sent.length, now_ms: 0, events: [] })
  })
  await outbox.belongTo('1 1')
  return outbox
}
const mark: EventInput = { key: 'm', kind: 'done', device: 'A', device_ms: 0, after: 0, learner: 1, step: 1 }

beforeEach(() => {
  const kept = { getItem: () => 'A', setItem: () => undefined, removeItem: () => undefined }
  vi.stubGlobal('navigator', {})
  vi.stubGlobal('localStorage', kept)
  vi.stubGlobal('sessionStorage', kept)
  sent.length = asked.length = 0
})
afterEach(() => { vi.unstubAllGlobals() })

describe('passages shown another way while a lesson is taught', () => {
  it('go through the outbox behind every mark, each counted from the answer to the one before', async () => {
    const outbox = await outboxTo()
    void outbox.add(7, mark)
    await vi.waitFor(() => { expect(sent.length).toBe(1) })
    await changeWays(outbox, 7, 'crane', { base: 'squash', legs: 'tucked' })
    expect(sent.map((one) => one.kind)).toEqual(['done', 'way-changed', 'way-changed'])
    expect(sent.map((one) => one.after)).toEqual([0, 0, 42])
    expect(sent.slice(1).map((one) => one.way?.spans[0]?.first)).toEqual([2, 7])
    expect(asked).toEqual(['7 crane', '7 crane'])
    expect(new Set(sent.map((one) => one.device)).size).toBe(3)
  })

  it('say nothing where the lesson is set so already', async () => {
    const outbox = await outboxTo()
    await changeWays(outbox, 7, 'crane', { base: 'usual', unknown: 'x' })
    expect(sent).toEqual([])
  })

  it('wait until the marks before them are sent', async () => {
    const outbox = await outboxTo((event) => {
      if (event.kind === 'done') throw new Problem(0, 'No line.', {})
    })
    void outbox.add(7, mark)
    await vi.waitFor(() => { expect(outbox.stalled.value).toBe(true) })
    await expect(changeWays(outbox, 7, 'crane', { base: 'squash' })).rejects.toBeInstanceOf(Unsent)
    expect(asked).toEqual([])
    expect(outbox.waiting.value.map((deed) => deed.event.kind)).toEqual(['done'])
  })

  it('stay in the outbox when the line breaks, and go later like a mark', async () => {
    let broken = true
    const outbox = await outboxTo(() => {
      if (broken) throw new Problem(0, 'No line.', {})
    })
    await expect(changeWays(outbox, 7, 'crane', { base: 'squash' })).rejects.toBeInstanceOf(Unsent)
    expect(outbox.waiting.value.map((deed) => deed.event.kind)).toEqual(['way-changed'])
    broken = false
    await outbox.send()
    expect(sent.map((one) => one.kind)).toEqual(['way-changed'])
    expect(outbox.waiting.value).toEqual([])
  })

  it('say why the server refused one, and the next is not asked', async () => {
    const outbox = await outboxTo((event) => {
      if (event.kind === 'way-changed') throw new Problem(409, 'No.', { 'events/0/way': 'The group is past it.' })
    })
    const asking = changeWays(outbox, 7, 'crane', { base: 'squash', legs: 'tucked' })
    await expect(asking).rejects.toThrow('The group is past it.')
    expect(asked).toEqual(['7 crane'])
    expect([outbox.waiting.value, outbox.refused.value]).toEqual([[], []])
  })
})
