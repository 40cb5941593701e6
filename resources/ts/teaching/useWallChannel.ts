import { onScopeDispose, ref, watch } from 'vue'

/** What the stage tells the wall in another window of this device: where the lead looks, and whether it is dark. */
export interface Shown {
  lesson: number
  at: number
  dark: boolean
}
const NAME = 'cathedra wall'
const opened = () => (typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel(NAME))

/** The stage's end: every change is told, and whoever asks is answered. */
export function useWallChannel(lesson: () => number, { at, dark }: { at: () => number; dark: () => boolean }) {
  const channel = opened()
  const tell = () => { channel?.postMessage({ lesson: lesson(), at: at(), dark: dark() } satisfies Shown) }
  watch([lesson, at, dark], tell, { immediate: true })
  channel?.addEventListener('message', (event: MessageEvent<unknown>) => { if (event.data === 'ask') tell() })
  onScopeDispose(() => channel?.close())
}

/** The wall's end: what the stage said last of this lesson; undefined where no stage is open on this device. */
export function useShown(lesson: () => number) {
  const said = ref<Shown>()
  const channel = opened()
  channel?.addEventListener('message', (event: MessageEvent<Shown | 'ask'>) => {
    if (event.data !== 'ask' && event.data.lesson === lesson()) said.value = event.data
  })
  channel?.postMessage('ask')
  onScopeDispose(() => channel?.close())
  return said
}
