import type { LessonData, LessonInput } from '../api/client'
import { later } from '../parts/clock'

/** The models after the first, as the server takes them back. */
export const furtherOf = (lesson: LessonData) =>
  lesson.models.slice(1).map((m) => ({ model: m.slug, ways: m.ways, side_mm: m.side_mm }))

/** The saved lesson in the form the server takes back, with some of it changed. */
export function inputOf(lesson: LessonData, changes: Partial<LessonInput> = {}): LessonInput {
  return {
    group_id: lesson.card.group_id,
    model: lesson.card.model,
    ways: lesson.card.ways,
    starts_at: lesson.card.starts_at,
    ends_at: later(lesson.card.starts_at, lesson.card.minutes),
    helpers: lesson.helpers,
    stock_id: lesson.stock_id,
    side_mm: lesson.wanted_side_mm,
    method: lesson.method,
    square_in_lesson: lesson.square_in_lesson,
    paper_ready: lesson.card.paper_ready,
    ...changes,
  }
}
