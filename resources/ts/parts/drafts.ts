/** What was typed and not saved, kept on this device for whoever is signed in; signing out ends it (offline.ts). */
export const DRAFT = 'draft-'
/** Days; older ones are not offered any more. */
const KEPT_DAYS = 7

export interface Draft {
  /** all that stood in the form */
  text: string
  /** ms, by this device's clock */
  at: number
}

let over = false
/** From now on until the page is loaded anew nothing is kept: somebody signs out. */
export function endDrafts(): void {
  over = true
}

/** @returns whether this device could keep it, or need not any more */
export function keepDraft(name: string, text: string, now = Date.now()): boolean {
  if (over) return true
  try {
    localStorage.setItem(DRAFT + name, JSON.stringify({ text, at: now } satisfies Draft))
    return true
  } catch {
    return false
  }
}

export function dropDraft(name: string): void {
  try {
    localStorage.removeItem(DRAFT + name)
  } catch {
    // nothing was kept there
  }
}

/** The draft of a form; null when there is none, or none that can still be read. */
export function draftOf(name: string, now = Date.now()): Draft | null {
  try {
    const kept = JSON.parse(localStorage.getItem(DRAFT + name) ?? 'null') as Partial<Draft> | null
    if (typeof kept?.text !== 'string' || typeof kept.at !== 'number') return null
    if (now - kept.at > KEPT_DAYS * 86_400_000) {
      dropDraft(name)
      return null
    }
    return { text: kept.text, at: kept.at }
  } catch {
    return null
  }
}
