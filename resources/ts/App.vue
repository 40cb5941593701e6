<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { onKeyStroke } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { answer, client, Problem } from './api/client'
import { useMe } from './api/groups'
import BinNote from './bin/BinNote.vue'
import AskDialog from './parts/AskDialog.vue'
import { ask } from './parts/asking'
import ShortcutHelp from './parts/ShortcutHelp.vue'
import { typing } from './parts/typing'
import { holdsUnsaved } from './parts/unsaved'
import { forgetWhatWasKept, keepOnlyFor } from './offline'
import { useOutbox } from './teaching/outbox/outbox'

const { t } = useI18n()
const route = useRoute()
const router = useRouter()
const cache = useQueryClient()
const me = useMe()
const help = ref(false)

const bare = computed(() => route.meta['bare'] === true || route.meta['open'] === true)
const places = [
  { name: 'home', key: 'l' },
  { name: 'shelf', key: 's' },
  { name: 'folds', key: 'f' },
  { name: 'cupboard', key: 'c' },
  { name: 'groups', key: 'g' },
] as const

watch([() => me.error.value, () => route.name], ([error]) => {
  if (error instanceof Problem && error.status === 401 && route.name !== undefined && route.name !== 'sign-in') {
    void router.replace({ name: 'sign-in', query: { to: route.fullPath } })
  }
})

onKeyStroke((event) => {
  if (typing(event) || route.meta['open'] === true) return
  if (event.key === '?') help.value = !help.value
  const place = holdsUnsaved() ? undefined : places.find((p) => p.key === event.key)
  if (place && route.name !== 'teach') void router.push({ name: place.name })
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
        <RouterLink v-for="place in places" :key="place.name" :to="{ name: place.name }">
          {{ t(`places.${place.name}`) }} <kbd class="key" aria-hidden="true">{{ place.key.toUpperCase() }}</kbd>
        </RouterLink>
      </nav>
      <span v-if="outbox.stalled.value && outbox.waiting.value.length > 0" class="who warn" role="status">{{
        t('app.queue', outbox.waiting.value.length)
      }}</span>
      <RouterLink class="who" :to="{ name: 'account' }">{{ me.data.value?.organisation }}</RouterLink>
      <RouterLink class="out" :to="{ name: 'bin' }">{{ t('bin.title') }}</RouterLink>
      <button class="out keys" type="button" @click="help = true">
        {{ t('app.keys') }} <kbd class="key" aria-hidden="true">?</kbd>
      </button>
      <button class="out" type="button" @click="signOut">{{ t('app.signOut') }}</button>
    </header>
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
nav { display: flex; gap: 20px; flex-wrap: wrap; }
nav a { color: var(--ink-2); text-decoration: none; font-weight: 650; padding: 8px 0; }
nav a.router-link-active { color: var(--ink); box-shadow: inset 0 -3px var(--tide); }
.who { margin-left: auto; color: var(--ink-2); font-weight: 650; }
.who { text-decoration-thickness: 1px; }
.out { color: var(--ink-2); padding: 8px 0; text-decoration: underline; }
.skip { position: absolute; left: -999px; }
.skip:focus { left: 8px; top: 8px; background: var(--paper); padding: 8px; z-index: 9; }
main:focus { outline: none; }
@media (max-width: 960px) {
  .bar { gap: 12px; }
  nav { gap: 16px; }
  .bar .key, .keys { display: none; } /* tablets have no keys to press */
}
@media (max-width: 700px) {
  .bar { gap: 2px 16px; padding: 8px 16px 4px; }
  nav { gap: 2px 14px; }
  .who { margin-left: 0; }
}
</style>
