import { afterEach, expect, it, vi } from 'vitest'

vi.stubGlobal('HTMLElement', Array)
const { lettersOff, typing } = await import('./typing')
const press = (key: string, more: object = {}) =>
  typing({ key, ctrlKey: false, metaKey: false, altKey: false, target: null, ...more } as unknown as KeyboardEvent)
afterEach(() => { lettersOff.value = false })

it('leaves to the browser what is pressed with Ctrl', () => {
  expect([press('r', { ctrlKey: true }), press('r')]).toEqual([true, false])
})
it('switches single letters off, and leaves arrows and a clicker', () => {
  lettersOff.value = true
  expect(['r', '?', 'B', 'ArrowRight', 'PageDown', 'Escape'].map((key) => press(key)))
    .toEqual([true, true, true, false, false, false])
})
