<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { LessonCard } from '../api/client'
import { useGroups } from '../api/groups'
import { useHome } from '../api/lessons'
import { useModels } from '../api/models'
import AskState from '../parts/AskState.vue'
import { clock, day } from '../parts/clock'
import FoldPicture from '../parts/FoldPicture.vue'
import FirstLesson from './FirstLesson.vue'
import LessonStrip from '../lessons/LessonStrip.vue'

const { t } = useI18n()
const home = useHome()
const models = useModels()
const groups = useGroups()
const next = computed(() => home.data.value?.next ?? null)
/** Nothing planned and nothing taught yet. */
const isNew = computed(() => {
  const { next, coming = [], taught = [] } = home.data.value ?? {}
  return !next && coming.length === 0 && taught.length === 0
})
const picture = computed(() => models.data.value?.find((m) => m.slug === next.value?.model)?.picture)
const when = (at: string) => day(at, { today: t('home.today'), tomorrow: t('home.tomorrow') })

function paper(card: LessonCard): string {
  if (card.sheets === null) return t('home.paperNone')
  if (card.paper_ready) return t('home.paperReady')
  return (card.paper_short ?? 0) > 0
    ? t('home.paperShort', { n: card.paper_short })
    : t('home.paperOpen', { n: card.sheets })
}
const unsettled = (card: LessonCard) => !card.paper_ready && (card.sheets === null || (card.paper_short ?? 0) > 0)
const room = (card: LessonCard) =>
  card.fits
    ? t('home.spare', { n: card.minutes - card.needed_minutes })
    : t('home.over', { n: card.needed_minutes - card.minutes })
</script>

<template>
  <AskState v-if="!home.data.value" :error="home.error.value" @again="home.refetch()" />
  <div v-else class="page">
    <section v-if="next" class="next">
      <div class="picture"><FoldPicture v-if="picture" :drawing="picture" :title="next.model_title" /></div>
      <div class="stack">
        <p class="line">
          {{
            t('home.line', {
              day: when(next.starts_at),
              time: clock(next.starts_at),
              group: next.group,
              n: next.learners,
            })
          }}
        </p>
        <h1>
          {{
            t(next.fits ? 'home.title' : 'home.tooLong', {
              model: next.model_title,
              needed: next.needed_minutes,
              slot: next.minutes,
            })
          }}
        </h1>
        <p class="say">
          <span :class="{ warn: unsettled(next) }">{{ paper(next) }}</span> {{ room(next) }}
        </p>
        <div class="row">
          <v-btn
            :to="{ name: 'teach', params: { id: next.id } }"
            color="primary"
            class="fold-button start"
            size="x-large"
            height="64">
            {{ next.status === 'teaching' ? t('home.resume', { n: next.step }) : t('home.start') }}
          </v-btn>
          <RouterLink class="look" :to="{ name: 'plan', params: { id: next.id } }">{{ t('home.look') }}</RouterLink>
          <RouterLink class="look" :to="{ name: 'new-lesson' }">{{ t('home.newLesson') }}</RouterLink>
          <RouterLink class="look" :to="{ name: 'term' }">{{ t('term.link') }}</RouterLink>
        </div>
      </div>
    </section>
    <section v-else-if="isNew"><FirstLesson /></section>
    <section v-else class="sheet stack empty">
      <h1>{{ t('home.none') }}</h1>
      <p>{{ t('home.noneText') }}</p>
      <div class="row">
        <v-btn color="primary" :to="{ name: 'new-lesson' }">{{ t('home.newLesson') }}</v-btn>
        <v-btn variant="outlined" :to="{ name: 'term' }">{{ t('term.link') }}</v-btn>
      </div>
    </section>
    <p v-if="isNew && groups.data.value?.length" class="row">
      <RouterLink :to="{ name: 'new-lesson' }">{{ t('home.newLesson') }}</RouterLink>
    </p>
    <p v-if="home.data.value.taught.length === 0">
      <RouterLink :to="{ name: 'help', query: { of: 'home' }, hash: '#first' }">{{ t('home.firstWalk') }}</RouterLink>
    </p>
    <LessonStrip v-if="next" :card="next" open="teach" />
    <div v-if="!isNew" class="below">
      <section>
        <h2>{{ t('home.coming') }}</h2>
        <p v-if="home.data.value.coming.length === 0" class="quiet entry">{{ t('home.nothingComing') }}</p>
        <RouterLink
          v-for="card in home.data.value.coming"
          :key="card.id"
          class="entry"
          :to="{ name: 'plan', params: { id: card.id } }">
          <b>{{ when(card.starts_at) }} {{ clock(card.starts_at) }}</b
          ><span
            ><b>{{ card.model_title }}</b
            ><br /><span class="quiet">{{ card.group }}, {{ card.learners }}</span></span
          >
          <span :class="unsettled(card) ? 'warn' : 'quiet'">{{ paper(card) }}</span>
        </RouterLink>
      </section>
      <section>
        <h2>{{ t('home.unfinished') }}</h2>
        <RouterLink
          v-for="(left, i) in home.data.value.unfinished"
          :key="i"
          class="entry two"
          :to="{ name: 'wall', params: { id: left.group_id } }">
          <span
            ><b>{{ left.names.join(', ') }}</b></span
          ><span class="quiet">{{ left.model_title }}, {{ left.group }}</span>
        </RouterLink>
        <h2 class="mt-6">{{ t('home.taught') }}</h2>
        <RouterLink
          v-for="card in home.data.value.taught"
          :key="card.id"
          class="entry two"
          :to="{ name: 'keep', params: { id: card.id } }">
          <span
            ><b>{{ card.model_title }}</b
            >, {{ card.group }}<br /><span class="quiet">{{ when(card.starts_at) }}</span></span
          ><span class="quiet">{{ t('home.finishedOf', { n: card.finished, m: card.here }) }}</span>
        </RouterLink>
      </section>
    </div>
  </div>
</template>

<style scoped>
.next { display: grid; grid-template-columns: 300px 1fr; gap: 36px; align-items: center; padding: 20px 0 36px; }
.picture { height: 250px; filter: drop-shadow(0 8px 10px rgb(23 37 45 / 0.25)); }
.line { color: var(--tide-deep); font-weight: 700; font-size: 1.15rem; }
h1 { font-size: clamp(2rem, 3.8vw, 3.1rem); font-weight: 800; }
.say { font-size: 1.25rem; }
.start { font-size: 1.3rem !important; padding: 0 34px; }
.look { font-weight: 700; color: var(--ink); padding: 12px 4px; }
.below { display: grid; grid-template-columns: 1.35fr 1fr; gap: 36px; }
.entry {
  display: grid; grid-template-columns: 160px 1fr 1fr; gap: 12px; padding: 12px 0; border-top: 1px solid var(--rule);
  color: var(--ink); text-decoration: none;
}
.entry.two { grid-template-columns: 1fr auto; }
h2 { padding-bottom: 10px; }
.empty { padding: 48px; margin: 40px 0; }
@media (max-width: 900px) {
  .next { grid-template-columns: 200px 1fr; } .picture { height: 190px; } .below { grid-template-columns: 1fr; }
}
@media (max-width: 600px) {
  .next { grid-template-columns: 1fr; gap: 16px; padding-top: 8px; }
  .next .row { flex-wrap: wrap; }
  .start { width: 100%; }
  .empty { padding: 24px; margin: 16px 0; }
  .entry { grid-template-columns: 1fr 1fr; }
  .entry > :nth-child(2) { grid-column: 1 / -1; grid-row: 2; }
}
</style>
