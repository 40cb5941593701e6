import { describe, expect, it } from 'vitest'
import type { LessonData } from '../api/client'
import { inputOf, modelsWith } from './input'

const model = (slug: string) => ({
  slug, ways: { base: 'squash' }, side_mm: '150', times: 1, own_times: { 2: 60, 5: 90 },
  checkpoints: { 3: true, 5: false },
  first: 1, steps: 9, title: slug,
})
const lesson = {
  models: [model('crane'), model('boat')],
  card: { group_id: 3, starts_at: '2026-12-03T15:30', minutes: 75, paper_ready: true },
  setting: { helpers: 2, stock_ids: [4], method: 'trimmer', square_in_lesson: false, version: 6 },
} as unknown as LessonData

describe('a lesson as the server takes it back', () => {
  it('is the one that was read, with its version and its end', () => {
    expect(inputOf(lesson)).toMatchObject({
      group_id: 3, starts_at: '2026-12-03T15:30', ends_at: '2026-12-03T16:45', helpers: 2, stock_ids: [4],
      method: 'trimmer', square_in_lesson: false, paper_ready: true, version: 6,
    })
    expect(inputOf(lesson).models?.map((one) => [one.model, one.side_mm])).toEqual([['crane', '150'], ['boat', '150']])
    expect(Object.keys(inputOf(lesson).models?.[0] ?? {})).not.toContain('title')
  })
  it('has what is changed, and nothing else is lost', () => {
    expect(inputOf(lesson, { helpers: 3 })).toEqual({ ...inputOf(lesson), helpers: 3 })
  })
})

describe('a model taught another way', () => {
  it('keeps what was said of the steps before, and lets go what was said of others', () => {
    const [crane, boat] = modelsWith(lesson, 'crane', { legs: 'tucked' }, 5)
    expect(crane).toMatchObject({
      ways: { base: 'squash', legs: 'tucked' }, own_times: { 2: 60 }, checkpoints: { 3: true },
    })
    expect(crane?.own_times).not.toHaveProperty('5')
    expect(boat).toMatchObject({ ways: { base: 'squash' }, own_times: { 2: 60, 5: 90 } })
  })
  it('changes nothing where nobody folds it', () => {
    expect(modelsWith(lesson, 'frog', { base: 'x' }, 1)).toEqual(inputOf(lesson).models)
  })
})
