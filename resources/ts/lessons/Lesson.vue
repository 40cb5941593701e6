<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { useLesson } from '../api/lessons'
import AskState from '../parts/AskState.vue'
import LessonStrip from './LessonStrip.vue'

const props = defineProps<{ id: number }>()
const route = useRoute()
const lesson = useLesson(() => props.id)
/** Pages to print belong to a stage. */
const stage = computed(() => ({ kits: 'paper', worksheet: 'keep' })[String(route.name)] ?? String(route.name))
</script>

<template>
  <AskState v-if="!lesson.data.value" :error="lesson.error.value" @again="lesson.refetch()" />
  <div v-else class="page">
    <p class="print-only">
      <b>{{ lesson.data.value.card.model_title }}</b
      >, {{ lesson.data.value.card.group }}, {{ lesson.data.value.card.starts_at.replace('T', ' ') }}
    </p>
    <LessonStrip :card="lesson.data.value.card" :open="stage" />
    <RouterView :key="id" :lesson="lesson.data.value" />
  </div>
</template>
