import { expect, it } from 'vitest'
import words from '../../../lang/en/ui.json'

const files = import.meta.glob<string>(['../**/*.ts', '../**/*.vue', '!../**/*.test.ts', '!../api/schema.d.ts'], {
  eager: true, query: '?raw', import: 'default',
})
const source = Object.values(files).join('\n')
/** "stage.say.done", of a tree of words. */
const keysOf = (of: object, path = ''): string[] =>
  Object.entries(of).flatMap(([key, value]) =>
    typeof value === 'string' ? [`${path}${key}`] : keysOf(value as object, `${path}${key}.`))

it('no word is there that no screen says', () => {
  const said = new Set([...source.matchAll(/['"`](\w+(?:\.[\w-]+)+)['"`]/g)].map((found) => found[1]))
  // `paper.fold_${kind}`: all that begin so are said
  const some = [...source.matchAll(/`([\w.]+?)\$\{/g)].map((found) => found[1] ?? '').filter((one) => one.includes('.'))
  const dead = keysOf(words).filter((key) => !said.has(key) && !some.some((begin) => key.startsWith(begin)))
  expect(dead).toEqual([])
})

/** Words that a newcomer stumbled over, and what is said instead (design 17). */
const OLD: [RegExp, string][] = [
  [/^Keys$/, 'Keyboard shortcuts'],
  [/Unfolding…/, 'Loading…'],
  [/^(Coming|Taught|To finish)$/, 'Next lessons, Past lessons, Not finished yet'],
  [/\bbell\b/i, 'ends at, the end'],
  [/Helpers besides you/, 'Other adults helping'],
  [/^(Keep|Take off the list|Drop|Leave out)$/, 'Results; Remove'],
  [/can be taught another way|from here on/, 'you can choose how to teach; from now on'],
  [/Wall dark|wall is dark/, 'Blank the screen'],
  [/such rooms|as good as always/, '9 times in 10; almost certainly'],
  [/^(Beside this|Do it|Take it back)$/, 'Compare, Apply, Undo'],
  [/being rehearsed/, 'Working out timings'],
  [/Save and count again|Put first|put first/, 'Save; Aim for'],
  [/empty: plenty|Lost all round/, 'leave empty if you have lots; Margin you cannot use'],
  [/What folds from what|taught of times/, 'Which paper suits which model; Timings from your lessons'],
  [/field's terms|By likeness|Show round|Let it go/, 'Origami names; Everyday names; Show and tell; Discard'],
  [/If it looks like this|No common mistake|I see this/, 'Common mistakes; I saw this'],
  [/Hold, press|Now it must look/, 'Tips for this fold; Check'],
  [/No connection:/, 'Offline: n taps saved'],
]
const textsOf = (of: object): string[] =>
  Object.values(of).flatMap((value) => (typeof value === 'string' ? [value] : textsOf(value as object)))

/** What the core and the server say stands in a file of theirs. */
const spoken = Object.values(import.meta.glob<string>('../../../library/wording/*.yaml', {
  eager: true, query: '?raw', import: 'default',
})).join('\n').split('\n').map((line) => /^\s*[\w-]+:\s+'?(.+?)'?$/.exec(line)?.[1] ?? '')

it('has read what the core and the server say', () => { expect(spoken.filter(Boolean).length).toBeGreaterThan(300) })
it.each([...OLD, [/in \S+ goes\b/, 'four at a time: 11 cuts'] as const])('the core says nowhere %s, but %s', (old) => {
  expect(spoken.filter((text) => old.test(text))).toEqual([])
})

it.each(OLD)('says nowhere %s, but %s', (old) => {
  expect(textsOf(words).filter((text) => old.test(text))).toEqual([])
})
