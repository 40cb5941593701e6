import { useRafFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'

/** Milliseconds a moment takes; slowly: three times as long. */
const MOMENT = 95
const SLOW = 3

/** Runs a motion from 0 to 1: play, stop, slowly. */
export function usePlayer(moments: () => number) {
  const share = ref(0)
  const playing = ref(false)
  const slowly = ref(false)
  const whole = computed(() => Math.max(1, moments()) * MOMENT * (slowly.value ? SLOW : 1))
  const { pause, resume } = useRafFn(
    ({ delta }) => {
      share.value = Math.min(1, share.value + delta / whole.value)
      if (share.value >= 1) playing.value = false
    },
    { immediate: false },
  )
  watch(playing, (is) => { if (is) resume(); else pause() })

  function play() {
    if (share.value >= 1) share.value = 0
    playing.value = true
  }
  function stop() {
    playing.value = false
  }
  return { share, playing, slowly, play, stop }
}
