import { useMediaQuery } from '@vueuse/core'
import { type Ref, ref, watch } from 'vue'
import type { PaperScene } from './PaperScene'

/** Shares of the way at which a motion is shown to whom less motion is wanted for. */
export const STILLS = [0.25, 0.5, 0.75, 1] as const

/** A motion as four pictures side by side, drawn by its own scene, where the device asks for less motion. */
export function useStills(
  scene: Ref<PaperScene | undefined>,
  canvas: Ref<HTMLCanvasElement | undefined>,
  at: { yaw: Ref<number>; pitch: Ref<number>; width: Ref<number>; height: Ref<number> },
) {
  const calm = useMediaQuery('(prefers-reduced-motion: reduce)')
  const wanted = ref(false)
  const stills = ref<string[]>([])
  watch(
    [scene, wanted, calm, at.yaw, at.pitch, at.width, at.height],
    () => {
      const paper = scene.value
      stills.value =
        calm.value && wanted.value && paper && canvas.value && at.width.value > 0
          ? STILLS.map((share) => {
              paper.draw(share, at.yaw.value, at.pitch.value)
              return canvas.value?.toDataURL() ?? ''
            })
          : []
    },
    { flush: 'post' },
  )
  return { calm, wanted, stills }
}
