<script setup lang="ts">
import { useI18n } from 'vue-i18n'

/** Shown instead of a screen while its data are on the way, or when they could not be had. */
defineProps<{ error: Error | null }>()
defineEmits<{ again: [] }>()
const { t } = useI18n()
</script>

<template>
  <div class="page" role="status">
    <template v-if="error"
      ><p class="warn">{{ error.message }}</p>
      <v-btn class="mt-4" color="primary" @click="$emit('again')">{{ t('app.again') }}</v-btn></template
    >
    <p v-else class="quiet">{{ t('app.loading') }}</p>
  </div>
</template>
