import { describe, expect, it } from 'vitest'
import router from '../router.ts?raw'
import { hasOwn, helpFor, helpPages, sentencesOf } from './helped'

describe('help', () => {
  it('is there for every screen but those that need none', () => {
    const names = [...router.matchAll(/\bname: '([\w-]+)'/g)].map((found) => found[1] ?? '')
    expect(names.length).toBeGreaterThan(30)
    const none = names.filter((name) => helpFor(name) === null)
    expect(none.sort()).toEqual(['help', 'join', 'lost', 'sign-in'])
  })

  it('is short: a few numbered sentences without a gap', () => {
    for (const page of helpPages) {
      const numbers = sentencesOf(page)
      expect(numbers, page).toEqual(numbers.map((_, i) => String(i + 1)))
      expect(numbers.length).toBeGreaterThan(0)
      expect(numbers.length).toBeLessThanOrEqual(4)
    }
    expect(hasOwn('plan')).toBe(true)
    expect(hasOwn('account')).toBe(false)
  })
})
