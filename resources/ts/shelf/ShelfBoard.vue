<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { GroupData } from '../api/client'
import ShelfTile from './ShelfTile.vue'
import type { Placed } from './useWishes'

/** The planks of the shelf: what fits the wishes and the group, and below what fits the wishes alone. */
defineProps<{
  fitting: Placed[]
  others: Placed[]
  group: GroupData | undefined
  /** where models are picked for a lesson: which are */
  picked?: ((slug: string) => boolean) | undefined
}>()
defineEmits<{ pick: [slug: string]; all: [] }>()
const { t } = useI18n()
</script>

<template>
  <p v-if="fitting.length === 0" class="warn" role="status">
    {{ t('shelf.none') }} <button type="button" class="again" @click="$emit('all')">{{ t('shelf.all') }}</button>
  </p>
  <template v-for="part in [fitting, others]" :key="part === others ? 'others' : 'fitting'">
    <p v-if="part === others && others.length" class="quiet not">
      {{ t('shelf.notFor', { n: others.length, group: group?.name ?? '' }) }}
    </p>
    <div class="board" :class="{ picking: picked }">
      <ShelfTile
        v-for="one in part"
        :key="one.model.slug"
        :placed="one"
        :group="group?.name"
        :learners="group?.learners.length ?? 0"
        :picked="picked?.(one.model.slug)"
        @pick="$emit('pick', one.model.slug)" />
    </div>
  </template>
</template>

<style scoped>
.again { text-decoration: underline; color: var(--tide-deep); min-height: 44px; }
.board { display: grid; grid-template-columns: repeat(auto-fill, minmax(168px, 1fr)); gap: 6px 0; }
.not { margin: 18px 0 10px; }
@media (max-width: 480px) { 
  .board { grid-template-columns: repeat(3, minmax(0, 1fr)); }
  .board.picking { grid-template-columns: repeat(2, minmax(0, 1fr)); }
}
</style>
