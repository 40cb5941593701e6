import { readonly, shallowRef } from 'vue'
import type { Difference } from '../api/saving'

export interface Question {
  title: string
  text: string
  /** what differs between two forms of the same thing */
  differences?: Difference[]
  /** the first is the one that loses nothing */
  choices: { key: string; label: string; danger?: boolean }[]
}

const open = shallowRef<(Question & { answer: (key: string) => void }) | null>(null)

/** The question that AskDialog shows now. */
export const question = readonly(open)

/**
 * Asks, and resolves with the key of the choice; '' when it was closed. One question at a time: a second closes the
 * first.
 */
export function ask(of: Question): Promise<string> {
  open.value?.answer('')
  return new Promise((resolve) => {
    open.value = {
      ...of,
      answer(key) {
        open.value = null
        resolve(key)
      },
    }
  })
}
