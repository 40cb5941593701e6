import { beforeEach, describe, expect, it, vi } from 'vitest'
import { draftOf, dropDraft, keepDraft } from './drafts'

const kept = new Map<string, string>()
beforeEach(() => {
  kept.clear()
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, text: string) => kept.set(key, text),
    removeItem: (key: string) => kept.delete(key),
  })
})

describe('drafts', () => {
  it('are kept by the name of their form, until they are dropped', () => {
    expect(keepDraft('group-new', 'Ada', 5)).toBe(true)
    expect(draftOf('group-new', 6)).toEqual({ text: 'Ada', at: 5 })
    expect(draftOf('group-4', 6)).toBeNull()
    dropDraft('group-new')
    expect(draftOf('group-new', 6)).toBeNull()
  })

  it('are not offered after a week, nor when they cannot be read', () => {
    const day = 86_400_000
    keepDraft('stock-new', 'A4', 0)
    expect(draftOf('stock-new', 7 * day)).not.toBeNull()
    expect(draftOf('stock-new', 7 * day + 1)).toBeNull()
    expect(kept.size).toBe(0)
    kept.set('draft-stock-new', '{"text":')
    expect(draftOf('stock-new', 0)).toBeNull()
    kept.set('draft-stock-new', '{"text":7,"at":0}')
    expect(draftOf('stock-new', 0)).toBeNull()
  })

  it('say when a device keeps nothing', () => {
    vi.stubGlobal('localStorage', { setItem: () => { throw new Error('full') } })
    expect(keepDraft('group-new', 'Ada')).toBe(false)
  })
})
