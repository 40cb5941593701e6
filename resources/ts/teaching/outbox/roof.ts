import { ref, shallowRef } from 'vue'
import type { Deed, Store, StoredDeed } from './store'

/**
 * Deeds the device's storage has, and those it refused, as one list in their order: a full or locked storage loses
 * nothing while the page is open.
 */
export class Roof implements Store {
  /** the storage refused the last deed, or could not be read */
  readonly failed = ref(false)
  private readonly homeless = shallowRef<readonly StoredDeed[]>([])

  constructor(private readonly store: Store) {}

  async add(deed: Deed): Promise<number> {
    try {
      const id = await this.store.add(deed)
      this.failed.value = false
      return id
    } catch {
      const id = -Date.now() - Math.random()
      this.failed.value = true
      this.homeless.value = [...this.homeless.value, { ...deed, id }]
      return id
    }
  }

  async of(owner: string): Promise<StoredDeed[]> {
    const own = this.homeless.value.filter((deed) => deed.owner === owner)
    try {
      return [...(await this.store.of(owner)), ...own]
    } catch {
      this.failed.value = true
      return [...own]
    }
  }

  async remove(ids: readonly number[]): Promise<void> {
    this.homeless.value = this.homeless.value.filter((deed) => !ids.includes(deed.id))
    await this.store.remove(ids.filter((id) => id > 0)).catch(() => {
      this.failed.value = true
    })
  }

  async setAside(id: number, why: string | undefined): Promise<void> {
    this.homeless.value = this.homeless.value.map((deed) =>
      deed.id === id ? { ...deed, aside: why } : deed,
    ) as StoredDeed[]
    if (id > 0) await this.store.setAside(id, why)
  }
}
