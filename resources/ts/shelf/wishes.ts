import type { ModelSummary } from '../api/client'

/** What a lead looks for on the shelf; '' and null stand for "any". */
export interface Wish {
  name: string
  group: number | null
  minutes: number
  occasion: string
  does: string
  fold: string
  /** only folds the group has made, or one new one at most */
  known: '' | 'all' | 'one'
  paper: '' | 'square' | 'oblong'
  noScissors: boolean
  /** mm, of the finished model from the sample sheet */
  size: number | null
}

/** Shorter side (mm) of the sheet that sizes on the shelf speak of. */
export const SAMPLE = 150

/** Width and depth or height (mm) of the finished model from the sample sheet. */
export const finishedSize = (m: ModelSummary): [number, number] => [
  Math.round(SAMPLE * (m.measures['width'] ?? m.width_per_side)),
  Math.round(SAMPLE * (m.measures['depth'] ?? m.measures['height'] ?? m.height_per_side)),
]

/** Letters alone, so that a search does not trip over accents or capitals. */
const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()

/** Every word is found in the name, in what is said of the model, or in a fold it teaches. */
export function named(model: ModelSummary, words: string): boolean {
  const text = plain([model.title, model.about, ...model.folds].join(' '))
  return plain(words).split(/\s+/).every((word) => text.includes(word))
}

/** Names of the folds in a model that the group does not know yet. */
export function newFolds(
  model: ModelSummary,
  standing: readonly { kind: string; known: boolean }[],
): string[] {
  const made = new Set(standing.filter((one) => one.known).map((one) => one.kind))
  return model.folds.filter((_, i) => !made.has(model.kinds[i] ?? ''))
}

/** @param fresh the folds new to the group; null where no group is asked about */
export function matches(model: ModelSummary, wish: Wish, fresh: string[] | null): boolean {
  return (
    named(model, wish.name) &&
    (wish.occasion === '' || model.occasions.some((one) => one === wish.occasion)) &&
    (wish.does === '' || model.does.some((one) => one === wish.does)) &&
    (wish.fold === '' || model.kinds.includes(wish.fold)) &&
    (wish.known === '' || fresh === null || fresh.length <= (wish.known === 'all' ? 0 : 1)) &&
    (wish.paper === '' || (wish.paper === 'square') === (model.ratio === 1)) &&
    (!wish.noScissors || !model.scissors) &&
    (!wish.size || Math.max(...finishedSize(model)) <= wish.size)
  )
}
