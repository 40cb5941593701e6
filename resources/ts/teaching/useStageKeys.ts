import { onKeyStroke } from '@vueuse/core'
import { typing } from '../parts/typing'

/** What keys do on the stage; a clicker sends Page Down and Page Up. A table of keys may change as the stage does. */
export function useStageKeys(keys: () => Record<string, () => void>) {
  onKeyStroke((event) => {
    if (typing(event)) return
    const key = event.key.length === 1 ? event.key.toLowerCase() : event.key
    const act = keys()[key]
    if (act) {
      event.preventDefault()
      act()
    }
  })
}
