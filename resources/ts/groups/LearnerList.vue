<script setup lang="ts">
import { nextTick, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useBounds } from '../parts/bounds'

export interface Entry {
  id: number | null
  name: string
}

/**
 * Learners in the order of their seats. Each row is one person, known by number: correcting a spelling keeps marks and
 * records. Enter goes to the next row, Alt with the arrows moves a row.
 */
const list = defineModel<Entry[]>({ required: true })
const props = defineProps<{ errors: Record<number, string> }>()
const { t } = useI18n()
const { most } = useBounds()
const fields = ref<HTMLInputElement[]>([])

function move(from: number, by: number) {
  const to = from + by
  if (to < 0 || to >= list.value.length) return
  const rows = [...list.value]
  const [row] = rows.splice(from, 1)
  if (row) rows.splice(to, 0, row)
  list.value = rows
  void nextTick(() => fields.value[to]?.focus())
}
function rename(at: number, name: string) {
  list.value = list.value.map((row, i) => (i === at ? { ...row, name } : row))
}
</script>

<template>
  <ol class="list rows">
    <li v-for="(row, i) in list" :key="row.id ?? `new ${i}`">
      <span class="seat">{{ i + 1 }}</span>
      <input
        ref="fields"
        type="text"
        :maxlength="most('learner_name')"
        :value="row.name"
        :aria-label="t('groups.nameOf', { n: i + 1 })"
        :aria-invalid="props.errors[i] !== undefined"
        @input="rename(i, ($event.target as HTMLInputElement).value)"
        @keydown.enter.prevent="fields[i + 1]?.focus()"
        @keydown.alt.up.prevent="move(i, -1)"
        @keydown.alt.down.prevent="move(i, 1)" />
      <button type="button" :disabled="i === 0" :aria-label="t('groups.up', { name: row.name })" @click="move(i, -1)">
        ↑
      </button>
      <button
        type="button"
        :disabled="i === list.length - 1"
        :aria-label="t('groups.down', { name: row.name })"
        @click="move(i, 1)">
        ↓
      </button>
      <button
        type="button"
        :aria-label="t('groups.takeOff', { name: row.name })"
        @click="list = list.filter((_, at) => at !== i)">
        ×
      </button>
      <p v-if="props.errors[i]" class="warn" role="alert">
        {{ t('groups.nameAt', { n: i + 1, why: props.errors[i] }) }}
      </p>
    </li>
  </ol>
</template>

<style scoped>
li { display: grid; grid-template-columns: 28px 1fr repeat(3, 44px); gap: 4px; align-items: center; }
.seat { color: var(--ink-2); text-align: right; padding-right: 6px; font-variant-numeric: tabular-nums; }
input {
  font: inherit; min-height: 44px; padding: 0 10px; border: 1px solid var(--rule); background: var(--paper);
  min-width: 0;
}
input[aria-invalid='true'] { border-color: var(--warn); }
button { min-height: 44px; font-size: 1.1rem; }
button:disabled { opacity: 0.3; }
p { grid-column: 2 / -1; }
</style>
