<script setup lang="ts">
import { useSessionStorage } from '@vueuse/core'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { ModelSummary } from '../api/client'
import { useGroups, useModels, useTimes } from '../api/queries'
import AskState from '../parts/AskState.vue'
import FoldPicture from '../parts/FoldPicture.vue'
import { useMeasure } from '../parts/measure'
import { useBounds } from '../parts/bounds'

const { t } = useI18n()
const { between } = useBounds()
const models = useModels()
const { say } = useMeasure()
const groups = useGroups()
/** What was wished is kept while the tab is open, so that a look at a model loses nothing. */
const wish = useSessionStorage('shelf', {
  group: null as number | null,
  minutes: 40,
  fold: '',
  paper: '',
  noScissors: false,
  size: null as number | null,
})
const times = useTimes(() => wish.value.group)
const SAMPLE = 150

/** Oldest age of each band: a model is for a group when it is advised from that age or younger. */
const OLDEST: Record<string, number> = { young: 6, junior: 10 }
const group = computed(() => groups.data.value?.find((g) => g.id === wish.value.group))
const minutes = computed(() => new Map((times.data.value ?? []).map((m) => [m.slug, m.minutes])))
const folds = computed(() => {
  const names = new Map<string, string>()
  for (const m of models.data.value ?? []) m.kinds.forEach((kind, i) => names.set(kind, m.folds[i] ?? kind))
  return [...names].map(([value, title]) => ({ value, title })).sort((a, b) => a.title.localeCompare(b.title))
})

const finished = (m: ModelSummary) =>
  Math.round(
    SAMPLE *
      Math.max(
        m.measures['width'] ?? m.width_per_side,
        m.measures['depth'] ?? m.measures['height'] ?? m.height_per_side,
      ),
  )
const over = (m: ModelSummary) => (group.value ? (minutes.value.get(m.slug) ?? 0) - Number(wish.value.minutes || 0) : 0)
const tooYoung = (m: ModelSummary) => group.value !== undefined && m.age_from > (OLDEST[group.value.age_band] ?? 99)
const wished = (m: ModelSummary) =>
  (wish.value.fold === '' || m.kinds.includes(wish.value.fold)) &&
  (wish.value.paper === '' || (wish.value.paper === 'square') === (m.ratio === 1)) &&
  (!wish.value.noScissors || !m.scissors) &&
  (!wish.value.size || finished(m) <= wish.value.size)
const fitting = computed(() => (models.data.value ?? []).filter((m) => wished(m) && over(m) <= 0 && !tooYoung(m)))
/** What fits the wishes but not the group comes after, with the reason. */
const others = computed(() => (models.data.value ?? []).filter((m) => wished(m) && !fitting.value.includes(m)))
const all = () => {
  wish.value = { group: null, minutes: 40, fold: '', paper: '', noScissors: false, size: null }
}
const why = (m: ModelSummary) =>
  tooYoung(m) ? t('shelf.tooYoung', { n: m.age_from }) : over(m) > 0 ? t('shelf.tooLong', { n: over(m) }) : ''
</script>

