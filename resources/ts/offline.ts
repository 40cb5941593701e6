import { DRAFT } from './parts/drafts'
import type { LogEvent } from './teaching/log/log'

/** What this device keeps so that the stage opens again without a network; see public/sw.js. */
const LOG = 'log-'
/** Who was signed in when it was kept. */
const WHOSE = 'kept-for'

export function keepForOffline(): void {
  if ('serviceWorker' in navigator && window.isSecureContext) void navigator.serviceWorker.register('/sw.js')
}

/** Nothing of a class stays on a device that somebody has signed out of, but what still waits to be sent. */
export async function forgetWhatWasKept(): Promise<void> {
  for (const key of Object.keys(localStorage))
    if (key.startsWith(LOG) || key.startsWith(DRAFT)) localStorage.removeItem(key)
  if ('caches' in window) await caches.delete('cathedra-data')
}

/** Whoever signs in next on a device that was handed on finds nothing of the class before. */
export async function keepOnlyFor(who: string): Promise<void> {
  try {
    const before = localStorage.getItem(WHOSE)
    if (before !== null && before !== who) await forgetWhatWasKept()
    localStorage.setItem(WHOSE, who)
  } catch {
    // what cannot be kept need not be forgotten
  }
}

export interface KeptLog {
  newest: number
  events: LogEvent[]
}

/** The log of a lesson as this device heard it last; of one lesson only. */
export function keepLog(lesson: number, log: KeptLog): void {
  try {
    for (const key of Object.keys(localStorage))
      if (key.startsWith(LOG) && key !== `${LOG}${lesson}`) localStorage.removeItem(key)
    localStorage.setItem(`${LOG}${lesson}`, JSON.stringify(log))
  } catch {
    // a device that keeps nothing teaches as well, as long as it has a line
  }
}

export function keptLog(lesson: number): KeptLog | null {
  try {
    return JSON.parse(localStorage.getItem(`${LOG}${lesson}`) ?? 'null') as KeptLog | null
  } catch {
    return null
  }
}
