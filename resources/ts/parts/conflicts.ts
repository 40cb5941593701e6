import { KeptTheirs, type Person } from '../api/saving'
import { i18n } from '../i18n'
import { ask } from './asking'

/** Asks in the application's dialog what only a person can decide about a form. */
export const inTheDialog: Person = {
  async savesOver(text, differences) {
    const { t } = i18n.global
    const choice = await ask({
      title: t('ask.changed'),
      text,
      differences,
      choices: [
        { key: 'theirs', label: t('ask.keepTheirs') },
        { key: 'mine', label: t('ask.saveMine') },
      ],
    })
    if (choice === 'theirs') throw new KeptTheirs(t('ask.keptTheirs'))
    return choice === 'mine'
  },
  async removes(text) {
    const { t } = i18n.global
    const choices = [{ key: 'remove', label: t('ask.intoTheBin'), danger: true }]
    return (await ask({ title: t('ask.gone'), text, choices })) === 'remove'
  },
}
