import type { LessonData } from './client'

type Names = 'term' | 'likeness' | 'both'
type Letters = 'on' | 'off'

/** How a lesson wants its steps said, where that is not as the place does it. */
export function mannerOf(lesson: LessonData | undefined): { names?: Names; letters?: Letters } {
  const chosen = (policy: string) => lesson?.setting.policies.list.find((one) => one.key === policy)?.chosen
  const [names, letters] = [chosen('names'), chosen('letters')]
  return {
    ...(names && names !== 'place' ? { names: names as Names } : {}),
    ...(letters && letters !== 'place' ? { letters: letters as Letters } : {}),
  }
}
