import { useMe } from '../api/groups'

/** What the server takes, as it tells with the account: no form states its limits a second time. */
export function useBounds() {
  const me = useMe()
  const of = (field: string) => me.data.value?.bounds[field]

  return {
    /** of a number field */
    between: (field: string) => ({ min: of(field)?.least, max: of(field)?.most }),
    /** signs of a text, entries of a list */
    most: (field: string) => of(field)?.most,
  }
}
