import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { LessonData, LessonInput } from '../api/client'
import { type Lever, useLevers } from './useLevers'

const kept = new Map<string, string>()
vi.stubGlobal('window', {
  sessionStorage: {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => kept.set(key, value),
    removeItem: (key: string) => kept.delete(key),
  },
  addEventListener: () => undefined, removeEventListener: () => undefined, dispatchEvent: () => true,
})

const model = (slug: string) =>
  ({ slug, ways: { base: 'old' }, side_mm: '150', times: 1, own_times: {}, checkpoints: {}, first: 1, steps: 9 })
const lesson = (changes: Partial<LessonInput> = {}) => ({
  card: { id: 12, group_id: 3, starts_at: '2026-12-03T15:30', minutes: 60, paper_ready: false },
  models: [model('crane'), model('boat')],
  setting: {
    helpers: 1, stock_ids: [4], square_in_lesson: true, decorate: 'after', version: 1, method: 'scissors',
    policies: {
      prepared: 0,
      list: [['show', 'step'], ['pace', 'go'], ['exact', 'exact']].map(([key, chosen]) => ({ key, chosen })),
    },
    ...changes,
  },
}) as unknown as LessonData
const lever = (name: Lever['name'], more: Partial<Lever> = {}) =>
  ({ name, steps: null, way: null, model: null, paper: null, ...more }) as Lever

/** What a lever sets and what taking it back sets, on the same lesson. */
function bothOf(one: Lever) {
  const said: Partial<LessonInput>[] = []
  const { pull, takeBack, pulled } = useLevers(() => lesson(), (changes) => said.push(changes))
  pull(one)
  expect(pulled.value?.name).toBe(one.name)
  takeBack()
  expect(pulled.value).toBeNull()
  return said
}

describe('a lever', () => {
  beforeEach(() => { kept.clear() })

  it.each([
    ['helper', { helpers: 2 }, { helpers: 1 }],
    ['squares', { square_in_lesson: false }, { square_in_lesson: true }],
    ['decorate', { decorate: 'none' }, { decorate: 'after' }],
    ['prepared', { prepared: 4 }, { prepared: 0 }],
    ['guides', { prepared: 4 }, { prepared: 0 }],
    ['paper', { stock_ids: [9] }, { stock_ids: [4] }],
  ] as const)('%s sets what it says and is taken back', (name, forth, back) => {
    expect(bothOf(lever(name, { steps: 4, paper: { stock: 9, mm: 200 } as Lever['paper'] }))).toEqual([forth, back])
  })

  it.each([
    ['forgiving', 'exact', 'forgiving', 'exact'], ['twice', 'show', 'twice', 'step'], ['wait', 'pace', 'wait', 'go'],
    ['cards', 'show', 'cards', 'step'], ['together', 'show', 'along', 'step'],
  ] as const)('%s changes one policy and leaves the others', (name, policy, option, was) => {
    const usual = { show: 'step', pace: 'go', exact: 'exact' }
    expect(bothOf(lever(name))).toEqual([
      { policies: { ...usual, [policy]: option } }, { policies: { ...usual, [policy]: was } },
    ])
  })

  it('way teaches one passage of one model otherwise', () => {
    const way = { model: 'crane', passage: 'base', option: 'new', was: 'old', first: 4 } as Lever['way']
    const said = bothOf(lever('way', { way })).map((one) => one.models?.map(({ ways }) => ways?.['base']))
    expect(said).toEqual([['new', 'old'], ['old', 'old']])
  })

  it('easier and larger speak of the first model', () => {
    const easier = bothOf(lever('easier', { model: { slug: 'cup' } as Lever['model'] }))
    expect(easier.map((one) => one.models?.map((m) => m.model))).toEqual([['cup', 'boat'], ['crane', 'boat']])
    const larger = bothOf(lever('larger', { paper: { mm: '200', stock: null } as unknown as Lever['paper'] }))
    expect(larger.map((one) => one.models?.map((m) => m.side_mm))).toEqual([['200', '150'], ['150', '150']])
  })

  it('split sets nothing in this lesson', () => {
    expect(() => bothOf(lever('split'))).toThrow('lesson of its own')
  })

  it('takes back its own change only, whatever was changed since', () => {
    const said: Partial<LessonInput>[] = []
    let now = lesson()
    const { pull, takeBack } = useLevers(() => now, (changes) => said.push(changes))
    pull(lever('helper'))
    now = lesson({ helpers: 2, method: 'tear' })
    takeBack()
    expect(said).toEqual([{ helpers: 2 }, { helpers: 1 }])
  })
})
