<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { LessonData } from '../api/client'
import { useSaveLesson } from '../api/lessons'
import { inputOf } from '../lessons/input'

/** Things beside paper: tick what the lesson uses; each says what can hurt and the safer way. */
const props = defineProps<{ lesson: LessonData }>()
const { t } = useI18n()
const save = useSaveLesson()

const sorted = computed(() => [...props.lesson.setting.materials].sort((a, b) => Number(b.chosen) - Number(a.chosen)))

function choose(key: string, on: boolean) {
  const chosen = props.lesson.setting.materials.filter((m) => (m.key === key ? on : m.chosen)).map((m) => m.key)
  save.mutate({ id: props.lesson.card.id, body: inputOf(props.lesson, { materials: chosen }) })
}
</script>

<template>
  <section class="stack">
    <h2>{{ t('paper.materials') }}</h2>
    <ul class="list kinds">
      <li v-for="m in sorted" :key="m.key" :class="{ chosen: m.chosen, 'no-print': !m.chosen }">
        <label
          ><input
            type="checkbox"
            :checked="m.chosen"
            @change="choose(m.key, ($event.target as HTMLInputElement).checked)" />
          <span>{{ m.name }}</span></label
        >
        <p v-if="m.chosen && m.unfit !== null" class="warn">{{ t('paper.unfit', { what: m.unfit }) }}</p>
        <p v-if="m.chosen" class="quiet">{{ m.caution }}</p>
      </li>
    </ul>
    <p v-if="save.error.value" class="warn" role="alert">{{ save.error.value.message }}</p>
  </section>
</template>

<style scoped>
.kinds { display: grid; grid-template-columns: repeat(auto-fill, minmax(220px, 1fr)); gap: 0 22px; }
.kinds li.chosen { grid-column: 1 / -1; border-left: 6px solid var(--now); padding-left: 12px; margin-bottom: 8px; }
label { display: grid; grid-template-columns: 34px 1fr; align-items: center; min-height: 44px; cursor: pointer; }
input { width: 20px; height: 20px; accent-color: var(--tide-deep); }
.chosen label { font-weight: 650; }
</style>
