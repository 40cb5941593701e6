/**
 * The name of this tab of this device, which they give themselves once. It says nothing about whose they are. A tab has
 * its own: what one tab did is not known to another until the server has told it.
 */
export function deviceName(device: Storage = localStorage, tab: Storage = sessionStorage): string {
  return `${kept(device, 'cathedra.device', 13)}.${kept(tab, 'cathedra.tab', 8)}`
}

function kept(storage: Storage, name: string, length: number): string {
  const made = crypto.randomUUID().slice(0, length)
  try {
    const before = storage.getItem(name)
    if (before) return before
    storage.setItem(name, made)
  } catch {
    // Without storage each visit is a device of its own; deeds keep their own keys all the same.
  }
  return made
}
