import type { LessonData, LessonInput } from '../api/client'
import { later } from '../parts/clock'

/** The models of a lesson in their places, as the server takes them back. */
export const modelsOf = (lesson: LessonData) =>
  lesson.models.map(({ slug, ways, side_mm, times }) => ({ model: slug, ways, side_mm, times }))

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
