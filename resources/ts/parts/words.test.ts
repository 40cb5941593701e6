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
