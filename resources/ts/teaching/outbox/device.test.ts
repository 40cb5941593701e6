import { describe, expect, it } from 'vitest'
import { claimTab, deviceName } from './device'

/** Storage of a tab or a device, in memory; a full one throws. */
function storage(full = false): Storage {
  const held = new Map<string, string>()
  return {
    getItem: (key: string) => held.get(key) ?? null,
    setItem(key: string, value: string) {
      if (full) throw new DOMException('full', 'QuotaExceededError')
      held.set(key, value)
    },
    removeItem: (key: string) => held.delete(key),
  } as unknown as Storage
}

describe('the name of a tab', () => {
  it('stays over a reload, is another in a second tab, and says whose device both are', () => {
    const device = storage()
    const [one, two] = [storage(), storage()]
    const name = deviceName(device, one)
    expect(deviceName(device, one)).toBe(name)
    expect(deviceName(device, two)).not.toBe(name)
    expect(deviceName(device, two).split('.')[0]).toBe(name.split('.')[0])
  })

  it('is taken anew by a copy of the tab while the first is open', async () => {
    const held = new Set<string>()
    const locks = {
      request: async (name: string, _: LockOptions, use: (lock: Lock | null) => unknown) => {
        if (held.has(name)) return use(null)
        held.add(name)
        return use({ name, mode: 'exclusive' })
      },
    } as unknown as LockManager
    const [device, one, copy] = [storage(), storage(), storage()]
    const name = deviceName(device, one)
    copy.setItem('cathedra.tab', name.split('.')[1] ?? '')
    expect(deviceName(device, copy)).toBe(name)
    await claimTab(locks, device, one)
    await claimTab(locks, device, copy)
    expect(deviceName(device, one)).toBe(name)
    expect(deviceName(device, copy)).not.toBe(name)
  })

  it('fits into the log with the name of a changed way behind it', () => {
    expect(`${deviceName(storage(), storage())}.12345678`.length).toBeLessThanOrEqual(40)
  })

  it('is a name all the same where nothing can be stored', () => {
    expect(deviceName(storage(true), storage(true))).toMatch(/^[0-9a-f-]{13}\.[0-9a-f]{8}$/)
  })
})
