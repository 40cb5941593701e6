<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { RouterLink } from 'vue-router'
import FoldPicture from '../parts/FoldPicture.vue'
import type { Placed } from './useWishes'

/**
 * A model standing on the shelf: its picture, its name, and what it would take. It leads to its page; where models are
 * picked, it is a box to tick.
 */
const props = withDefaults(defineProps<{
  placed: Placed
  group: string | undefined
  learners: number
  /** leads to the model's page: undefined; picked or not: where models are picked for a lesson */
  picked?: boolean | undefined
}>(), { picked: undefined })
const emit = defineEmits<{ pick: [] }>()
const { t } = useI18n()
const done = computed(() => Math.round((props.placed.fit?.share ?? 0) * props.learners))
const isLink = computed(() => props.picked === undefined)
const whole = computed(() =>
  isLink.value ? { is: RouterLink, to: { name: 'model', params: { slug: props.placed.model.slug } } } : { is: 'label' },
)
</script>

<template>
  <component
    v-bind="whole"
    :is="whole.is"
    class="tile"
    :class="{ aside: placed.over > 0 || placed.youngest !== null, picked }"
    :title="placed.model.about">
    <span class="picture"><FoldPicture :drawing="placed.model.picture" :title="placed.model.title" /></span>
    <span class="plank">
      <span class="name"
        ><input
          v-if="!isLink"
          type="checkbox"
          :checked="picked"
          :value="placed.model.slug"
          @change="emit('pick')" /><component :is="isLink ? 'h2' : 'b'" class="title">{{
          placed.model.title
        }}</component></span
      >
      <span class="facts"
        >{{ t('shelf.steps', { n: placed.model.steps }) }}, {{ t('shelf.ofFive', { n: placed.model.difficulty })
        }}<template v-if="placed.model.scissors">, {{ t('shelf.cuts') }}</template></span
      >
      <b v-if="group && placed.youngest !== null" class="warn">{{ t('shelf.tooYoung', { n: placed.youngest }) }}</b>
      <b v-else-if="group && placed.over > 0" class="warn"
        >{{ t('shelf.tooLong', { n: placed.over }) }}, {{ t('fit.share', { done, of: learners }) }}</b
      >
      <b v-else-if="group" class="good">{{ t('shelf.minutesOnly', { n: placed.fit?.minutes ?? '…' }) }}</b>
      <span v-if="placed.fresh?.length" class="facts">{{ t('shelf.fresh', { what: placed.fresh.join(', ') }) }}</span>
      <span v-else-if="placed.fresh" class="facts">{{ t('shelf.allKnown') }}</span>
      <span v-else-if="placed.model.opened" class="facts">{{ t('shelf.openedShort') }}</span>
    </span>
  </component>
</template>

<style scoped>
.tile {
  display: grid; grid-template-rows: 118px auto; color: var(--ink); text-decoration: none; padding: 0 6px;
  cursor: pointer;
}
.tile:hover .title { text-decoration: underline; }
.aside .picture { opacity: 0.5; }
.picture { height: 112px; filter: drop-shadow(0 6px 5px rgb(23 37 45 / 0.26)); align-self: end; padding: 0 4px; }
.plank {
  border-top: 8px solid var(--plank); margin: 0 -6px; padding: 8px 10px 14px; display: grid; align-content: start;
  gap: 1px;
}
.picked .plank { border-top-color: var(--tide); background: var(--paper); }
.picked .picture { opacity: 1; }
.name { display: flex; gap: 8px; align-items: start; min-height: 26px; }
.name input { width: 22px; height: 22px; margin: 0; flex: none; accent-color: var(--tide-deep); }
.title { font-family: var(--head); font-weight: 700; font-size: 1.08rem; line-height: 1.2; }
.facts { color: var(--ink-2); font-size: 0.9rem; }
b:not(.title) { font-size: 0.95rem; }
</style>
