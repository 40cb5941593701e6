<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, client } from '../api/client'

/** What is to be ready before the lesson, to be ticked one by one or all at once; kept as it is ticked. */
const props = defineProps<{ lesson: number; list: readonly { key: string; text: string; done: boolean }[] }>()
const { t } = useI18n()
/** Shown at once, and put right again should the server not have it. */
const ticked = ref<Record<string, boolean>>({})
const entries = computed(() => props.list.map((one) => ({ ...one, done: ticked.value[one.key] ?? one.done })))
const all = computed(() => entries.value.every((one) => one.done))
const problem = ref('')

async function tick(keys: string[], done: boolean) {
  const put = (is: boolean) => { ticked.value = { ...ticked.value, ...Object.fromEntries(keys.map((k) => [k, is])) } }
  put(done)
  problem.value = ''
  await answer(
    client.PUT('/api/lessons/{lesson}/ticks', { params: { path: { lesson: props.lesson } }, body: { keys, done } }),
  ).catch((error: unknown) => {
    put(!done)
    problem.value = error instanceof Error ? error.message : ''
  })
}
const tickAll = () => {
  const done = !all.value
  return tick(entries.value.filter((one) => one.done !== done).map((one) => one.key), done)
}
</script>

<template>
  <div class="stack">
    <h2>{{ t('paper.list') }}</h2>
    <p v-if="problem" class="warn" role="alert">{{ problem }}</p>
    <ul class="list ticks">
      <li v-for="entry in entries" :key="entry.key">
        <label :class="{ done: entry.done }"
          ><input
            type="checkbox"
            :checked="entry.done"
            @change="tick([entry.key], ($event.target as HTMLInputElement).checked)" />
          <span>{{ entry.text }}</span></label
        >
      </li>
    </ul>
    <button v-if="entries.length > 1" type="button" class="link no-print" @click="tickAll">
      {{ t(all ? 'paper.noneReady' : 'paper.allReady') }}
    </button>
  </div>
</template>

<style scoped>
.ticks { display: grid; gap: 4px; }
.ticks label { display: grid; grid-template-columns: 34px 1fr; align-items: start; padding: 6px 0; cursor: pointer; }
.ticks input { width: 22px; height: 22px; accent-color: var(--tide-deep); }
.ticks .done { color: var(--ink-2); text-decoration: line-through; }
.link { justify-self: start; text-decoration: underline; min-height: 44px; }
</style>
