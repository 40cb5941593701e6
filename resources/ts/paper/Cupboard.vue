<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, client, Problem, type StockChangeData, type StockData } from '../api/client'
import { useMe, usePaperNeeds, useSaveStock, useStocks } from '../api/queries'
import AskState from '../parts/AskState.vue'
import { useRemoving } from '../bin/useRemoving'
import { keptLength, useMeasure } from '../parts/measure'

const { t } = useI18n()
const me = useMe()
const stocks = useStocks()
const needs = usePaperNeeds()
const needOf = (id: number) => needs.data.value?.find((n) => n.stock === id)
const save = useSaveStock()
const cache = useQueryClient()
const editing = ref<number | null>(null)
/** Its lengths before they were written for the eye: what is not typed anew stays exact. */
const was = computed(() => stocks.data.value?.find((s) => s.id === editing.value))
const blank = {
  format: 'own',
  name: '',
  width: '',
  height: '',
  grammage: '',
  count: '',
  kind: 'office',
  sides: 'alike',
  trim: '0',
  price: '',
  tags: '',
  scrap: false,
  version: null as number | null,
}
const kinds = ['office', 'folding', 'newsprint', 'kraft', 'construction', 'wallpaper', 'other'] as const
const sides = ['alike', 'coloured', 'printed', 'lined'] as const
const log = ref<{ stock: number; changes: StockChangeData[] } | null>(null)
const form = ref({ ...blank })
const errors = computed(() => (save.error.value instanceof Problem ? save.error.value.fields : {}))
/** Something in the part that is folded away is filled in or refused. */
const rare = computed(
  () =>
    form.value.price !== '' ||
    form.value.tags !== '' ||
    form.value.scrap ||
    (form.value.trim !== '' && Number(form.value.trim) !== 0) ||
    Object.keys(errors.value).some((at) => /^(trim|price|tags)/.test(at)),
)
const { unit, say, plain } = useMeasure()
const units = ['mm', 'cm', 'in'] as const
async function read(chosen: string) {
  await answer(client.PUT('/api/me', { body: { unit: units.find((u) => u === chosen) ?? 'mm' } }))
  await cache.invalidateQueries()
}
const number = (text: string) => {
  const value = String(text).trim().replace(',', '.')
  return value === '' ? null : Number(value)
}

function pick(key: string) {
  const format = me.data.value?.formats.find((f) => f.key === key)
  if (format)
    form.value = {
      ...form.value,
      format: key,
      name: format.name,
      width: plain(format.width),
      height: plain(format.height),
      grammage: String(format.grammage),
      kind: kinds.find((k) => k === format.kind) ?? 'other',
      sides: sides.find((k) => k === format.sides) ?? 'alike',
    }
}
function change(stock: StockData) {
  editing.value = stock.id
  form.value = {
    format: 'own',
    name: stock.name,
    width: plain(stock.width_mm),
    height: plain(stock.height_mm),
    grammage: String(stock.grammage ?? ''),
    count: String(stock.count ?? ''),
    kind: stock.kind,
    sides: stock.sides,
    trim: plain(stock.trim_mm),
    price: stock.price === null ? '' : String(stock.price),
    tags: stock.tags.join(', '),
    scrap: stock.scrap,
    version: stock.version,
  }
}
async function submit() {
  const f = form.value
  const body = {
    name: f.name,
    width_mm: keptLength(f.width, was.value?.width_mm ?? null, plain, unit.value) ?? 0,
    height_mm: keptLength(f.height, was.value?.height_mm ?? null, plain, unit.value) ?? 0,
    grammage: number(f.grammage),
    count: number(f.count),
    kind: f.kind,
    sides: f.sides,
    trim_mm: keptLength(f.trim, was.value?.trim_mm ?? null, plain, unit.value) ?? 0,
    price: number(f.price),
    tags: f.tags
      .split(',')
      .map((tag) => tag.trim())
      .filter((tag) => tag !== ''),
    scrap: f.scrap,
    ...(editing.value === null || f.version === null ? {} : { version: f.version }),
  }
  if (await save.mutateAsync({ ...(editing.value === null ? {} : { id: editing.value }), body }).catch(() => null)) {
    form.value = { ...blank }
    editing.value = null
  }
}
async function show(stock: StockData) {
  log.value =
    log.value?.stock === stock.id
      ? null
      : {
          stock: stock.id,
          changes: await answer(client.GET('/api/stocks/{stock}/changes', { params: { path: { stock: stock.id } } })),
        }
}
async function undo(stock: StockData) {
  await answer(client.POST('/api/stocks/{stock}/undo', { params: { path: { stock: stock.id } } }))
  await cache.invalidateQueries()
  log.value = null
  await show(stock)
}
const removing = useRemoving((sure) =>
  client.DELETE('/api/stocks/{stock}', { params: { path: { stock: leaving.value }, query: { sure } } }),
)
const leaving = ref(0)
async function remove(stock: StockData) {
  leaving.value = stock.id
  await removing.remove()
}
</script>

