/**
 * The name of this tab of this device, which they give themselves once. It says nothing about whose they are. A tab has
 * its own: what one tab did is not known to another until the server has told it.
 */
export function deviceName(device: Storage = localStorage, tab: Storage = sessionStorage): string {
  return `${kept(device, 'cathedra.device', 13)}.${kept(tab, 'cathedra.tab', 8)}`
}

/**
 * A tab that was opened as a copy of another has the other's name with its storage. While the other is open it holds a
 * lock of that name, so the copy takes a name of its own.
 */
export async function claimTab(
  locks: LockManager | undefined = navigator.locks,
  device: Storage = localStorage,
  tab: Storage = sessionStorage,
): Promise<void> {
  if (!locks) return
  await new Promise<void>((claimed) => {
    void locks.request(`cathedra tab ${deviceName(device, tab)}`, { ifAvailable: true }, async (lock) => {
      if (!lock) {
        try {
          tab.removeItem('cathedra.tab')
        } catch {
          // without storage every name is a new one anyway
        }
        claimed()
        return claimTab(locks, device, tab)
      }
      claimed()
      return new Promise(() => undefined) // held as long as the page lives
    })
  })
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
