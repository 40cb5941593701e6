import help from '../../../lang/en/help.json'
import { i18n } from '../i18n'

// Its words come with the page of help, not with every screen.
i18n.global.mergeLocaleMessage('en', { help })

type Page = Record<string, string> & { title: string }
const pages = help.pages as Record<string, Page>

/** Screens that share a page of help with another. */
const SAME: Record<string, string> = {
  'new-lesson': 'choose', 'run-sheet': 'plan', rehearse: 'teach', 'lesson-wall': 'teach', worksheet: 'keep',
  kits: 'paper', fold: 'folds', cards: 'folds', handout: 'model', 'lesson-handout': 'plan', decorate: 'model',
  patterns: 'model', 'paper-table': 'cupboard', bin: 'groups',
}

/** The page of help for a screen, by the name of its route; null where none is needed. */
export function helpFor(route: string): string | null {
  const name = SAME[route] ?? route
  return name in pages ? name : null
}

export const helpPages = Object.keys(pages)

/** How many sentences a page has, numbered from 1. */
export const sentencesOf = (page: string) => Object.keys(pages[page] ?? {}).filter((key) => /^\d+$/.test(key))

/** Whether it has one with the numbers of a lesson. */
export const hasOwn = (page: string) => pages[page]?.['own'] !== undefined
