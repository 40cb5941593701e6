import { useLocalStorage } from '@vueuse/core'

/** Single letters do nothing on this device: for who dictates, or whose hand rests on the keys (WCAG 2.1.4). */
export const lettersOff = useLocalStorage('letters-off', false)

/** Whether a key press belongs to a field, a dialog's control or the browser, or is switched off: then no shortcut. */
export function typing(event: KeyboardEvent): boolean {
  if (event.ctrlKey || event.metaKey || event.altKey) return true
  if (lettersOff.value && event.key.length === 1) return true
  const at = event.target
  return (
    at instanceof HTMLElement &&
    (at.isContentEditable ||
      at.closest('input, textarea, select, [role="combobox"], [role="listbox"], [role="dialog"]') !== null)
  )
}
