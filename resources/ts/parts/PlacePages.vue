<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute } from 'vue-router'
import { places } from './places'

/** The pages of the place one is in, in one line; none where a place is one page. */
const { t } = useI18n()
const route = useRoute()
const place = computed(() => places.find((one) => one.name === route.meta['place']))
</script>

<template>
  <nav v-if="place && place.pages.length" class="pages no-print" :aria-label="t(`places.${place.name}`)">
    <RouterLink v-for="page in place.pages" :key="page" :to="{ name: page }" :class="{ here: route.name === page }">{{
      t(`pages.${page}`)
    }}</RouterLink>
  </nav>
</template>

<style scoped>
.pages {
  display: flex; flex-wrap: wrap; gap: 0 22px; max-width: 1280px; width: 100%; margin: 0 auto; padding: 0 28px;
}
.pages a { color: var(--ink-2); padding: 7px 0; font-size: 0.95rem; text-decoration: none; }
.pages a:hover { text-decoration: underline; }
.pages .here {
  color: var(--ink); font-weight: 700; text-decoration: underline var(--tide) 3px; text-underline-offset: 5px;
}
@media (max-width: 700px) { .pages { padding: 0 16px; gap: 0 16px; } .pages a { padding: 11px 0; } }
</style>
