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
    defaultTheme: 'table',
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
        variables: {
          'medium-emphasis-opacity': 1,
          'high-emphasis-opacity': 1,
          'border-color': '#17252D',
          'border-opacity': 0.35,
        },
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
