import type { RouterScrollBehavior } from 'vue-router'

/** Milliseconds that a page may take until what it is about is there. */
const PATIENCE = 3000

/** Comes true, or the patience is over; asked at every frame. */
const until = (isSo: () => boolean) =>
  new Promise<void>((resolve) => {
    const end = performance.now() + PATIENCE
    const look = () => {
      if (isSo() || performance.now() > end) resolve()
      else requestAnimationFrame(look)
    }
    look()
  })

/**
 * A page opens at its top; going back opens it where it was left, once it is long enough again; a change of what is
 * asked within a page leaves it where it is.
 */
export const scrollBehavior: RouterScrollBehavior = async (to, from, saved) => {
  if (saved) {
    await until(() => document.documentElement.scrollHeight >= saved.top + window.innerHeight)
    return saved
  }
  if (to.hash) {
    const id = to.hash.slice(1)
    await until(() => document.getElementById(id) !== null)
    return { el: to.hash }
  }
  return to.path === from.path ? false : { top: 0 }
}

/**
 * Puts the focus on the heading of the page that was opened, so that keys and screen readers begin there and not on
 * what is gone. Whoever is quicker and has the focus somewhere on the page already keeps it.
 */
export async function headToHeading(): Promise<void> {
  const main = document.getElementById('main')
  const old = main?.querySelector('h1')
  const at = document.activeElement
  const isFree = () => {
    const now = document.activeElement
    return now === null || now === document.body || now === at || !now.isConnected
  }
  await until(() => {
    const heading = main?.querySelector('h1')
    return (heading !== null && heading !== undefined && heading !== old) || !isFree()
  })
  const heading = main?.querySelector('h1')
  if (!heading || !isFree()) return
  heading.tabIndex = -1
  heading.focus({ preventScroll: true })
}
