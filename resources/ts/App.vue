<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { onKeyStroke } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { answer, client, Problem } from './api/client'
import { useMe } from './api/groups'
import BinNote from './bin/BinNote.vue'
import PersonMenu from './account/PersonMenu.vue'
import AskDialog from './parts/AskDialog.vue'
import { ask } from './parts/asking'
import ShortcutHelp from './parts/ShortcutHelp.vue'
import PlacePages from './parts/PlacePages.vue'
import { places } from './parts/places'
import { typing } from './parts/typing'
import { holdsUnsaved } from './parts/unsaved'
import { endDrafts } from './parts/drafts'
import { forgetWhatWasKept, keepOnlyFor } from './offline'
import { useOutbox } from './teaching/outbox/outbox'

const { t } = useI18n()
const route = useRoute()
const router = useRouter()
const cache = useQueryClient()
const me = useMe()
const help = ref(false)

const bare = computed(() => route.meta['bare'] === true || route.meta['open'] === true)
watch([() => me.error.value, () => route.name], ([error]) => {
  if (error instanceof Problem && error.status === 401 && route.name !== undefined && route.meta['open'] !== true) {
    void router.replace({ name: 'sign-in', query: { to: route.fullPath } })
  }
})

/** What lies open over the page has keys of its own. */
const inDialog = () => document.querySelector('.v-overlay--active') !== null
onKeyStroke((event) => {
  if (typing(event) || route.meta['open'] === true) return
  if (event.key === '?') help.value = !help.value
  const place = holdsUnsaved() ? undefined : places.find((p) => p.key === event.key)
  if (place && !bare.value && !inDialog()) void router.push({ name: place.to })
})

/** What was done in front of a class is sent from wherever one is, for whoever is signed in. */
const outbox = useOutbox()
watch(
  () => me.data.value,
  (who) => {
    const name = who ? `${who.organisation_id} ${who.id}` : ''
    void outbox.belongTo(name)
    if (name !== '') void keepOnlyFor(name)
  },
  { immediate: true },
)

async function signOut() {
  const n = outbox.waiting.value.length + outbox.refused.value.length
  if (n > 0) {
    const choice = await ask({
      title: t('app.waiting', { n }),
      text: t('app.waitingText'),
      choices: [
        { key: 'stay', label: t('app.stay') },
        { key: 'go', label: t('app.signOut'), danger: true },
      ],
    })
    if (choice !== 'go') return
  }
  await answer(client.POST('/api/sign-out'))
  await outbox.belongTo('')
  endDrafts()
  await forgetWhatWasKept()
  cache.clear()
  window.location.assign('/sign-in')
}
</script>

<template>
  <v-app>
    <a class="skip" href="#main">{{ t('app.skip') }}</a>
    <header v-if="!bare" class="bar no-print">
      <RouterLink class="mark" :to="{ name: 'home' }">Cathedra</RouterLink>
      <nav :aria-label="t('app.places')">
        <RouterLink
          v-for="place in places"
          :key="place.name"
          :to="{ name: place.to }"
          :class="{ here: route.meta['place'] === place.name }"
          :aria-current="route.meta['place'] === place.name ? 'true' : undefined">
          {{ t(`places.${place.name}`) }} <kbd class="key" aria-hidden="true">{{ place.key.toUpperCase() }}</kbd>
        </RouterLink>
      </nav>
      <span v-if="outbox.stalled.value && outbox.waiting.value.length > 0" class="who warn" role="status">{{
        t('app.queue', outbox.waiting.value.length)
      }}</span>
      <RouterLink
        class="to-help"
        :to="{ name: 'help', query: { of: String(route.name ?? 'home'), lesson: route.params['id'] } }"
        >{{ t('app.help') }}</RouterLink
      >
      <PersonMenu class="person" @help="help = true" @out="signOut" />
    </header>
    <PlacePages v-if="!bare" />
    <main id="main" tabindex="-1">
      <RouterView />
    </main>
    <ShortcutHelp v-model="help" />
    <AskDialog />
    <BinNote />
  </v-app>
</template>

<style scoped>
.bar {
  display: flex; align-items: center; gap: 24px; max-width: 1280px; width: 100%; margin: 0 auto;
  padding: 12px 28px 8px; flex-wrap: wrap;
}
.mark { font-family: var(--head); font-weight: 800; font-size: 1.25rem; color: var(--ink); text-decoration: none; }
.bar nav { display: flex; gap: 20px; flex-wrap: wrap; }
.bar nav a { color: var(--ink-2); text-decoration: none; font-weight: 650; padding: 8px 0; }
.bar nav a.here { color: var(--ink); box-shadow: inset 0 -3px var(--tide); }
.who { margin-left: auto; color: var(--ink-2); font-weight: 650; }
.to-help { margin-left: auto; color: var(--ink-2); padding: 12px 0; }
.who + .to-help { margin-left: 0; }
.skip { position: absolute; left: -999px; }
.skip:focus { left: 8px; top: 8px; background: var(--paper); padding: 8px; z-index: 9; }
main:focus { outline: none; }
@media (max-width: 960px) {
  .bar { gap: 12px; }
  .bar nav { gap: 16px; }
  .bar .key { display: none; } /* tablets have no keys to press */
}
@media (max-width: 700px) {
  .bar { gap: 0 16px; padding: 6px 16px 0; }
  .mark { flex: 1; }
  .bar nav { gap: 2px 18px; order: 3; flex-basis: 100%; }
  .who { order: 2; margin: 0; }
}
</style>
