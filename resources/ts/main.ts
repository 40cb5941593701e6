import '@fontsource-variable/atkinson-hyperlegible-next/wght.css'
import '@fontsource-variable/bricolage-grotesque/wght.css'
import './theme/tokens.css'
import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { createApp } from 'vue'
import App from './App.vue'
import { Problem } from './api/client'
import { askThere } from './api/saving'
import { i18n } from './i18n'
import { keepForOffline } from './offline'
import { inTheDialog } from './parts/conflicts'
import { router } from './router'
import { claimTab } from './teaching/outbox/device'
import { vuetify } from './theme/vuetify'

const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 10_000,
      shallow: true, // an answer is taken whole and never changed by a screen
      retry: (count, error) => !(error instanceof Problem && error.status < 500) && count < 2,
    },
  },
})

askThere(inTheDialog)
void claimTab()
keepForOffline()
createApp(App).use(router).use(vuetify).use(i18n).use(VueQueryPlugin, { queryClient }).mount('#app')
