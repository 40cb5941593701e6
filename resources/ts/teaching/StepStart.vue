<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { ModelData, StepData } from '../api/client'
import FoldPicture from '../parts/FoldPicture.vue'

/** Before the first step: what everybody has before them, and what is to be said. */
defineProps<{ model: ModelData; prepared: StepData | undefined; says: readonly string[] }>()
const { t } = useI18n()
</script>

<template>
  <h1>{{ t('stage.start') }}</h1>
  <p class="sentence">
    {{
      t(model.summary.ratio === 1 ? 'stage.startSentence' : 'stage.startSheet', {
        side: t(model.side_up === 'front' ? 'stage.front' : 'stage.back2side'),
      })
    }}
  </p>
  <p v-if="prepared" class="sentence">
    <b>{{ t('stage.prepared', { n: prepared.number }, prepared.number) }}</b> {{ prepared.look.join(' ') }}
  </p>
  <ul v-if="says.length" class="says">
    <li v-for="line in says" :key="line">{{ line }}</li>
  </ul>
  <p v-for="c in model.cautions" :key="c" class="caution">{{ c }}</p>
  <div class="picture">
    <FoldPicture :drawing="prepared?.after ?? model.summary.picture" :title="model.summary.title" />
  </div>
</template>

<style scoped>
.sentence { font-size: 1.5rem; }
.picture { flex: 1; min-height: 160px; filter: drop-shadow(0 5px 6px rgb(23 37 45 / 0.2)); }
.says { list-style: none; padding: 0; display: grid; gap: 6px; font-size: 1.25rem; }
.says li { border-left: 6px solid var(--now); padding-left: 14px; }
</style>
