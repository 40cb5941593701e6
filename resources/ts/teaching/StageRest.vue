<script setup lang="ts">
import { onClickOutside } from '@vueuse/core'
import { ref, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'

/** Until when the last has folded, beside the bell; who and where to stop behind it. */
defineProps<{ line: string; says: readonly string[]; tight: boolean }>()
const { t } = useI18n()
const open = ref(false)
const box = useTemplateRef<HTMLElement>('box')
onClickOutside(box, () => { open.value = false })
</script>

<template>
  <div ref="box" class="rest" @keydown.esc.stop="open = false">
    <button type="button" :class="{ tight }" :aria-expanded="open" :title="t('rest.why')" @click="open = !open">
      {{ line }}
    </button>
    <div v-if="open" class="says" role="status">
      <p v-for="one in says" :key="one">{{ one }}</p>
    </div>
  </div>
</template>

<style scoped>
.rest { position: relative; }
button { min-height: 44px; white-space: nowrap; text-decoration: underline dotted; text-underline-offset: 4px; }
.tight { background: var(--now); color: var(--on-now); padding: 0 10px; }
.says {
  position: absolute; right: 0; top: 100%; z-index: 4; width: min(420px, 92vw); background: var(--paper);
  padding: 14px 18px; display: grid; gap: 8px; box-shadow: 0 8px 24px rgb(23 37 45 / 0.35); line-height: 1.35;
}
@media (max-width: 640px) { .says { position: fixed; inset: 60px 8px auto; width: auto; } }
@media (forced-colors: active) { .tight { border: 3px solid; } .says { border: 1px solid; } }
</style>
