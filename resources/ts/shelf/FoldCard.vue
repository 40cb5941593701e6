<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { FoldPageData } from '../api/client'
import FoldPicture from '../parts/FoldPicture.vue'

/** The card of a fold, as it is printed. */
const props = defineProps<{ page: FoldPageData; size: string }>()
const { t } = useI18n()
/** A small field and large letters have room for the likeliest fault alone. */
const faults = computed(() =>
  props.page.fold.wrong.slice(0, ['4', 'large'].includes(props.size) ? 1 : props.page.fold.wrong.length),
)
</script>

<template>
  <article class="card" :class="`of-${size}`">
    <h2>{{ page.fold.name }}</h2>
    <p>{{ page.fold.what }}</p>
    <div class="pictures">
      <FoldPicture
        v-for="picture in page.pictures.filter((p) => p.show !== 'elsewhere')"
        :key="picture.show"
        :drawing="picture.drawing"
        :title="t(`folds.show.${picture.show}`, { model: picture.model, n: picture.step })"
        grey />
    </div>
    <dl>
      <template v-for="key in ['hold', 'press', 'stop'] as const" :key="key">
        <dt>{{ t(`folds.${key}`) }}</dt>
        <dd>{{ page.fold[key] }}</dd>
      </template>
    </dl>
    <div v-for="one in faults" :key="one.looks" class="fault">
      <b>{{ one.looks }}</b> {{ one.cause }} <b>{{ one.remedy }}</b>
    </div>
  </article>
</template>

<style scoped>
.card {
  height: 100%; border: 0.5mm solid #17252d; padding: 5mm; display: grid; gap: 2.5mm; font-size: 10pt; line-height: 1.3;
  grid-template: auto auto minmax(0, 1fr) auto / minmax(0, 1fr); grid-auto-rows: auto;
}
h2 { font-size: 1.7em; }
.pictures { min-height: 0; display: grid; grid-auto-flow: column; grid-auto-columns: minmax(0, 1fr); gap: 4mm; }
.pictures > * { min-height: 0; }
dl { display: grid; grid-template-columns: auto 1fr; gap: 1mm 3mm; margin: 0; }
dt { font-weight: 700; }
dd { margin: 0; }
.fault { border: 0.4mm dashed #17252d; padding: 1.5mm 2.5mm; }
.of-1 { font-size: 15pt; gap: 5mm; }
.of-2 { font-size: 11pt; }
.of-4 { font-size: 9.5pt; line-height: 1.22; padding: 4mm; gap: 1.5mm; }
.of-large { font-size: 21pt; }
</style>
