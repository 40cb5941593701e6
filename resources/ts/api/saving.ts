import { Problem } from './client'

/** Said by a form that gives way: what somebody else saved stays. */
export class KeptTheirs extends Error {}

interface Versioned {
  version?: number
  remove?: number[]
}

/** What differs between two forms of the same thing. */
export interface Difference {
  field: string
  theirs: string
  yours: string
}

/** Whoever sits at the screen, where only a person can decide. */
export interface Person {
  /**
   * somebody else saved it meanwhile: whether this form is to be saved over theirs; throws KeptTheirs when theirs is to
   * stay
   */
  savesOver: (said: string, differences: Difference[]) => Promise<boolean>
  /** learners are missing from the form: whether they go into the bin */
  removes: (said: string) => Promise<boolean>
}

let person: Person = { savesOver: () => Promise.resolve(false), removes: () => Promise.resolve(false) }
export const askThere = (there: Person) => {
  person = there
}

/**
 * Saves a form that others may have changed meanwhile: shows what differs and offers both; names who would go from a
 * list and asks. `call` is made again with what was chosen.
 */
export async function saveVersioned<B extends Versioned, T>(body: B, call: (body: B) => Promise<T>): Promise<T> {
  try {
    return await call(body)
  } catch (problem) {
    if (!(problem instanceof Problem) || problem.status !== 409) throw problem
    const { differences = [], missing = [], version } = problem.body as {
      differences?: Difference[]
      missing?: { id: number }[]
      version?: number
    }
    if ('version' in problem.fields && version !== undefined && (await person.savesOver(problem.message, differences)))
      return saveVersioned({ ...body, version }, call)
    if ('remove' in problem.fields && (await person.removes(problem.message)))
      return saveVersioned({ ...body, remove: missing.map((one) => one.id) }, call)
    throw problem
  }
}
