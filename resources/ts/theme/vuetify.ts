import 'vuetify/styles'
import { mdiCheck, mdiClose, mdiMenuDown, mdiChevronLeft, mdiChevronRight } from '@mdi/js'
import { createVuetify } from 'vuetify'
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg'

const field = {
  variant: 'outlined',
  density: 'comfortable',
  rounded: 0,
  color: 'primary',
  hideDetails: 'auto',
} as const

/** The emphasis of texts is ours. */
const plain = { 'medium-emphasis-opacity': 1, 'high-emphasis-opacity': 1 }
/** The colours themselves stand in tokens.css; Vuetify follows the same wish of the device. */
const evening = window.matchMedia('(prefers-color-scheme: dark)')

/** Vuetify for behaviour and access; its look is replaced here and in tokens.css. */
export const vuetify = createVuetify({
  icons: {
    defaultSet: 'mdi',
    aliases: {
      ...aliases,
      close: mdiClose,
      complete: mdiCheck,
      dropdown: mdiMenuDown,
      prev: mdiChevronLeft,
      next: mdiChevronRight,
    },
    sets: { mdi },
  },
  theme: {
    defaultTheme: evening.matches ? 'evening' : 'table',
    themes: {
      table: {
        dark: false,
        colors: {
          background: '#DFE5E1',
          surface: '#FDFCF8',
          primary: '#0E6E7C',
          secondary: '#4A5B62',
          error: '#B23A26',
          'on-surface': '#17252D',
          'on-background': '#17252D',
          'on-primary': '#FFFFFF',
        },
        variables: { ...plain, 'border-color': '#17252D', 'border-opacity': 0.35 },
      },
      evening: {
        dark: true,
        colors: {
          background: '#151D20',
          surface: '#222D31',
          primary: '#14788A',
          secondary: '#B6C4C7',
          error: '#FFA28F',
          'on-surface': '#EEF2EF',
          'on-background': '#EEF2EF',
          'on-primary': '#FFFFFF',
        },
        variables: { ...plain, 'border-color': '#EEF2EF', 'border-opacity': 0.5 },
      },
    },
  },
  defaults: {
    VBtn: { variant: 'flat', rounded: 0, height: 48, ripple: false },
    VTextField: field,
    VSelect: { ...field, menuProps: { contentClass: 'menu' } },
    VTextarea: field,
    VCheckbox: { density: 'compact', hideDetails: 'auto', color: 'primary' },
  },
})
evening.addEventListener('change', ({ matches }) => vuetify.theme.change(matches ? 'evening' : 'table'))
