/** Learners in the order of their seats, by table. */
export interface Table<S> {
  /** from 1 */
  number: number
  seats: S[]
}

/** Tables of so many, filled in the order of seats; the last may have empty places. */
export function tablesOf<S>(seats: readonly S[], size: number): Table<S>[] {
  const each = Math.max(1, size)
  return Array.from({ length: Math.ceil(seats.length / each) }, (_, i) => ({
    number: i + 1,
    seats: seats.slice(i * each, (i + 1) * each),
  }))
}

/** Places beside one another at a table of so many: all of a small one, else half of them. */
export const columnsOf = (size: number) => (size <= 4 ? Math.max(2, size) : Math.ceil(size / Math.ceil(size / 3)))
