import { computed, readonly, ref, shallowRef } from 'vue'
import { answer, client, Problem } from '../../api/client'
import type { components } from '../../api/schema'
import { Roof } from './roof'
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
export class Outbox {
  private readonly owner = ref('')
  private readonly deeds = shallowRef<readonly StoredDeed[]>([])
  private readonly roof: Roof
  private readonly listeners = new Set<Listener>()
  private readonly isSignedOut = ref(false)
  private readonly isUnreachable = ref(false)
  private readonly isStalled = ref(false)
  private tries = 0
  private timer: ReturnType<typeof setTimeout> | undefined

  /** what is still to be sent, in the order in which it was done */
  readonly waiting = computed(() => this.deeds.value.filter((deed) => deed.aside === undefined))
  /** what the server refused, with its reason; it stays until it is tried again or let go by hand */
  readonly refused = computed(() => this.deeds.value.filter((deed) => deed.aside !== undefined))
  /** who sends is not signed in any more */
  readonly signedOut = readonly(this.isSignedOut)
  /** the last time something was sent, nothing answered */
  readonly unreachable = readonly(this.isUnreachable)
  /** what was sent last was not taken and is sent again */
  readonly stalled = readonly(this.isStalled)
  /** what is done now is kept in this tab only, because the device's storage refuses it */
  readonly storageFailed

  constructor(
    store: Store,
    private readonly post: Post,
    private readonly channel?: BroadcastChannel,
  ) {
    this.roof = new Roof(store)
    this.storageFailed = readonly(this.roof.failed)
    channel?.addEventListener('message', () => void this.look())
  }

  /** Whoever is signed in; '' for nobody. Only own deeds are shown and sent. */
  async belongTo(whose: string) {
    if (this.owner.value === whose) return
    this.owner.value = whose
    await this.look()
    if (whose !== '') void this.send()
  }

  /** Kept on the device when this resolves; shown at once and sent as soon as it can be. */
  async add(lesson: number, event: EventInput) {
    const deed = { owner: this.owner.value, lesson, event }
    // The number is the storage's own when it has it.
    this.deeds.value = [...this.deeds.value, { ...deed, id: -Date.now() - Math.random() }]
    await this.roof.add(deed)
    await this.changed()
    void this.send()
  }

  /** Sends what waits, once; what is not taken is sent again by itself. While another tab sends, it does. */
  async send() {
    if (this.owner.value === '') return
    clearTimeout(this.timer)
    const whose = this.owner.value
    const work = () => this.sendAll(whose)
    await (navigator.locks
      ? navigator.locks.request(`cathedra deeds of ${whose}`, { ifAvailable: true }, (lock) =>
          lock ? work() : undefined,
        )
      : work())
    if (this.waiting.value.length > 0)
      this.timer = setTimeout(() => void this.send(), RETRY_MS[Math.min(this.tries, RETRY_MS.length - 1)])
  }

  /**
   * Sends until the server has had its say of one event.
   *
   * @returns why it was refused; null when it was taken; undefined when it could not be sent yet and goes on waiting
   */
  async delivered(key: string): Promise<string | null | undefined> {
    for (;;) {
      await this.send()
      const refused = this.refused.value.find((deed) => deed.event.key === key)
      if (refused) return refused.aside ?? ''
      if (!this.waiting.value.some((deed) => deed.event.key === key)) return null
      if (this.isStalled.value || this.isSignedOut.value) return undefined
      await new Promise((resolve) => setTimeout(resolve, 50)) // another tab sends
    }
  }

  /** Tries a refused deed again. */
  readonly again = async (id: number) => {
    await this.roof.setAside(id, undefined)
    await this.changed()
    await this.send()
  }

  /** Lets a refused deed go; only ever by hand. */
  readonly drop = async (id: number) => {
    await this.roof.remove([id])
    await this.changed()
  }

  /** Hears what the server answers; returns how to stop that. */
  onAnswer(tell: Listener) {
    this.listeners.add(tell)
    return () => this.listeners.delete(tell)
  }

  private async look() {
    this.deeds.value = this.owner.value === '' ? [] : await this.roof.of(this.owner.value)
  }

  private async changed() {
    await this.look()
    this.channel?.postMessage('changed')
  }

  private async sendAll(whose: string) {
    const sent = await sendAll(whose, {
      store: this.roof,
      send: async (lesson, events) => {
        try {
          const said = await this.post(lesson, events)
          this.isUnreachable.value = false
          return said
        } catch (problem) {
          this.isUnreachable.value = !(problem instanceof Problem) || problem.status === 0 || problem.status === 503
          throw problem
        }
      },
      acknowledged: (lesson, log) => {
        for (const tell of this.listeners) tell(lesson, log)
        this.channel?.postMessage('changed')
        void this.look()
      },
    })
    this.isSignedOut.value = sent === 'signed-out'
    this.tries = sent === 'all' ? 0 : this.tries + 1
    this.isStalled.value = this.tries > 0
    await this.changed()
  }
}

const known = new Map<number, number>()
let only: Outbox | undefined

/**
 * The newest number of a lesson's log that this tab has seen; deeds say it, so that old ones do not pull the room
 * back.
 */
export const seen = {
  of: (lesson: number) => known.get(lesson) ?? 0,
  now: (lesson: number, number: number) => known.set(lesson, Math.max(number, known.get(lesson) ?? 0)),
}

/** The one outbox of this tab. */
export function useOutbox() {
  only ??= new Outbox(
    openStore(),
    (lesson, events) =>
      answer(
        client.POST('/api/lessons/{lesson}/events', {
          params: { path: { lesson } },
          body: { after: seen.of(lesson), events },
        }),
      ),
    typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('cathedra deeds'),
  )
  return only
}
