import { type DBSchema, type IDBPDatabase, openDB } from 'idb'
import type { components } from '../../api/schema'

export type EventInput = components['schemas']['EventInput']

/** Something done in front of a class that the server does not have yet. */
export interface Deed {
  /** in the order in which deeds were done on this device; the device's own */
  id?: number
  /** whose it is: organisation and account; nobody else sends it */
  owner: string
  lesson: number
  event: EventInput
  /** why the server refused it; it waits to be looked at and is not sent again by itself */
  aside?: string
}
export type StoredDeed = Deed & { id: number }

interface Shape extends DBSchema {
  deeds: { key: number; value: Deed; indexes: { owner: string } }
}

/** Deeds in the device's own database: one list for all tabs. */
export interface Store {
  add(deed: Deed): Promise<number>
  of(owner: string): Promise<StoredDeed[]>
  remove(ids: readonly number[]): Promise<void>
  setAside(id: number, why: string | undefined): Promise<void>
}

export function openStore(name = 'cathedra'): Store {
  let opened: Promise<IDBPDatabase<Shape>> | null = null
  const db = () => {
    opened ??= openDB<Shape>(name, 1, {
      upgrade(base) {
        base.createObjectStore('deeds', { keyPath: 'id', autoIncrement: true }).createIndex('owner', 'owner')
      },
    }).catch((problem: unknown) => {
      opened = null // a later try may succeed
      throw problem
    })
    return opened
  }
  return {
    async add(deed) {
      const base = await db()
      const change = base.transaction('deeds', 'readwrite', { durability: 'strict' })
      const id = await change.store.add(deed)
      await change.done
      return id
    },
    of: async (owner) => (await (await db()).getAllFromIndex('deeds', 'owner', owner)) as StoredDeed[],
    async remove(ids) {
      const change = (await db()).transaction('deeds', 'readwrite')
      await Promise.all([...ids.map((id) => change.store.delete(id)), change.done])
    },
    async setAside(id, why) {
      const change = (await db()).transaction('deeds', 'readwrite')
      const deed = await change.store.get(id)
      if (deed) {
        const { owner, lesson, event } = deed
        await change.store.put({ id, owner, lesson, event, ...(why === undefined ? {} : { aside: why }) })
      }
      await change.done
    },
  }
}
