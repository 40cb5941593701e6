<script setup lang="ts">
import { useRoute } from 'vue-router'
import { useLesson } from '../api/queries'
import AskState from '../parts/AskState.vue'
import LessonStrip from '../parts/LessonStrip.vue'

const props = defineProps<{ id: number }>()
const route = useRoute()
const lesson = useLesson(() => props.id)
</script>

<template>
  <AskState v-if="!lesson.data.value" :error="lesson.error.value" @again="lesson.refetch()" />
  <div v-else class="page">
    <LessonStrip :card="lesson.data.value.card" :open="String(route.name)" />
    <RouterView :key="id" :lesson="lesson.data.value" />
  </div>
</template>
