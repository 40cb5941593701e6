import { nextTick } from 'vue'

/**
 * After a form was refused: brings the first field that something is wrong with into sight, with the focus in it, so
 * that the answer stands where the eyes are.
 */
export async function showFirstFault(form: HTMLElement | null | undefined): Promise<void> {
  await nextTick()
  await new Promise(requestAnimationFrame) // the fields have their answers
  const wrong = form?.querySelector<HTMLElement>('.v-input--error, [aria-invalid="true"], p[role="alert"]')
  if (!wrong) return
  const field = wrong.matches('input, textarea, select')
    ? wrong
    : wrong.querySelector<HTMLElement>('input, textarea, select, [role="combobox"]')
  wrong.scrollIntoView({ block: 'center' })
  field?.focus({ preventScroll: true })
}
