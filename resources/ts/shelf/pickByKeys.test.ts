import { describe, expect, it, vi } from 'vitest'
import { pickByKeys } from './pickByKeys'

const key = (name: string, shiftKey = false) =>
  ({ key: name, shiftKey, preventDefault: vi.fn(), stopPropagation: vi.fn() }) as unknown as KeyboardEvent
const sheet = { left: 0, bottom: 0, width: 200, height: 100 }

describe('picking a place by keys', () => {
  it('begins in the middle and goes on in steps of a fortieth, or five of them', () => {
    expect(pickByKeys(key('ArrowUp'), undefined, sheet)).toEqual([100, 50])
    expect(pickByKeys(key('ArrowUp'), [100, 50], sheet)).toEqual([100, 55])
    expect(pickByKeys(key('ArrowRight', true), [100, 50], sheet)).toEqual([125, 50])
  })
  it('goes the way it is seen on a side that is seen from behind', () => {
    expect(pickByKeys(key('ArrowRight'), [100, 50], sheet, true)).toEqual([95, 50])
  })
  it('stays on the picture', () => {
    expect(pickByKeys(key('ArrowDown', true), [100, 3], sheet)).toEqual([100, 0])
    expect(pickByKeys(key('ArrowRight'), [200, 3], sheet)).toEqual([200, 3])
  })
  it('leaves other keys alone', () => {
    const event = key('Tab')
    expect(pickByKeys(event, [100, 50], sheet)).toBeUndefined()
    expect(event.preventDefault).not.toHaveBeenCalled()
  })
})
