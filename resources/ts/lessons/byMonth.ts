import type { LessonCard } from '../api/client'
import { monthOf } from '../parts/clock'

/** Lessons as they come, under the month they are in ("December 2026"). */
export function byMonth<L extends Pick<LessonCard, 'starts_at'>>(lessons: L[]): { name: string; lessons: L[] }[] {
  const months: { name: string; lessons: L[] }[] = []
  for (const lesson of lessons) {
    const name = monthOf(new Date(`${lesson.starts_at.slice(0, 7)}-15T12:00`))
    const last = months.at(-1)
    if (last?.name === name) last.lessons.push(lesson)
    else months.push({ name, lessons: [lesson] })
  }
  return months
}
