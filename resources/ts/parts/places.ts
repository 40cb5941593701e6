/** The four places of the house, the key that leads there, and the pages one finds in each. */
export const places = [
  { name: 'lessons', to: 'home', key: 'l', pages: ['home', 'all-lessons', 'term', 'learned'] },
  { name: 'models', to: 'shelf', key: 'm', pages: ['shelf', 'folds', 'patterns'] },
  { name: 'paper', to: 'cupboard', key: 'p', pages: ['cupboard', 'bench', 'ahead', 'paper-table'] },
  { name: 'groups', to: 'groups', key: 'g', pages: [] },
] as const

export type Place = (typeof places)[number]['name']
