<script setup lang="ts">
/**
 * The product's one sign: a sheet with two sides. A turned corner is done; half turned along the diagonal, done with
 * help; a dashed outline with its number, stopped at that step; a dash, away. Presumed, since nobody looked: the same,
 * not filled. The words are always there for who cannot see it.
 */
defineProps<{ outcome: string; step?: number | null; presumed?: boolean; label: string }>()
</script>

<template>
  <svg class="finish" viewBox="0 0 32 32" role="img" :aria-label="label">
    <template v-if="presumed && outcome === 'alone'">
      <path d="M4 4h13v11h11v13H4z" fill="var(--paper)" stroke="var(--tide)" stroke-width="2" />
      <path d="M17 4l11 11H17z" fill="var(--paper)" stroke="var(--tide)" stroke-width="2" stroke-linejoin="round" />
    </template>
    <template v-else-if="presumed && outcome === 'help'">
      <path d="M4 4h24v24H4zM28 4L4 28" fill="var(--paper)" stroke="var(--tide)" stroke-width="2" />
    </template>
    <template v-else-if="outcome === 'alone'">
      <path d="M3 3h14v12h12v14H3z" fill="var(--tide)" />
      <path d="M17 3l12 12H17z" fill="var(--tide-pale)" stroke="var(--tide-deep)" stroke-width="1" />
    </template>
    <template v-else-if="outcome === 'help'">
      <path d="M4 4h24v24H4z" fill="var(--paper)" stroke="var(--tide)" stroke-width="2" />
      <path d="M28 4v24H4z" fill="var(--tide)" />
    </template>
    <template v-else-if="outcome === 'stopped'">
      <rect
        x="4"
        y="4"
        width="24"
        height="24"
        fill="none"
        stroke="var(--ink)"
        stroke-width="2"
        stroke-dasharray="4 3" />
      <text x="16" y="21.5" text-anchor="middle" font-size="14" font-weight="700" fill="var(--ink)">{{ step }}</text>
    </template>
    <path v-else-if="outcome === 'away'" d="M9 16h14" stroke="var(--ink-2)" stroke-width="3" />
    <rect v-else x="4" y="4" width="24" height="24" fill="none" stroke="var(--rule)" stroke-width="1.5" />
  </svg>
</template>

<style scoped>
.finish { width: 32px; height: 32px; display: block; }
</style>
