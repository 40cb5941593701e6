<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import FoldPicture from '../parts/FoldPicture.vue'
import type { Placed } from './useWishes'

/** A model standing on the shelf: its picture, its name, and what it would take. */
const props = defineProps<{ placed: Placed; group: string | undefined; learners: number }>()
const { t } = useI18n()
const done = computed(() => Math.round((props.placed.fit?.share ?? 0) * props.learners))
</script>

<template>
  <RouterLink
    class="tile"
    :class="{ aside: placed.over > 0 || placed.youngest !== null }"
    :title="placed.model.about"
    :to="{ name: 'model', params: { slug: placed.model.slug } }">
    <span class="picture"><FoldPicture :drawing="placed.model.picture" :title="placed.model.title" /></span>
    <span class="plank">
      <h2>{{ placed.model.title }}</h2>
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
  </RouterLink>
</template>

<style scoped>
.tile {
  display: grid; grid-template-rows: 118px auto; color: var(--ink); text-decoration: none; padding: 0 6px;
}
.tile:hover h2 { text-decoration: underline; }
.aside .picture { opacity: 0.5; }
.picture { height: 112px; filter: drop-shadow(0 6px 5px rgb(23 37 45 / 0.26)); align-self: end; padding: 0 4px; }
.plank {
  border-top: 8px solid #c4cdc8; margin: 0 -6px; padding: 8px 10px 14px; display: grid; align-content: start; gap: 1px;
}
h2 { font-size: 1.08rem; line-height: 1.2; }
.facts { color: var(--ink-2); font-size: 0.9rem; }
b { font-size: 0.95rem; }
</style>
