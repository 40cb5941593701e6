/** A name this device gives itself once. It says nothing about whose it is. */
export function deviceName(storage: Storage = localStorage): string {
  const made = crypto.randomUUID().slice(0, 13)
  try {
    const kept = storage.getItem('cathedra.device')
    if (kept) return kept
    storage.setItem('cathedra.device', made)
  } catch {
    // Without storage each visit is a device of its own; deeds keep their own keys all the same.
  }
  return made
}
