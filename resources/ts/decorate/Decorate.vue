<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useModel, useSheetMap } from '../api/models'
import AskState from '../parts/AskState.vue'
import { decimal, fromDecimal, useMeasure } from '../parts/measure'
import { useAskedWays } from '../ways/askedWays'
import SeenModel from '../shelf/SeenModel.vue'
import { onModel, onSheet, type Side, type View } from './sheetMap'
import SheetSide from './SheetSide.vue'

/** Where the flat sheet ends up: for drawing on it before it is folded, on the screen and on paper at full size. */
const props = defineProps<{ slug: string }>()
const { t } = useI18n()
const { unit } = useMeasure()
const ways = useAskedWays()
const model = useModel(() => props.slug, ways)
const map = useSheetMap(() => props.slug, ways)
const colours = useLocalStorage('paper', { front: '#0e6e7c', back: '#fdfcf8' })
/** The pale side would not show on paper: what is seen of it is drawn in grey. */
const drawn = computed(() => ({ front: colours.value.front, back: '#8b979c' }))
const sides: Side[] = ['front', 'back']
const views: View[] = ['front', 'behind']

interface Picked {
  /** undefined beside the model */
  side: Side | undefined
  sheet: readonly [number, number] | undefined
  view: View | undefined
  model: readonly [number, number] | undefined
}
const picked = ref<Picked>()
function pickModel(view: View, at: readonly [number, number]) {
  const found = map.data.value && onSheet(map.data.value.parts, view, at)
  // by keys the dot may go beside the model on its way
  picked.value = { side: found?.side, sheet: found?.at, view, model: at }
}
function pickSheet(side: Side, at: readonly [number, number]) {
  const found = map.data.value && onModel(map.data.value.parts, side, at)
  picked.value = { side, sheet: at, view: found?.view, model: found?.at }
}
const said = computed(() => {
  const p = picked.value
  if (!p) return t('decorate.press')
  if (!p.side) return t('decorate.beside')
  return p.view ? t('decorate.there', { side: t(`decorate.${p.side}`) }) : t('decorate.hidden')
})
const share = (view: View, side: Side) =>
  Math.round(100 * (map.data.value?.seen.find((s) => s.view === view && s.side === side)?.share ?? 0))

const side = ref(150)
const typed = computed({
  get: () => decimal(side.value, unit.value),
  set: (value: number | string) => {
    const mm = fromDecimal(value, unit.value)
    if (Number.isFinite(mm) && mm >= 10 && mm <= 2000) side.value = mm
  },
})
const size = computed(() => {
  const { width = 1, height = 1 } = map.data.value ?? {}
  const scale = side.value / Math.min(width, height)
  return { width: `${width * scale}mm`, height: `${height * scale}mm` }
})
const print = () => window.print()
</script>

<template>
  <AskState
    v-if="!map.data.value || !model.data.value"
    :error="map.error.value ?? model.error.value"
    @again="(map.refetch(), model.refetch())" />
  <div v-else class="page">
    <div class="no-print">
      <h1>{{ t('decorate.title', { model: model.data.value.summary.title }) }}</h1>
      <p class="say">{{ t('decorate.sub') }}</p>
      <p class="rule" role="status">{{ said }}</p>
      <div class="grid">
        <figure v-for="one in sides" :key="one">
          <figcaption>
            <b>{{ t(`decorate.${one}`) }}</b>
            <span class="quiet">{{ t('decorate.seen', { n: share('front', one), m: share('behind', one) }) }}</span>
          </figcaption>
          <div class="box">
            <SheetSide
              :map="map.data.value"
              :side="one"
              picks
              :colour="drawn[one]"
              :picked="picked?.side === one ? picked.sheet : undefined"
              @pick="pickSheet(one, $event)" />
          </div>
        </figure>
        <figure v-for="one in views" :key="one">
          <figcaption>
            <b>{{ t(`decorate.${one}View`) }}</b>
          </figcaption>
          <div class="box">
            <SeenModel
              :map="map.data.value"
              :view="one"
              :colours="colours"
              :picked="picked?.view === one ? picked.model : undefined"
              @pick="pickModel(one, $event)" />
          </div>
        </figure>
      </div>
      <ul class="list key-list quiet">
        <li><i class="solid"></i>{{ t('decorate.keyFront') }}</li>
        <li><i class="dashed"></i>{{ t('decorate.keyBehind') }}</li>
        <li><i class="pale"></i>{{ t('decorate.keyHidden') }}</li>
        <li>↑ {{ t('decorate.keyUp') }}</li>
      </ul>
      <div class="row print">
        <label>
          {{ t('decorate.side', { unit }) }} <input v-model.lazy="typed" type="number" min="1" step="any" />
        </label>
        <v-btn color="primary" class="fold-button" @click="print">{{ t('decorate.print') }}</v-btn>
        <span class="quiet">{{ t('decorate.printHow') }}</span>
      </div>
    </div>
    <section v-for="one in sides" :key="one" class="leaf">
      <div class="full" :style="size">
        <SheetSide :map="map.data.value" :side="one" :colour="drawn[one]" />
      </div>
      <p>{{ model.data.value.summary.title }}, {{ t(`decorate.${one}`) }}</p>
    </section>
  </div>
</template>

<style scoped>
h1 { font-size: 2.4rem; font-weight: 800; }
.say { font-size: 1.15rem; }
.grid { display: grid; grid-template-columns: repeat(4, minmax(0, 1fr)); gap: 22px; margin: 16px 0; }
figure { margin: 0; background: var(--paper); padding: 14px; box-shadow: var(--shadow); }
figcaption { display: grid; min-height: 3.4em; align-content: start; }
figcaption b::first-letter { text-transform: uppercase; }
.box { height: 260px; }
.key-list { display: flex; flex-wrap: wrap; gap: 6px 22px; }
.key-list i { display: inline-block; width: 26px; height: 14px; margin-right: 8px; border: 1.5px solid var(--ink); }
.key-list .solid { background: color-mix(in srgb, var(--tide) 75%, white); }
.key-list .dashed { border-style: dashed; background: color-mix(in srgb, var(--tide) 34%, white); }
.key-list .pale { background: color-mix(in srgb, var(--tide) 12%, white); border-width: 0.5px; }
.print { margin-top: 18px; gap: 18px; }
.print input { width: 90px; padding: 8px; border-bottom: 2px solid var(--ink); background: var(--paper); }
.leaf { display: none; }
@media (max-width: 1000px) { .grid { grid-template-columns: 1fr 1fr; } }
@media (max-width: 560px) { .grid { grid-template-columns: 1fr; } }
@media print {
  .leaf { display: block; break-after: page; }
  .leaf:last-child { break-after: auto; }
  .full { margin: 0 auto; }
  .leaf p { text-align: center; margin-top: 4mm; }
}
</style>
