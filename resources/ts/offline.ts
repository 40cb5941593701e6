import { DRAFT } from './parts/drafts'
import type { LogEvent } from './teaching/log/log'

/** What this device keeps so that the stage opens again without a network; see public/sw.js. */
const LOG = 'log-'
/** The lesson that is kept whole: its steps, motions and mistakes. */
const WHOLE = 'kept-lesson'
const SHELL = 'cathedra-shell'
/** Who was signed in when it was kept. */
const WHOSE = 'kept-for'

export function keepForOffline(): void {
  if ('serviceWorker' in navigator && window.isSecureContext) void navigator.serviceWorker.register('/sw.js')
}

/** Nothing of a class stays on a device that somebody has signed out of, but what still waits to be sent. */
export async function forgetWhatWasKept(): Promise<void> {
  for (const key of Object.keys(localStorage))
    if (key.startsWith(LOG) || key.startsWith(DRAFT) || key === WHOLE) localStorage.removeItem(key)
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

/** Whether what is kept passes through the worker already; on a first visit it takes over in a moment. */
export async function workerIsThere(): Promise<boolean> {
  if (!('serviceWorker' in navigator) || !window.isSecureContext) return false
  const none = new Promise<null>((done) => setTimeout(() => { done(null) }, 10_000))
  if ((await Promise.race([navigator.serviceWorker.ready, none])) === null) return false
  for (let i = 0; i < 50 && !navigator.serviceWorker.controller; i++)
    await new Promise((done) => setTimeout(done, 100))
  return navigator.serviceWorker.controller !== null
}

/** Pages that open without a network, with every file of the application that this device has loaded so far. */
export async function keepPages(paths: readonly string[]): Promise<void> {
  const shell = await caches.open(SHELL)
  const built = performance.getEntriesByType('resource')
    .map((entry) => new URL(entry.name))
    .filter((url) => url.origin === location.origin && url.pathname.startsWith('/build/'))
    .map((url) => url.pathname)
  for (const path of [...paths, ...built]) if (!(await shell.match(path))) await shell.add(path)
}

export const isKeptWhole = (what: string) => localStorage.getItem(WHOLE) === what
export const keptWhole = (what: string) => { localStorage.setItem(WHOLE, what) }

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
