import type { LessonData, LessonInput, Ways } from '../api/client'
import { later } from '../parts/clock'

/** The models of a lesson in their places, as the server takes them back. */
export const modelsOf = (lesson: LessonData) =>
  lesson.models.map(({ slug, ways, side_mm, times, own_times, checkpoints }) => ({
    model: slug,
    ways,
    side_mm,
    times,
    own_times,
    checkpoints,
  }))

/**
 * The models with one of them taught another way from its step `first` on; what was said of steps before it stays, what
 * was said of later ones would now be said of others.
 */
export function modelsWith(lesson: LessonData, slug: string, ways: Ways, first: number) {
  const before = <T>(said: Record<string, T>) =>
    Object.fromEntries(Object.entries(said).filter(([step]) => Number(step) < first))
  return modelsOf(lesson).map((one) =>
    one.model !== slug
      ? one
      : {
          ...one,
          ways: { ...one.ways, ...ways },
          own_times: before(one.own_times),
          checkpoints: before(one.checkpoints),
        },
  )
}

/** The saved lesson in the form the server takes back, with some of it changed. */
export function inputOf(lesson: LessonData, changes: Partial<LessonInput> = {}): LessonInput {
  const { card, setting } = lesson
  return {
    group_id: card.group_id,
    models: modelsOf(lesson),
    starts_at: card.starts_at,
    ends_at: later(card.starts_at, card.minutes),
    helpers: setting.helpers,
    stock_ids: setting.stock_ids,
    method: setting.method,
    square_in_lesson: setting.square_in_lesson,
    paper_ready: card.paper_ready,
    version: setting.version,
    ...changes,
  }
}
