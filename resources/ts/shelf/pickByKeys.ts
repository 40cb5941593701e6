/** Whole steps across a picture: 40, or 8 with Shift. */
const STEPS = 40
const LARGE = 5

const WAYS: Record<string, readonly [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
}

export interface Extent {
  left: number
  bottom: number
  width: number
  height: number
}

/**
 * Where an arrow key takes the dot, kept on the picture; from nowhere it begins in the middle. Undefined: another key.
 * @param mirrored whether the picture shows its right on the left
 */
export function pickByKeys(
  event: KeyboardEvent,
  from: readonly [number, number] | undefined,
  { left, bottom, width, height }: Extent,
  mirrored = false,
): readonly [number, number] | undefined {
  const way = WAYS[event.key]
  if (!way) return undefined
  event.preventDefault()
  event.stopPropagation()
  if (!from) return [left + width / 2, bottom + height / 2]
  const step = (Math.max(width, height) / STEPS) * (event.shiftKey ? LARGE : 1)
  const kept = (value: number, low: number, size: number) => Math.min(low + size, Math.max(low, value))
  return [
    kept(from[0] + way[0] * step * (mirrored ? -1 : 1), left, width),
    kept(from[1] + way[1] * step, bottom, height),
  ]
}
