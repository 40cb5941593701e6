<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute } from 'vue-router'
import { useHome, useLesson } from '../api/lessons'
import { clock, day } from '../parts/clock'
import FirstWalk from './FirstWalk.vue'
import { hasOwn, helpFor, helpPages, sentencesOf } from './helped'

/** The page of help for the screen one came from, with the numbers of the lesson one looked at, or of the next one. */
const { t } = useI18n()
const route = useRoute()
const page = computed(() => helpFor(String(route.query['of'] ?? 'home')) ?? 'home')
const id = computed(() => (/^\d+$/.test(String(route.query['lesson'] ?? '')) ? Number(route.query['lesson']) : null))
const asked = useLesson(() => id.value ?? 0, () => id.value !== null)
const home = useHome()
const card = computed(() => (id.value === null ? (home.data.value?.next ?? null) : (asked.data.value?.card ?? null)))
const numbers = computed(() => {
  const c = card.value
  return c && {
    model: c.model_title,
    group: c.group,
    n: c.learners,
    needed: c.needed_minutes,
    slot: c.minutes,
    sheets: c.sheets ?? 0,
    day: day(c.starts_at, { today: t('home.today'), tomorrow: t('home.tomorrow') }),
    time: clock(c.starts_at),
  }
})
const others = computed(() => helpPages.filter((one) => one !== page.value))
const print = () => window.print()
</script>

<template>
  <div class="page stack help">
    <div class="row">
      <h1>{{ t('help.title') }}: {{ t(`help.pages.${page}.title`) }}</h1>
      <v-btn variant="outlined" class="ml-auto no-print" @click="print">{{ t('help.print') }}</v-btn>
    </div>
    <section class="sheet">
      <p v-for="n in sentencesOf(page)" :key="n">{{ t(`help.pages.${page}.${n}`) }}</p>
      <p v-if="numbers && hasOwn(page)" class="own">
        <b>{{ t('help.own') }}:</b> {{ t(`help.pages.${page}.own`, numbers) }}
      </p>
    </section>
    <section id="first" class="stack">
      <h2 class="rule">{{ t('help.first') }}</h2>
      <p class="quiet">{{ t('help.firstSays') }}</p>
      <FirstWalk :card="card" />
    </section>
    <section class="no-print">
      <h2 class="rule">{{ t('help.others') }}</h2>
      <ul class="list links">
        <li v-for="one in others" :key="one">
          <RouterLink :to="{ name: 'help', query: { ...route.query, of: one } }">{{
            t(`help.pages.${one}.title`)
          }}</RouterLink>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.sheet { display: grid; gap: 10px; font-size: 1.08rem; max-width: 52rem; }
.own { border-left: 6px solid var(--tide); padding-left: 14px; }
.links { display: flex; flex-wrap: wrap; gap: 0 22px; }
.links a { display: inline-block; padding: 10px 0; }
@media print { .help { font-size: 12pt; } }
</style>
