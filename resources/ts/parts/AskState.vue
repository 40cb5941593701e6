<script setup lang="ts">
import { onMounted, onScopeDispose, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute } from 'vue-router'

/**
 * Shown instead of a screen while its data are on the way, or when they could not be had: the screen's name at once,
 * where it will stand; that it is loading only when that takes longer than a blink.
 */
defineProps<{ error: Error | null }>()
defineEmits<{ again: [] }>()
const { t } = useI18n()
const route = useRoute()
/** Milliseconds that nobody minds. */
const SOON = 500
const late = ref(false)
const timer = setTimeout(() => { late.value = true }, SOON)
onScopeDispose(() => { clearTimeout(timer) })
/** What is only a part of a screen has the screen's heading above it. */
const named = ref(false)
onMounted(() => { named.value = document.querySelector('#main h1') === null && route.meta['bare'] !== true })
</script>

<template>
  <div class="page">
    <p v-if="named" class="name">{{ route.meta['title'] }}</p>
    <div role="status">
      <template v-if="error"
        ><p class="warn">{{ error.message }}</p>
        <p class="ways-on">
          <v-btn color="primary" @click="$emit('again')">{{ t('app.again') }}</v-btn>
          <router-link to="/">{{ t('lost.back') }}</router-link>
        </p></template
      >
      <p v-else-if="late" class="quiet">{{ t('app.loading') }}</p>
    </div>
  </div>
</template>

<style scoped>
/* As the heading that takes its place. */
.name { font-family: var(--head); font-size: 2rem; font-weight: 700; line-height: 1.12; margin: 0 0 8px; }
.ways-on { display: flex; align-items: center; gap: 18px; flex-wrap: wrap; margin-top: 16px; }
</style>