<template>
  <AskState v-if="!stocks.data.value" :error="stocks.error.value" @again="stocks.refetch()" />
  <div v-else class="page layout">
    <section class="stack">
      <h1>
        {{ stocks.data.value.length ? t('cupboard.title', { n: stocks.data.value.length }) : t('cupboard.empty') }}
      </h1>
      <p v-if="stocks.data.value.length === 0" class="quiet">{{ t('cupboard.emptyText') }}</p>
      <ul class="list">
        <li v-for="stock in stocks.data.value" :key="stock.id" class="pile">
          <svg viewBox="-2 -2 104 104" width="76" height="76" aria-hidden="true">
            <g :transform="`scale(${100 / Math.max(stock.width_mm, stock.height_mm)})`">
              <rect
                :width="stock.width_mm"
                :height="stock.height_mm"
                fill="#FDFCF8"
                stroke="#17252D"
                stroke-width="3" />
              <rect :width="stock.square_mm" :height="stock.square_mm" fill="#0E6E7C" />
            </g>
          </svg>
          <span
            ><b class="name">{{ stock.name }}</b
            ><br /><span class="quiet"
              >{{ say(stock.width_mm, stock.height_mm)
              }}<template v-if="stock.grammage">, {{ stock.grammage }} {{ t('cupboard.grammage') }}</template
              >, {{ t(`cupboard.kind_${stock.kind}`) }}, {{ t(`cupboard.sides_${stock.sides}`)
              }}<template v-if="stock.price"
                >, {{ t('cupboard.priced', { n: stock.price.toFixed(2) }) }}</template
              ></span
            ><br v-if="stock.scrap || stock.tags.length" /><span
              v-for="tag in [...(stock.scrap ? [t('cupboard.scrapSign')] : []), ...stock.tags]"
              :key="tag"
              class="tag"
              >{{ tag }}</span
            ></span
          >
          <span
            >{{ t('cupboard.gives', { side: say(stock.square_mm), strip: say(stock.strip_mm) })
            }}<template v-if="needOf(stock.id)"
              ><br /><b :class="(needOf(stock.id)?.short ?? 0) > 0 ? 'warn' : 'good'">{{
                t((needOf(stock.id)?.short ?? 0) > 0 ? 'cupboard.needShort' : 'cupboard.need', {
                  n: needOf(stock.id)?.sheets,
                  lessons: needOf(stock.id)?.lessons,
                  short: needOf(stock.id)?.short,
                })
              }}</b></template
            ></span
          >
          <b class="count">{{ stock.count ?? t('cupboard.plenty') }}</b>
          <span class="row"
            ><v-btn variant="text" height="44" :aria-expanded="log?.stock === stock.id" @click="show(stock)">{{
              t('cupboard.log')
            }}</v-btn
            ><v-btn variant="outlined" height="44" @click="change(stock)">{{ t('cupboard.change') }}</v-btn
            ><v-btn
              variant="text"
              height="44"
              :aria-label="t('cupboard.remove', { name: stock.name })"
              @click="remove(stock)"
              >{{ t('app.remove') }}</v-btn
            ></span
          >
          <div v-if="log?.stock === stock.id" class="log">
            <p v-if="log.changes.length === 0" class="quiet">{{ t('cupboard.noLog') }}</p>
            <p v-for="(entry, i) in log.changes" :key="entry.id" :class="{ undone: entry.undone }">
              <b>{{ entry.sheets > 0 ? '+' : '' }}{{ entry.sheets }}</b> {{ entry.why }}, {{ entry.at.slice(0, 10) }}
              <v-btn
                v-if="!entry.undone && log.changes.findIndex((c) => !c.undone) === i"
                variant="outlined"
                height="40"
                @click="undo(stock)"
                >{{ t('cupboard.undo') }}</v-btn
              >
            </p>
          </div>
        </li>
      </ul>
      <p class="row links">
        <RouterLink :to="{ name: 'bench' }"
          ><b>{{ t('cupboard.bench') }}</b></RouterLink
        ><RouterLink :to="{ name: 'ahead' }">{{ t('cupboard.ahead') }}</RouterLink
        ><RouterLink :to="{ name: 'paper-table' }">{{ t('cupboard.table') }}</RouterLink>
        <label class="units"
          >{{ t('cupboard.units') }}
          <select :value="unit" @change="read(($event.target as HTMLSelectElement).value)">
            <option v-for="u in units" :key="u" :value="u">{{ t(`cupboard.unit_${u}`) }}</option>
          </select></label
        >
      </p>
    </section>
    <form class="sheet stack" novalidate @submit.prevent="submit">
      <h2>{{ editing === null ? t('cupboard.add') : t('cupboard.change') }}</h2>
      <v-select
        :model-value="form.format"
        :label="t('cupboard.format')"
        :items="[
          ...(me.data.value?.formats ?? []).map((f) => ({
            value: f.key,
            title: `${f.name}, ${say(f.width, f.height)}`,
          })),
          { value: 'own', title: t('cupboard.own') },
        ]"
        @update:model-value="pick" />
      <v-text-field v-model="form.name" :label="t('cupboard.name')" :error-messages="errors['name']" />
      <div class="pair">
        <v-text-field
          v-model="form.width"
          inputmode="decimal"
          :label="t('cupboard.width')"
          :hint="t('cupboard.measure')"
          :error-messages="errors['width_mm']" /><v-text-field
          v-model="form.height"
          inputmode="decimal"
          :label="t('cupboard.height')"
          :error-messages="errors['height_mm']" />
      </div>
      <div class="pair">
        <v-text-field
          v-model="form.grammage"
          inputmode="numeric"
          :label="t('cupboard.grammage')"
          :error-messages="errors['grammage']" /><v-text-field
          v-model="form.count"
          inputmode="numeric"
          :label="t('cupboard.count')"
          :hint="t('cupboard.countHint')"
          persistent-hint
          :error-messages="errors['count']" />
      </div>
      <v-select
        v-model="form.kind"
        :label="t('cupboard.kind')"
        :items="kinds.map((k) => ({ value: k, title: t(`cupboard.kind_${k}`) }))" />
      <v-select
        v-model="form.sides"
        :label="t('cupboard.sides')"
        :items="sides.map((k) => ({ value: k, title: t(`cupboard.sides_${k}`) }))" />
      <details :open="rare">
        <summary>{{ t('cupboard.rare') }}</summary>
        <div class="stack">
          <v-text-field
            v-model="form.trim"
            inputmode="decimal"
            :label="t('cupboard.trim')"
            :hint="t('cupboard.trimHint')"
            persistent-hint
            :error-messages="errors['trim_mm']" />
          <v-text-field
            v-model="form.price"
            inputmode="decimal"
            :label="t('cupboard.price')"
            :hint="t('cupboard.priceHint')"
            persistent-hint
            :error-messages="errors['price']" />
          <v-text-field
            v-model="form.tags"
            :label="t('cupboard.tags')"
            :hint="t('cupboard.tagsHint')"
            persistent-hint
            :error-messages="
              Object.entries(errors)
                .filter(([at]) => at.startsWith('tags'))
                .map(([, why]) => why)
            " />
          <v-checkbox v-model="form.scrap" :label="t('cupboard.scrap')" />
        </div>
      </details>
      <p v-if="save.error.value && !Object.keys(errors).length" class="warn" role="alert">
        {{ save.error.value.message }}
      </p>
      <v-btn type="submit" color="primary" class="fold-button" :loading="save.isPending.value">{{
        t('app.save')
      }}</v-btn>
    </form>
  </div>
