import { useEventListener, watchDebounced } from '@vueuse/core'
import { computed, onScopeDispose, ref, watch } from 'vue'
import { onBeforeRouteLeave } from 'vue-router'
import { i18n } from '../i18n'
import { ask } from './asking'
import { type Draft, draftOf, dropDraft, keepDraft } from './drafts'

/** Forms on this page whose changes are not saved. */
const open = new Set<{ isChanged: () => boolean; keep: () => boolean }>()

/** Whether a form on this page holds changes that are not saved: then no single key leads away from it. */
export const holdsUnsaved = () => [...open].some((form) => form.isChanged())

/**
 * Whether what stands in the forms of this page may be let go: nothing does, or this device keeps it as a draft, or
 * whoever typed it says so.
 */
export async function mayLetGo(): Promise<boolean> {
  if ([...open].filter((form) => form.isChanged()).every((form) => form.keep())) return true
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

/** ms without a key until a draft is kept */
const PAUSE = 300

/**
 * Looks after a form: what was typed is kept on this device until it is saved, and offered again to whoever comes back
 * to it. A device that keeps nothing is asked before it is left.
 *
 * @param name of the draft; with the version of what is changed, so that none is laid over somebody else's changes
 * @param written all that stands in the form, as text
 * @param take puts such a text back into the form
 */
export function useUnsaved(name: () => string, written: () => string, take: (text: string) => void) {
  const saved = ref(written())
  const isChanged = computed(() => written() !== saved.value)
  const offered = ref<Draft | null>(draftOf(name()))
  const keep = () => keepDraft(name(), written())
  const form = { isChanged: () => isChanged.value, keep }
  open.add(form)
  watch(name, (now) => { offered.value = draftOf(now) })
  watchDebounced(written, () => isChanged.value && keep(), { debounce: PAUSE })
  useEventListener(window, 'pagehide', () => isChanged.value && keep())
  useEventListener(window, 'beforeunload', (event) => { if (isChanged.value && !keep()) event.preventDefault() })
  onBeforeRouteLeave(() => mayLetGo())
  onScopeDispose(() => open.delete(form))

  return {
    isChanged,
    offered,
    /** What stands there now is saved, or was put there by the page itself. */
    settle() {
      saved.value = written()
    },
    /** It was saved: its draft goes. Called before the form shows something else. */
    done() {
      dropDraft(name())
      offered.value = null
      saved.value = written()
    },
    /** Puts something into the form that nobody typed: it does not count as a change. */
    fill(put: () => void) {
      const wasChanged = isChanged.value
      put()
      if (!wasChanged) saved.value = written()
    },
    /** Takes the offered draft into the form. */
    use() {
      if (offered.value) take(offered.value.text)
      offered.value = null
    },
    discard() {
      if (!isChanged.value) dropDraft(name())
      offered.value = null
    },
  }
}

export type Unsaved = ReturnType<typeof useUnsaved>
