import { beforeEach, expect, it, vi } from 'vitest'
import { keepLog, keepOnlyFor, keptLog } from './offline'

const kept = new Map<string, string>()
const storage = new Proxy({
  getItem: (key: string) => kept.get(key) ?? null,
  setItem: (key: string, value: string) => { kept.set(key, value) },
  removeItem: (key: string) => { kept.delete(key) },
}, { ownKeys: () => [...kept.keys()], getOwnPropertyDescriptor: () => ({ enumerable: true, configurable: true }) })
const dropped: string[] = []
vi.stubGlobal('localStorage', storage)
vi.stubGlobal('window', { caches: true })
vi.stubGlobal('caches', { delete: (name: string) => Promise.resolve(dropped.push(name)) })
beforeEach(() => {
  kept.clear()
  dropped.length = 0
})

it('keeps the log of one lesson', () => {
  keepLog(1, { newest: 3, events: [] })
  keepLog(2, { newest: 5, events: [] })
  expect([keptLog(1), keptLog(2)?.newest]).toEqual([null, 5])
})
it('keeps nothing of a class for somebody else who signs in', async () => {
  await keepOnlyFor('1 7')
  keepLog(2, { newest: 5, events: [] })
  await keepOnlyFor('1 7')
  expect([keptLog(2)?.newest, dropped]).toEqual([5, []])
  await keepOnlyFor('1 8')
  expect([keptLog(2), dropped]).toEqual([null, ['cathedra-data']])
})
