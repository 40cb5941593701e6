<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import AskState from '../parts/AskState.vue'
import ShelfBoard from './ShelfBoard.vue'
import { useWishes } from './useWishes'
import WishSentence from './WishSentence.vue'

/** Every model as a small picture on a plank, found by name, occasion, fold, minutes, use, and what a group can do. */
const { t } = useI18n()
const { models, groups, wish, group, folds, occasions, does, fitting, others, all } = useWishes()
</script>

<template>
  <AskState v-if="!models.data.value" :error="models.error.value" @again="models.refetch()" />
  <div v-else class="page">
    <div class="head">
      <h1>{{ t('shelf.title') }}</h1>
      <input
        v-model="wish.name"
        type="search"
        class="search"
        :placeholder="t('shelf.search')"
        :aria-label="t('shelf.search')" />
    </div>
    <p class="quiet" role="status">{{ t('shelf.sub', { n: fitting.length, m: models.data.value.length }) }}</p>
    <WishSentence
      v-model="wish"
      :folds="folds"
      :occasions="occasions"
      :does="does"
      :has-group="group !== undefined"
      :groups="groups.data.value ?? []" />
    <ShelfBoard :fitting="fitting" :others="others" :group="group" @all="all" />
  </div>
</template>

<style scoped>
.head { display: flex; flex-wrap: wrap; gap: 8px 24px; align-items: center; justify-content: space-between; }
.search {
  font: inherit; background: var(--paper); border: 0; border-bottom: 3px solid var(--tide); padding: 4px 14px;
  height: 46px;
  width: 17rem; max-width: 100%;
}
</style>
