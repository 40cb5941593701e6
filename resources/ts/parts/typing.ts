/** Whether a key press belongs to a field, a dialog's control or the browser, and so is no shortcut. */
export function typing(event: KeyboardEvent): boolean {
  if (event.ctrlKey || event.metaKey || event.altKey) return true
  const at = event.target
  return (
    at instanceof HTMLElement &&
    (at.isContentEditable ||
      at.closest('input, textarea, select, [role="combobox"], [role="listbox"], [role="dialog"]') !== null)
  )
}
