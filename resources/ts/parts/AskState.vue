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
      <p class="ways-on">
        <v-btn color="primary" @click="$emit('again')">{{ t('app.again') }}</v-btn>
        <router-link to="/">{{ t('lost.back') }}</router-link>
      </p></template
    >
    <p v-else class="quiet">{{ t('app.loading') }}</p>
  </div>
</template>

<style scoped>
.ways-on { display: flex; align-items: center; gap: 18px; flex-wrap: wrap; margin-top: 16px; }
</style>