<template>
  <AskState v-if="!models.data.value" :error="models.error.value" @again="models.refetch()" />
  <div v-else class="page">
    <h1>{{ t('shelf.title') }}</h1>
    <p class="quiet">{{ t('shelf.sub', { n: fitting.length, m: models.data.value.length }) }}</p>
    <p class="wishes">
      {{ t('shelf.with') }}
      <select v-model="wish.group" :aria-label="t('shelf.group')">
        <option :value="null">{{ t('shelf.anyGroup') }}</option>
        <option v-for="g in groups.data.value ?? []" :key="g.id" :value="g.id">{{ g.name }}</option>
      </select>
      <template v-if="group"
        >&nbsp;{{ t('shelf.in') }}
        <input
          v-model.number="wish.minutes"
          type="number"
          v-bind="between('minutes')"
          :aria-label="t('shelf.minutes')" />
        {{ t('shelf.minutes') }}</template
      >,
      {{ t('shelf.teaching') }}
      <select v-model="wish.fold" :aria-label="t('shelf.fold')">
        <option value="">{{ t('shelf.anyFold') }}</option>
        <option v-for="f in folds" :key="f.value" :value="f.value">{{ f.title }}</option>
      </select>
      {{ t('shelf.from2') }}
      <select v-model="wish.paper" :aria-label="t('shelf.paper')">
        <option value="">{{ t('shelf.anyPaper') }}</option>
        <option value="square">{{ t('shelf.square') }}</option>
        <option value="oblong">{{ t('shelf.oblong') }}</option></select
      >,
      {{ t('shelf.finishedUpTo') }}
      <select v-model="wish.size" :aria-label="t('shelf.size')">
        <option :value="null">{{ t('shelf.anySize') }}</option>
        <option v-for="mm in [60, 100, 150]" :key="mm" :value="mm">{{ say(mm) }}</option></select
      >,
      <label><input v-model="wish.noScissors" type="checkbox" /> {{ t('shelf.noScissors') }}</label>
    </p>
    <p v-if="fitting.length === 0" class="warn" role="status">
      {{ t('shelf.none') }} <button type="button" class="again" @click="all">{{ t('shelf.all') }}</button>
    </p>
    <template v-for="(list, i) in [fitting, others]" :key="i">
      <RouterLink
        v-for="model in list"
        :key="model.slug"
        class="board"
        :class="{ aside: i === 1 }"
        :to="{ name: 'model', params: { slug: model.slug } }">
        <span class="picture"><FoldPicture :drawing="model.picture" :title="model.title" /></span>
        <span class="stack">
          <span
            ><h2>{{ model.title }}</h2>
            <span class="quiet"
              >{{ t('shelf.steps', { n: model.steps }) }}, {{ t('shelf.difficulty', { n: model.difficulty }) }},
              {{ t('shelf.age', { n: model.age_from }) }}</span
            ></span
          >
          <span>
            {{ model.about }}
            <span v-if="model.opened" class="quiet opened">{{ t('shelf.opened', { what: model.opened }) }}</span>
          </span>
        </span>
        <span class="facts">
          <b v-if="group" :class="why(model) ? 'warn' : 'good'"
            >{{ t('shelf.takes', { n: minutes.get(model.slug) ?? '…', group: group.name })
            }}<template v-if="why(model)">: {{ why(model) }}</template></b
          >
          <b>{{ model.folds.join(', ') }}</b>
          <span class="quiet">{{
            t('shelf.from', {
              a: say(SAMPLE),
              size: say(
                Math.round((model.measures['width'] ?? model.width_per_side) * SAMPLE),
                Math.round((model.measures['depth'] ?? model.measures['height'] ?? model.height_per_side) * SAMPLE),
              ),
            })
          }}</span>
          <span v-if="model.scissors || model.sheets > 1" class="quiet">{{
            [model.scissors ? t('shelf.scissors') : '', model.sheets > 1 ? t('shelf.two', { n: model.sheets }) : '']
              .filter((w) => w)
              .join(', ')
          }}</span>
        </span>
      </RouterLink>
    </template>
    <p class="mt-6">
      <RouterLink :to="{ name: 'patterns' }">{{ t('shelf.own') }}</RouterLink>
    </p>
  </div>
</template>

<style scoped>
.opened { display: block; }
.wishes { font-family: var(--head); font-size: 1.3rem; line-height: 2.3; margin: 10px 0 6px; max-width: 62rem; }
.wishes select, .wishes input[type='number'] {
  font: inherit; font-weight: 700; color: var(--tide-deep); background: var(--paper); border: 0;
  border-bottom: 3px solid var(--tide); padding: 4px 8px; height: 46px; line-height: 1.4;
}
.wishes input[type='number'] { width: 5.2rem; }
.wishes input[type='checkbox'] { width: 22px; height: 22px; accent-color: var(--tide-deep); vertical-align: -4px; }
.again { text-decoration: underline; color: var(--tide-deep); }
.board {
  display: grid; grid-template-columns: 170px 1.4fr 1fr; gap: 28px; align-items: center; padding: 18px 8px;
  margin-top: 6px; border-bottom: 10px solid #c4cdc8; color: var(--ink); text-decoration: none;
}
.board:hover { background: rgb(253 252 248 / 0.55); }
.aside .picture { opacity: 0.55; }
.picture { height: 140px; filter: drop-shadow(0 8px 6px rgb(23 37 45 / 0.28)); align-self: end; }
.stack, .facts { display: grid; gap: 8px; }
@media (max-width: 860px) { .board { grid-template-columns: 130px 1fr; } .facts { grid-column: 2; } }
</style>
