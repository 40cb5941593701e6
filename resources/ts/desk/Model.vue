<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useModel } from '../api/queries'
import AskState from '../parts/AskState.vue'
import FoldPicture from '../parts/FoldPicture.vue'

const props = defineProps<{ slug: string }>()
const { t } = useI18n()
const model = useModel(() => props.slug)
const side = ref(150)
const s = computed(() => model.data.value?.summary)
const size = computed(() => ({ w: Math.round(side.value * (s.value?.width_per_side ?? 0)), h: Math.round(side.value * (s.value?.height_per_side ?? 0)) }))
const wanted = computed({ get: () => size.value.w, set: (w: number) => { side.value = Math.round(w / (s.value?.width_per_side ?? 1)) } })
const colours = ['#0E6E7C', '#B23A26', '#F4B31A', '#5B4B8A'] as const
const colour = ref<string>(colours[0])
</script>

<template>
  <AskState v-if="!model.data.value || !s" :error="model.error.value" @again="model.refetch()" />
  <div v-else class="page">
    <section class="top">
      <div class="picture"><FoldPicture :scene="s.picture" :title="s.title" :front="colour" /></div>
      <div class="stack">
        <h1>{{ s.title }}</h1>
        <p class="say">{{ s.about }}</p>
        <div class="facts">
          <p class="rule"><b>{{ t('shelf.steps', { n: s.steps }) }}</b><br><span class="quiet">{{ t('shelf.difficulty', { n: s.difficulty }) }}</span></p>
          <p class="rule"><b>{{ t('shelf.layers', { n: s.most_layers }) }}</b><br><span class="quiet">{{ t('shelf.age', { n: s.age_from }) }}</span></p>
          <p class="rule"><b>{{ t('shelf.folds') }}</b><br><span class="quiet">{{ s.folds.join(', ') }}</span></p>
        </div>
        <div class="row">
          <v-text-field v-model.number="side" class="number" type="number" min="10" max="2000" :label="t('shelf.side')" />
          <v-text-field v-model.number="wanted" class="number" type="number" min="1" :label="t('shelf.want')" />
          <b>{{ size.w }} × {{ size.h }} mm</b>
          <fieldset class="swatches"><legend class="quiet">{{ t('shelf.colours') }}</legend>
            <button v-for="c in colours" :key="c" type="button" :style="{ background: c }" :aria-label="c" :aria-pressed="c === colour" @click="colour = c"></button>
          </fieldset>
        </div>
        <div class="row"><v-btn color="primary" class="fold-button" :to="{ name: 'new-lesson', query: { model: slug } }">{{ t('shelf.plan') }}</v-btn></div>
      </div>
    </section>
    <p v-for="caution in model.data.value.cautions" :key="caution" class="caution">{{ caution }}</p>
    <h2 class="mt-6 mb-3">{{ t('shelf.ease') }}</h2>
    <ol class="steps list">
      <li v-for="step in model.data.value.steps" :key="step.number">
        <div class="small"><FoldPicture :scene="step.before" :title="`${step.number} ${step.name}`" :front="colour" /></div>
        <h3>{{ step.number }} {{ step.name }}</h3><p>{{ step.sentence }}</p><p v-if="step.note" class="quiet">{{ step.note }}</p>
      </li>
      <li><div class="small"><FoldPicture :scene="s.picture" :title="s.title" :front="colour" /></div><h3>{{ t('shelf.finished') }}</h3><p>{{ model.data.value.end_checks.slice(0, 2).join(' ') }}</p></li>
    </ol>
  </div>
</template>

<style scoped>
.top { display: grid; grid-template-columns: 320px 1fr; gap: 36px; align-items: center; padding: 12px 0 24px; }
.picture { height: 280px; filter: drop-shadow(0 8px 10px rgb(23 37 45 / 0.25)); }
h1 { font-size: 2.8rem; font-weight: 800; }
.say { font-size: 1.2rem; }
.facts { display: grid; grid-template-columns: repeat(3, 1fr); gap: 24px; }
.number { flex: 0 0 205px; }
.swatches { border: 0; padding: 0; }
.swatches button { width: 44px; height: 44px; margin-right: 6px; }
.swatches button[aria-pressed='true'] { box-shadow: 0 0 0 3px var(--paper), 0 0 0 6px var(--ink); }
.caution + .caution { margin-top: 8px; }
.steps { display: grid; grid-template-columns: repeat(auto-fill, minmax(236px, 1fr)); box-shadow: var(--shadow); }
.steps li { padding: 18px; background: linear-gradient(90deg, #fdfcf8 60%, #ebe9df); }
.steps li:nth-child(even) { background: linear-gradient(90deg, #e3e1d7, #f7f5ee 60%); }
.small { height: 180px; margin-bottom: 10px; }
@media (max-width: 900px) { .top { grid-template-columns: 1fr; } }
</style>