</template>

<style scoped>
.layout { display: grid; grid-template-columns: 1fr 340px; gap: 32px; align-items: start; }
.pile {
  display: grid; grid-template-columns: 84px 1.2fr 1fr 70px auto; gap: 14px; align-items: center; padding: 14px 0;
  border-bottom: 10px solid #c4cdc8;
}
.name { font-family: var(--head); font-size: 1.15rem; }
.count { font-size: 1.4rem; text-align: right; }
.pair { display: grid; grid-template-columns: 1fr 1fr; gap: 12px; align-items: start; }
summary { min-height: 44px; padding: 10px 0; cursor: pointer; font-weight: 650; }
.row { gap: 4px; flex-wrap: nowrap; }
.links { gap: 8px 24px; flex-wrap: wrap; }
.tag {
  border-left: 5px solid var(--tide); background: var(--paper-shade); padding: 0 8px; margin-right: 6px;
  font-size: 0.9rem;
}
.units { margin-left: auto; }
.units select {
  font: inherit; font-weight: 650; background: var(--paper); border: 0; border-bottom: 3px solid var(--tide);
  min-height: 44px; padding: 0 8px;
}
.log { grid-column: 1 / -1; padding-left: 98px; display: grid; gap: 6px; }
.undone { text-decoration: line-through; color: var(--ink-2); }
@media (max-width: 1000px) {
  .layout { grid-template-columns: 1fr; } .pile { grid-template-columns: 84px 1fr 60px;
  } .pile > span:nth-child(3) { grid-column: 2; } .pile > span:last-child { grid-column: 2; }
}
@media (max-width: 600px) {
  .pile { grid-template-columns: 60px 1fr auto; gap: 6px 12px; }
  .pile > * { min-width: 0; }
  .pile .row { flex-wrap: wrap; }
}
</style>
