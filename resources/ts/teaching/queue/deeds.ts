import { computed, readonly, ref, shallowRef } from 'vue'
import { answer, client, Problem } from '../../api/client'
import type { components } from '../../api/schema'
import { sendAll } from './sender'
import { type EventInput, openStore, type Store, type StoredDeed } from './store'

export type LogData = components['schemas']['LogData']
type Post = (lesson: number, events: EventInput[]) => Promise<LogData>
type Listener = (lesson: number, answer: LogData) => void

const RETRY_MS = [1000, 2000, 4000, 8000, 15000]

/**
 * What was done in front of a class: written to the device first, then sent in order, again and again, until the server
 * has it. One list for all tabs, of whoever is signed in; one tab at a time sends (the key of a deed makes a second
 * sending harmless where the browser knows no locks).
 */
export function createDeeds(store: Store, post: Post, channel?: BroadcastChannel) {
  const owner = ref('')
  const deeds = shallowRef<readonly StoredDeed[]>([])
  /** Kept in this tab only, because the device's storage refused them. */
  const homeless = shallowRef<readonly StoredDeed[]>([])
  const storageFailed = ref(false)
  const signedOut = ref(false)
  /** the last time something was sent, nothing answered */
  const unreachable = ref(false)
  /** what was sent last was not taken and is sent again */
  const stalled = ref(false)
  const listeners = new Set<Listener>()
  let tries = 0
  let timer: ReturnType<typeof setTimeout> | undefined

  /** Deeds the storage has, and those it refused, as one list in their order. */
  const roof: Store = {
    add: (deed) => store.add(deed),
    async of(whose) {
      const own = homeless.value.filter((deed) => deed.owner === whose)
      try {
        return [...(await store.of(whose)), ...own]
      } catch {
        storageFailed.value = true
        return [...own]
      }
    },
    async remove(ids) {
      homeless.value = homeless.value.filter((deed) => !ids.includes(deed.id))
      await store.remove(ids.filter((id) => id > 0)).catch(() => {
        storageFailed.value = true
      })
    },
    async setAside(id, why) {
      homeless.value = homeless.value.map((deed) => (deed.id === id ? { ...deed, aside: why } : deed)) as StoredDeed[]
      if (id > 0) await store.setAside(id, why)
    },
  }

  async function look() {
    deeds.value = owner.value === '' ? [] : await roof.of(owner.value)
  }

  async function changed() {
    await look()
    channel?.postMessage('changed')
  }

  async function add(lesson: number, event: EventInput) {
    const deed = { owner: owner.value, lesson, event }
    // Shown at once; the number is the storage's own when it has it.
    const shown: StoredDeed = { ...deed, id: -Date.now() - Math.random() }
    deeds.value = [...deeds.value, shown]
    try {
      await store.add(deed)
      storageFailed.value = false
    } catch {
      storageFailed.value = true
      homeless.value = [...homeless.value, shown]
    }
    await changed()
    void send()
  }

  async function send() {
    if (owner.value === '') return
    clearTimeout(timer)
    const whose = owner.value
    const work = async () => {
      const sent = await sendAll(whose, {
        store: roof,
        send: (lesson, events) =>
          post(lesson, events).then(
            (said) => {
              unreachable.value = false
              return said
            },
            (problem: unknown) => {
              unreachable.value = !(problem instanceof Problem) || problem.status === 0 || problem.status === 503
              throw problem
            },
          ),
        acknowledged: (lesson, log) => {
          listeners.forEach((tell) => {
            tell(lesson, log)
          })
          channel?.postMessage('changed')
          void look()
        },
      })
      signedOut.value = sent === 'signed-out'
      tries = sent === 'all' ? 0 : tries + 1
      stalled.value = tries > 0
      await changed()
    }
    const name = `cathedra deeds of ${whose}`
    // While another tab sends, this one looks again a little later.
    await (navigator.locks
      ? navigator.locks.request(name, { ifAvailable: true }, (lock) => (lock ? work() : undefined))
      : work())
    if (waiting.value.length > 0) timer = setTimeout(() => void send(), RETRY_MS[Math.min(tries, RETRY_MS.length - 1)])
  }

  const waiting = computed(() => deeds.value.filter((deed) => deed.aside === undefined))
  const aside = computed(() => deeds.value.filter((deed) => deed.aside !== undefined))
  channel?.addEventListener('message', () => {
    void look()
  })

  return {
    /** whoever is signed in; '' for nobody. Only own deeds are shown and sent. */
    async belongTo(whose: string) {
      if (owner.value === whose) return
      owner.value = whose
      await look()
      if (whose !== '') void send()
    },
    add,
    send,
    waiting,
    aside,
    /** Tries a refused deed again. */
    async again(id: number) {
      await roof.setAside(id, undefined)
      await changed()
      await send()
    },
    /** Lets a refused deed go; only ever by hand. */
    async drop(id: number) {
      await roof.remove([id])
      await changed()
    },
    onAnswer(tell: Listener) {
      listeners.add(tell)
      return () => listeners.delete(tell)
    },
    storageFailed: readonly(storageFailed),
    signedOut: readonly(signedOut),
    unreachable: readonly(unreachable),
    stalled: readonly(stalled),
  }
}

const known = new Map<number, number>()
let only: ReturnType<typeof createDeeds> | undefined

/**
 * The newest number of a lesson's log that this tab has seen; deeds say it, so that old ones do not pull the room
 * back.
 */
export const seen = {
  of: (lesson: number) => known.get(lesson) ?? 0,
  now: (lesson: number, number: number) => known.set(lesson, Math.max(number, known.get(lesson) ?? 0)),
}

/** The one queue of this tab. */
export function useDeeds() {
  only ??= createDeeds(
    openStore(),
    (lesson, events) => answer(client.POST('/api/lessons/{lesson}/events', {
      params: { path: { lesson } }, body: { after: seen.of(lesson), events },
    })),
    typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('cathedra deeds'),
  )
  return only
}
