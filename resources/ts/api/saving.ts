import { Problem } from './client'
import { i18n } from '../i18n'
import { ask, type Difference } from '../parts/asking'

/** Said by a form that gives way: what somebody else saved stays. */
export class KeptTheirs extends Error {}

interface Versioned {
  version?: number
  remove?: number[]
}

/**
 * Saves a form that others may have changed meanwhile: shows what differs and offers both; names who would go from a
 * list and asks. `call` is made again with what was chosen.
 */
export async function saveVersioned<B extends Versioned, T>(body: B, call: (body: B) => Promise<T>): Promise<T> {
  const { t } = i18n.global
  try {
    return await call(body)
  } catch (problem) {
    if (!(problem instanceof Problem) || problem.status !== 409) throw problem
    if ('version' in problem.fields) {
      const choice = await ask({
        title: t('ask.changed'),
        text: problem.message,
        differences: (problem.body['differences'] ?? []) as Difference[],
        choices: [
          { key: 'theirs', label: t('ask.keepTheirs') },
          { key: 'mine', label: t('ask.saveMine') },
        ],
      })
      if (choice === 'mine') return saveVersioned({ ...body, version: problem.body['version'] as number }, call)
      if (choice === 'theirs') throw new KeptTheirs(t('ask.keptTheirs'))
    }
    if ('remove' in problem.fields) {
      const missing = (problem.body['missing'] ?? []) as { id: number }[]
      const choice = await ask({
        title: t('ask.gone'),
        text: problem.message,
        choices: [{ key: 'remove', label: t('ask.intoTheBin'), danger: true }],
      })
      if (choice === 'remove') return saveVersioned({ ...body, remove: missing.map((one) => one.id) }, call)
    }
    throw problem
  }
}
