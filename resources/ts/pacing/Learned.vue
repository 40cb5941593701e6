<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useLearned, useOdd } from '../api/lessons'
import AskState from '../parts/AskState.vue'
import { day } from '../parts/clock'

/** What the lessons that were taught say of times: estimate, marks, and what comes of both, with how sure it is. */
const { t } = useI18n()
const learned = useLearned()
const most = computed(() => Math.max(1, ...(learned.data.value?.folds ?? []).map((f) => Math.max(f.high, f.estimate))))
const x = (seconds: number) => (100 * seconds) / most.value
/** Lessons that told something. */
const from = computed(() => (learned.data.value?.lessons ?? []).filter((lesson) => lesson.marks > 0).length)
const percent = (pace: number) => Math.round(100 * Math.abs(pace - 1))
const change = useOdd()
const problem = computed(() => change.error.value?.message ?? '')
const when = (at: string) => day(at, { today: t('home.today'), tomorrow: t('home.tomorrow') })

</script>

<template>
  <AskState v-if="!learned.data.value" :error="learned.error.value" @again="learned.refetch()" />
  <div v-else class="page">
    <h1>{{ t('learned.title') }}</h1>
    <p v-if="learned.data.value.marks === 0" class="quiet">
      {{ t('learned.none', { low: learned.data.value.before.low, high: learned.data.value.before.high }) }}
    </p>
    <p v-else class="quiet" role="status">
      {{ t('learned.sub', { n: learned.data.value.marks, m: from }) }}
    </p>
    <div class="layout">
      <section v-if="learned.data.value.folds.length" class="sheet">
        <h2>{{ t('learned.folds') }}</h2>
        <table>
          <thead>
            <tr>
              <th scope="col">{{ t('learned.fold') }}</th>
              <th scope="col" class="n">{{ t('learned.estimate') }}</th>
              <th scope="col" class="n">{{ t('learned.marks') }}</th>
              <th scope="col" class="n">{{ t('learned.now') }}</th>
              <th scope="col">{{ t('learned.sure') }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="fold in learned.data.value.folds" :key="fold.kind">
              <th scope="row">
                <RouterLink :to="{ name: 'fold', params: { kind: fold.kind } }">{{ fold.name }}</RouterLink>
              </th>
              <td class="n">{{ Math.round(fold.estimate) }} s</td>
              <td class="n">{{ fold.marks }}</td>
              <td class="n">
                <b>{{ Math.round(fold.seconds) }} s</b>
              </td>
              <td>
                <svg viewBox="0 0 100 12" preserveAspectRatio="none" class="range" role="img">
                  <title>{{ t('learned.range', { a: Math.round(fold.low), b: Math.round(fold.high) }) }}</title>
                  <rect :x="x(fold.low)" :width="x(fold.high) - x(fold.low)" y="3" height="6" />
                  <line :x1="x(fold.estimate)" :x2="x(fold.estimate)" y1="0" y2="12" />
                </svg>
                <small>{{ t('learned.range', { a: Math.round(fold.low), b: Math.round(fold.high) }) }}</small>
              </td>
            </tr>
          </tbody>
        </table>
        <p class="quiet">{{ t('learned.how') }}</p>
      </section>
      <div class="stack">
        <section v-if="learned.data.value.groups.length" class="sheet">
          <h2>{{ t('learned.groups') }}</h2>
          <p v-for="group in learned.data.value.groups" :key="group.id">
            <b>{{ group.name }}</b
            >: {{ t(group.pace >= 1 ? 'learned.slower' : 'learned.quicker', { n: percent(group.pace) }) }}
            <small>{{ t('learned.marksOf', { n: group.marks }, group.marks) }}</small>
          </p>
        </section>
        <section v-if="learned.data.value.leads.length" class="sheet">
          <h2>{{ t('learned.leads') }}</h2>
          <p v-for="lead in learned.data.value.leads" :key="lead.name">
            <b>{{ lead.name }}</b
            >: {{ t(lead.showing >= 1 ? 'learned.longer' : 'learned.shorter', { n: percent(lead.showing) }) }}
            <small>{{ t('learned.stepsOf', { n: lead.steps }, lead.steps) }}</small>
          </p>
        </section>
        <section v-if="learned.data.value.lessons.length" class="sheet">
          <h2>{{ t('learned.lessons') }}</h2>
          <p v-if="problem" class="warn" role="alert">{{ problem }}</p>
          <ul class="lessons">
            <li v-for="lesson in learned.data.value.lessons" :key="lesson.id">
              <RouterLink :to="{ name: 'keep', params: { id: lesson.id } }">{{ lesson.title }}</RouterLink
              >, {{ lesson.group }}, {{ when(lesson.starts_at) }}:
              {{ lesson.odd ? t('learned.left') : t('learned.marksOf', { n: lesson.marks }, lesson.marks) }}
              <button type="button" class="link" @click="change.mutate({ lesson: lesson.id, odd: !lesson.odd })">
                {{ t(lesson.odd ? 'learned.take' : 'learned.leave') }}
              </button>
            </li>
          </ul>
        </section>
      </div>
    </div>
  </div>
</template>

<style scoped>
.layout { display: grid; grid-template-columns: 1.4fr 1fr; gap: 22px; align-items: start; }
.sheet { padding: 18px 22px; }
table { width: 100%; border-collapse: collapse; }
th, td { text-align: left; padding: 6px 12px 6px 0; border-top: 1px solid var(--row); font-weight: 400; }
thead th { border-top: 0; font-weight: 700; }
.n { text-align: right; white-space: nowrap; }
.range { width: 120px; height: 14px; vertical-align: -2px; margin-right: 8px; }
.range rect { fill: var(--tide-pale); }
.range line { stroke: var(--ink); stroke-width: 1.4; }
.lessons { list-style: none; padding: 0; margin: 0; }
.lessons li { border-top: 1px solid var(--row); padding: 4px 0; }
.link { text-decoration: underline; min-height: 44px; }
@media (max-width: 900px) { .layout { grid-template-columns: 1fr; } }
@media (max-width: 500px) { .range { display: none; } }
</style>
