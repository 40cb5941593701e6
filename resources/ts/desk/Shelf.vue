<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { useModels } from '../api/queries'
import AskState from '../parts/AskState.vue'
import FoldPicture from '../parts/FoldPicture.vue'

const { t } = useI18n()
const models = useModels()
const sample = 150
</script>

<template>
  <AskState v-if="!models.data.value" :error="models.error.value" @again="models.refetch()" />
  <div v-else class="page">
    <h1>{{ t('shelf.title') }}</h1>
    <p class="quiet">{{ t('shelf.sub') }}</p>
    <RouterLink v-for="model in models.data.value" :key="model.slug" class="board" :to="{ name: 'model', params: { slug: model.slug } }">
      <span class="picture"><FoldPicture :scene="model.picture" :title="model.title" /></span>
      <span class="stack">
        <span><h2>{{ model.title }}</h2><span class="quiet">{{ t('shelf.steps', { n: model.steps }) }}, {{ t('shelf.difficulty', { n: model.difficulty }) }}, {{ t('shelf.age', { n: model.age_from }) }}</span></span>
        <span>{{ model.about }}</span>
      </span>
      <span class="facts"><b>{{ model.folds.join(', ') }}</b><br><span class="quiet">{{ t('shelf.from', { a: sample, w: Math.round(model.width_per_side * sample), h: Math.round(model.height_per_side * sample) }) }}</span></span>
    </RouterLink>
  </div>
</template>

<style scoped>
.board { display: grid; grid-template-columns: 170px 1.4fr 1fr; gap: 28px; align-items: center; padding: 18px 8px; margin-top: 6px; border-bottom: 10px solid #c4cdc8; color: var(--ink); text-decoration: none; }
.board:hover { background: rgb(253 252 248 / 0.55); }
.picture { height: 140px; filter: drop-shadow(0 8px 6px rgb(23 37 45 / 0.28)); align-self: end; }
.stack { gap: 8px; }
@media (max-width: 860px) { .board { grid-template-columns: 130px 1fr; } .facts { grid-column: 2; } }
</style>
