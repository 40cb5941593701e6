import 'fake-indexeddb/auto'
import { describe, expect, it, vi } from 'vitest'
import { Problem } from '../../api/client'
import { Outbox } from './outbox'
import { refusedAt, sendAll } from './sender'
import { type EventInput, openStore, type Store, type StoredDeed } from './store'

let stores = 0
const fresh = () => openStore(`test ${++stores}`)
const deed = (key: string, more: Partial<EventInput> = {}): EventInput => ({
  key,
  kind: 'done',
  device: 'A',
  device_ms: 0,
  after: 0,
  learner: 1,
  step: 1,
  ...more,
})
const plain = (status: number) => new Problem(status, 'A proxy says no.', {})
const refusal = (index: number, status = 422) =>
  new Problem(status, 'No.', { [`events/${index}/step`]: 'Not this step.' })

/** A server that keeps what it acknowledges; `no` may throw for a batch. */
function server(no: (events: EventInput[], lesson: number) => void = () => undefined) {
  const kept: string[] = []
  const asked: string[][] = []
  return {
    kept,
    asked,
    outside: (store: Store) => ({
      store,
      acknowledged: () => undefined,
      send: (lesson: number, events: EventInput[]) => {
        asked.push(events.map((e) => e.key))
        no(events, lesson)
        for (const event of events) if (!kept.includes(event.key)) kept.push(event.key)
        return Promise.resolve('ok')
      },
    }),
  }
}
async function filled(store: Store, keys: string[], owner = '1 1', lesson = 7) {
  for (const key of keys) await store.add({ owner, lesson, event: deed(key) })
}
const keysOf = (deeds: StoredDeed[]) => deeds.map((d) => d.event.key)

describe('sending what waits', () => {
  it('sends in order, lesson by lesson, and forgets only what was acknowledged', async () => {
    const store = fresh()
    const there = server()
    await filled(store, ['a', 'b'])
    await filled(store, ['x'], '1 1', 8)
    await filled(store, ['c'])
    expect(await sendAll('1 1', there.outside(store))).toBe('all')
    expect(there.asked).toEqual([['a', 'b', 'c'], ['x']])
    expect(await store.of('1 1')).toEqual([])
  })

  it('leaves other people’s deeds alone', async () => {
    const store = fresh()
    const there = server()
    await filled(store, ['hers'], '1 1')
    await filled(store, ['mine'], '1 2')
    await sendAll('1 2', there.outside(store))
    expect(there.kept).toEqual(['mine'])
    expect(keysOf(await store.of('1 1'))).toEqual(['hers'])
  })

  for (const status of [0, 403, 404, 408, 429, 502, 503]) {
    it(`drops nothing when the way there answers ${status}`, async () => {
      const store = fresh()
      const there = server(() => {
        throw plain(status)
      })
      await filled(store, ['a', 'b'])
      expect(await sendAll('1 1', there.outside(store))).toBe('later')
      expect(keysOf(await store.of('1 1'))).toEqual(['a', 'b'])
    })
  }

  it('stops without loss when signed out', async () => {
    const store = fresh()
    await filled(store, ['a'])
    expect(
      await sendAll(
        '1 1',
        server(() => {
          throw plain(401)
        }).outside(store),
      ),
    ).toBe('signed-out')
    expect(keysOf(await store.of('1 1'))).toEqual(['a'])
  })

  it('sets a refused deed aside with its reason and sends the others', async () => {
    const store = fresh()
    const there = server((events) => {
      const at = events.findIndex((e) => e.key === 'bad')
      if (at >= 0) throw refusal(at)
    })
    await filled(store, ['a', 'bad', 'b'])
    expect(await sendAll('1 1', there.outside(store))).toBe('all')
    expect(there.kept).toEqual(['a', 'b'])
    expect((await store.of('1 1')).map((d) => [d.event.key, d.aside])).toEqual([['bad', 'Not this step.']])
  })

  it('sets all deeds of a lesson in the bin aside, to wait until it is put back', async () => {
    const store = fresh()
    const there = server((_, lesson) => {
      if (lesson === 7) throw new Problem(410, 'Bin.', { lesson: 'In the bin.' })
    })
    await filled(store, ['a', 'b'])
    await filled(store, ['x'], '1 1', 8)
    await sendAll('1 1', there.outside(store))
    expect((await store.of('1 1')).map((d) => d.aside)).toEqual(['In the bin.', 'In the bin.'])
    const [first] = await store.of('1 1')
    await store.setAside(first?.id ?? 0, undefined)
    expect((await store.of('1 1'))[0]?.aside).toBeUndefined()
  })

  it('finds the one deed that breaks the server, and what would take it back waits with it', async () => {
    const store = fresh()
    const there = server((events) => {
      if (events.some((e) => e.key === 'breaks')) throw plain(500)
    })
    await filled(store, ['a', 'breaks', 'b'])
    await store.add({ owner: '1 1', lesson: 7, event: deed('undo', { kind: 'taken-back', cancels: 'breaks' }) })
    expect(await sendAll('1 1', there.outside(store))).toBe('later')
    expect(there.kept).toEqual(['a', 'b'])
    expect(keysOf(await store.of('1 1'))).toEqual(['breaks', 'undo'])
  })

  it('takes only our own words for a refusal', () => {
    expect(refusedAt(refusal(1), 2)).toEqual({ index: 1, why: 'Not this step.' })
    expect(refusedAt(refusal(1, 409), 2)).toEqual({ index: 1, why: 'Not this step.' })
    expect(refusedAt(refusal(5), 2)).toBeNull()
    expect(refusedAt(refusal(0, 500), 2)).toBeNull()
    expect(refusedAt(plain(422), 2)).toBeNull()
    expect(refusedAt(new Error('no'), 2)).toBeNull()
  })

  it('loses and doubles nothing when two tabs fill and send the same list, 150 deeds each way', async () => {
    const name = `tabs ${++stores}`
    const [one, two] = [openStore(name), openStore(name)]
    const there = server()
    const keys = Array.from({ length: 150 }, (_, i) => `k${i}`)
    await Promise.all(
      keys.map(async (key, i) => {
        const store = i % 2 ? one : two
        await store.add({ owner: '1 1', lesson: 7, event: deed(key) })
        if (i % 20 === 0) await sendAll('1 1', there.outside(store))
      }),
    )
    await Promise.all([sendAll('1 1', there.outside(one)), sendAll('1 1', there.outside(two))])
    expect([...there.kept].sort()).toEqual([...keys].sort())
    expect(await one.of('1 1')).toEqual([])
  })
})

