<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, client, type StockChangeData, type StockData } from '../api/client'
import { useMe } from '../api/groups'
import { usePaperNeeds, useStocks } from '../api/paper'
import AskState from '../parts/AskState.vue'
import { useRemoving } from '../bin/useRemoving'
import { useMeasure } from '../parts/measure'
import { mayLetGo } from '../parts/unsaved'
import StockForm from './StockForm.vue'

const { t } = useI18n()
const me = useMe()
const stocks = useStocks()
const needs = usePaperNeeds()
const needOf = (id: number) => needs.data.value?.find((n) => n.stock === id)
const cache = useQueryClient()
const log = ref<{ stock: number; changes: StockChangeData[] } | null>(null)
const { unit } = useMeasure()
/** As the account knows them; the fields come from there too. */
const units = computed(() => me.data.value?.units ?? [])
async function read(chosen: string) {
  await answer(client.PUT('/api/me', { body: { unit: units.value.find((u) => u === chosen) ?? 'mm' } }))
  await cache.invalidateQueries()
}
/** What most rooms have, put in with one press; plenty of it until somebody counts. */
const COMMON = ['a4', 'letter', 'square-150', 'newspaper']
const common = computed(() => (me.data.value?.formats ?? []).filter((one) => COMMON.includes(one.key)))
const putting = ref(false)
async function put({ name, width, height, grammage, kind, sides }: (typeof common.value)[number]) {
  putting.value = true
  await answer(
    client.POST('/api/stocks', {
      body: { name, width_mm: width, height_mm: height, grammage, kind, sides, count: null },
    }),
  ).finally(() => { putting.value = false })
  await cache.invalidateQueries()
}
/** The paper whose form lies open; null: a new one. */
const editing = ref<StockData | null>(null)
async function change(stock: StockData) {
  if (await mayLetGo()) editing.value = stock
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
async function undo(stock: StockData, change: number) {
  await answer(client.POST('/api/stocks/{stock}/undo', { params: { path: { stock: stock.id } }, body: { change } }))
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
      <div v-if="stocks.data.value.length === 0" class="common">
        <v-btn v-for="one in common" :key="one.key" variant="outlined" :loading="putting" @click="put(one)">{{
          t('cupboard.put', { name: one.name })
        }}</v-btn>
      </div>
      <ul class="list">
        <li v-for="stock in stocks.data.value" :key="stock.id" class="pile">
          <svg viewBox="-2 -2 104 104" width="76" height="76" aria-hidden="true">
            <g :transform="`scale(${100 / Math.max(stock.width_mm, stock.height_mm)})`">
              <rect
                :width="stock.width_mm"
                :height="stock.height_mm"
                fill="var(--paper)"
                stroke="var(--ink)"
                stroke-width="3" />
              <rect :width="stock.square_mm" :height="stock.square_mm" fill="var(--tide)" />
            </g>
          </svg>
          <span
            ><b class="name">{{ stock.name }}</b
            ><br /><span class="quiet"
              >{{ stock.size
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
            >{{ t('cupboard.gives', { side: stock.square, strip: stock.strip })
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
                @click="undo(stock, entry.id)"
                >{{ t('cupboard.undo') }}</v-btn
              >
            </p>
          </div>
        </li>
      </ul>
      <p class="row links">
        <label class="units"
          >{{ t('cupboard.units') }}
          <select :value="unit" @change="read(($event.target as HTMLSelectElement).value)">
            <option v-for="u in units" :key="u" :value="u">{{ t(`cupboard.unit_${u}`) }}</option>
          </select></label
        >
      </p>
    </section>
    <StockForm :stock="editing" @done="editing = null" />
  </div>
</template>

<style scoped>
.layout { display: grid; grid-template-columns: 1fr 340px; gap: 32px; align-items: start; }
.pile {
  display: grid; grid-template-columns: 84px 1.2fr 1fr 70px auto; gap: 14px; align-items: center; padding: 14px 0;
  border-bottom: 10px solid var(--plank);
}
.name { font-family: var(--head); font-size: 1.15rem; }
.count { font-size: 1.4rem; text-align: right; }
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
