<script setup lang="ts">
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { BenchPlanData } from '../api/client'
import { useStocks } from '../api/paper'
import CutSheets from './CutSheets.vue'
import AskState from '../parts/AskState.vue'
import { length, useMeasure } from '../parts/measure'
import PaperPiles from './PaperPiles.vue'
import { usePlanning } from './planning'

/** Any squares from any paper of the cupboard: what to cut, in which order, and whether it is the least there is. */
const { t } = useI18n()
const stocks = useStocks()
const { unit } = useMeasure()
const { ask, stop, busy, share, what, plan, error, fields } = usePlanning()

const taken = ref<Record<number, { on: boolean; count: string }>>({})
const sizes = ref([{ side: '', count: '30' }])
const method = ref<'scissors' | 'trimmer' | 'tear'>('scissors')
const prefer = ref<'least' | 'fewest' | 'scrap'>('least')
/** What the answer was for; a changed question makes it old. */
const asked = ref('')
const question = computed(() => ({
  stock: (stocks.data.value ?? [])
    .filter((s) => taken.value[s.id]?.on)
    .map((s) => ({ id: s.id, count: taken.value[s.id]?.count === '' ? null : Number(taken.value[s.id]?.count) })),
  need: sizes.value.map(({ side, count }) => ({ side_mm: length(side, unit.value), count: Number(count) })),
  method: method.value,
  prefer: prefer.value,
}))
const old = computed(() => plan.value !== null && asked.value !== JSON.stringify(question.value))

watch(
  () => stocks.data.value,
  (list) => {
    for (const s of list ?? []) taken.value[s.id] ??= { on: s.id === list?.[0]?.id, count: String(s.count ?? '') }
  },
  { immediate: true },
)

function set(id: number, change: Partial<{ on: boolean; count: string }>) {
  taken.value[id] = { ...(taken.value[id] ?? { on: false, count: '' }), ...change }
}
function submit() {
  asked.value = JSON.stringify(question.value)
  void ask(question.value)
}
const print = () => window.print()
const parts = (p: BenchPlanData) =>
  (stocks.data.value ?? [])
    .filter((s) => p.patterns.some((one) => one.stock === s.name))
    .map((s) => ({ stock: s.id, name: s.name }))
onBeforeUnmount(stop)
</script>

<template>
  <AskState v-if="!stocks.data.value" :error="stocks.error.value" @again="stocks.refetch()" />
  <div v-else class="page layout">
    <section class="stack">
      <template v-if="plan">
        <h1 :class="{ old }">{{ plan.title }}</h1>
        <p v-if="old" class="caution no-print">{{ t('bench.old') }}</p>
        <p v-for="u in plan.unmet" :key="u" class="warn">{{ u }}</p>
        <p v-if="plan.patterns.length" :class="plan.optimal ? 'good' : 'quiet'">
          <template v-if="plan.feasible">{{
            plan.optimal ? t('paper.perOne') : t('paper.gap', { n: Math.ceil(plan.gap * 100) })
          }}</template>
          <span class="quiet"
            >{{ t('bench.waste', { n: Math.round(plan.waste * 100) }) }} {{ t('bench.minutes', { n: plan.minutes }) }}
            {{ plan.cost === null ? '' : t('paper.cost', { cost: plan.cost.toFixed(2) }) }}</span
          >
        </p>
        <CutSheets :patterns="plan.patterns" :stocks="parts(plan)" />
        <ol class="steps">
          <li v-for="step in plan.steps" :key="step">{{ step }}</li>
        </ol>
        <p v-if="plan.patterns.length" class="caution">{{ plan.caution }}</p>
      </template>
      <template v-else>
        <h1>{{ t('bench.title') }}</h1>
        <p class="quiet">{{ t('bench.sub') }}</p>
        <p v-if="stocks.data.value.length === 0" class="caution">
          {{ t('bench.empty') }} <RouterLink :to="{ name: 'cupboard' }">{{ t('pages.cupboard') }}</RouterLink>
        </p>
      </template>
      <section v-if="stocks.data.value.length" class="no-print stack">
        <h2>{{ t('bench.paper') }}</h2>
        <PaperPiles
          :stocks="stocks.data.value"
          :taken="taken"
          @take="(id, on) => set(id, { on })"
          @count="(id, count) => set(id, { count })" />
        <p
          v-for="[at, why] in Object.entries(fields).filter(([f]) => f.startsWith('stock'))"
          :key="at"
          class="warn"
          role="alert">
          {{ why }}
        </p>
      </section>
    </section>
    <form v-if="stocks.data.value.length" class="sheet stack no-print" novalidate @submit.prevent="submit">
      <fieldset>
        <legend>
          <h2>{{ t('bench.squares') }}</h2>
        </legend>
        <div v-for="(size, i) in sizes" :key="i" class="size">
          <v-text-field
            v-model="size.count"
            inputmode="numeric"
            :label="t('bench.count')"
            :error-messages="fields[`need/${i}/count`]" />
          <v-text-field
            v-model="size.side"
            inputmode="decimal"
            :label="t('bench.side')"
            :hint="sizes.length === 1 ? t('bench.largest') : i === 0 ? t('cupboard.measure') : ''"
            persistent-hint
            :error-messages="fields[`need/${i}/side_mm`]" />
          <v-btn
            v-if="sizes.length > 1"
            variant="text"
            height="48"
            min-width="44"
            class="pa-0"
            :aria-label="t('bench.removeSize')"
            @click="sizes.splice(i, 1)"
            >×</v-btn
          >
        </div>
        <v-btn v-if="sizes.length < 6" variant="outlined" height="44" @click="sizes.push({ side: '', count: '30' })">{{
          t('bench.addSize')
        }}</v-btn>
      </fieldset>
      <v-select
        v-model="method"
        :label="t('paper.method')"
        :items="(['scissors', 'trimmer', 'tear'] as const).map((m) => ({ value: m, title: t(`paper.${m}`) }))" />
      <v-select
        v-model="prefer"
        :label="t('paper.prefer')"
        :hint="t(`paper.preferWhy_${prefer}`)"
        persistent-hint
        :items="(['least', 'fewest', 'scrap'] as const).map((w) => ({ value: w, title: t(`paper.prefer_${w}`) }))" />
      <p v-if="error && !Object.keys(fields).length" class="warn" role="alert">{{ error }}</p>
      <div v-if="busy" class="stack" role="status">
        <v-progress-linear :model-value="share * 100" color="primary" height="8" :aria-label="t('bench.go')" />
        <span>{{ t('bench.working', { what, n: Math.round(share * 100) }) }}</span>
        <v-btn variant="outlined" @click="stop">{{ t('bench.stop') }}</v-btn>
      </div>
      <v-btn v-else type="submit" color="primary" class="fold-button">{{ t('bench.go') }}</v-btn>
      <v-btn v-if="plan && plan.patterns.length" variant="text" @click="print">{{ t('paper.print') }}</v-btn>
    </form>
  </div>
</template>

<style scoped>
.layout { display: grid; grid-template-columns: 1fr 350px; gap: 32px; align-items: start; }
.old { color: var(--ink-2); }
fieldset { border: 0; padding: 0; margin: 0; min-width: 0; }
legend { padding-bottom: 8px; }
.size { display: grid; grid-template-columns: 1fr 1fr auto; gap: 10px; margin-bottom: 10px; align-items: start; }
.steps { padding-left: 1.2em; display: grid; gap: 8px; margin: 0; }
@media (max-width: 900px) { .layout { grid-template-columns: 1fr; } }
</style>
