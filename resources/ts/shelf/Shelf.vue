<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import AskState from '../parts/AskState.vue'
import { useBounds } from '../parts/bounds'
import { useMeasure } from '../parts/measure'
import ShelfTile from './ShelfTile.vue'
import { useWishes } from './useWishes'

/** Every model as a small picture on a plank, found by name, occasion, fold, minutes, use, and what a group can do. */
const { t } = useI18n()
const { between } = useBounds()
const { say } = useMeasure()
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
    <p class="wishes">
      {{ t('shelf.for') }}
      <select v-model="wish.occasion" :aria-label="t('shelf.occasion')">
        <option value="">{{ t('shelf.anyOccasion') }}</option>
        <option v-for="o in occasions" :key="o" :value="o">{{ t(`shelf.occasions.${o}`) }}</option>
      </select>
      {{ t('shelf.with') }}
      <select v-model="wish.group" :aria-label="t('shelf.group')">
        <option :value="null">{{ t('shelf.anyGroup') }}</option>
        <option v-for="g in groups.data.value ?? []" :key="g.id" :value="g.id">{{ g.name }}</option>
      </select>
      <template v-if="group"
        >&nbsp;{{ t('shelf.in') }}
        <input
          v-model.number="wish.minutes"
          type="number"
          v-bind="between('minutes')"
          :aria-label="t('shelf.minutes')" />
        {{ t('shelf.minutes') }}, {{ t('shelf.folding') }}
        <select v-model="wish.known" :aria-label="t('shelf.known')">
          <option value="">{{ t('shelf.known_') }}</option>
          <option value="all">{{ t('shelf.known_all') }}</option>
          <option value="one">{{ t('shelf.known_one') }}</option>
        </select></template
      >, {{ t('shelf.teaching') }}
      <select v-model="wish.fold" :aria-label="t('shelf.fold')">
        <option value="">{{ t('shelf.anyFold') }}</option>
        <option v-for="f in folds" :key="f.value" :value="f.value">{{ f.title }}</option></select
      >, {{ t('shelf.that') }}
      <select v-model="wish.does" :aria-label="t('shelf.does')">
        <option value="">{{ t('shelf.anyUse') }}</option>
        <option v-for="d in does" :key="d" :value="d">{{ t(`shelf.use.${d}`) }}</option>
      </select>
      {{ t('shelf.from2') }}
      <select v-model="wish.paper" :aria-label="t('shelf.paper')">
        <option value="">{{ t('shelf.anyPaper') }}</option>
        <option value="square">{{ t('shelf.square') }}</option>
        <option value="oblong">{{ t('shelf.oblong') }}</option></select
      >,
      {{ t('shelf.finishedUpTo') }}
      <select v-model="wish.size" :aria-label="t('shelf.size')">
        <option :value="null">{{ t('shelf.anySize') }}</option>
        <option v-for="mm in [60, 100, 150]" :key="mm" :value="mm">{{ say(mm) }}</option></select
      >,
      <label><input v-model="wish.noScissors" type="checkbox" /> {{ t('shelf.noScissors') }}</label>
    </p>
    <p v-if="fitting.length === 0" class="warn" role="status">
      {{ t('shelf.none') }} <button type="button" class="again" @click="all">{{ t('shelf.all') }}</button>
    </p>
    <div class="board">
      <ShelfTile
        v-for="one in fitting"
        :key="one.model.slug"
        :placed="one"
        :group="group?.name"
        :learners="group?.learners.length ?? 0" />
    </div>
    <template v-if="others.length">
      <p class="quiet not">{{ t('shelf.notFor', { n: others.length, group: group?.name ?? '' }) }}</p>
      <div class="board">
        <ShelfTile
          v-for="one in others"
          :key="one.model.slug"
          :placed="one"
          :group="group?.name"
          :learners="group?.learners.length ?? 0" />
      </div>
    </template>
    <p class="mt-6">
      <RouterLink :to="{ name: 'patterns' }">{{ t('shelf.own') }}</RouterLink>
    </p>
  </div>
</template>

<style scoped>
.head { display: flex; flex-wrap: wrap; gap: 8px 24px; align-items: center; justify-content: space-between; }
.search {
  font: inherit; background: var(--paper); border: 0; border-bottom: 3px solid var(--tide); padding: 4px 14px;
  height: 46px;
  width: 17rem; max-width: 100%;
}
.wishes { font-size: 1.08rem; line-height: 2.75; margin: 6px 0 14px; }
.wishes select, .wishes input[type='number'] {
  font: inherit; font-weight: 700; color: var(--tide-deep); background: var(--paper); border: 0;
  border-bottom: 3px solid var(--tide); padding: 2px 6px; height: 44px; line-height: 1.4; max-width: 13rem;
}
.wishes input[type='number'] { width: 4.6rem; }
.wishes input[type='checkbox'] { width: 22px; height: 22px; accent-color: var(--tide-deep); vertical-align: -4px; }
.again { text-decoration: underline; color: var(--tide-deep); min-height: 44px; }
.board { display: grid; grid-template-columns: repeat(auto-fill, minmax(168px, 1fr)); gap: 6px 0; }
.not { margin: 18px 0 10px; }
@media (max-width: 480px) { .board { grid-template-columns: repeat(3, minmax(0, 1fr)); } }
</style>
