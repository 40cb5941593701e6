import { useEventListener } from '@vueuse/core'
import { computed, onScopeDispose, ref } from 'vue'
import { onBeforeRouteLeave } from 'vue-router'
import { i18n } from '../i18n'
import { ask } from './asking'

/** Forms on this page whose changes are not saved. */
const open = new Set<() => boolean>()

/** Whether a form on this page holds changes that are not saved: then no single key leads away from it. */
export const holdsUnsaved = () => [...open].some((isChanged) => isChanged())

/** Whether what stands in the forms of this page may be let go: nothing does, or whoever typed it says so. */
export async function mayLetGo(): Promise<boolean> {
  if (!holdsUnsaved()) return true
  const { t } = i18n.global
  const choice = await ask({
    title: t('unsaved.title'),
    text: t('unsaved.text'),
    choices: [
      { key: 'stay', label: t('unsaved.stay') },
      { key: 'go', label: t('unsaved.go'), danger: true },
    ],
  })
  return choice === 'go'
}

/**
 * Looks after a form: whoever leaves it with changes is asked, by a link, a key, the back button or the closing tab.
 *
 * @param written all that stands in the form, as text
 */
export function useUnsaved(written: () => string) {
  const saved = ref(written())
  const isChanged = computed(() => written() !== saved.value)
  const look = () => isChanged.value
  open.add(look)
  onScopeDispose(() => open.delete(look))
  onBeforeRouteLeave(() => mayLetGo())
  useEventListener(window, 'beforeunload', (event) => { if (isChanged.value) event.preventDefault() })
  return {
    isChanged,
    /** What stands there now is saved, or was put there by the page itself. */
    settle() {
      saved.value = written()
    },
    /** Puts something into the form that nobody typed: it does not count as a change. */
    fill(put: () => void) {
      const wasChanged = isChanged.value
      put()
      if (!wasChanged) saved.value = written()
    },
  }
}
