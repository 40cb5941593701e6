import { describe, expect, it } from 'vitest'
import type { ModelSummary } from '../api/client'
import { finishedSize, matches, named, newFolds, type Wish } from './wishes'

const model = (more: Partial<ModelSummary> = {}): ModelSummary =>
  ({
    title: 'Épée de mer', about: 'A boat with two sails.', folds: ['Valley fold', 'Squash'],
    kinds: ['valley', 'squash'], occasions: ['sea'], does: ['float'], ratio: 1, scissors: false, measures: {},
    width_per_side: 0.5, height_per_side: 1, ...more,
  }) as ModelSummary
const any: Wish = {
  name: '', group: null, minutes: 40, occasion: '', does: '', fold: '', known: '', paper: '', noScissors: false,
  size: null,
}

describe('a search of the shelf', () => {
  it.each<[string, boolean]>([
    ['', true], ['epee', true], ['EPÉE', true], ['sails boat', true], ['squash', true], ['sails petal', false],
  ])('finds "%s": %s', (words, found) => {
    expect(named(model(), words)).toBe(found)
  })
  it.each<[Partial<Wish>, boolean]>([
    [{}, true],
    [{ occasion: 'sea' }, true], [{ occasion: 'winter' }, false],
    [{ does: 'float' }, true], [{ does: 'fly' }, false],
    [{ fold: 'squash' }, true], [{ fold: 'petal' }, false],
    [{ paper: 'square' }, true], [{ paper: 'oblong' }, false],
    [{ size: 150 }, true], [{ size: 149 }, false], // 150 x 1 high
    [{ known: 'all' }, true], // no group: nobody to whom a fold is new
  ])('takes %o: %s', (wish, found) => {
    expect(matches(model(), { ...any, ...wish }, null)).toBe(found)
  })
  it('leaves out scissors only where that is wished', () => {
    expect(matches(model({ scissors: true }), any, null)).toBe(true)
    expect(matches(model({ scissors: true }), { ...any, noScissors: true }, null)).toBe(false)
  })
})

describe('folds new to a group', () => {
  it.each<[boolean, string[]]>([
    [false, ['Squash']],
    [true, []],
  ])('squash known: %s', (known, fresh) => {
    expect(newFolds(model(), [{ kind: 'valley', known: true }, { kind: 'squash', known }])).toEqual(fresh)
  })
  it('are all where nothing is known of the group', () => {
    expect(newFolds(model(), [])).toEqual(['Valley fold', 'Squash'])
  })
  it('limits the shelf to what they know, or to one new fold', () => {
    expect(matches(model(), { ...any, known: 'all' }, ['Squash'])).toBe(false)
    expect(matches(model(), { ...any, known: 'one' }, ['Squash'])).toBe(true)
    expect(matches(model(), { ...any, known: 'one' }, ['Squash', 'Petal'])).toBe(false)
  })
})

it('says the size of the form where the model is not flat', () => {
  expect(finishedSize(model({ measures: { width: 0.4, depth: 0.3 } }))).toEqual([60, 45])
  expect(finishedSize(model())).toEqual([75, 150])
})