describe('what is said of the line', () => {
  it('says that nothing answers only when nothing does, and that marks wait only when they do', async () => {
    vi.stubGlobal('navigator', {})
    const answers = [plain(0), plain(500), plain(503), null]
    const deeds = new Outbox(fresh(), () => {
      const next = answers.shift() ?? null
      return next ? Promise.reject(next) : Promise.resolve({ newest: 1, now_ms: 0, events: [] })
    })
    await deeds.belongTo('1 1')
    expect([deeds.unreachable.value, deeds.stalled.value]).toEqual([false, false])
    const said: boolean[][] = []
    await deeds.add(7, deed('a'))
    await vi.waitFor(() => {
      expect(deeds.stalled.value).toBe(true)
    })
    said.push([deeds.unreachable.value, deeds.stalled.value])
    for (let i = 0; i < 3; i++) {
      await deeds.send()
      said.push([deeds.unreachable.value, deeds.stalled.value])
    }
    expect(said).toEqual([[true, true], [false, true], [true, true], [false, false]])
    expect(deeds.waiting.value).toEqual([])
    vi.unstubAllGlobals()
  })
})

describe('a device that cannot store', () => {
  it('says so, keeps the deed in the page and sends it all the same', async () => {
    const broken: Store = {
      add: () => Promise.reject(new DOMException('full', 'QuotaExceededError')),
      of: () => Promise.resolve([]),
      remove: () => Promise.resolve(),
      setAside: () => Promise.resolve(),
    }
    const calls: string[] = []
    vi.stubGlobal('navigator', {})
    const deeds = new Outbox(broken, (_, events) => {
      calls.push(events.map((e) => e.key).join())
      return calls.length === 1 ? Promise.reject(plain(502)) : Promise.resolve({ newest: 1, now_ms: 0, events: [] })
    })
    await deeds.belongTo('1 1')
    await deeds.add(7, deed('a'))
    expect(deeds.storageFailed.value).toBe(true)
    await vi.waitFor(() => {
      expect(calls).toHaveLength(1)
    })
    expect(deeds.waiting.value.map((d) => d.event.key)).toEqual(['a'])
    await deeds.send()
    expect(deeds.waiting.value).toEqual([])
    expect(calls).toEqual(['a', 'a'])
    vi.unstubAllGlobals()
  })
})
