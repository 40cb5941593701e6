import { useSessionStorage } from '@vueuse/core'
import { computed } from 'vue'
import { useGroups } from '../api/groups'
import { useHome } from '../api/lessons'

/** The group that folds are asked about: the one chosen last, else that of the next lesson, else the first. */
export function useAskedGroup() {
  const known = useGroups()
  const home = useHome()
  const chosen = useSessionStorage<number | null>('fold-group', null, { serializer: { read: Number, write: String } })
  const groups = computed(() => known.data.value ?? [])
  const group = computed(() => {
    const next = home.data.value?.next?.group
    return (
      groups.value.find((g) => g.id === chosen.value) ?? groups.value.find((g) => g.name === next) ?? groups.value[0]
    )
  })
  /** Whether it is known which group that is: asking before is asking twice. */
  const settled = computed(() => {
    const isChosen = groups.value.some((g) => g.id === chosen.value)
    return !known.isPending.value && (isChosen || groups.value.length < 2 || !home.isPending.value)
  })
  const choose = (event: Event) => {
    chosen.value = Number((event.target as HTMLSelectElement).value)
  }
  return { groups, group, settled, choose }
}
