import { describe, expect, it } from 'vitest'
import type { Passage } from '../api/client'
import { mattering } from './mattering'

/** A question whose ways take so many minutes and have so many hard moments; the first is usual. */
function asked(name: string, minutes: number[], hard: number[] = [], chosen = 0): Passage {
  return {
    name, question: null, alike: false, first: 1, last: 2,
    options: minutes.map((n, i) => ({
      key: String(i), title: '', when: null, chosen: i === chosen, usual: i === 0, steps: 1, picture: null as never,
      minutes: n, change: null, hard: Array.from({ length: hard[i] ?? 0 }, () => ''),
    })),
  }
}
const names = (passages: Passage[]) => passages.map((one) => one.name)

describe('questions that matter', () => {
  const base = asked('base', [40, 44]) // 4 minutes
  const head = asked('head', [40, 40])
  const legs = asked('legs', [40, 41], [0, 2]) // a minute and two hard moments: 3
  const neck = asked('neck', [40, 41]) // 1
  const tail = asked('tail', [40, 40], [0, 2]) // 2

  it('are three, in the order of the steps', () => {
    expect(names(mattering([head, tail, neck, legs, base]))).toEqual(['tail', 'legs', 'base'])
  })

  it('are the first ones where nothing tells them apart', () => {
    expect(names(mattering(['a', 'b', 'c', 'd', 'e'].map((name) => asked(name, [40, 40]))))).toEqual(['a', 'b', 'c'])
  })

  it('never hide one that is answered otherwise', () => {
    const wings = asked('wings', [40, 40], [], 1)
    expect(names(mattering([base, legs, tail, neck, wings]))).toEqual(['base', 'legs', 'tail', 'wings'])
  })

  it('stay those that were asked, whatever an answer changes', () => {
    const list = [base, head, legs, neck, tail]
    expect(names(mattering(list, ['head', 'neck']))).toEqual(['head', 'neck'])
    expect(names(mattering([base, head, legs, neck, asked('tail', [1, 1], [], 1)], ['head']))).toEqual(['head', 'tail'])
  })

  it('are all where a fourth would be hidden alone', () => {
    expect(mattering([base, head, neck, tail])).toHaveLength(4)
    expect(mattering([])).toEqual([])
  })
})
