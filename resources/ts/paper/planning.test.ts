import { describe, expect, it } from 'vitest'
import { lines } from './planning'

describe('planning', () => {
  it('reads lines that come in pieces', () => {
    const text = '{"share":0.1,"what":"ways"}\n{"share":0.6,"what":"proof"}\n'
    const seen: unknown[] = []
    let waiting = ''
    for (const letter of text) {
      const { whole, rest } = lines(waiting + letter)
      waiting = rest
      seen.push(...whole)
    }
    expect(seen).toEqual([{ share: 0.1, what: 'ways' }, { share: 0.6, what: 'proof' }])
    expect(waiting).toBe('')
  })

  it('keeps an unfinished line and passes over empty ones', () => {
    expect(lines('\n{"share":1,"what":""}\n{"pl')).toEqual({ whole: [{ share: 1, what: '' }], rest: '{"pl' })
  })
})
