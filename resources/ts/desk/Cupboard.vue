<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, client, Problem, type StockData } from '../api/client'
import { useMe, useSaveStock, useStocks } from '../api/queries'
import AskState from '../parts/AskState.vue'

const { t } = useI18n()
const me = useMe()
const stocks = useStocks()
const save = useSaveStock()
const cache = useQueryClient()
const editing = ref<number | null>(null)
const blank = { format: 'own', name: '', width: '', height: '', grammage: '', count: '' }
const form = ref({ ...blank })
const errors = computed(() => (save.error.value instanceof Problem ? save.error.value.fields : {}))
const round = (n: number) => Math.round(n * 10) / 10
const number = (text: string) => { const value = String(text).trim().replace(',', '.'); return value === '' ? null : Number(value) }

function pick(key: string) {
  const format = me.data.value?.formats.find((f) => f.key === key)
  if (format) form.value = { ...form.value, format: key, name: format.name, width: String(format.width), height: String(format.height), grammage: String(format.grammage) }
}
function change(stock: StockData) {
  editing.value = stock.id
  form.value = { format: 'own', name: stock.name, width: String(stock.width_mm), height: String(stock.height_mm), grammage: String(stock.grammage ?? ''), count: String(stock.count ?? '') }
}
async function submit() {
  const f = form.value
  const body = { name: f.name, width_mm: number(f.width) ?? 0, height_mm: number(f.height) ?? 0, grammage: number(f.grammage), count: number(f.count) }
  if (await save.mutateAsync({ ...(editing.value === null ? {} : { id: editing.value }), body }).catch(() => null)) {
    form.value = { ...blank }
    editing.value = null
  }
}
async function remove(stock: StockData) {
  await answer(client.DELETE('/api/stocks/{stock}', { params: { path: { stock: stock.id } } }))
  await cache.invalidateQueries()
}
</script>

<template>
  <AskState v-if="!stocks.data.value" :error="stocks.error.value" @again="stocks.refetch()" />
  <div v-else class="page layout">
    <section class="stack">
      <h1>{{ stocks.data.value.length ? t('cupboard.title', { n: stocks.data.value.length }) : t('cupboard.empty') }}</h1>
      <p v-if="stocks.data.value.length === 0" class="quiet">{{ t('cupboard.emptyText') }}</p>
      <ul class="list">
        <li v-for="stock in stocks.data.value" :key="stock.id" class="pile">
          <svg viewBox="-2 -2 104 104" width="76" height="76" aria-hidden="true"><g :transform="`scale(${100 / Math.max(stock.width_mm, stock.height_mm)})`"><rect :width="stock.width_mm" :height="stock.height_mm" fill="#FDFCF8" stroke="#17252D" stroke-width="3" /><rect :width="stock.square_mm" :height="stock.square_mm" fill="#0E6E7C" /></g></svg>
          <span><b class="name">{{ stock.name }}</b><br><span class="quiet">{{ round(stock.width_mm) }} × {{ round(stock.height_mm) }} mm<template v-if="stock.grammage">, {{ stock.grammage }} {{ t('cupboard.grammage') }}</template></span></span>
          <span>{{ t('cupboard.gives', { side: round(stock.square_mm), strip: round(stock.strip_mm) }) }}</span>
          <b class="count">{{ stock.count ?? t('cupboard.plenty') }}</b>
          <span class="row"><v-btn variant="outlined" height="44" @click="change(stock)">{{ t('cupboard.change') }}</v-btn><v-btn variant="text" height="44" :aria-label="t('cupboard.remove', { name: stock.name })" @click="remove(stock)">{{ t('app.remove') }}</v-btn></span>
        </li>
      </ul>
    </section>
    <form class="sheet stack" novalidate @submit.prevent="submit">
      <h2>{{ editing === null ? t('cupboard.add') : t('cupboard.change') }}</h2>
      <v-select :model-value="form.format" :label="t('cupboard.format')" :items="[...(me.data.value?.formats ?? []).map((f) => ({ value: f.key, title: `${f.name}, ${f.width} × ${f.height} mm` })), { value: 'own', title: t('cupboard.own') }]" @update:model-value="pick" />
      <v-text-field v-model="form.name" :label="t('cupboard.name')" :error-messages="errors['name']" />
      <div class="pair"><v-text-field v-model="form.width" inputmode="decimal" :label="t('cupboard.width')" :error-messages="errors['width_mm']" /><v-text-field v-model="form.height" inputmode="decimal" :label="t('cupboard.height')" :error-messages="errors['height_mm']" /></div>
      <div class="pair"><v-text-field v-model="form.grammage" inputmode="numeric" :label="t('cupboard.grammage')" :error-messages="errors['grammage']" /><v-text-field v-model="form.count" inputmode="numeric" :label="t('cupboard.count')" :hint="t('cupboard.countHint')" persistent-hint :error-messages="errors['count']" /></div>
      <p v-if="save.error.value && !Object.keys(errors).length" class="warn" role="alert">{{ save.error.value.message }}</p>
      <v-btn type="submit" color="primary" class="fold-button" :loading="save.isPending.value">{{ t('app.save') }}</v-btn>
    </form>
  </div>
</template>

<style scoped>
.layout { display: grid; grid-template-columns: 1fr 340px; gap: 32px; align-items: start; }
.pile { display: grid; grid-template-columns: 84px 1.1fr 1.2fr 70px auto; gap: 14px; align-items: center; padding: 14px 0; border-bottom: 10px solid #c4cdc8; }
.name { font-family: var(--head); font-size: 1.15rem; }
.count { font-size: 1.4rem; text-align: right; }
.pair { display: grid; grid-template-columns: 1fr 1fr; gap: 12px; }
.row { gap: 4px; }
@media (max-width: 1000px) { .layout { grid-template-columns: 1fr; } .pile { grid-template-columns: 84px 1fr 60px; } .pile > span:nth-child(3) { grid-column: 2; } .pile > span:last-child { grid-column: 2; } }
</style>
