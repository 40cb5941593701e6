import { useMediaQuery, useRafFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'

/** Milliseconds a moment takes; slowly: three times as long. */
const MOMENT = 95
const SLOW = 3
/** With less motion wanted, so many pictures are shown one after the other, each for so many milliseconds. */
const STILLS = 5
const STILL = 900

/** Runs a motion from 0 to 1: play, stop, slowly, by steps where less motion is wanted. */
export function usePlayer(moments: () => number) {
  const share = ref(0)
  const playing = ref(false)
  const slowly = ref(false)
  const calm = useMediaQuery('(prefers-reduced-motion: reduce)')
  let calmAt = 0
  const whole = computed(() =>
    calm.value ? STILLS * STILL : Math.max(1, moments()) * MOMENT * (slowly.value ? SLOW : 1),
  )
  const { pause, resume } = useRafFn(
    ({ delta }) => {
      if (calm.value) {
        calmAt = Math.min(1, calmAt + delta / whole.value)
        share.value = Math.floor(calmAt * STILLS) / STILLS
      } else {
        share.value = Math.min(1, share.value + delta / whole.value)
      }
      if (share.value >= 1) playing.value = false
    },
    { immediate: false },
  )
  watch(playing, (is) => { if (is) resume(); else pause() })

  function play() {
    if (share.value >= 1) share.value = 0
    calmAt = share.value
    playing.value = true
  }
  function stop() {
    playing.value = false
  }
  return { share, playing, slowly, play, stop }
}
