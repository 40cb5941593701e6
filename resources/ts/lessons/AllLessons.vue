<script setup lang="ts">
import { refDebounced } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { LessonCard } from '../api/client'
import { useGroups } from '../api/groups'
import { useAllLessons } from '../api/lessons'
import { useModels } from '../api/models'
import AskState from '../parts/AskState.vue'
import { clock, day } from '../parts/clock'
import FoldPicture from '../parts/FoldPicture.vue'
import CopyLesson from './CopyLesson.vue'
import { byMonth } from './byMonth'

/** Every lesson, to come and past, by month; found by its model, its group or its day. */
const { t } = useI18n()
const groups = useGroups()
const models = useModels()
const words = ref('')
const settled = refDebounced(words, 250)
const when = ref<'coming' | 'past'>('coming')
const group = ref<number | null>(null)
/** Who looks for something looks among all of them. */
const isSearch = computed(() => settled.value.trim() !== '')
const lessons = useAllLessons(() => ({
  ...(isSearch.value ? { words: settled.value.trim() } : { when: when.value }),
  ...(group.value === null ? {} : { group: group.value }),
}))
const cards = computed(() => lessons.data.value?.pages.flatMap((page) => page.lessons) ?? [])
const count = computed(() => lessons.data.value?.pages.at(-1)?.count ?? 0)
const months = computed(() => byMonth(cards.value))
const pictureOf = (slug: string) => models.data.value?.find((m) => m.slug === slug)?.picture
const date = (card: LessonCard) => day(card.starts_at, { today: t('home.today'), tomorrow: t('home.tomorrow') })
const said = (card: LessonCard) => {
  if (card.status === 'taught')
    return card.here === 0 ? t('lessons.notRecorded') : t('home.finishedOf', { n: card.finished, m: card.here })
  if (!card.fits) return t('lessons.over', { n: card.needed_minutes - card.minutes })
  if (card.sheets === null) return t('home.paperNone')
  if (card.paper_ready) return t('home.paperReady')
  return (card.paper_short ?? 0) > 0
    ? t('home.paperShort', { n: card.paper_short })
    : t('home.paperOpen', { n: card.sheets })
}
const isWrong = (card: LessonCard) =>
  card.status !== 'taught' &&
  (!card.fits || (!card.paper_ready && (card.sheets === null || (card.paper_short ?? 0) > 0)))
const copied = ref<LessonCard | null>(null)
</script>

<template>
  <AskState v-if="!lessons.data.value" :error="lessons.error.value" @again="lessons.refetch()" />
  <div v-else class="page stack">
    <div class="head">
      <h1>{{ t(`lessons.${isSearch ? 'found' : when}`, { n: count }) }}</h1>
      <v-btn color="primary" class="fold-button" :to="{ name: 'new-lesson' }">{{ t('home.newLesson') }}</v-btn>
    </div>
    <div class="row ask">
      <input
        v-model="words"
        type="search"
        class="search"
        maxlength="80"
        :placeholder="t('lessons.search')"
        :aria-label="t('lessons.search')" />
      <fieldset v-if="!isSearch" class="tabs">
        <legend class="unseen">{{ t('lessons.when') }}</legend>
        <label v-for="one in ['coming', 'past'] as const" :key="one" :class="{ on: when === one }"
          ><input v-model="when" type="radio" name="when" :value="one" />
          {{ t(one === 'coming' ? 'lessons.tabComing' : 'lessons.tabPast') }}</label
        >
      </fieldset>
      <select v-model="group" :aria-label="t('lessons.group')">
        <option :value="null">{{ t('lessons.anyGroup') }}</option>
        <option v-for="g in groups.data.value ?? []" :key="g.id" :value="g.id">{{ g.name }}</option>
      </select>
      <a v-if="group !== null" :href="`/api/groups/${group}/calendar.ics`" download>{{ t('lessons.calendar') }}</a>
    </div>
    <p v-if="cards.length === 0" class="quiet">{{ t(isSearch ? 'lessons.notFound' : 'lessons.none') }}</p>
    <section v-for="month in months" :key="month.name">
      <h2 class="rule">{{ month.name }}</h2>
      <ul class="list">
        <li v-for="card in month.lessons" :key="card.id" class="line">
          <span class="small"
            ><FoldPicture v-if="pictureOf(card.model)" :drawing="pictureOf(card.model)!" title=""
          /></span>
          <span class="when"
            ><b>{{ date(card) }}</b
            ><br /><span class="quiet">{{ clock(card.starts_at) }}, {{ card.minutes }} min</span></span
          >
          <RouterLink class="what" :to="{ name: card.status === 'taught' ? 'keep' : 'plan', params: { id: card.id } }"
            ><b>{{ card.model_title }}</b
            ><br /><span class="quiet">{{ card.group }}, {{ card.learners }}</span></RouterLink
          >
          <span class="said" :class="isWrong(card) ? 'warn' : 'quiet'">{{ said(card) }}</span>
          <button
            type="button"
            class="copy"
            :aria-label="t('lessons.copyOf', { title: card.model_title })"
            @click="copied = card">
            {{ t('lessons.copy') }}
          </button>
        </li>
      </ul>
    </section>
    <p v-if="lessons.hasNextPage.value">
      <v-btn variant="outlined" :loading="lessons.isFetchingNextPage.value" @click="lessons.fetchNextPage()">{{
        t('lessons.more', { n: count - cards.length })
      }}</v-btn>
    </p>
    <CopyLesson
      v-if="copied"
      :model-value="true"
      :card="copied"
      @update:model-value="copied = null" />
  </div>
</template>

<style scoped>
.head { display: flex; flex-wrap: wrap; gap: 8px 24px; align-items: center; justify-content: space-between; }
.search, .ask select {
  font: inherit; background: var(--paper); border: 0; border-bottom: 3px solid var(--tide); padding: 4px 14px;
  height: 46px; max-width: 100%;
}
.search { width: 20rem; }
.tabs { border: 0; padding: 0; display: flex; gap: 18px; }
.tabs label { min-height: 44px; display: flex; gap: 8px; align-items: center; }
.tabs .on { font-weight: 700; }
.tabs input { width: 20px; height: 20px; accent-color: var(--tide-deep); }
.unseen { position: absolute; width: 1px; height: 1px; overflow: hidden; clip-path: inset(50%); }
.line {
  display: grid; grid-template-columns: 64px 150px 1.3fr 1fr auto; gap: 16px; align-items: center; padding: 8px 0;
  border-top: 1px solid var(--rule);
}
.list .line:first-child { border-top: 0; }
.small { width: 60px; height: 54px; filter: drop-shadow(0 3px 3px rgb(23 37 45 / 0.25)); }
.what { color: var(--ink); text-decoration: none; padding: 6px 0; }
.what b { text-decoration: underline; text-decoration-thickness: 1px; }
.copy { text-decoration: underline; min-height: 44px; padding: 0 8px; color: var(--tide-deep); font-weight: 650; }
@media (max-width: 700px) {
  .line { grid-template-columns: 48px 1fr auto; gap: 2px 12px; }
  .small { width: 46px; height: 42px; grid-row: span 2; }
  .what { grid-column: 2; grid-row: 1; }
  .when { grid-column: 2; } .when br { display: none; } .when .quiet { margin-left: 0.5em; }
  .said { grid-column: 2 / -1; }
  .copy { grid-column: 3; grid-row: 1; }
}
</style>
