<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { GroupData } from '../api/client'
import { useBounds } from '../parts/bounds'
import { useMeasure } from '../parts/measure'
import type { Wish } from './wishes'

/** What is looked for on the shelf, as one sentence. */
defineProps<{
  folds: { value: string; title: string }[]
  occasions: string[]
  does: string[]
  /** a group is asked about, here or elsewhere on the page */
  hasGroup: boolean
  /** to choose from; none where group and minutes stand elsewhere on the page */
  groups?: GroupData[]
}>()
const wish = defineModel<Wish>({ required: true })
const { t } = useI18n()
const { between } = useBounds()
const { say } = useMeasure()
</script>

<template>
  <p class="wishes">
    {{ t('shelf.for') }}
    <select v-model="wish.occasion" :aria-label="t('shelf.occasion')">
      <option value="">{{ t('shelf.anyOccasion') }}</option>
      <option v-for="o in occasions" :key="o" :value="o">{{ t(`shelf.occasions.${o}`) }}</option>
    </select>
    <template v-if="groups"
      >&nbsp;{{ t('shelf.with') }}
      <select v-model="wish.group" :aria-label="t('shelf.group')">
        <option :value="null">{{ t('shelf.anyGroup') }}</option>
        <option v-for="g in groups" :key="g.id" :value="g.id">{{ g.name }}</option>
      </select></template
    >
    <template v-if="hasGroup"
      ><template v-if="groups"
        >&nbsp;{{ t('shelf.in') }}
        <input
          v-model.number="wish.minutes"
          type="number"
          v-bind="between('minutes')"
          :aria-label="t('shelf.minutes')" />
        {{ t('shelf.minutes') }}, </template
      ><template v-else>&nbsp;</template>{{ t('shelf.folding') }}
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
</template>

<style scoped>
.wishes { font-size: 1.08rem; line-height: 2.75; margin: 6px 0 14px; }
.wishes select, .wishes input[type='number'] {
  font: inherit; font-weight: 700; color: var(--tide-deep); background: var(--paper); border: 0;
  border-bottom: 3px solid var(--tide); padding: 2px 6px; height: 44px; line-height: 1.4; max-width: 13rem;
}
.wishes input[type='number'] { width: 4.6rem; }
.wishes input[type='checkbox'] { width: 22px; height: 22px; accent-color: var(--tide-deep); vertical-align: -4px; }
</style>
