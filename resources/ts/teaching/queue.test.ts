import { describe, expect, it } from 'vitest'
import type { MarkData } from '../api/client'
import { type Deed, withWaiting } from './queue'

const mark = (key: string, learner = 1): MarkData => ({ key, learner, step: 2, kind: 'done' })

describe('withWaiting', () => {
  it('adds marks that wait, each once, and takes undone ones away, in order', () => {
    const waiting: Deed[] = [
      { type: 'mark', lesson: 7, mark: mark('b') },
      { type: 'mark', lesson: 7, mark: mark('a') },
      { type: 'unmark', lesson: 7, key: 'b' },
      { type: 'mark', lesson: 7, mark: mark('c', 2) },
    ]
    expect(withWaiting([mark('a')], waiting, 7).map((m) => m.key)).toEqual(['a', 'c'])
  })

  it('leaves other lessons alone', () => {
    expect(withWaiting([], [{ type: 'mark', lesson: 8, mark: mark('x') }], 7)).toEqual([])
  })
})
